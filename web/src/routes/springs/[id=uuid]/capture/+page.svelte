<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import {
		cardLine,
		correctionInForce,
		dialTargets,
		frameOf,
		frameStiffness,
		lengthOf,
		readEntry,
		storedEnergy,
		sweepFigures,
		sweepPoints,
		USUAL_NOISE,
		withUnit,
		type Sweep,
		message
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { Device, DEVICE_WORDS } from '$lib/gauges/device.svelte';
	import { isTyping, useKeys } from '$lib/keys/keys.svelte';
	import { Capture } from '$lib/springs/capture.svelte';
	import { cardEnds } from '$lib/springs/card-line';
	import { newSweep } from '$lib/springs/csv';
	import SweepChart from '$lib/springs/SweepChart.svelte';
	import { sweepOutbox } from '$lib/springs/sweeps.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import Key from '$lib/ui/Key.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { label, tell } from '@zinc-ledger/words';

	let { data } = $props();
	const bench = getBench();
	useKeys([
		{ keys: ['Enter'], does: 'save the sweep, next spring' },
		{ keys: ['r'], does: 'retest this spring' },
		{ keys: ['Esc'], does: 'to the set' }
	]);

	const TYPED = 'typed';
	const senders = $derived(data.gauges.filter(({ gauge }) => gauge.link));
	let testerId = $state(untrack(() => senders[0]?.gauge.id ?? TYPED));
	const tester = $derived(data.gauges.find(({ gauge }) => gauge.id === testerId));
	const lastSweep = $derived(data.springs.flatMap(({ sweeps }) => sweeps.slice(0, 1)).at(-1));
	let fixture = $derived(lastSweep?.fixture ?? '0');
	const fixtureRead = $derived(readEntry(fixture, bench.units.length));
	let retainer = $derived(lastSweep?.retainer ?? '');

	let tag = $state(untrack(() => page.url.searchParams.get('tag') ?? firstUntested()));
	const capture = new Capture();
	const device = new Device((readings) => capture.take(readings));
	let kept = $state<string | null>(null);
	let problem = $state<string | null>(null);
	/** Tags swept here whose sweeps the page has not been told of yet. */
	let done = $state.raw<readonly string[]>([]);

	function firstUntested(): string {
		return (data.springs.find(({ sweeps }) => sweeps.length === 0) ?? data.springs[0])?.tag ?? 'T1';
	}
	const isTested = (one: (typeof data.springs)[number]) =>
		one.sweeps.length > 0 || done.includes(one.tag);
	const left = $derived(data.springs.filter((one) => !isTested(one)).length);

	$effect(() => {
		const id = testerId;
		untrack(() => (id === TYPED ? device.leave() : device.listen(id)));
	});
	$effect(() => {
		const { state } = device;
		if (state === 'away' || state === 'unavailable') untrack(() => capture.cutOff());
	});
	// Nothing is asked of the server here while springs are tested: it may be away.
	onMount(() => void sweepOutbox.open());

	const seat = $derived(lengthOf(data.set.seat));
	const lift = $derived(lengthOf(data.set.lift));
	const card = $derived(data.set.card);
	const { length, load } = bench;

	/** The sweep as it would be kept. */
	const sweep = $derived.by<Sweep | null>(() => {
		if (capture.points.length === 0 || !fixtureRead.ok || !bench.person) return null;
		const { checks = [], gauge } = tester ?? {};
		const correction = {
			height: correctionInForce(checks, 'length'),
			load: correctionInForce(checks, 'load')
		};
		const frame = frameStiffness(checks);
		const applied = ({ gain, offset }: { gain: number; offset: number }) => ({ gain, offset });
		return newSweep(
			{
				set: data.set.name,
				tag,
				tester: gauge?.name ?? 'manual entry',
				fixture: fixtureRead.text,
				...(retainer.trim() && { retainer: retainer.trim() }),
				...(checks.length > 0 && {
					correction: {
						height: applied(correction.height),
						load: applied(correction.load),
						...(frame !== null && { frame: Math.round(frame) })
					}
				}),
				person: bench.person.name
			},
			capture,
			[...capture.points]
		);
	});
	const live = $derived(sweep ? sweepPoints(sweep) : []);
	const now = $derived(live.at(-1));
	const isOver = $derived(capture.phase === 'done' || capture.phase === 'interrupted');
	const figures = $derived(
		isOver && sweep
			? sweepFigures(live, { seat, lift }, card?.build, USUAL_NOISE, frameOf(sweep))
			: null
	);
	const targets = $derived.by(() => {
		if (!fixtureRead.ok) return [];
		const fixed = lengthOf(fixtureRead.text);
		const to = dialTargets(seat, lift, fixed, card ? lengthOf(card.bind) : null);
		return [
			{ name: 'seat', dial: to.seat },
			{ name: 'half lift', dial: to.halfLift },
			{ name: 'full lift', dial: to.fullLift },
			...(to.solid === null ? [] : [{ name: 'solid, by the card', dial: to.solid }])
		];
	});
	const energy = $derived(card ? storedEnergy(cardLine(card), lengthOf(card.bind)) : null);

	async function keep() {
		if (!bench.person) {
			problem = 'Pick who works at this bench first, at the top; the sweep stays here.';
			return;
		}
		if (!sweep || !isOver) return;
		problem = null;
		kept = `${tag}: ${sweep.points.length} points`;
		done = [...done, tag];
		void sweepOutbox.add(data.set.id, $state.snapshot(sweep) as Sweep);
		const at = data.springs.findIndex((one) => one.tag === tag);
		const next =
			data.springs.find((one, i) => i > at && !isTested(one)) ??
			data.springs.find((one) => !isTested(one));
		if (next) tag = next.tag;
		capture.again();
	}

	let dial = $state('');
	let reading = $state('');
	function addTyped(event: SubmitEvent) {
		event.preventDefault();
		const entry = readEntry(dial, bench.units.length);
		const force = withUnit(reading, bench.units.load);
		if (!entry.ok) problem = tell(entry.problem);
		else if (!/^\d+(\.\d+)? (lbf|N|kgf)$/.test(force))
			problem = tell(message('entry.not-load', { typed: reading }));
		else {
			problem = null;
			capture.type(entry.text, force);
			dial = reading = '';
		}
	}
	function press(event: KeyboardEvent) {
		if (event.key === 'Escape') return void goto(`/springs/${data.set.id}`);
		if (isTyping(event) || (event.target as HTMLElement).matches('button, a')) return;
		if (event.key === 'Enter') void keep();
		else if (event.key === 'r') capture.again();
		else return;
		event.preventDefault();
	}
</script>

<svelte:head><title>Test {tag} · {data.set.name} · Zinc Ledger</title></svelte:head>
<svelte:window onkeydown={press} />

<main id="main" class="grid min-h-0 flex-1 bg-paper bench:grid-cols-[minmax(0,1fr)_19rem]">
	<div class="min-h-0 overflow-auto px-6 py-4">
		<h1 class="text-[15px] font-semibold text-soft">
			<a class="underline" href="/springs/{data.set.id}">{data.set.name}</a> · test springs
		</h1>
		<div class="mt-1 flex flex-wrap items-end gap-x-8">
			<p class="figure text-[72px] leading-none font-semibold">{tag}</p>
			<p class="pb-1 text-[17px]" aria-live="polite" data-phase={capture.phase}>
				{#if capture.phase === 'waiting'}
					{testerId === TYPED
						? 'Type height and load off the dial, point by point.'
						: 'Pull the lever, slowly near solid, and let it up.'}
				{:else if capture.phase === 'pulling'}
					Pulling: <b class="figure">{live.length}</b> points
				{:else if capture.phase === 'interrupted'}
					<Mark state="watch" word /> The tester dropped out at
					<b class="figure">{now ? length(now.height) : ''}</b>: <b class="figure">{live.length}</b> points
					are kept here. Retest, or save it as far as it went.
				{:else}
					Taken: <b class="figure">{live.length}</b> points. Save it?
				{/if}
			</p>
			<p class="figure ml-auto text-right text-[40px] leading-none font-semibold">
				{now ? length(now.height) : '·'}
				<span class="text-lg font-normal text-soft">{bench.units.length}</span>
				&nbsp;{now ? load(now.load) : '·'}
				<span class="text-lg font-normal text-soft">{bench.units.load}</span>
			</p>
		</div>
		<div class="mt-2">
			<SweepChart
				lines={[
					{
						name: tag,
						points: live.map((point) => [point.height, point.load] as const),
						chosen: true
					}
				]}
				card={card ? cardEnds(card) : []}
				curve={figures?.curve ?? null}
				{seat}
				{lift}
				bind={figures?.bind.sort === 'bind' ? figures.bind : null}
				name="{data.set.name} {tag}"
			/>
		</div>
		{#if figures}
			<dl class="mt-2 flex flex-wrap gap-x-8 border-t border-rule pt-2">
				{#each [['Seat', load(figures.seat)], ['Open', load(figures.open)], ['Bind', figures.bind.sort === 'bind' ? length(figures.bind.height) : label('noBind', figures.bind.why)], ['Energy', figures.energy === null ? '·' : `${figures.energy.toFixed(1)} J`]] as const as [name, text] (name)}
					<div>
						<dt class="text-[13px] text-soft">{name}</dt>
						<dd class="figure text-2xl">{text}</dd>
					</div>
				{/each}
			</dl>
			{#if figures.bind.sort === 'bind' && figures.bind.stackPoints < 3}
				<p class="mt-1">
					<Mark state="watch" word /> Only {figures.bind.stackPoints} points past coil bind: take at least
					3
				</p>
			{/if}
			<p class="mt-3 flex flex-wrap gap-3">
				<button class="button button-main" onclick={keep}>Save <Key>Enter</Key></button>
				<button class="button" onclick={() => capture.again()}>Retest {tag} <Key>r</Key></button>
			</p>
		{/if}
		{#if testerId === TYPED && !isOver}
			<form class="mt-3 flex items-end gap-3" onsubmit={addTyped}>
				<TextField label="Dial" class="w-36" bind:value={dial} figure />
				<TextField label="Load" class="w-36" bind:value={reading} figure />
				<button class="button">Add the point</button>
				<button type="button" class="button" onclick={() => capture.end()}>Finish</button>
			</form>
		{/if}
		{#if problem}<p role="alert" class="mt-2 font-semibold text-stop">{problem}</p>{/if}
	</div>

	<aside
		class="min-h-0 space-y-4 overflow-auto border-rule px-4 py-4 text-[13px] bench:border-l"
		aria-label="This test"
	>
		<p>
			<span class="figure text-4xl font-semibold">{left}</span>
			<span class="text-soft">of {data.springs.length} left to test</span>
		</p>
		<label class="block text-soft">
			Tester
			<select class="field" bind:value={testerId} aria-label="Tester">
				{#each senders as { gauge } (gauge.id)}<option value={gauge.id}>{gauge.name}</option>{/each}
				<option value={TYPED}>Manual entry</option>
			</select>
		</label>
		{#if testerId !== TYPED}
			<p role="status" data-link={device.state}>
				{#if device.state !== 'connected' && device.state !== 'connecting'}<Mark
						state="watch"
					/>{/if}
				{DEVICE_WORDS[device.state]}
				{#if device.malformed > 0}· {device.malformed} unreadable lines{/if}
			</p>
		{/if}
		<TextField
			label="Fixture thickness"
			problem={fixtureRead.ok ? undefined : fixtureRead.problem}
			hint={fixtureRead.ok ? fixtureRead.text : undefined}
			bind:value={fixture}
			figure
		/>
		<TextField label="Retainer in the press" bind:value={retainer} maxlength={80} />
		<section aria-label="Dial targets">
			<h2 class="border-b border-ink pb-1 font-semibold">Run the dial to</h2>
			{#each targets as { name, dial: to } (name)}
				<p class="flex justify-between border-b border-hair py-1">
					<span>{name}</span><b class="figure">{length(to)}</b>
				</p>
			{/each}
		</section>
		{#if sweepOutbox.waiting.length > 0}
			<p role="status" class="border-l-4 border-watch pl-3">
				{sweepOutbox.waiting.length} unsent{sweepOutbox.refused ? `: ${sweepOutbox.refused}` : ''}
			</p>
		{:else if kept}
			<p role="status" class="text-soft">Saved {kept}.</p>
		{/if}
		<ul class="flex flex-wrap gap-1" aria-label="Springs of the set">
			{#each data.springs as one (one.id)}
				<li>
					<button
						class="figure min-h-9 min-w-11 border px-1.5 aria-pressed:border-chromate aria-pressed:bg-chromate-wash {isTested(
							one
						)
							? 'border-ink'
							: 'border-dashed border-faint text-soft'}"
						aria-pressed={one.tag === tag}
						onclick={() => ((tag = one.tag), capture.again())}>{one.tag}</button
					>
				</li>
			{/each}
		</ul>
		<p class="caution">
			Guard closed, eyes covered, fingers out; stop at the knee.
			{#if energy !== null}Pressed solid, this spring holds about <b class="figure"
					>{energy.toFixed(0)} J</b
				>.{/if}
		</p>
	</aside>
</main>
