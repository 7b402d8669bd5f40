<script lang="ts">
	/** The stack of one valve, not to scale, with the quantity at hand marked in it. */
	import { helpOf, type HelpTopic } from '@zinc-ledger/words/help';
	import { AT, isAtLift, markOf } from './drawing';

	let { topic }: { topic: HelpTopic } = $props();
	const mark = $derived(markOf(topic));
	const lifted = $derived(isAtLift(topic));
	const top = $derived(lifted ? AT.atLift : AT.retainer);
	const down = $derived(lifted ? AT.atLift - AT.retainer : 0);
	const TURNS = 5;
	const coils = $derived(
		Array.from({ length: TURNS }, (_, i) => top + ((i + 0.5) * (AT.shim - top)) / TURNS)
	);
	/** Where marks stand, right of the stack. */
	const X = 196;
	/** The stem’s. */
	const AXIS = 130;
</script>

<svg
	viewBox="0 0 260 262"
	class="h-52 w-auto"
	role="img"
	aria-label="{helpOf(topic).title}, marked in the stack"
>
	<g class="fill-sunk stroke-ink">
		<path d="M30 {AT.pocket} H112 V150 H148 V{AT.pocket} H230 V{AT.seat} H30 Z" />
		<rect x="118" y={AT.seal} width="24" height="16" />
	</g>
	<g class="fill-paper stroke-ink">
		<rect x="72" y={AT.locator} width="38" height={AT.pocket - AT.locator} />
		<rect x="150" y={AT.locator} width="38" height={AT.pocket - AT.locator} />
		<rect x="72" y={AT.shim} width="38" height={AT.locator - AT.shim} />
		<rect x="150" y={AT.shim} width="38" height={AT.locator - AT.shim} />
	</g>
	<g class="fill-metal stroke-ink">
		{#each coils as y (y)}
			<circle cx="82" cy={y} r="5.5" />
			<circle cx="178" cy={y} r="5.5" />
		{/each}
	</g>
	<g transform="translate(0 {down})" class="fill-paper stroke-ink">
		<path d="M125 {AT.tip} H135 V{AT.seat - 14} L160 {AT.seat} H100 L125 {AT.seat - 14} Z" />
		<path
			d="M70 {AT.retainerTop} H190 V{AT.retainer} H152 V{AT.retainer + 8} H108 V{AT.retainer} H70 Z"
		/>
		<path d="M118 {AT.retainerTop - 2} H142 L138 {AT.retainer} H122 Z" class="fill-sunk" />
		<path d="M96 {AT.rocker - 16} Q130 {AT.rocker + 4} 164 {AT.rocker - 16}" class="fill-none" />
	</g>
	{#if topic === 'headBelowDeck' || topic === 'chamberVolume'}
		<path d="M40 {AT.deck} H220" class="stroke-ink" />
	{/if}
	{#if topic === 'piston'}
		<path d="M60 {AT.piston} H200" class="stroke-ink" />
	{/if}
	{#if mark.type === 'between'}
		<g class="stroke-stop" stroke-width="2">
			<path d="M150 {mark.from} H{X + 8} M150 {mark.to} H{X + 8}" stroke-dasharray="3 3" />
			<path d="M{X} {mark.from} V{mark.to}" stroke-width="4" />
		</g>
	{:else if mark.type === 'across'}
		{@const left = AXIS + mark.aside - mark.width / 2}
		{@const right = AXIS + mark.aside + mark.width / 2}
		<g class="stroke-stop" stroke-width="2">
			<path d="M{left} {mark.at - 10} v20 M{right} {mark.at - 10} v20" />
			<path d="M{left - 34} {mark.at} h32 M{right + 34} {mark.at} h-32" stroke-width="4" />
		</g>
	{:else if mark.type === 'part'}
		<rect
			x="70"
			y={mark.from}
			width="120"
			height={mark.to - mark.from}
			class="fill-none stroke-stop"
			stroke-width="3"
		/>
	{:else}
		<path
			d="M{X + 14} {AT.shim} V{mark.at + 6} M{X + 6} {mark.at + 18} L{X + 14} {mark.at + 4} L{X +
				22} {mark.at + 18}"
			class="fill-none stroke-stop"
			stroke-width="4"
		/>
	{/if}
</svg>
