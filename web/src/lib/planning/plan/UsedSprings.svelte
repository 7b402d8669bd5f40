<script lang="ts">
	/** What a plan does with springs that ran: those of their fate, or all of them new. */
	import Checkbox from '$lib/ui/Checkbox.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import type { UsedSprings } from './used-springs';

	interface Props {
		used: UsedSprings;
		allNew: boolean;
	}
	let { used, allNew = $bindable() }: Props = $props();
	const store = getJobStore();
	const stock = $derived(
		used.ran.newSprings.map(
			({ name, count }) => `${name}, ${count === null ? 'not counted' : `${count} in stock`}`
		)
	);
</script>

<Checkbox bind:checked={allNew}>
	All new springs <span class="text-soft">({stock.join('; ') || 'none in the library'})</span>
</Checkbox>
{#if used.ran.replaced.length > 0}
	<a class="underline" href="/jobs/{store.job.id}/then">
		not used again: <span class="figure">{used.ran.replaced.join(' ')}</span>
	</a>
{/if}
