<script lang="ts">
	/** The round once every valve is measured: the last figure, and what comes next. */
	import type { Quantity } from '@zinc-ledger/core';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import type { Round } from './round.svelte';
	import { NEXT_ROUND, ROUND_WORDS } from './words';
	import Button from '$lib/ui/Button.svelte';

	interface Props {
		quantity: Quantity;
		round: Round;
		/** The page of the job that it was begun from. */
		back?: string | null;
	}
	let { quantity, round, back = null }: Props = $props();
	const store = getJobStore();
	const next = $derived(NEXT_ROUND[quantity]);
	const hasNext = $derived(next !== 'lash' || store.job.setup.lifters === 'solid');
</script>

<div class="mt-6">
	<p class="text-3xl font-semibold">All {round.order.length} measured.</p>
	<p class="mt-2 text-soft">
		{round.last ? `Last: ${round.last.station} ${round.last.read}.` : ''}
	</p>
	<p class="mt-6 flex flex-wrap gap-3">
		{#if back}
			<Button href="/jobs/{store.job.id}/{back}" autofocus look="main">
				Back to the {back}
			</Button>
		{:else}
			<Button href="/jobs/{store.job.id}" autofocus look="main">See the sheet</Button>
		{/if}
		{#if hasNext && next && round.only.length === 0}
			<Button href="/jobs/{store.job.id}/round?of={next}">
				{ROUND_WORDS[next].title} next
			</Button>
		{/if}
		<Button onclick={() => round.goTo(round.order[0]!.label)}>Remeasure</Button>
	</p>
</div>
