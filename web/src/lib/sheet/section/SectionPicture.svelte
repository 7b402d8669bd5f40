<script lang="ts">
	/** The picture of a section with its figures, as SVG. */
	import type { Coil, DimensionLine, Role, SectionPicture, Shape, State } from '@zinc-ledger/core';
	import { label as name } from '@zinc-ledger/words';
	import { stateClass } from '$lib/ui/state';

	interface Props {
		picture: SectionPicture;
		/** A length as it is shown. */
		show: (length: number) => string;
		margin: State;
		clearance: State;
		/** Lift of the right half, as it is shown. */
		lift: string;
		label: string;
		/** Which coil stops the valve, where that is known and there are several. */
		first?: Coil | null;
	}
	let { picture, show, margin, clearance, lift, label, first = null }: Props = $props();

	const CLASSES: Readonly<Record<Role, string>> = {
		pocket: 'fill-cast',
		casting: 'fill-cast',
		port: 'fill-paper',
		'seat-insert': 'fill-metal-dark',
		shim: 'fill-chromate stroke-soft',
		locator: 'fill-metal stroke-soft',
		guide: 'fill-metal-light stroke-soft',
		seal: 'fill-ink',
		garter: 'fill-paper',
		coil: 'fill-metal-light stroke-metal-dark',
		'inner-coil': 'fill-paper stroke-metal-dark',
		damper: 'fill-metal stroke-metal-dark',
		retainer: 'fill-metal stroke-soft',
		lock: 'fill-metal-dark stroke-soft',
		bead: 'fill-metal-dark',
		valve: 'fill-paper stroke-soft',
		cap: 'fill-metal-dark stroke-soft',
		wafer: 'fill-metal-dark',
		before: 'fill-none stroke-chromate'
	};
	const { width, height, installed } = $derived(picture);
	const medianBand = ({ from, to }: DimensionLine) => (from[1] + to[1]) / 2;
	const colour = (state: State) => stateClass(state) || 'text-ink';
</script>

{#snippet shapeOf(shape: Shape)}
	{#if shape.type === 'circle'}
		<circle
			cx={shape.at[0]}
			cy={shape.at[1]}
			r={shape.radius}
			class={CLASSES[shape.role]}
			stroke-dasharray={shape.isAssumed ? '2 2' : undefined}
		/>
	{:else}
		<polygon
			points={shape.points.join(' ')}
			class={CLASSES[shape.role]}
			stroke-dasharray={shape.isAssumed ? '2 2' : undefined}
		/>
	{/if}
{/snippet}

{#snippet witness(from: number, to: number, at: number, dashes?: string)}
	<line x1={from} x2={to} y1={at} y2={at} stroke-dasharray={dashes} />
{/snippet}

<svg viewBox="0 0 {width} {height}" class="figure block w-full" role="img" aria-label={label}>
	{#each picture.shapes as shape, i (i)}{@render shapeOf(shape)}{/each}
	<g stroke-width="1.6">
		{#each picture.before as shape, i (i)}{@render shapeOf(shape)}{/each}
	</g>
	<line
		x1={picture.axis[0][0]}
		y1={picture.axis[0][1]}
		x2={picture.axis[1][0]}
		y2={picture.axis[1][1]}
		class="stroke-faint"
		stroke-dasharray="12 3 2 3"
	/>
	<g class="stroke-ink">
		<line x1={installed.from[0]} x2={installed.to[0]} y1={installed.from[1]} y2={installed.to[1]} />
		{#each [installed.from, installed.to] as end (end)}
			{@render witness(end[0] - 6, picture.edges[0] - 3, end[1])}
		{/each}
	</g>
	<text
		transform="translate({installed.from[0] - 5} {medianBand(installed)}) rotate(-90)"
		text-anchor="middle"
		class="fill-ink text-[14px]"
	>
		{show(installed.length)} installed
	</text>
	{#each picture.shims as shim, i (i)}
		<text
			x={shim.from[0] - 4}
			y={shim.to[1] + 11 + 13 * (picture.shims.length - 1 - i)}
			text-anchor="end"
			class="fill-watch text-[13px]"
		>
			{show(shim.length)}
		</text>
	{/each}
	{#if picture.toBind}
		{@const { from, to, length } = picture.toBind}
		<g class="{colour(margin)} stroke-current">
			{@render witness(picture.edges[1] + 3, from[0] + 4, from[1])}
			{@render witness(picture.edges[1] + 3, to[0] + 4, to[1], '3 3')}
			<line x1={from[0]} x2={to[0]} y1={from[1]} y2={to[1]} stroke-width="3" />
		</g>
		<text
			x={width - 2}
			y={to[1] + 16}
			text-anchor="end"
			class="text-[14px] {colour(margin)}"
			fill="currentColor"
		>
			{show(length)}
		</text>
		<text x={width - 2} y={to[1] + 31} text-anchor="end" class="fill-soft font-sans text-[13px]">
			to bind
		</text>
		{#if first}
			<text x={width - 2} y={to[1] + 45} text-anchor="end" class="fill-soft font-sans text-[13px]">
				{name('coil', first)} first
			</text>
		{/if}
	{/if}
	{#if picture.toSeal}
		{@const { from, to, length } = picture.toSeal}
		<g class={colour(clearance)}>
			<line
				x1={from[0]}
				x2={to[0]}
				y1={from[1]}
				y2={to[1]}
				stroke="currentColor"
				stroke-width="3"
			/>
			<text
				x={from[0] + 6}
				y={medianBand(picture.toSeal) + 4}
				fill="currentColor"
				class="stroke-paper text-[14px] font-semibold"
				stroke-width="5"
				paint-order="stroke"
			>
				{show(length)}
			</text>
		</g>
	{/if}
	<text x="2" y="11" class="fill-soft font-sans text-[13px]">valve closed</text>
	<text x={width - 2} y="11" text-anchor="end" class="fill-soft text-[13px]">at {lift} lift</text>
</svg>
