<script lang="ts">
	/** The stack cut through: left half with the valve closed, right half at the lift on the slider. */
	import {
		drawingOf,
		mm,
		sectionPicture,
		showLength,
		type KindSetup,
		type KindSheet,
		type StationSheet
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { onDestroy } from 'svelte';
	import { svgText } from './svg-text';
	import SectionPicture from './SectionPicture.svelte';
	import Slider from '$lib/ui/Slider.svelte';
	import Button from '$lib/ui/Button.svelte';

	interface Props {
		station: StationSheet;
		kind: KindSheet;
		parts: KindSetup;
		/** Without the slider: at full lift. */
		plain?: boolean;
		/** The same station in another state, whose outlines are drawn with it. */
		before?: { station: StationSheet; parts: KindSetup } | null;
	}
	let { station, kind, parts, plain = false, before = null }: Props = $props();
	const bench = getBench();
	const show = (length: number) => showLength(mm(length), bench.units);
	const FRAME = { width: 330, height: 410, above: 28, aside: 62 };

	let share = $state(1);
	let frame = $state<HTMLElement>();
	let running = $state(0);
	let copied = $state<string | null>(null);
	/** One opening takes so long, in ms: slow enough to see what comes near what. */
	const OPENING = 2400;

	/** From the seat to full lift and back, as a cam would; pressed again it stops. */
	function run() {
		if (running) return stop();
		const begun = performance.now();
		const step = (now: number) => {
			const done = (now - begun) / OPENING;
			share = done >= 1 ? 1 : Math.sin(Math.PI * done) ** 2;
			running = done >= 1 ? 0 : requestAnimationFrame(step);
		};
		running = requestAnimationFrame(step);
	}
	function stop() {
		cancelAnimationFrame(running);
		running = 0;
	}
	onDestroy(() => running && stop());

	async function copy() {
		try {
			await navigator.clipboard.writeText(svgText(frame!.querySelector('svg')!));
			copied = 'Copied.';
		} catch {
			copied = 'This browser does not let it be copied.';
		}
	}
	const lift = $derived((kind.lift?.worst ?? 0) * share);
	const drawing = $derived(drawingOf(station, kind, parts, lift));
	const earlier = $derived(
		before && drawingOf(before.station, before.station.shared, before.parts, lift)
	);
	const picture = $derived(drawing && sectionPicture(drawing, FRAME, earlier));

	/** The picture for one who hears it. */
	const label = $derived.by(() => {
		const { installed, toBind, toSeal } = picture ?? { installed: null };
		const figures = [
			`${show(installed?.length ?? 0)} installed`,
			...(toBind ? [`${show(toBind.length)} to bind`] : []),
			...(toSeal ? [`${show(toSeal.length)} to the seal`] : [])
		];
		return `Section of station ${station.label}: ${figures.join(', ')} at ${show(lift)} lift`;
	});
</script>

{#if drawing && picture}
	<div class="mx-auto max-w-[26rem]" bind:this={frame}>
		<SectionPicture
			{picture}
			{show}
			{label}
			margin={station.figures.bindMargin.state}
			clearance={station.figures.sealClearance.state}
			lift={show(lift)}
			first={kind.bind?.first ?? null}
		/>
		{#if !plain}
			<Slider
				label="Lift of the right half"
				min={0}
				max={1}
				step={0.01}
				bind:value={share}
				text="{show(lift)} {bench.units.length}"
			/>
			<p class="flex flex-wrap items-center gap-x-4 text-soft">
				<Button look="quiet" type="button" onclick={run}>
					{running ? 'Stop' : 'Run through one opening'}
				</Button>
				<Button look="quiet" type="button" onclick={copy}>Copy as SVG</Button>
				{#if copied}<span role="status">{copied}</span>{/if}
			</p>
		{/if}
	</div>
	<p class="text-[12px] text-faint">
		Heights to scale; what is dashed is assumed, port and valve head are a hint.
		{picture.toSeal === null ? 'Seal not drawn: gap not measured.' : ''}
		{earlier ? 'Yellow outline: as it stands now.' : ''}
	</p>
{:else}
	<p
		class="grid h-64 place-items-center border border-dashed border-rule px-6 text-center text-soft"
	>
		The section is drawn once the height of {station.label} is measured.
	</p>
{/if}
