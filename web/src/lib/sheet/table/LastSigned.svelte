<script lang="ts">
	/** The figures of an engine as they were signed last, station by station. */
	import type { FigureName, State } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { COLUMN_VIEWS, INSPECTED_VIEWS, showFigure, unitOfColumn } from './columns';
	import Mark from '$lib/ui/Mark.svelte';
	import Table from '$lib/ui/Table.svelte';
	import { moment } from '$lib/ui/words';

	interface Props {
		signed: {
			readonly job: string;
			readonly number: string;
			readonly revision: number;
			readonly at: string;
			readonly person: string;
			readonly figures: readonly {
				readonly station: string;
				readonly figure: string;
				readonly value: number | null;
				readonly state: string;
			}[];
		};
	}
	let { signed }: Props = $props();
	const bench = getBench();
	const stations = $derived([...new Set(signed.figures.map(({ station }) => station))]);
	const of = $derived(
		new Map(signed.figures.map((one) => [`${one.station} ${one.figure}`, one] as const))
	);
	const columns = $derived(
		[...COLUMN_VIEWS, ...INSPECTED_VIEWS].filter(({ key }) =>
			stations.some((at) => of.get(`${at} ${key}`)?.value != null)
		)
	);
	const shown = (at: string, key: FigureName) => {
		const one = of.get(`${at} ${key}`);
		return one && { figure: one.value, state: one.state as State };
	};
</script>

<h2 class="font-semibold">
	Signed last: <a class="underline" href="/jobs/{signed.job}"
		>job <span class="figure">{signed.number}</span></a
	>
	<span class="font-normal text-soft">
		sheet {signed.revision}, {moment(signed.at)}, {signed.person}
	</span>
</h2>
<div class="overflow-x-auto">
	<Table class="mt-2 text-[14px]">
		<thead>
			<tr>
				<th>Valve</th>
				{#each columns as column (column.key)}
					<th class="text-right">
						{column.title}
						<span class="figure block">
							{unitOfColumn(column, bench.units)}
						</span>
					</th>
				{/each}
			</tr>
		</thead>
		<tbody>
			{#each stations as at (at)}
				<tr>
					<th scope="row" class="figure text-left">{at}</th>
					{#each columns as column (column.key)}
						{@const one = shown(at, column.key)}
						<td class="figure text-right">
							{#if one}<Mark state={one.state} />{/if}
							{(one && showFigure(one, column, bench.units)) ?? '·'}
						</td>
					{/each}
				</tr>
			{/each}
		</tbody>
	</Table>
</div>
