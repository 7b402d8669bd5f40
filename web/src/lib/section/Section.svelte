<script lang="ts">
	/** The stack cut through: left half with the valve closed, right half at the lift on the slider. */
	import { Slider } from 'bits-ui';
	import {
		drawingOf,
		mm,
		showLength,
		type Half,
		type KindSetup,
		type KindSheet,
		type StationSheet
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { stateClass } from '$lib/ui/state';

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

	const full = $derived(kind.lift?.worst ?? 0);
	let share = $state(1);
	const lift = $derived(full * share);
	const drawing = $derived(drawingOf(station, kind, parts, lift));

	const WIDTH = 316;
	const HEIGHT = 318;
	const BELOW = 9;
	const scale = $derived(
		drawing
			? Math.min((HEIGHT - 26) / (drawing.top + BELOW), (WIDTH - 104) / (2 * drawing.outside))
			: 1
	);
	const middle = WIDTH / 2 - 4;
	const x = (value: number) => middle + value * scale;
	const y = (value: number) => HEIGHT - (value + BELOW) * scale;
	const outline = (points: readonly (readonly [number, number])[], side: number, up: number) =>
		points.map(([px, py]) => `${x(px * side)},${y(py + up)}`).join(' ');

	const margin = $derived(station.figures.bindMargin);
	const clearance = $derived(station.figures.sealClearance);
	const toBind = $derived(drawing?.bind == null ? null : drawing.open.landing - drawing.bind);
	const toSeal = $derived(
		drawing?.sealTop == null ? null : drawing.open.underside - drawing.sealTop
	);
</script>

{#snippet box(from: number, to: number, low: number, high: number, kindOf: string)}
	<rect
		x={Math.min(x(from), x(to))}
		y={y(high)}
		width={Math.abs(x(to) - x(from))}
		height={Math.max(0.8, y(low) - y(high))}
		class={kindOf}
	/>
{/snippet}

{#snippet halfOf(half: Half, side: number)}
	{#if drawing}
		{#each half.coils as coil (coil.inner)}
			{#each coil.heights as height, i (i)}
				<circle
					cx={x(coil.at * side)}
					cy={y(height)}
					r={coil.radius * scale}
					class={coil.inner ? 'fill-paper stroke-metal-dark' : 'fill-metal-light stroke-metal-dark'}
				/>
			{/each}
		{/each}
		<polygon
			points={outline(drawing.retainer, side, half.landing)}
			class="fill-metal stroke-soft"
		/>
		<polygon points={outline(drawing.lock, side, half.landing)} class="fill-metal-dark" />
		{@render box(0, drawing.stem * side, -BELOW, half.tip, 'fill-paper stroke-soft')}
	{/if}
{/snippet}

{#if drawing}
	<svg
		viewBox="0 0 {WIDTH} {HEIGHT}"
		class="figure block w-full"
		role="img"
		aria-label="Section of station {station.label}: {show(
			station.figures.height.figure ?? 0
		)} installed{toBind === null ? '' : `, ${show(toBind)} to bind`}{toSeal === null
			? ''
			: `, ${show(toSeal)} to the seal`} at {show(lift)} lift"
	>
		<rect x="0" y={y(0)} width={WIDTH} height={BELOW * scale} class="fill-cast" />
		<text x="6" y={HEIGHT - 8} class="fill-soft font-sans text-[11px]">pocket</text>
		{#each [-1, 1] as side (side)}
			{#each drawing.floor.shims as shim (shim.from)}
				{@render box(
					drawing.stem * side + 4 * side,
					drawing.outside * side,
					shim.from,
					shim.to,
					'fill-chromate stroke-soft'
				)}
			{/each}
			{@const shimTop = drawing.floor.shims.at(-1)?.to ?? 0}
			{#if drawing.floor.seat > shimTop}
				{@render box(
					(drawing.stem + 4) * side,
					(drawing.outside + 0.8) * side,
					shimTop,
					drawing.floor.seat,
					'fill-metal stroke-soft'
				)}
			{/if}
			{#if drawing.sealTop !== null}
				{@render box(
					drawing.stem * side,
					(drawing.stem + 2.6) * side,
					-BELOW,
					drawing.sealTop - 2.5,
					'fill-metal-light'
				)}
				{@render box(
					drawing.stem * side,
					(drawing.stem + 3.6) * side,
					drawing.sealTop - 7,
					drawing.sealTop,
					'fill-metal-dark'
				)}
			{/if}
		{/each}
		{@render halfOf(drawing.closed, -1)}
		{@render halfOf(drawing.open, 1)}
		<line
			x1={middle}
			x2={middle}
			y1="14"
			y2={HEIGHT}
			class="stroke-faint"
			stroke-dasharray="12 3 2 3"
		/>

		<g class="stroke-ink">
			<line x1="17" x2="17" y1={y(drawing.floor.seat)} y2={y(drawing.closed.landing)} />
			<line
				x1="11"
				x2={x(-drawing.outside) - 3}
				y1={y(drawing.closed.landing)}
				y2={y(drawing.closed.landing)}
			/>
			<line
				x1="11"
				x2={x(-drawing.outside) - 3}
				y1={y(drawing.floor.seat)}
				y2={y(drawing.floor.seat)}
			/>
		</g>
		<text
			transform="translate(12 {y((drawing.floor.seat + drawing.closed.landing) / 2)}) rotate(-90)"
			text-anchor="middle"
			class="fill-ink text-[12.5px]"
		>
			{show(station.figures.height.figure ?? 0)} installed
		</text>

		{#if toBind !== null && drawing.bind !== null}
			<g class="{stateClass(margin.state) || 'text-ink'} stroke-current">
				<line
					x1={x(drawing.outside) + 3}
					x2={WIDTH - 16}
					y1={y(drawing.open.landing)}
					y2={y(drawing.open.landing)}
				/>
				<line
					x1={x(drawing.outside) + 3}
					x2={WIDTH - 16}
					y1={y(drawing.bind)}
					y2={y(drawing.bind)}
					stroke-dasharray="3 3"
				/>
				<line
					x1={WIDTH - 20}
					x2={WIDTH - 20}
					y1={y(drawing.open.landing)}
					y2={y(drawing.bind)}
					stroke-width="3"
				/>
			</g>
			<text
				x={WIDTH - 2}
				y={y(drawing.bind) + 15}
				text-anchor="end"
				class="text-[12.5px] {stateClass(margin.state) || 'text-ink'}"
				fill="currentColor"
			>
				{show(toBind)}
			</text>
			<text
				x={WIDTH - 2}
				y={y(drawing.bind) + 28}
				text-anchor="end"
				class="fill-soft font-sans text-[11px]"
			>
				to bind
			</text>
		{/if}
		{#if toSeal !== null && drawing.sealTop !== null}
			<g class={stateClass(clearance.state) || 'text-ink'}>
				<line
					x1={x(drawing.stem) + 5}
					x2={x(drawing.stem) + 5}
					y1={y(drawing.open.underside)}
					y2={y(drawing.sealTop)}
					stroke="currentColor"
					stroke-width="3"
				/>
				<text
					x={x(drawing.stem) + 11}
					y={y((drawing.open.underside + drawing.sealTop) / 2) + 4}
					fill="currentColor"
					class="stroke-paper text-[12.5px] font-semibold"
					stroke-width="5"
					paint-order="stroke"
				>
					{show(toSeal)}
				</text>
			</g>
		{/if}
		<text x="2" y="11" class="fill-soft font-sans text-[12px]">valve closed</text>
		<text x={WIDTH - 2} y="11" text-anchor="end" class="fill-soft text-[12px]">
			at {show(lift)} lift
		</text>
	</svg>
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
	{#if drawing.assumed || toSeal === null}
		<p class="text-[11px] text-faint">
			{drawing.assumed ? 'Heights to scale; some diameters assumed. ' : ''}{toSeal === null
				? 'Seal not drawn: gap not measured.'
				: ''}
		</p>
	{/if}
{:else}
	<p
		class="grid h-64 place-items-center border border-dashed border-rule px-6 text-center text-soft"
	>
		The section is drawn once the height of {station.label} is measured.
	</p>
{/if}
