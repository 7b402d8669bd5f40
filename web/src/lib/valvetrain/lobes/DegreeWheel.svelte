<script lang="ts">
	/** A guided round with degree wheel and indicator: every 5° of the cam, both flanks, two passes. */
	import { browser } from '$app/environment';
	import { getBench } from '$lib/bench/bench.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Disclosure from '$lib/ui/Disclosure.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import {
		EMPTY_ROUND,
		storedRound,
		wheelAngle,
		wheelRows,
		wheelScatter,
		type WheelRound
	} from './degree-wheel';

	interface Props {
		/** Where the browser keeps a round that is not finished. */
		storageKey: string;
		/** Takes the table that both passes come to. */
		ontable: (text: string) => void;
	}
	let { storageKey, ontable }: Props = $props();
	const bench = getBench();
	// svelte-ignore state_referenced_locally
	let round = $state.raw<WheelRound>(
		browser ? storedRound(localStorage.getItem(storageKey)) : EMPTY_ROUND
	);
	let typed = $state('');
	let start = $state('');
	let at = $state<'lobe' | 'valve'>('lobe');
	let problem = $state<string | null>(null);
	/** The second pass begins when the first is closed. */
	let isSecond = $state(false);
	$effect(() => {
		isSecond ||= round.passes[1].length > 0;
	});
	const pass = $derived(isSecond ? 1 : 0);
	const stop = $derived(round.passes[pass].length);
	const angle = $derived(wheelAngle(round, stop));
	const isFull = $derived(isSecond && stop >= round.passes[0].length);
	const unit = $derived(bench.units.length);
	const scatter = $derived(wheelScatter(round));
	const figure = (text: string) => Number(text.trim().replace(',', '.').replace('−', '-'));

	function keep(next: WheelRound) {
		round = next;
		localStorage.setItem(storageKey, JSON.stringify(next));
	}
	const withPass = (readings: readonly number[]): WheelRound => ({
		...round,
		passes: pass === 0 ? [readings, round.passes[1]] : [round.passes[0], readings]
	});
	function enter(event: SubmitEvent) {
		event.preventDefault();
		const lift = figure(typed);
		problem =
			typed.trim() === '' || !Number.isFinite(lift)
				? `Enter the indicator reading in ${unit}, such as "${unit === 'in' ? '0.125' : '3.18'}"`
				: null;
		if (problem) return;
		const from = figure(start);
		const begun =
			stop === 0 && pass === 0 && start.trim() !== '' && Number.isFinite(from)
				? { ...round, start: from }
				: round;
		round = begun;
		keep(withPass([...round.passes[pass], lift]));
		typed = '';
	}
	const undo = () => keep(withPass(round.passes[pass].slice(0, -1)));
	function clear() {
		keep(EMPTY_ROUND);
		isSecond = false;
	}
	const show = () =>
		ontable(
			wheelRows(round, unit, at)
				.map((row) => row.join(','))
				.join('\n')
		);
</script>

<Disclosure title="Measure it with a degree wheel" class="mt-5">
	<ul class="max-w-3xl list-disc space-y-1 pl-5 text-[13px]">
		<li>Turn the crankshaft in its running direction only.</li>
		<li>
			If you pass a mark, go back a quarter turn and come up to it again: the chain or belt has
			slack.
		</li>
		<li>
			Start before the lobe begins to lift and go on until it is down again: every 10° on a
			crankshaft wheel is 5° of the cam. Then do it all a second time.
		</li>
	</ul>
	<form class="mt-3 flex flex-wrap items-end gap-3" onsubmit={enter}>
		{#if stop === 0 && pass === 0}
			<TextField
				label="Wheel at the first stop, °"
				inputmode="decimal"
				figure
				placeholder="0"
				bind:value={start}
			/>
			<SelectField
				label="Indicator on the"
				options={[
					{ value: 'lobe', label: 'lobe or lifter' },
					{ value: 'valve', label: 'valve' }
				]}
				bind:value={() => at, (to) => (at = to === 'valve' ? 'valve' : 'lobe')}
			/>
		{/if}
		{#if !isFull}
			<TextField
				label="Pass {pass + 1}, wheel at {stop === 0 && pass === 0
					? start.trim() || '0'
					: angle}°: lift, {unit}"
				inputmode="decimal"
				figure
				{problem}
				bind:value={typed}
			/>
			<Button look="main">Enter</Button>
		{/if}
		{#if stop > 0}<Button type="button" onclick={undo}>Remove the last</Button>{/if}
		{#if !isSecond && stop >= 12}
			<Button type="button" onclick={() => (isSecond = true)}>Pass 1 is complete</Button>
		{/if}
		{#if isFull}<Button type="button" look="main" onclick={show}>Use these readings</Button>{/if}
		{#if stop > 0}<Button type="button" look="quiet" onclick={clear}>Start over</Button>{/if}
	</form>
	<p class="mt-2 text-[13px]" role="status">
		{#if round.passes[0].length > 0}
			Pass 1: <span class="figure">{round.passes[0].length}</span> readings; pass 2:
			<span class="figure">{round.passes[1].length}</span>.
		{/if}
		{#if scatter !== null}
			One reading repeats within <span class="figure">{Number(scatter.toPrecision(2))}</span>
			{unit} (one standard deviation).
		{/if}
	</p>
</Disclosure>
