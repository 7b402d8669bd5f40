<script lang="ts">
	/** What is to be said of the whole head: findings of fit, and remarks of no one valve. */
	import { alikeFindings } from '@zinc-ledger/core';
	import { ruleWords, write } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { findingLines } from '$lib/sheet/fit/finding-lines';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Mark from '$lib/ui/Mark.svelte';

	const store = getJobStore();
	const bench = getBench();
	const lines = $derived(
		findingLines(alikeFindings(store.sheet.fit, store.job.stations), ({ compared }) =>
			write(compared, bench.units)
		).filter(({ finding }) => finding.severity === 'stop' || !finding.acceptance)
	);
</script>

<span class="ml-auto text-soft">
	{#each lines as { finding, places, compared } (finding.key)}
		<a class="ml-3 underline" href="/jobs/{store.job.id}/parts">
			<Mark state={finding.severity as 'stop' | 'watch'} />
			{ruleWords(finding.rule).title}, {places}: {compared}{finding.acceptance ? ', accepted' : ''}
		</a>
	{/each}
	{#each store.sheet.remarks.filter(({ asks }) => !asks) as remark, i (i)}
		<span class="ml-3">
			<Mark state={remark.state} />
			{write(remark.text, bench.units)}
		</span>
	{/each}
</span>
