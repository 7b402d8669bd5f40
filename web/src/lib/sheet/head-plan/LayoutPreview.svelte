<script lang="ts">
	/** A head that is being described, drawn for the one who stands before it. */
	import type { Job, Sheet } from '@zinc-ledger/core';
	import HeadPlan from './HeadPlan.svelte';

	interface Props {
		/** null while cylinders and numbers do not agree. */
		preview: { readonly job: Job; readonly sheet: Sheet } | null;
		/** First station from the left. */
		first: string | undefined;
	}
	let { preview, first }: Props = $props();
</script>

<section class="mt-5" aria-label="The head as it lies on the bench">
	{#if preview}
		<p class="mb-2 text-[13px] text-soft">
			As it lies on the bench, front of the engine left. First station from the left:
			<b class="figure text-ink">{first}</b>. Correct?
		</p>
		<HeadPlan job={preview.job} stations={preview.sheet.stations} />
	{:else}
		<p class="border-y border-rule py-6 text-soft">
			The head is drawn here once cylinders and numbers agree.
		</p>
	{/if}
</section>
