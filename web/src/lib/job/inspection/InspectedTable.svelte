<script lang="ts">
	/** What can be measured on valves, seats and chambers, a round each, and what was. */
	import {
		INSPECTED,
		INSPECTED_FIGURE,
		isByCylinder,
		tightest,
		stationsAtHand,
		walk,
		type Inspected,
		type Verdict
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { columnOf, showFigure, unitOfColumn, verdictIn } from '$lib/sheet/table/columns';
	import Mark from '$lib/ui/Mark.svelte';
	import { stateClass } from '$lib/ui/state';
	import Table from '$lib/ui/Table.svelte';

	const store = getJobStore();
	const bench = getBench();
	const columns = INSPECTED.map((quantity) => ({
		quantity,
		...columnOf(INSPECTED_FIGURE[quantity])
	}));
	const order = $derived(walk(stationsAtHand(store.job), store.job.setup.measuringOrder));
	/** A chamber's own row is that of the first of its valves. */
	const wanted = (quantity: Inspected) =>
		isByCylinder(quantity) ? new Set(order.map(({ cylinder }) => cylinder)).size : order.length;

	const read = $derived(columns.filter(({ quantity }) => store.sheet.measured[quantity] > 0));

	/** Between what limits a figure is clear, of the first valve that has any. */
	function limitsOf(column: (typeof columns)[number]): string {
		const verdict = store.sheet.stations
			.map((station) => verdictIn(station, column.key))
			.find((one): one is Verdict => (one?.limits.length ?? 0) > 0);
		const { floor, ceiling } = tightest(verdict?.limits ?? []);
		const show = (figure: number) =>
			showFigure({ figure, state: 'clear' }, column, bench.units) ?? '';
		if (floor !== null && ceiling !== null) return `, ${show(floor)} to ${show(ceiling)}`;
		if (ceiling !== null) return `, to ${show(ceiling)}`;
		return floor === null ? '' : `, from ${show(floor)}`;
	}
</script>

<ul class="grid grid-cols-2 gap-x-6 tablet:grid-cols-3 bench:grid-cols-5">
	{#each columns as column (column.key)}
		<li class="border-b border-hair">
			<a
				class="flex min-h-11 items-center justify-between gap-3 py-1 text-[14px] hover:bg-sunk"
				href="/jobs/{store.job.id}/round?of={column.quantity}"
			>
				<span class="underline">{column.title}</span>
				<span class="figure shrink-0 text-soft">
					{store.sheet.measured[column.quantity]} of {wanted(column.quantity)}
				</span>
			</a>
		</li>
	{/each}
</ul>
{#if read.length > 0}
	<div class="mt-5 overflow-x-auto">
		<Table class="text-[14px]" aria-label="Figures of valves, seats and chambers">
			<thead>
				<tr>
					<th>Valve</th>
					{#each read as column (column.key)}
						<th class="text-right align-bottom">
							{column.title}
							<span class="figure block font-normal text-soft">
								{unitOfColumn(column, bench.units)}{limitsOf(column)}
							</span>
						</th>
					{/each}
				</tr>
			</thead>
			<tbody>
				{#each order as { label } (label)}
					{@const station = store.station(label)}
					<tr>
						<th scope="row" class="figure text-left">{label}</th>
						{#each read as column (column.key)}
							{@const verdict = station ? verdictIn(station, column.key) : null}
							<td class="figure text-right {verdict ? stateClass(verdict.state) : 'text-faint'}">
								{#if verdict}<Mark state={verdict.state} />{/if}
								{showFigure(verdict, column, bench.units) ?? '·'}
							</td>
						{/each}
					</tr>
				{/each}
			</tbody>
		</Table>
	</div>
{/if}
