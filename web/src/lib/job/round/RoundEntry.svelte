<script lang="ts">
	/** One huge figure: what to do now, what was typed, and what it means the moment it is in. */
	import { MediaQuery } from 'svelte/reactivity';
	import { isByCylinder, readAs, turnAdvice, type Quantity } from '@zinc-ledger/core';
	import { tell } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { outbox } from '$lib/outbox/outbox.svelte';
	import Input from '$lib/ui/Input.svelte';
	import { capital } from '$lib/ui/words';
	import type { Round } from './round.svelte';
	import Keypad from './Keypad.svelte';
	import RoundStrip from './RoundStrip.svelte';
	import RoundVerdict from './RoundVerdict.svelte';
	import { ROUND_WORDS } from './words';

	let { quantity, round, locator }: { quantity: Quantity; round: Round; locator: boolean } =
		$props();
	const store = getJobStore();
	const bench = getBench();
	const words = $derived(ROUND_WORDS[quantity]);
	const unit = $derived({ ...bench.units, volume: 'cc' }[readAs(quantity)]);
	const advice = $derived(
		quantity === 'lash' && round.parsed?.ok
			? turnAdvice(store.job, round.entry, round.parsed.text)
			: null
	);
	const last = $derived(round.last ? store.station(round.last.station) : undefined);
	const lastWaits = $derived(
		outbox.waiting.some((item) => item.reading.id === round.last?.id && !item.refused)
	);

	/** A finger types on the round's own keys, and no keyboard of the system opens. */
	const touch = new MediaQuery('(pointer: coarse) or (width < 40rem)');
	let input = $state<HTMLInputElement>();
	$effect(() => {
		void round.at;
		input?.focus();
	});

	function press(event: KeyboardEvent) {
		if (event.key === 'Enter') round.enter();
		else if (event.key === 'Backspace' && round.typed === '') round.back();
		else if (event.key === '+') round.skip();
		else return;
		event.preventDefault();
	}
</script>

<div class="mt-1 flex items-end gap-x-4 tablet:gap-x-8">
	<p class="figure text-[52px] leading-none font-semibold tablet:text-[88px]">
		{isByCylinder(quantity) ? round.entry.cylinder : round.entry.label}
	</p>
	<p class="max-w-md pb-1.5 text-[13px] leading-snug tablet:text-[17px]">
		{words.todo(round.entry.kind, locator)}
	</p>
</div>
{#if round.stop}
	<p class="mt-2 text-[17px]">
		<b>{capital(tell(round.stop.position))}</b>
		<span class="text-soft">
			{round.stop.turn > 0
				? `${Math.round(round.stop.turn)}° on from the position before`
				: 'where to begin'}; set here: {round.stop.valves.join(' ')}
		</span>
	</p>
{/if}
<div class="mt-2 flex flex-wrap items-center gap-x-3 tablet:mt-4 tablet:gap-x-6">
	<Input
		large
		figure
		bind:element={input}
		bind:value={round.typed}
		onkeydown={press}
		oninput={() => (round.asked = null)}
		aria-label="{words.title}, {isByCylinder(quantity)
			? `cylinder ${round.entry.cylinder}`
			: `station ${round.entry.label}`}"
		aria-describedby="understood"
		aria-invalid={round.parsed?.ok === false}
		inputmode={touch.current ? 'none' : 'decimal'}
		maxlength={14}
	/>
	<span class="figure text-3xl text-soft">{unit}</span>
	{#if round.again}
		<p class="max-w-56 text-[17px]" role="status">
			<b>Reading {round.again.number} of {round.again.of}</b>: lift the gauge and re-seat it.
			{#if round.again.why}<span class="text-watch">{round.again.why}</span>{/if}
		</p>
	{/if}
</div>
<div id="understood" class="mt-2 min-h-11 bench:min-h-7 text-[17px]" aria-live="polite">
	{#if round.parsed?.ok === false}
		<span class="font-semibold text-stop">{tell(round.parsed.problem)}</span>
	{:else if round.parsed?.ok}
		Read as <b class="figure">{round.parsed.text}</b>
		{#if advice}<span>· {tell(advice)}</span>{/if}
		{#if round.asked}
			<span class="font-semibold text-watch">
				· Outside expected range: Enter again to keep, or retype.
			</span>
		{/if}
	{:else if round.current}
		<span class="text-soft">
			Current <span class="figure">{round.current.read}</span>; a new reading
			{round.again ? 'is averaged in.' : 'replaces it.'}
		</span>
	{/if}
</div>
<div class="mt-2 border-t border-rule pt-2 tablet:mt-3 tablet:min-h-36 tablet:pt-3">
	{#if round.preview}
		<RoundVerdict station={round.preview} {quantity} />
	{:else if last && round.last && round.typed === ''}
		<p class="text-[13px] text-soft">
			Last: {last.label}, {round.last.read}
			{#if lastWaits}<b class="text-watch">· unsent</b>{/if}
		</p>
		<div class="mt-1 opacity-90"><RoundVerdict station={last} {quantity} /></div>
	{/if}
</div>
<RoundStrip {quantity} {round} />
{#if touch.current}
	<div class="sticky bottom-13 -mx-4 mt-3 tablet:bottom-0 tablet:mx-0"><Keypad {round} /></div>
{/if}
