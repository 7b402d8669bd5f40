<script lang="ts">
	/** Two springs at one height, or at the same lifts: what each has, what differs and by how much of it. */
	import {
		comparisonAt,
		comparisonOver,
		coilBindMargin,
		mm,
		MAX_COMPARED,
		newtons,
		rateUnit,
		windowFigures,
		type Millimetres
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import Table from '$lib/ui/Table.svelte';
	import { byPercent } from '$lib/ui/words';
	import type { Side } from './compare';

	interface Props {
		pair: readonly [Side, Side];
		lifts: readonly Millimetres[];
		/** Between two rows; null where it is not understood. */
		step: Millimetres | null;
	}
	let { pair, lifts, step }: Props = $props();
	const bench = getBench();
	const { length, load, rate } = bench;
	const max = $derived(mm(Math.max(...lifts)));
	const isOneHeight = $derived(Math.abs(pair[0].height - pair[1].height) < 1e-6);
	const rows = $derived.by(() => {
		if (step === null || step <= 0 || max / step > MAX_COMPARED) return null;
		return comparisonOver(pair, max, step);
	});
	const marginsAt = (lift: Millimetres) =>
		pair.map(({ height, bind }) => (bind === null ? null : coilBindMargin(height, lift, bind)));
	const ratesTo = (lift: Millimetres) =>
		pair.map(({ curve, height }) => windowFigures(curve, { seat: height, lift }).rate);
	const differs = (two: readonly (number | null)[]) =>
		two[0] == null || two[1] == null ? null : two[1] - two[0];
	const sign = (by: number) => (by < 0 ? '−' : '+');
	const byLoad = (by: number | null) =>
		by === null ? '·' : `${sign(by)}${load(newtons(Math.abs(by)))}`;
	const byLength = (by: number | null) =>
		by === null ? '·' : `${sign(by)}${length(mm(Math.abs(by)))}`;
	const partOf = (two: readonly (number | null)[]) => {
		const by = differs(two);
		return by === null || !two[0] ? '·' : byPercent(by / two[0]);
	};
</script>

<div class="min-w-0 space-y-4 text-[15px]">
	<Table
		aria-label="Figures side by side"
		class="[&_td]:figure [&_td]:text-right [&_td]:whitespace-nowrap"
	>
		<thead>
			<tr>
				<th></th>
				{#each pair as { name }, i (i)}<th class="text-right">{name}</th>{/each}
				<th class="text-right">Differs</th><th class="text-right">%</th>
			</tr>
		</thead>
		<tbody>
			<tr>
				<th scope="row" class="text-left font-normal"
					>Height <span class="figure">{bench.units.length}</span></th
				>
				{#each pair as { height }, i (i)}<td>{length(height)}</td>{/each}
				<td></td><td></td>
			</tr>
			{#each [mm(0), ...lifts] as lift, i (i)}
				{@const at = comparisonAt(pair, lift)}
				<tr>
					<th scope="row" class="text-left font-normal">
						{i === 0 ? 'Seat' : `Open at ${length(lift)}`}
						<span class="figure">{bench.units.load}</span>
					</th>
					{#each at.loads as one, side (side)}<td>{load(one)}</td>{/each}
					<td>{byLoad(at.difference)}</td>
					<td>{at.part === null ? '·' : byPercent(at.part)}</td>
				</tr>
			{/each}
			{#each lifts as lift, i (i)}
				{@const rates = ratesTo(lift)}
				{@const margins = marginsAt(lift)}
				<tr>
					<th scope="row" class="text-left font-normal"
						>Rate to {length(lift)} <span class="figure">{rateUnit(bench.units)}</span></th
					>
					{#each rates as one, side (side)}<td>{rate(one)}</td>{/each}
					<td></td><td>{partOf(rates)}</td>
				</tr>
				<tr>
					<th scope="row" class="text-left font-normal">Bind margin at {length(lift)}</th>
					{#each margins as one, side (side)}
						<td>
							{#if one !== null && one < 0}<Mark state="stop" />{/if}
							{length(one)}
						</td>
					{/each}
					<td>{byLength(differs(margins))}</td><td></td>
				</tr>
			{/each}
			<tr>
				<th scope="row" class="text-left font-normal">Coil bind</th>
				{#each pair as { bind }, i (i)}<td>{length(bind)}</td>{/each}
				<td></td><td></td>
			</tr>
		</tbody>
	</Table>
	{#if rows}
		<Table
			aria-label="Loads step by step"
			class="[&_td]:figure [&_td]:text-right [&_td]:whitespace-nowrap"
		>
			<thead>
				<tr>
					{#if isOneHeight}<th class="text-right">Height</th>{/if}
					<th class="text-right">Lift</th>
					{#each pair as { name }, i (i)}<th class="text-right">{name}</th>{/each}
					<th class="text-right">Differs</th><th class="text-right">%</th>
				</tr>
			</thead>
			<tbody>
				{#each rows as row (row.lift)}
					<tr>
						{#if isOneHeight}<td>{length(row.heights[0])}</td>{/if}
						<td>{length(row.lift)}</td>
						{#each row.loads as one, side (side)}<td>{load(one)}</td>{/each}
						<td>{byLoad(row.difference)}</td>
						<td>{row.part === null ? '·' : byPercent(row.part)}</td>
					</tr>
				{/each}
			</tbody>
		</Table>
		{#if !isOneHeight}
			<p class="text-[13px] text-soft">
				Each from its own height; loads beside each other are at the same lift.
			</p>
		{/if}
	{:else}
		<p class="font-semibold text-watch">This step leads to more rows than anybody reads.</p>
	{/if}
</div>
