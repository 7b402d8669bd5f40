<script lang="ts">
	/** A guided round with degree wheel and indicator: every 5° of the cam, both flanks, two passes. */
	import { browser } from '$app/environment';
	import {
		mm,
		readSignedEntry,
		showLength,
		wheelAngle,
		wheelRows,
		wheelScatter,
		WHEEL_STEP,
		type Millimetres,
		type WheelRound
	} from '@zinc-ledger/core';
	import { tell } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Disclosure from '$lib/ui/Disclosure.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { EMPTY_ROUND, storedRound } from './degree-wheel';

	interface Props {
		/** Where the browser keeps a round that is not finished. */
		storageKey: string;
		/** Takes the table that both passes come to. */
		ontable: (text: string) => void;
	}
	let { storageKey, ontable }: Props = $props();
	const bench = getBench();
	/** Fewer stops than this draw no lobe. */
	const FEWEST_STOPS = 12;
	// svelte-ignore state_referenced_locally
	let round = $state.raw<WheelRound>(
		browser ? storedRound(localStorage.getItem(storageKey)) : EMPTY_ROUND
	);
	let typed = $state('');
	let problem = $state<string | null>(null);
	/** Whether somebody said that the first pass is complete. */
	let isFirstClosed = $state(false);
	const pass = $derived(isFirstClosed || round.passes[1].length > 0 ? 1 : 0);
	const stop = $derived(round.passes[pass].length);
	const isBegun = $derived(round.passes[0].length > 0);
	const isFull = $derived(pass === 1 && stop >= round.passes[0].length);
	const scatter = $derived(wheelScatter(round));
	const show = (length: number) => showLength(mm(length), bench.units);

	function keep(change: Partial<WheelRound>) {
		round = { ...round, ...change };
		localStorage.setItem(storageKey, JSON.stringify(round));
	}
	const keepPass = (readings: readonly Millimetres[]) =>
		keep({ passes: pass === 0 ? [readings, round.passes[1]] : [round.passes[0], readings] });
	function enter(event: SubmitEvent) {
		event.preventDefault();
		const entry = readSignedEntry(typed, bench.units.length);
		problem = entry.ok ? null : tell(entry.problem);
		if (!entry.ok) return;
		keepPass([...round.passes[pass], entry.length]);
		typed = '';
	}
	function clear() {
		keep(EMPTY_ROUND);
		isFirstClosed = false;
	}
	function use() {
		const rows = wheelRows(round);
		ontable(rows.map((row) => row.join(',')).join('\n'));
	}
</script>

<Disclosure title="Measure it with a degree wheel" class="mt-5">
	<ul class="max-w-3xl list-disc space-y-1 pl-5 text-[13px]">
		<li>Turn the crankshaft in its running direction only.</li>
		<li>
			If you pass a mark, go back a quarter turn and come up to it again: the chain or belt has
			slack.
		</li>
		<li>
			Start before the lobe begins to lift and go on until it is down again: every {WHEEL_STEP}° on
			a crankshaft wheel is {WHEEL_STEP / 2}° of the cam. Then do it all a second time.
		</li>
	</ul>
	<form class="mt-3 flex flex-wrap items-end gap-3" onsubmit={enter}>
		{#if !isBegun}
			<TextField
				label="Wheel at the first stop, °"
				inputmode="numeric"
				figure
				bind:value={
					() => String(round.start), (text) => keep({ start: Number(text.replace('−', '-')) || 0 })
				}
			/>
			<SelectField
				label="Indicator on the"
				options={[
					{ value: 'lobe', label: 'lobe or lifter' },
					{ value: 'valve', label: 'valve' }
				]}
				bind:value={() => round.at, (at) => keep({ at })}
			/>
		{/if}
		{#if !isFull}
			<TextField
				label="Pass {pass + 1}, wheel at {wheelAngle(round, stop)}°: lift, {bench.units.length}"
				inputmode="decimal"
				figure
				{problem}
				bind:value={typed}
			/>
			<Button look="main">Enter</Button>
		{/if}
		{#if stop > 0}
			<Button type="button" onclick={() => keepPass(round.passes[pass].slice(0, -1))}>
				Remove the last
			</Button>
		{/if}
		{#if pass === 0 && stop >= FEWEST_STOPS}
			<Button type="button" onclick={() => (isFirstClosed = true)}>Pass 1 is complete</Button>
		{/if}
		{#if isFull}<Button type="button" look="main" onclick={use}>Use these readings</Button>{/if}
		{#if isBegun}<Button type="button" look="quiet" onclick={clear}>Start over</Button>{/if}
	</form>
	<p class="mt-2 text-[13px]" role="status">
		{#if stop > 0}
			Last: <span class="figure">{show(round.passes[pass].at(-1)!)}</span> at
			<span class="figure">{wheelAngle(round, stop - 1)}°</span>.
		{/if}
		{#if isBegun}
			Pass 1: <span class="figure">{round.passes[0].length}</span> readings; pass 2:
			<span class="figure">{round.passes[1].length}</span>.
		{/if}
		{#if scatter !== null}
			One reading repeats within <span class="figure">{show(scatter)}</span>
			{bench.units.length} (one standard deviation).
		{/if}
	</p>
</Disclosure>
