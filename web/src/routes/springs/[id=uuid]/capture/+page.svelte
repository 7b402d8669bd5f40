<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import type { LibraryPart } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import CaptureAside from '$lib/springs/capture/CaptureAside.svelte';
	import CaptureFigures from '$lib/springs/capture/CaptureFigures.svelte';
	import { SpringTest } from '$lib/springs/capture/spring-test.svelte';
	import TypedPoints from '$lib/springs/capture/TypedPoints.svelte';
	import { isTyping, isWithin, useKeys } from '$lib/keys/keys.svelte';
	import { cardEnds } from '$lib/springs/sets/card-line';
	import SweepChart from '$lib/springs/sets/SweepChart.svelte';
	import { sweepOutbox } from '$lib/outbox/sweeps.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import Alert from '$lib/ui/Alert.svelte';

	let { data } = $props();
	const bench = getBench();
	useKeys([
		{ keys: ['Enter'], does: 'save the sweep, next spring' },
		{ keys: ['r'], does: 'retest this spring' },
		{ keys: ['Esc'], does: 'to the set' }
	]);
	const test = new SpringTest(
		() => data,
		bench,
		untrack(() => page.url.searchParams.get('tag'))
	);
	test.follow();
	// Nothing is asked of the server here while springs are tested: it may be away.
	onMount(() => void sweepOutbox.open());

	const { capture } = test;
	const { length, load } = bench;
	const { card } = $derived(data.set);
	const now = $derived(test.live.at(-1));

	function press(event: KeyboardEvent) {
		if (event.key === 'Escape') return void goto(`/springs/${data.set.id}`);
		if (isTyping(event) || isWithin(event, 'button, a')) return;
		if (event.key === 'Enter') test.keep();
		else if (event.key === 'r') capture.again();
		else return;
		event.preventDefault();
	}
</script>

<svelte:head><title>Test {test.tag} · {data.set.name} · Zinc Ledger</title></svelte:head>
<svelte:window onkeydown={press} />

<main id="main" class="grid min-h-0 flex-1 bg-paper bench:grid-cols-[minmax(0,1fr)_19rem]">
	<div class="min-h-0 overflow-auto px-4 bench:px-6 py-4">
		<h1 class="text-[15px] font-semibold text-soft">
			<a class="underline" href="/springs/{data.set.id}">{data.set.name}</a> · test springs
		</h1>
		<div class="mt-1 flex flex-wrap items-end gap-x-8">
			<p class="figure text-[72px] leading-none font-semibold">{test.tag}</p>
			<p class="pb-1 text-[17px]" aria-live="polite" data-phase={capture.phase}>
				{#if capture.phase === 'waiting'}
					{test.testerId === null
						? 'Type height and load off the dial, point by point.'
						: 'Pull the lever, slowly near solid, and let it up.'}
				{:else if capture.phase === 'pulling'}
					Pulling: <b class="figure">{test.live.length}</b> points
				{:else if capture.phase === 'interrupted'}
					<Mark state="watch" word /> The tester dropped out at
					<b class="figure">{now ? length(now.height) : ''}</b>:
					<b class="figure">{test.live.length}</b> points are kept here. Retest, or save it as far as
					it went.
				{:else}
					Taken: <b class="figure">{test.live.length}</b> points. Save it?
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
						name: test.tag,
						points: test.live.map((point) => [point.height, point.load] as const),
						chosen: true
					}
				]}
				card={card ? cardEnds(card) : []}
				curve={test.figures?.curve ?? null}
				seat={test.seat}
				lift={test.lift}
				bind={test.figures?.bind.type === 'bind' ? test.figures.bind : null}
				name="{data.set.name} {test.tag}"
			/>
		</div>
		{#if test.figures}<CaptureFigures
				{test}
				figures={test.figures}
				cards={data.library.map((part) => (part as LibraryPart<'spring'>).part)}
			/>{/if}
		{#if test.testerId === null && !test.isOver}<TypedPoints {test} />{/if}
		{#if test.problem}
			<Alert problem={test.problem} class="mt-2" />
		{/if}
	</div>
	<CaptureAside {test} />
</main>
