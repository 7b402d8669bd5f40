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
	import SectionPicture from './SectionPicture.svelte';
	import Slider from '$lib/ui/Slider.svelte';

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
	const lift = $derived((kind.lift?.worst ?? 0) * share);
	const drawing = $derived(drawingOf(station, kind, parts, lift));
	const earlier = $derived(
		before && drawingOf(before.station, before.station.shared, before.parts, lift)
	);
	const picture = $derived(drawing && sectionPicture(drawing, FRAME, earlier));

	/** The picture for one who hears it. */
	const label = $derived.by(() => {
		const { installed, toBind, toSeal } = picture ?? { installed: null };
		const told = [
			`${show(installed?.length ?? 0)} installed`,
			...(toBind ? [`${show(toBind.length)} to bind`] : []),
			...(toSeal ? [`${show(toSeal.length)} to the seal`] : [])
		];
		return `Section of station ${station.label}: ${told.join(', ')} at ${show(lift)} lift`;
	});
</script>

{#if drawing && picture}
	<div class="mx-auto max-w-[26rem]">
		<SectionPicture
			{picture}
			{show}
			{label}
			margin={station.figures.bindMargin.state}
			clearance={station.figures.sealClearance.state}
			lift={show(lift)}
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
