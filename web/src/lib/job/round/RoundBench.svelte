<script lang="ts">
	/**
	 * Measuring mode: one huge figure, what to do now, what the last one was,
	 * how many are left, and the verdict the moment the figure is in. Driven
	 * from the numeric keypad alone.
	 */
	import { untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { stopsOf, type Quantity, type SettingOrder } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import PickOperator from '$lib/bench/PickOperator.svelte';
	import { Device } from '$lib/parts/gauges/device.svelte';
	import type { KnownGauge } from '$lib/parts/gauges/known';
	import HelpName from '$lib/help/HelpName.svelte';
	import { HELP_OF } from '$lib/help/help.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import HeadPlan from '$lib/sheet/head-plan/HeadPlan.svelte';
	import { LISTED } from './listed';
	import { Round, type RoundBegun } from './round.svelte';
	import RoundAside from './RoundAside.svelte';
	import RoundDone from './RoundDone.svelte';
	import RoundEntry from './RoundEntry.svelte';
	import RoundLast from './RoundLast.svelte';
	import RoundStart from './RoundStart.svelte';
	import { ROUND_WORDS } from './words';

	interface Props {
		quantity: Quantity;
		gauges: readonly KnownGauge[];
		/** The order that lash is set in, where one was chosen. */
		settingOrder?: SettingOrder | null;
		/** The stations it goes to; all of them when empty. */
		only?: readonly string[];
		/** Where it was begun from, and goes back to: a page of the job. */
		back?: string | null;
	}
	let { quantity, gauges, settingOrder = null, only = [], back = null }: Props = $props();
	const store = getJobStore();
	const bench = getBench();
	const round = new Round(
		untrack(() => quantity),
		store,
		bench,
		untrack(() => ({ stops: settingOrder ? stopsOf(store.job, settingOrder) : [], only }))
	);
	const words = $derived(ROUND_WORDS[quantity]);
	useKeys([
		{ keys: ['Enter'], does: 'save the reading, next valve' },
		{ keys: ['Backspace'], does: 'on an empty field: back one station' },
		{ keys: ['+'], does: 'skip this station' },
		{ keys: ['Esc'], does: 'to the sheet' }
	]);

	const device = new Device((readings) => round.hear(readings));
	/** Whether the gauge in hand sends; else figures are typed. */
	let sends = $state(false);

	// The page as it stands is kept for a reload while the server is away, and again after each figure.
	$effect(() => {
		void store.job.readings.length;
		const settled = setTimeout(() => void fetch(location.href).catch(() => undefined), 1200);
		return () => clearTimeout(settled);
	});

	function begin({ parts, engine, lash, gauge, repeats, link }: RoundBegun) {
		round.engine = engine;
		round.lash = lash;
		round.gauge = gauge;
		round.repeats = repeats;
		round.begin(parts);
		sends = link !== null;
		if (link) device.listen(link);
		else device.leave();
	}

	function leave(event: KeyboardEvent) {
		if (event.key === 'Escape') void goto(`/jobs/${store.job.id}?at=${round.entry.label}`);
	}
</script>

<svelte:head><title>{words.title} · {store.job.number} · Zinc Ledger</title></svelte:head>
<svelte:window onkeydown={leave} />

<div class="flex-none px-4 pt-1 tablet:pt-3">
	<HeadPlan
		job={store.job}
		stations={store.sheet.stations}
		measured={quantity}
		selected={round.parts && !round.finished ? round.entry.label : null}
		onselect={(label) => round.parts && round.goTo(label)}
	/>
</div>

<div
	class="grid min-h-0 flex-1 content-start gap-x-8 gap-y-4 px-4 py-2 bench:grid-cols-[minmax(0,1fr)_20rem] bench:content-stretch bench:overflow-auto bench:px-6 bench:py-4"
>
	<div>
		<h1 class="text-[15px] font-semibold text-soft">
			<HelpName topic={HELP_OF[quantity]} name={words.title} />
		</h1>
		{#if !bench.person}
			<PickOperator people={store.job.people} />
		{:else if !round.parts}
			<div class="mt-4"><RoundStart {quantity} {gauges} onbegin={begin} /></div>
			{#if (LISTED as readonly Quantity[]).includes(quantity)}
				<p class="mt-4 text-[13px]">
					Read already, and written down?
					<a class="underline" href="/jobs/{store.job.id}/list?of={quantity}">Paste the list</a>
				</p>
			{/if}
		{:else if round.finished}
			<RoundDone {quantity} {round} {back} />
		{:else}
			<RoundEntry {quantity} {round} locator={round.parts.locator} />
			<RoundLast {quantity} {round} />
		{/if}
	</div>

	{#if round.parts}
		<RoundAside {quantity} {round} device={sends ? device : null} />
	{/if}
</div>
