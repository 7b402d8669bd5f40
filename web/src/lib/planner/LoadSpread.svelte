<script lang="ts">
	/** How far the seat loads of a kind lie apart: as it stands, by simpler plans, by this one. */
	import { loadSpread, withPlan, type Job } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getBook } from '$lib/job/book.svelte';
	import type { Planner } from './planner.svelte';
	import Table from '$lib/ui/Table.svelte';

	interface Props {
		planner: Planner;
		/** The job with the plan in it; null while there is none. */
		planned: Job | null;
	}
	let { planner, planned }: Props = $props();
	const book = getBook();
	const { load } = getBench();
	const PLANS = {
		'as-it-stands': 'as it stands',
		'to-card-height': 'shims to card height',
		'shims-only': 'shims only',
		'this-plan': 'this plan'
	} as const;
	interface Spread {
		name: keyof typeof PLANS;
		of: ReturnType<typeof loadSpread>;
	}
	const spreads = $derived<Spread[]>([
		{ name: 'as-it-stands' as const, of: loadSpread(book.job) },
		...planner.simpler.flatMap(([name, other]) =>
			other.sort === 'plan'
				? [{ name, of: loadSpread(withPlan(book.shelved, other.stations)) }]
				: []
		),
		...(planned ? [{ name: 'this-plan' as const, of: loadSpread(planned) }] : [])
	]);
</script>

<Table aria-label="Spread of seat loads" class="text-left">
	<thead>
		<tr>
			<th>Seat-load spread</th><th>intakes</th><th>exhausts</th><th>shims</th>
		</tr>
	</thead>
	<tbody>
		{#each spreads as { name, of } (name)}
			<tr>
				<td>{PLANS[name]}</td>
				<td class="figure">{load(of.spread.intake)}</td>
				<td class="figure">{load(of.spread.exhaust)}</td>
				<td class="figure">{of.shims}</td>
			</tr>
		{/each}
	</tbody>
</Table>
