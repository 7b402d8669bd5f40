<script lang="ts">
	/** Loads along the head as they stand and as they would be: who stands apart, and whether that mends it. */
	import { alongHead, KINDS, stripOf, type Kind, type Sheet } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import ToggleGroup from '$lib/ui/ToggleGroup.svelte';
	import { capital } from '$lib/ui/words';

	interface Props {
		now: Sheet;
		/** As it would be; left out while nothing is changed. */
		then: Sheet | null;
		/** What it would be called. */
		called: string;
	}
	let { now, then, called }: Props = $props();
	const store = getJobStore();
	const bench = getBench();
	const WHICH = [
		{ value: 'seatLoad', label: 'seat' },
		{ value: 'openLoad', label: 'open' }
	] as const;
	let which = $state<'seatLoad' | 'openLoad'>('seatLoad');

	/** Both states on one scale, in the order along the head. */
	const stripFor = (kind: Kind) => {
		const inOrder = store.job.stations.filter((entry) => entry.kind === kind).toSorted(alongHead);
		const of = (sheet: Sheet) =>
			inOrder.map(({ label: at }) => ({
				label: at,
				value: sheet.stations.find((one) => one.label === at)?.figures[which].figure ?? null
			}));
		const before = of(now);
		const after = then ? of(then) : [];
		const strip = stripOf([...before, ...after], null);
		return (
			strip && {
				kind,
				values: before,
				after,
				points: strip.points.slice(0, before.length),
				moved: strip.points.slice(before.length)
			}
		);
	};
	const strips = $derived(KINDS.flatMap((kind) => stripFor(kind) ?? []));
	const loadsText = ({ values, after }: (typeof strips)[number]) =>
		values
			.map(({ label: at, value }, i) =>
				after[i] && after[i].value !== value
					? `${at} ${bench.load(value)} then ${bench.load(after[i].value)}`
					: `${at} ${bench.load(value)}`
			)
			.join(', ');
</script>

{#if strips.length > 0}
	<figure>
		<figcaption class="flex flex-wrap items-center gap-x-3 text-[13px] text-soft">
			<ToggleGroup label="Which load" options={WHICH} bind:value={which} />
			loads along the head, {bench.units.load}
			<span class="ml-auto flex items-center gap-1.5">
				<span class="size-2 rounded-full border border-ink"></span> now
				{#if then}<span class="ml-2 size-2 rounded-full bg-ink"></span> {called}{/if}
			</span>
		</figcaption>
		<div class="mt-1 grid grid-cols-2 gap-4">
			{#each strips as strip (strip.kind)}
				<div>
					<p class="text-[13px] text-soft">{capital(label('kind', strip.kind))}s</p>
					<div
						class="relative h-16 border-y border-hair"
						role="img"
						aria-label="{label('kind', strip.kind)}s: {loadsText(strip)}"
					>
						{#each strip.points as { label: at, at: high }, i (at)}
							{@const left = `${((i + 0.5) / strip.points.length) * 100}%`}
							{@const to = strip.moved[i]?.at ?? null}
							{#if high !== null && to !== null && Math.abs(to - high) > 0.01}
								<span
									class="absolute w-px -translate-x-1/2 bg-faint"
									style:left
									style:bottom="{Math.min(high, to) * 100}%"
									style:height="{Math.abs(to - high) * 100}%"
								></span>
							{/if}
							{#if high !== null}
								<span
									class="absolute size-2 -translate-x-1/2 translate-y-1/2 rounded-full border border-ink bg-paper"
									style:left
									style:bottom="{high * 100}%"
								></span>
							{/if}
							{#if to !== null}
								<span
									class="absolute size-2 -translate-x-1/2 translate-y-1/2 rounded-full bg-ink"
									style:left
									style:bottom="{to * 100}%"
								></span>
							{/if}
						{/each}
					</div>
					<ol class="flex text-center" aria-hidden="true">
						{#each strip.values as { label: at, value }, i (at)}
							<li class="figure flex-1 text-[11px] text-soft">
								{at}
								<span class="hidden text-ink tablet:block">
									{bench.load(strip.after[i]?.value ?? value)}
								</span>
							</li>
						{/each}
					</ol>
				</div>
			{/each}
		</div>
	</figure>
{/if}
