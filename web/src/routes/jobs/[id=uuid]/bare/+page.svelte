<script lang="ts">
	/** Bare heights along the head: what stands apart from its own kind, and what may be the cause. */
	import { KINDS, mm, walk, type StationSheet } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { stateClass } from '$lib/ui/state';
	import { capital } from '$lib/ui/words';
	import { label, write } from '@zinc-ledger/words';

	const store = getJobStore();
	const bench = getBench();
	const WIDTH = 960;
	const HEIGHT = 190;
	const MARGIN = { left: 70, right: 20, top: 18, bottom: 30 };
	const { length } = bench;

	const along = $derived(walk(store.job.stations, 'along-the-head'));
	const rows = $derived(store.job.heads.flatMap((head) => KINDS.map((kind) => ({ head, kind }))));
	const charts = $derived(
		// Heads of one engine may stand apart: each valve is held against its own head's.
		rows.map(({ head, kind }) => {
			const stations = along
				.filter((entry) => entry.kind === kind && entry.head === head.id)
				.map((entry) => store.station(entry.label)!);
			const { bareMedian, bareReach } = stations[0]!.shared;
			const read: number[] = stations.flatMap((station) => station.figures.bare.figure ?? []);
			const middle =
				bareMedian ?? (read.length > 0 ? read.reduce((a, b) => a + b) / read.length : 0);
			const furthest = Math.max(
				bareReach ?? 0.25,
				...read.map((figure) => Math.abs(figure - middle))
			);
			const valves = `${label('kind', kind)}s`;
			const name = store.job.heads.length > 1 ? `${head.name}, ${valves}` : valves;
			return {
				name: capital(name),
				stations,
				read: read.length,
				middle,
				reach: bareReach,
				span: furthest * 1.25
			};
		})
	);
	const x = (at: number, count: number) =>
		MARGIN.left + ((at + 0.5) * (WIDTH - MARGIN.left - MARGIN.right)) / count;
	const y = (height: number, middle: number, span: number) =>
		MARGIN.top + ((middle + span - height) / (2 * span)) * (HEIGHT - MARGIN.top - MARGIN.bottom);
	const outliers = (stations: readonly StationSheet[]) =>
		stations.filter(({ figures: { bare } }) => bare.state === 'watch' || bare.state === 'stop');
</script>

<svelte:head><title>Bare heights · {store.job.number} · Zinc Ledger</title></svelte:head>

<div class="overflow-auto px-4 bench:px-6 py-4">
	<p class="float-right text-[13px]">
		<a class="underline" href="/jobs/{store.job.id}">To the sheet</a>
	</p>
	<h1 class="text-xl font-semibold">Bare heights</h1>
	<p class="max-w-3xl text-[13px] text-soft">
		Pocket floor to the retainer’s landing with standard locks and nothing underneath: the station’s
		own number, which only work on head, seat or valve changes.
	</p>
	{#each charts as { name, stations, read, middle, reach, span } (name)}
		<section class="mt-4 border-t-2 border-ink pt-2" aria-label="{name}: bare heights">
			<h2 class="flex items-baseline gap-4 text-[15px] font-semibold">
				{name}
				<span class="text-[13px] font-normal text-soft">
					{#if read === 0}none measured yet
					{:else if reach === null}{read} measured: fewer than four, no outlier can be told yet
					{:else}median <span class="figure">{length(mm(middle))}</span>, outlier beyond
						<span class="figure">±{length(mm(reach))}</span>
						{bench.units.length}{/if}
				</span>
			</h2>
			{#if read > 0}
				<svg
					viewBox="0 0 {WIDTH} {HEIGHT}"
					class="figure mt-1 w-full"
					role="img"
					aria-label="{name}: bare heights along the head"
				>
					{#if reach !== null}
						<rect
							x={MARGIN.left}
							width={WIDTH - MARGIN.left - MARGIN.right}
							y={y(middle + reach, middle, span)}
							height={y(middle - reach, middle, span) - y(middle + reach, middle, span)}
							class="fill-sunk"
						/>
						{#each [middle + reach, middle - reach] as edge (edge)}
							<text x="4" y={y(edge, middle, span) + 4} class="fill-soft text-[12px]"
								>{length(mm(edge))}</text
							>
						{/each}
					{/if}
					<line
						x1={MARGIN.left}
						x2={WIDTH - MARGIN.right}
						y1={y(middle, middle, span)}
						y2={y(middle, middle, span)}
						class="stroke-soft"
					/>
					<text x="4" y={y(middle, middle, span) + 4} class="fill-ink text-[12px]"
						>{length(mm(middle))}</text
					>
					{#each stations as station, i (station.label)}
						{@const { figure, state } = station.figures.bare}
						<text
							x={x(i, stations.length)}
							y={HEIGHT - 8}
							text-anchor="middle"
							class="fill-ink text-[13px]"
						>
							{station.label}
						</text>
						{#if figure !== null}
							{@const odd = state === 'watch' || state === 'stop'}
							<line
								x1={x(i, stations.length)}
								x2={x(i, stations.length)}
								y1={y(middle, middle, span)}
								y2={y(figure, middle, span)}
								class={odd ? 'stroke-watch' : 'stroke-metal'}
								stroke-width="2"
							/>
							<circle
								cx={x(i, stations.length)}
								cy={y(figure, middle, span)}
								r={odd ? 6 : 4.5}
								class={odd ? 'fill-watch' : 'fill-ink'}
							/>
							{#if odd}
								<text
									x={x(i, stations.length) + 11}
									y={y(figure, middle, span) + 4}
									class="fill-watch text-[13px] font-semibold"
								>
									{length(figure)}
								</text>
							{/if}
						{/if}
					{/each}
				</svg>
				<ul class="text-[13px]">
					{#each outliers(stations) as station (station.label)}
						<li class="border-t border-hair py-1 {stateClass(station.figures.bare.state)}">
							<Mark state={station.figures.bare.state} word />
							<a
								class="figure font-semibold underline"
								href="/jobs/{store.job.id}?at={station.label}">{station.label}</a
							>
							<span class="text-ink">
								{write(station.figures.bare.remedy, bench.units)}. Look also for a seat pulled or
								sunk, another valve, a locator left out, and the gauge; measure it again while the
								head is on the bench.
							</span>
						</li>
					{:else}
						<li class="border-t border-hair py-1 text-soft">No outliers.</li>
					{/each}
				</ul>
			{/if}
		</section>
	{/each}
</div>
