<script lang="ts">
	/**
	 * Measuring mode: one huge figure, what to do now, what the last one was,
	 * how many are left, and the verdict the moment the figure is in. Driven
	 * from the numeric keypad alone.
	 */
	import { untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import {
		isLoad,
		stopsOf,
		turnAdvice,
		type Quantity,
		type SettingOrder,
		message
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { Device, DEVICE_WORDS } from '$lib/gauges/device.svelte';
	import type { KnownGauge } from '$lib/gauges/known';
	import { getBook } from '$lib/job/book.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import { outbox } from '$lib/outbox/outbox.svelte';
	import HeadPlan from '$lib/head-plan/HeadPlan.svelte';
	import Key from '$lib/ui/Key.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { capital } from '$lib/ui/words';
	import { Round } from './round.svelte';
	import RoundFigures from './RoundFigures.svelte';
	import RoundStart from './RoundStart.svelte';
	import { NEXT_ROUND, ROUND_WORDS } from './words';
	import { tell, write } from '@zinc-ledger/words';

	interface Props {
		quantity: Quantity;
		gauges: readonly KnownGauge[];
		/** The order that lash is set in, where one was chosen. */
		settingOrder?: SettingOrder | null;
	}
	let { quantity, gauges, settingOrder = null }: Props = $props();
	const book = getBook();
	const bench = getBench();
	const round = new Round(
		untrack(() => quantity),
		book,
		bench,
		untrack(() => (settingOrder ? stopsOf(book.job, settingOrder) : []))
	);
	const words = $derived(ROUND_WORDS[quantity]);
	useKeys([
		{ keys: ['Enter'], does: 'save the reading, next valve' },
		{ keys: ['Backspace'], does: 'on an empty field: back one station' },
		{ keys: ['+'], does: 'skip this station' },
		{ keys: ['Esc'], does: 'to the sheet' }
	]);

	const device = new Device((readings) => round.hear(readings));
	/** The gauge that sends, by its id; null when figures are typed. */
	let sends = $state<string | null>(null);
	let input = $state<HTMLInputElement>();
	const lastSheet = $derived(round.last ? book.station(round.last.station) : undefined);
	const lastWaits = $derived(
		outbox.waiting.some((item) => item.reading.id === round.last?.id && !item.refused)
	);
	const total = $derived(round.order.length);
	const unit = $derived(isLoad(quantity) ? bench.units.load : bench.units.length);
	const worstRemark = $derived(round.preview?.remarks[0]);
	const nextLabel = $derived(round.order[(round.at + 1) % total]?.label);
	const nextQuantity = $derived(NEXT_ROUND[quantity]);
	const advice = $derived(
		quantity === 'lash' && round.understood?.ok
			? turnAdvice(book.job, round.entry, round.understood.text)
			: null
	);
	const hasNext = $derived(nextQuantity !== 'lash' || book.job.setup.lifters === 'solid');

	// The page as it stands is kept for a reload while the server is away, and again after each figure.
	$effect(() => {
		void book.job.readings.length;
		const settled = setTimeout(() => void fetch(location.href).catch(() => undefined), 1200);
		return () => clearTimeout(settled);
	});

	$effect(() => {
		void round.at;
		if (round.parts && !round.finished) input?.focus();
	});

	function press(event: KeyboardEvent) {
		if (event.key === 'Enter') round.enter();
		else if (event.key === 'Backspace' && round.typed === '') round.back();
		else if (event.key === '+') round.skip();
		else return;
		event.preventDefault();
	}

	function leave(event: KeyboardEvent) {
		if (event.key === 'Escape') void goto(`/jobs/${book.job.id}?at=${round.entry.label}`);
	}
</script>

<svelte:head><title>{words.title} · {book.job.number} · Zinc Ledger</title></svelte:head>
<svelte:window onkeydown={leave} />

<div class="flex-none px-4 pt-3">
	<HeadPlan
		job={book.job}
		stations={book.sheet.stations}
		measured={quantity}
		selected={round.parts && !round.finished ? round.entry.label : null}
		onselect={(label) => round.parts && round.goTo(label)}
	/>
</div>

<div class="grid min-h-0 flex-1 gap-8 overflow-auto px-6 py-4 bench:grid-cols-[1fr_15rem]">
	<div>
		<h1 class="text-[15px] font-semibold text-soft">{words.title}</h1>
		{#if !bench.person}
			<p class="mt-6 text-xl">
				<a
					class="underline"
					href="/bench?back={encodeURIComponent(`/jobs/${book.job.id}/round?of=${quantity}`)}"
				>
					Select an operator
				</a> first: every reading carries a name.
			</p>
		{:else if !round.parts}
			<div class="mt-4">
				<RoundStart
					{quantity}
					{gauges}
					onbegin={({ parts, engine, lash, gauge, repeats, link }) => {
						round.engine = engine;
						round.lash = lash;
						round.gauge = gauge;
						round.repeats = repeats;
						round.begin(parts);
						sends = link;
						if (link) device.listen(link);
						else device.leave();
					}}
				/>
			</div>
		{:else if round.finished}
			<div class="mt-6">
				<p class="text-3xl font-semibold">All {total} measured.</p>
				<p class="mt-2 text-soft">
					{lastSheet ? `Last: ${lastSheet.label} ${round.last?.read}.` : ''}
				</p>
				<p class="mt-6 flex flex-wrap gap-3">
					<!-- svelte-ignore a11y_autofocus -->
					<a class="button button-main" href="/jobs/{book.job.id}" autofocus>See the sheet</a>
					{#if hasNext && nextQuantity}
						<a class="button" href="/jobs/{book.job.id}/round?of={nextQuantity}">
							{ROUND_WORDS[nextQuantity].title} next
						</a>
					{/if}
					<button class="button" onclick={() => round.goTo(round.order[0]!.label)}>
						Remeasure
					</button>
				</p>
			</div>
		{:else}
			<div class="mt-1 flex flex-wrap items-end gap-x-8">
				<p class="figure text-[88px] leading-none font-semibold">{round.entry.label}</p>
				<p class="max-w-md pb-1.5 text-[17px] leading-snug">
					{words.todo(round.entry.kind, round.parts.locator)}
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
			<div class="mt-4 flex flex-wrap items-center gap-x-6">
				<input
					bind:this={input}
					bind:value={round.typed}
					onkeydown={press}
					oninput={() => (round.asked = null)}
					aria-label="{words.title}, station {round.entry.label}"
					aria-describedby="understood"
					aria-invalid={round.understood?.ok === false}
					inputmode="decimal"
					autocomplete="off"
					maxlength="14"
					class="figure h-[104px] w-[25rem] max-w-full border-b-4 border-ink bg-sunk px-4 text-right text-[72px] leading-none aria-invalid:border-stop"
				/>
				<span class="figure text-3xl text-soft">{unit}</span>
				{#if round.again}
					<p class="max-w-56 text-[17px]" role="status">
						<b>Reading {round.again.number} of {round.again.of}</b>: lift the gauge and re-seat it.
						{#if round.again.why}<span class="text-watch">{round.again.why}</span>{/if}
					</p>
				{/if}
			</div>
			<div id="understood" class="mt-2 min-h-7 text-[17px]" aria-live="polite">
				{#if round.understood?.ok === false}
					<span class="font-semibold text-stop">{tell(round.understood.problem)}</span>
				{:else if round.understood?.ok}
					Read as <b class="figure">{round.understood.text}</b>
					{#if advice}<span>· {tell(advice)}</span>{/if}
					{#if round.asked}
						<span class="font-semibold text-watch">
							· Outside expected range: Enter again to keep, or retype.
						</span>
					{/if}
				{:else if round.standing}
					<span class="text-soft">
						Current <span class="figure">{round.standing.read}</span>; a new reading is averaged in.
					</span>
				{/if}
			</div>
			<div class="mt-3 min-h-36 border-t border-rule pt-3">
				{#if round.preview}
					<RoundFigures station={round.preview} />
					{#if worstRemark}
						<p class="mt-3 text-[17px]">
							<Mark state={worstRemark.state} word />
							{write(worstRemark.text, bench.units)}
						</p>
					{/if}
				{:else if lastSheet && round.last && round.typed === ''}
					<p class="text-[13px] text-soft">
						Last: {lastSheet.label}, {round.last.read}
						{#if lastWaits}<b class="text-watch">· unsent</b>{/if}
					</p>
					<div class="mt-1 opacity-90"><RoundFigures station={lastSheet} /></div>
					{#if lastSheet.remarks[0]}
						<p class="mt-2 text-[15px]">
							<Mark state={lastSheet.remarks[0].state} word />
							{write(lastSheet.remarks[0].text, bench.units)}
						</p>
					{/if}
				{/if}
			</div>
		{/if}
	</div>

	{#if round.parts}
		<aside class="space-y-5 text-[13px]" aria-label="This round">
			<p>
				<span class="figure block text-5xl font-semibold">{round.left}</span>
				<span class="text-soft">of {total} left{round.finished ? '' : `; then ${nextLabel}`}</span>
			</p>
			{#if !outbox.reachable}
				<p role="status" class="border-l-4 border-watch pl-3">
					<b>{outbox.trouble ?? tell(message('server.not-reached'))}</b> Go on measuring: {outbox
						.waiting.length} figure{outbox.waiting.length === 1 ? ' waits' : 's wait'} in this browser
					and will be sent.
				</p>
			{/if}
			<section>
				<h2 class="border-b border-ink pb-1 font-semibold">In place</h2>
				<ul class="mt-1 space-y-1">
					{#if quantity === 'installed-height'}
						<li class={round.parts.locator ? '' : 'font-semibold text-watch'}>
							{round.parts.locator ? 'Locator' : 'No locator'}
						</li>
						<li>{round.parts.shims ? 'Shims of the build' : 'No shims'}</li>
						<li>Recess <span class="figure">{round.parts.recess}</span></li>
					{:else if quantity === 'seal-gap'}
						<li class={round.parts.sealHome ? '' : 'font-semibold text-watch'}>
							{round.parts.sealHome ? 'Seals fully seated' : 'Seals not seated'}
						</li>
					{:else if quantity === 'lash'}
						<li>Engine {round.engine}</li>
					{/if}
					{#if round.repeats > 1}<li>{round.repeats} readings per valve</li>{/if}
					<li>
						{round.gauge.name}, resolution <span class="figure">{round.gauge.resolution}</span>
						{#if sends}
							<span class="block" data-link={device.state}>
								{#if device.state !== 'connected'}<Mark state="watch" />{/if}
								{DEVICE_WORDS[device.state]}{device.state === 'connected'
									? ': its button saves'
									: ''}
							</span>
						{/if}
					</li>
				</ul>
				<button class="mt-1 min-h-9 underline" onclick={() => (round.parts = null)}>Change</button>
			</section>
			<p class="space-y-1.5 text-soft">
				<span class="flex items-center gap-2"><Key>Enter</Key> save</span>
				<span class="flex items-center gap-2"><Key>⌫</Key> on empty: back</span>
				<span class="flex items-center gap-2"><Key>+</Key> skip</span>
				<span class="flex items-center gap-2"><Key>Esc</Key> sheet</span>
			</p>
			<p class="caution">{words.caution}</p>
		</aside>
	{/if}
</div>
