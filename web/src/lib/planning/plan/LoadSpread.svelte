<script lang="ts">
	/** How far the seat loads of a kind lie apart: as it stands, by simpler plans, by this one. */
	import {
		loadSpread,
		withPlan,
		type Job,
		type PlannedStation,
		type PlanSides
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { priceText } from '$lib/visits/comparison/service';
	import type { Planner } from './planner.svelte';
	import type { UsedSprings } from './used-springs';
	import Table from '$lib/ui/Table.svelte';

	interface Props {
		planner: Planner;
		/** The job with the plan in it; null while there is none. */
		planned: Job | null;
		/** On a visit, what becomes of the springs that ran. */
		used: UsedSprings | null;
	}
	let { planner, planned, used }: Props = $props();
	const store = getJobStore();
	const { load } = getBench();
	const PLANS = {
		'as-it-stands': 'as it stands',
		'to-card-height': 'shims to card height',
		'shims-only': 'shims only',
		'all-new': 'all new springs',
		'this-plan': 'this plan'
	} as const;
	interface Spread {
		name: keyof typeof PLANS;
		of: ReturnType<typeof loadSpread>;
		sides: PlanSides | undefined;
	}
	const sidesOf = (stations: readonly PlannedStation[]) => used?.sidesOf(stations);
	const costs = ({ newSprings, price }: PlanSides) =>
		newSprings === 0 ? '·' : price === null ? 'not known' : priceText(price);
	const found = $derived(planner.answer?.type === 'plan' ? planner.answer.stations : []);
	const spreads = $derived<Spread[]>([
		{ name: 'as-it-stands' as const, of: loadSpread(store.job), sides: sidesOf([]) },
		...planner.simpler.flatMap(([name, other]) =>
			other.type === 'plan'
				? [
						{
							name,
							of: loadSpread(withPlan(store.shelved, other.stations)),
							sides: sidesOf(other.stations)
						}
					]
				: []
		),
		...(planned
			? [{ name: 'this-plan' as const, of: loadSpread(planned), sides: sidesOf(found) }]
			: [])
	]);
</script>

<Table aria-label="Spread of seat loads" class="text-left whitespace-nowrap">
	<thead>
		<tr>
			<th>Seat-load spread</th><th>intakes</th><th>exhausts</th><th>shims</th>
			{#if used}<th>new springs</th><th>price</th><th>life left</th>{/if}
		</tr>
	</thead>
	<tbody>
		{#each spreads as { name, of, sides } (name)}
			<tr>
				<td>{PLANS[name]}</td>
				<td class="figure">{load(of.spread.intake)}</td>
				<td class="figure">{load(of.spread.exhaust)}</td>
				<td class="figure">{of.shims}</td>
				{#if sides}
					<td class="figure">{sides.newSprings}</td>
					<td class="figure">{costs(sides)}</td>
					<td class="figure">
						{sides.lifeLeft === null ? '·' : `${Math.round(100 * sides.lifeLeft)} %`}
					</td>
				{/if}
			</tr>
		{/each}
	</tbody>
</Table>
