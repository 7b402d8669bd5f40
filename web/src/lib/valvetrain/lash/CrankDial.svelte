<script lang="ts">
	/** The crankshaft's two turns as a dial: where it stands, where to turn it, which cylinder fires, what stands still. */
	import { crankDial, type CrankPosition } from '@zinc-ledger/core';
	import { capital } from '$lib/ui/words';
	import { tell } from '@zinc-ledger/words';
	import { getJobStore } from '$lib/job/store/job-store.svelte';

	let { stop }: { stop: CrankPosition } = $props();
	const store = getJobStore();
	const CYCLE = 720;
	const SIZE = 240;
	const MIDDLE = SIZE / 2;

	const dial = $derived(crankDial(store.job, stop.angle));
	/** A place on the dial: cylinder 1 fires at its top, two turns go once round. */
	const at = (angle: number, radius: number) => {
		const turned = (angle / CYCLE) * 2 * Math.PI;
		return [MIDDLE + radius * Math.sin(turned), MIDDLE - radius * Math.cos(turned)] as const;
	};
	const from = $derived(stop.angle - stop.turn);
	const arc = $derived.by(() => {
		const radius = 74;
		const [x1, y1] = at(from, radius);
		const [x2, y2] = at(stop.angle, radius);
		return `M${x1} ${y1}A${radius} ${radius} 0 ${stop.turn > CYCLE / 2 ? 1 : 0} 1 ${x2} ${y2}`;
	});
	const fires = $derived(
		dial?.fires.find(({ angle }) => Math.abs(angle - (stop.angle % CYCLE)) < 0.5)?.cylinder
	);
	const others = $derived(dial?.onBase.filter((label) => !stop.valves.includes(label)) ?? []);
</script>

{#if dial}
	<figure class="text-[13px]">
		<svg
			viewBox="0 0 {SIZE} {SIZE}"
			class="figure mx-auto block w-full max-w-[17rem]"
			role="img"
			aria-label="Crankshaft at {Math.round(stop.angle)}° of 720°, {tell(
				stop.position
			)}: {stop.valves.join(' ')} to set"
		>
			<circle cx={MIDDLE} cy={MIDDLE} r="90" class="fill-cast stroke-metal-dark" />
			{#each Array.from({ length: 24 }, (_, i) => i * 30) as angle (angle)}
				{@const isTurn = angle % 360 === 0}
				{@const [x1, y1] = at(angle, 90)}
				{@const [x2, y2] = at(angle, isTurn ? 78 : angle % 90 === 0 ? 83 : 86)}
				<line {x1} {y1} {x2} {y2} class="stroke-soft" stroke-width={isTurn ? 2 : 1} />
			{/each}
			{#if stop.turn > 0}
				<path d={arc} class="fill-none stroke-chromate" stroke-width="6" />
			{/if}
			{#each dial.fires as { cylinder, angle } (cylinder)}
				{@const [x, y] = at(angle, 104)}
				<text
					{x}
					y={y + 5}
					text-anchor="middle"
					class="text-[15px] {cylinder === fires ? 'fill-ink font-semibold' : 'fill-soft'}"
				>
					{cylinder}
				</text>
			{/each}
			<line
				x1={MIDDLE}
				y1={MIDDLE}
				x2={at(stop.angle, 84)[0]}
				y2={at(stop.angle, 84)[1]}
				class="stroke-ink"
				stroke-width="4"
				stroke-linecap="round"
			/>
			<circle cx={MIDDLE} cy={MIDDLE} r="34" class="fill-paper stroke-ink" stroke-width="2" />
			<text
				x={MIDDLE}
				y={MIDDLE + 2}
				text-anchor="middle"
				class="fill-ink text-[17px] font-semibold"
			>
				{Math.round(stop.turn > 0 ? stop.turn : stop.angle)}°
			</text>
			<text x={MIDDLE} y={MIDDLE + 17} text-anchor="middle" class="fill-soft font-sans text-[13px]">
				{stop.turn > 0 ? 'on' : 'begin'}
			</text>
		</svg>
		<figcaption class="mt-1">
			<p class="font-semibold">{capital(tell(stop.position))}</p>
			<p>Set here <b class="figure">{stop.valves.join(' ')}</b></p>
			{#if others.length > 0}
				<p class="text-soft">
					Also on base circle <span class="figure">{others.join(' ')}</span>
				</p>
			{/if}
			<p class="text-[12px] text-faint">
				Two turns go once round; figures outside are cylinders where they fire.
			</p>
		</figcaption>
	</figure>
{/if}
