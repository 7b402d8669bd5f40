<script lang="ts">
	/** What is known of one spring: bind, margin, rate, energy, sag, and which card it is by its curve. */
	import {
		deeperThanPressed,
		identify,
		lengthOf,
		localRate,
		mm,
		sagAt,
		type Millimetres,
		type SetLimits,
		type SpringBuild,
		type SpringCard
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { moment } from '$lib/ui/words';
	import Matches from './Matches.svelte';
	import { testerName, worked, type Row } from './worked';
	import { label } from '@zinc-ledger/words';
	import Alert from '$lib/ui/Alert.svelte';

	interface Props {
		spring: Row;
		/** What the set says it is. */
		card: SpringCard | null;
		/** What it may be. */
		cards: readonly SpringCard[];
		seat: Millimetres;
		/** As it was typed. */
		lift: string;
		limits: SetLimits;
		build: SpringBuild | undefined;
		/** Retainers that will run on these springs, by the job. */
		fitted: readonly { readonly name: string; readonly step: string }[];
	}
	let { spring: chosen, card, cards, seat, lift, limits, build, fitted }: Props = $props();
	const bench = getBench();
	const { length, load, rate } = bench;
	const open = $derived(mm(seat - lengthOf(lift)));
	const rateAt = (height: Millimetres) =>
		chosen.worked?.curve ? rate(localRate(chosen.worked.curve, height)) : '·';

	const seen = $derived.by(() => {
		const { curve, bind } = chosen.worked ?? {};
		if (!curve || !bind) return null;
		const { freeHeight, outside, wire } = chosen.spring.measured;
		return {
			curve,
			bind,
			freeHeight: freeHeight ? lengthOf(freeHeight) : undefined,
			outside: outside ? lengthOf(outside) : undefined,
			wire: wire ? lengthOf(wire) : undefined
		};
	});
	const matches = $derived(seen ? identify(seen, cards).slice(0, 4) : []);
	const own = $derived(
		card && seen ? identify({ curve: seen.curve, bind: seen.bind }, [card])[0] : undefined
	);
	const sag = $derived.by(() => {
		const [newest, before] = chosen.spring.sweeps;
		if (!newest || !before) return null;
		const [now, then] = [worked(newest, build).curve, worked(before, build).curve];
		return now && then ? sagAt(then, now, seat, limits) : null;
	});
</script>

<h2 class="flex items-baseline gap-3 border-b-2 border-ink pb-1">
	<span class="figure text-xl font-semibold">{chosen.spring.tag}</span>
	{#if chosen.sweep}
		<span class="text-soft"
			>{moment(chosen.sweep.at)}, {chosen.sweep.person}, {testerName(chosen.sweep)}</span
		>
	{/if}
</h2>
{#if own?.fits === 'mismatch'}
	<Alert look="stop" class="mt-2">
		<Mark state="stop" word /> Does not match card {card?.name}.
	</Alert>
{/if}
<dl class="mt-2 grid grid-cols-[1fr_auto] gap-y-0.5">
	{#if chosen.worked}
		{@const { bind, energy, hysteresis } = chosen.worked}
		<dt class="text-soft">Bind</dt>
		<dd class="text-right">
			{#if chosen.spring.measured.bind}
				<span class="figure">{length(chosen.bind)}</span>, set by {chosen.spring.measured.bind
					.person}
			{:else if bind.type === 'bind'}
				<span class="figure">{length(bind.height)}</span>
				within <span class="figure">{length(bind.from)}–{length(bind.to)}</span>
			{:else}{label('noBind', bind.why)}{/if}
		</dd>
		{#if bind.type === 'bind'}
			<dt class="text-soft">Step</dt>
			<dd class="figure text-right">{length(bind.step)}</dd>
			{#if bind.gradual}
				<dt class="text-soft">Gradual bind from</dt>
				<dd class="text-right">
					<span class="figure">{length(bind.gradual.from)}</span>, which is no margin
				</dd>
			{/if}
			{#if bind.stackPoints < 3}
				<dt class="col-span-2">
					<Mark state="watch" /> Ended with {bind.stackPoints} past coil bind: take at least 3 to tell
					it better
				</dt>
			{/if}
		{/if}
		{#if bind.type === 'none' && bind.why === 'unclear'}
			<dt class="col-span-2">
				<Mark state="watch" /> Pull further, three readings past solid{chosen.sweep?.correction
					?.frame
					? ''
					: ', or pull once on a solid block: the frame’s stiffness tells a stack from a coil that stiffens'}
			</dt>
		{/if}
		{#if chosen.worked.curve?.points === 2}
			<dt class="col-span-2 text-soft">
				Two heights only: loads there and a rate, no bind and no non-linearity.
			</dt>
		{/if}
		<dt class="text-soft">Margin at lift {lift}</dt>
		<dd class="figure text-right">
			{chosen.bind === null ? '·' : length(mm(open - chosen.bind))}
		</dd>
		<dt class="text-soft">Rate at this height, and at full lift</dt>
		<dd class="figure text-right">
			{rateAt(seat)}, {rateAt(open)}
		</dd>
		<dt class="text-soft">Energy at max compression</dt>
		<dd class="figure text-right">{energy === null ? '·' : `${energy.toFixed(1)} J`}</dd>
		{#if hysteresis}
			<dt class="text-soft">Max hysteresis</dt>
			<dd class="figure text-right">{load(hysteresis.load)}</dd>
		{/if}
		{#if sag}
			<dt class="text-soft">Load loss since last test</dt>
			<dd class="text-right">
				{#if sag.state !== 'clear'}<Mark state={sag.state} word />{/if}
				<span class="figure">{(sag.part * 100).toFixed(1)} %</span>
			</dd>
		{/if}
		{#if chosen.sweep?.retainer}
			<dt class="text-soft">Retainer in the press</dt>
			<dd class="text-right">
				{chosen.sweep.retainer}{#if chosen.sweep.step},
					<span class="figure">step {chosen.sweep.step}</span>{/if}
			</dd>
		{/if}
		{#each fitted as retainer (retainer.name)}
			{@const deeper = chosen.sweep ? deeperThanPressed(chosen.sweep, retainer) : null}
			{#if deeper !== null}
				<dt class="col-span-2">
					<Mark state="watch" word /> The job has {retainer.name}, its step
					<span class="figure">{length(mm(Math.abs(deeper)))}</span>
					{deeper > 0 ? 'deeper: an inner spring goes solid that much earlier' : 'less deep'} than in
					the press. Test with the retainer that will run.
				</dt>
			{/if}
		{/each}
	{/if}
</dl>

<Matches {matches} />
