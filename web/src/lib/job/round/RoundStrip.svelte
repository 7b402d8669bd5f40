<script lang="ts">
	/** The figure of the station at hand beside those of its kind, along the head. */
	import {
		alongHead,
		isByCylinder,
		stripOf,
		tightest,
		type Quantity,
		type Verdict
	} from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { HELP_OF } from '$lib/help/help.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { columnOf, showFigure, verdictIn } from '$lib/sheet/table/columns';
	import type { Round } from './round.svelte';

	let { quantity, round }: { quantity: Quantity; round: Round } = $props();
	const store = getJobStore();
	const bench = getBench();

	/** Heights are compared bare: what lies under the spring is no difference between valves. */
	const figure = $derived(quantity === 'installed-height' ? 'bare' : HELP_OF[quantity]);
	const column = $derived(columnOf(figure));
	const kind = $derived(round.entry.kind);
	const stations = $derived(
		round.order
			.filter((entry) => entry.kind === kind || isByCylinder(quantity))
			.toSorted(alongHead)
			.map((entry) =>
				entry.label === round.entry.label && round.preview
					? round.preview
					: store.station(entry.label)!
			)
	);
	/** Floor and ceiling of the station at hand, where it has both. */
	const limits = $derived.by(() => {
		const verdict = stations
			.map((station) => verdictIn(station, figure))
			.find((one): one is Verdict => (one?.limits.length ?? 0) > 0);
		const { floor, ceiling } = tightest(verdict?.limits ?? []);
		return floor !== null && ceiling !== null ? ([floor, ceiling] as const) : null;
	});
	const strip = $derived(
		stripOf(
			stations.map((station) => ({
				label: station.label,
				value: verdictIn(station, figure)?.figure ?? null
			})),
			limits
		)
	);
	const along = $derived(
		isByCylinder(quantity) ? 'cylinder by cylinder' : `the ${label('kind', kind)}s along the head`
	);
	const shown = (at: string) => {
		const station = stations.find((one) => one.label === at);
		return station ? (showFigure(verdictIn(station, figure), column, bench.units) ?? '·') : '·';
	};
</script>

{#if strip}
	<figure class="mt-4">
		<figcaption class="text-[13px] text-soft">
			{column.title}: {along}
		</figcaption>
		<div
			class="relative mt-1 h-24 border-y border-hair"
			role="img"
			aria-label="{column.title}, {along}: {strip.points
				.map((point) => `${point.label} ${shown(point.label)}`)
				.join(', ')}"
		>
			{#if strip.band}
				<span
					class="absolute inset-x-0 bg-cast"
					style:bottom="{strip.band[0] * 100}%"
					style:height="{(strip.band[1] - strip.band[0]) * 100}%"
				></span>
				<span class="absolute inset-x-0 h-px bg-faint" style:bottom="{strip.middle! * 100}%"></span>
			{/if}
			{#each strip.points as point, i (point.label)}
				{@const isNow = point.label === round.entry.label}
				{#if point.at !== null}
					<span
						class="absolute -translate-x-1/2 translate-y-1/2 rounded-full {isNow
							? 'size-3.5 border-[3px] border-chromate bg-paper'
							: 'size-2 bg-ink'}"
						style:left="{((i + 0.5) / strip.points.length) * 100}%"
						style:bottom="{point.at * 100}%"
					></span>
				{/if}
			{/each}
		</div>
		<ol class="flex text-center" aria-hidden="true">
			{#each strip.points as point (point.label)}
				<li
					class="figure flex-1 text-xs {point.label === round.entry.label
						? 'font-semibold'
						: 'text-soft'}"
				>
					{point.label}
					<span class="hidden tablet:block">{shown(point.label)}</span>
				</li>
			{/each}
		</ol>
	</figure>
{/if}
