<script lang="ts">
	/** The stack cut through: left half with the valve closed, right half at the lift on the slider. */
	import { Slider } from 'bits-ui';
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

	interface Props {
		station: StationSheet;
		kind: KindSheet;
		parts: KindSetup;
		/** Without the slider: at full lift. */
		plain?: boolean;
	}
	let { station, kind, parts, plain = false }: Props = $props();
	const bench = getBench();
	const show = (length: number) => showLength(mm(length), bench.units);
	const FRAME = { width: 330, height: 410, above: 28, aside: 62 };

	let share = $state(1);
	const lift = $derived((kind.lift?.worst ?? 0) * share);
	const drawing = $derived(drawingOf(station, kind, parts, lift));
	const picture = $derived(drawing && sectionPicture(drawing, FRAME));

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
			<Slider.Root
				type="single"
				min={0}
				max={1}
				step={0.01}
				bind:value={share}
				class="relative mx-1 flex h-8 touch-none items-center select-none"
			>
				<span class="relative h-1 w-full bg-rule"
					><Slider.Range class="absolute h-full bg-soft" /></span
				>
				<Slider.Thumb
					index={0}
					aria-label="Lift of the right half"
					aria-valuetext="{show(lift)} {bench.units.length}"
					class="block size-6 rounded-full border-2 border-ink bg-paper"
				/>
			</Slider.Root>
		{/if}
	</div>
	<p class="text-[12px] text-faint">
		Heights to scale; what is dashed is assumed, port and valve head are a hint.
		{picture.toSeal === null ? 'Seal not drawn: gap not measured.' : ''}
	</p>
{:else}
	<p
		class="grid h-64 place-items-center border border-dashed border-rule px-6 text-center text-soft"
	>
		The section is drawn once the height of {station.label} is measured.
	</p>
{/if}
