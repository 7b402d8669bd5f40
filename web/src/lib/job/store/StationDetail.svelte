<script lang="ts">
	/** Everything about the chosen station: section, stack, what to shim, what was read. */
	import {
		partsOf,
		showMass,
		shimAction,
		type Reading,
		type StationSheet,
		message
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import Section from '$lib/sheet/section/Section.svelte';
	import ReasonForm from '$lib/ui/ReasonForm.svelte';
	import { capital, moment } from '$lib/ui/words';
	import { getJobStore } from './job-store.svelte';
	import HelpName from '$lib/help/HelpName.svelte';
	import Question from './Question.svelte';
	import { label, tell, write } from '@zinc-ledger/words';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';

	let { station }: { station: StationSheet } = $props();
	const store = getJobStore();
	const bench = getBench();

	const kind = $derived(station.shared);
	const parts = $derived(
		partsOf(
			store.job.setup,
			store.job.stations.find(({ label }) => label === station.label)!
		)
	);
	const voided = $derived(new Map(store.job.voids.map((entry) => [entry.reading, entry])));
	const readings = $derived(
		store.job.readings.filter((reading) => reading.station === station.label).toReversed()
	);
	const who = (id: string) =>
		store.initials(id) || (bench.person?.id === id ? bench.person.initials : '');

	let voiding = $state.raw<Reading | null>(null);
	let problem = $state<string | null>(null);

	const fit = async () => (problem = await store.fitSuggested(station, bench.person));

	async function voidReading(reason: string) {
		if (!voiding) return;
		if (!bench.person) {
			problem = tell(message('server.operator-required'));
			return;
		}
		problem = await store.voidReading(voiding, reason, bench.person);
		if (problem === null) voiding = null;
	}
	/** Whether another reading of its set stands beside it. */
	const isRepeated = ({ id, set }: Reading) =>
		set !== undefined &&
		readings.some((other) => other.set === set && other.id !== id && !voided.has(other.id));
</script>

<section aria-label="Station {station.label}" class="text-[13px]">
	<h2 class="mb-1 flex items-baseline justify-between">
		<span class="figure text-base font-semibold">{station.label}</span>
		<span class="figure text-xs text-soft">
			{kind.target.height === null
				? write(kind.target.because, bench.units)
				: `target ${bench.length(kind.target.height)}`}
		</span>
	</h2>
	<Section {station} {kind} {parts} />

	{#if station.remarks.length > 0}
		<ul class="mt-1 space-y-1 border-t border-rule py-2">
			{#each station.remarks as remark, i (i)}
				<li><Question {remark} /></li>
			{/each}
		</ul>
	{/if}

	{#if station.shim?.answer.type === 'fit' && station.shim.outcome}
		{@const { outcome } = station.shim}
		<div class="border-t border-rule py-2">
			<p class="font-semibold">
				{write(shimAction(station.shim.answer, station.stack.shims), bench.units)}
			</p>
			<dl class="my-1 grid grid-cols-4 gap-x-2 text-soft">
				{#each [['height', bench.length(outcome.height)], ['seat', bench.load(outcome.seatLoad)], ['open', bench.load(outcome.openLoad)], ['bind margin', bench.length(outcome.bindMargin)]] as [name, value] (name)}
					<div>
						<dt>{name}</dt>
						<dd class="figure text-ink">{value}</dd>
					</div>
				{/each}
			</dl>
			<Button onclick={fit}>Record these shims</Button>
		</div>
	{/if}

	<dl class="grid grid-cols-[1fr_auto] gap-y-0.5 border-t border-rule py-2">
		<dt class="text-soft"><HelpName topic="bare" name="Bare height" /></dt>
		<dd class="figure text-right">
			{bench.length(station.figures.bare.figure)}
		</dd>
		<dt class="text-soft"><HelpName topic="locator" name="Locator" /></dt>
		<dd class="figure text-right">{bench.length(station.stack.locator)}</dd>
		<dt class="text-soft"><HelpName topic="shims" name="Shims" /></dt>
		<dd class="figure text-right">
			{station.stack.shims.map((shim) => bench.length(shim)).join(' + ') || 'none'}
		</dd>
		<dt class="text-soft"><HelpName topic="locks" name="Locks" /></dt>
		<dd class="figure text-right">
			{station.stack.lockOffset === 0
				? 'standard'
				: `${station.stack.lockOffset > 0 ? '+' : ''}${bench.length(station.stack.lockOffset)}`}
		</dd>
		{#if station.tipHeight !== null}
			<dt class="text-soft"><HelpName topic="tipHeight" name="Tip height" /></dt>
			<dd class="figure text-right">{bench.length(station.tipHeight)}</dd>
		{/if}
		<dt class="text-soft">Moving mass</dt>
		<dd class="text-right">
			<span class="figure">{showMass(station.mass.total)}</span> g{station.mass.missing.length > 0
				? `, without ${station.mass.missing.map((part) => label('part', part)).join(', ')}`
				: ''}
		</dd>
		<dt class="text-soft">Load source</dt>
		<dd class="text-right">
			{kind.curve === null
				? 'no spring card'
				: kind.curve.from === 'tested'
					? 'tested set'
					: kind.sources.spring === 'card'
						? 'card, straight line'
						: `straight line, ${label('source', kind.sources.spring!)}`}
		</dd>
		{#if kind.bind?.first}
			<dt class="text-soft">Binds first</dt>
			<dd class="text-right">{label('coil', kind.bind.first)}</dd>
		{/if}
		{#if station.energy !== null}
			<dt class="text-soft">Energy at full lift</dt>
			<dd class="figure text-right">{station.energy.toFixed(1)} J</dd>
		{/if}
	</dl>

	{#if readings.length > 0}
		<h3 class="border-t border-rule pt-2 font-semibold">Readings</h3>
		<ul>
			{#each readings as reading (reading.id)}
				{@const gone = voided.get(reading.id)}
				<li class="border-b border-hair py-1">
					<div class="flex items-center gap-2">
						<span class="figure {gone ? 'text-faint line-through' : ''}">{reading.read}</span>
						<span class="text-soft"
							>{label('quantity', reading.quantity)} · {who(reading.person)}</span
						>
						{#if !gone}
							<Button
								aria-label="Void {reading.read}"
								onclick={() => (voiding = reading)}
								look="quiet"
								class="ml-auto px-1 text-soft"
							>
								Void
							</Button>
						{/if}
					</div>
					<p class="text-xs text-faint">
						{moment(reading.at)}{gone || isRepeated(reading)
							? ''
							: ' · one reading'}{reading.from === 'list' ? ' · typed from a list' : ''}{gone
							? ` · voided by ${who(gone.person)}: ${gone.reason}`
							: ''}
					</p>
					{#if voiding?.id === reading.id}
						<ReasonForm label="Reason to void {reading.read}" word="Void" onreason={voidReading} />
					{/if}
				</li>
			{/each}
		</ul>
	{/if}
	<Alert problem={problem && capital(problem)} class="mt-2" />
</section>
