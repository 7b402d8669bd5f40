<script lang="ts">
	/** What is in place is asked once, and kept with every reading of the round. */
	import { untrack } from 'svelte';
	import { v7 as uuid } from 'uuid';
	import {
		gaugeInHand,
		lashNotFound,
		lengthOf,
		readAs,
		readEntry,
		message,
		readMeasured,
		type Quantity
	} from '@zinc-ledger/core';
	import type { KnownGauge } from '$lib/parts/gauges/known';
	import { tell } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import InPlace, { isUnanswered, type InPlaceAnswers } from './InPlace.svelte';
	import type { RoundBegun } from './round.svelte';
	import { gaugeResolution, GAUGES_FOR, ROUND_WORDS } from './words';
	import Button from '$lib/ui/Button.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';

	interface Props {
		quantity: Quantity;
		gauges: readonly KnownGauge[];
		onbegin: (begun: RoundBegun) => void;
		/** What keeps a list that was typed elsewhere; null for a round with the gauge in hand. */
		list?: string | null;
	}
	let { quantity, gauges, onbegin, list = null }: Props = $props();
	const store = getJobStore();
	const bench = getBench();
	const words = $derived(ROUND_WORDS[quantity]);

	let answers = $state<InPlaceAnswers>({
		locator: null,
		shims: false,
		sealHome: null,
		isGround: true,
		lashCap: true,
		engine: 'cold',
		as: untrack(() => (lashNotFound(store.job).open.length > 0 ? 'found' : 'set')),
		marked: false
	});
	/** Valves of a head that came back whose lash must not be turned before it was read, or somebody said why. */
	const unread = $derived(quantity === 'lash' ? lashNotFound(store.job).open : []);
	let why = $state('');
	let whyProblem = $state<string | undefined>();
	const asksWhy = $derived(unread.length > 0 && answers.as === 'set');

	/** Keeps why lash is set without having been read. @returns whether it is kept */
	async function keptWhy(): Promise<boolean> {
		if (!asksWhy) return true;
		const text = why.trim();
		const problem =
			text === ''
				? tell(message('lash.reason-missing'))
				: await store.append('notes', bench.person, {
						id: uuid(),
						text,
						about: 'lash-not-found',
						private: false,
						blocksSignOff: false,
						at: new Date().toISOString()
					});
		whyProblem = problem ?? undefined;
		return problem === null;
	}

	let asked = $state(false);
	const kinds = $derived(Object.values(store.job.setup.kinds));
	const anyGround = $derived(
		kinds.some(({ retainer }) => retainer && lengthOf(retainer.groundOff) > 0)
	);
	const anyCap = $derived(kinds.some((kind) => kind.lashCap));
	let recess = $state('0');
	let gauge = $derived(words.gauge);
	let resolution = $derived(gaugeResolution(quantity, bench.units));
	const fitting = $derived(
		gauges.filter(({ gauge: known }) => GAUGES_FOR[quantity].includes(known.type))
	);
	/** A gauge of the shop, by its id; empty when another is named. */
	let known = $state('');
	const inHand = $derived(fitting.find((one) => one.gauge.id === known));
	let repeats = $derived(quantity === 'installed-height' ? '2' : '1');

	const recessRead = $derived(readEntry(recess, bench.units.length));
	const resolutionRead = $derived(readMeasured(resolution, readAs(quantity), bench.units));
	const gaugeProblem = $derived(gauge.trim() === '' ? 'Name the gauge.' : undefined);
	async function begin(event: SubmitEvent) {
		event.preventDefault();
		const { locator, shims, sealHome, isGround, lashCap, engine, as, marked } = answers;
		asked = isUnanswered(quantity, answers);
		if (asked || !recessRead.ok || !resolutionRead.ok || gaugeProblem) return;
		if (!(await keptWhy())) return;
		onbegin({
			parts: {
				locator: locator !== 'no',
				shims,
				recess: recessRead.text,
				sealHome: sealHome !== 'no',
				...(anyGround && { isGround }),
				...(anyCap && { lashCap })
			},
			engine,
			lash: { as, marked: as === 'set' && marked },
			gauge: inHand
				? gaugeInHand(
						inHand.gauge,
						inHand.checks,
						readAs(quantity) === 'load' ? 'load' : 'length',
						inHand.repeats?.[quantity] ?? null
					)
				: { name: gauge.trim(), resolution: resolutionRead.text, correction: '0 mm' },
			repeats: Number(repeats),
			link: inHand?.gauge.link ? inHand.gauge.id : null
		});
	}
</script>

<form class="max-w-2xl" onsubmit={begin}>
	<h2 class="text-xl font-semibold">
		{list ? 'What was in place, and what was read with' : 'Setup for this round'}
	</h2>
	<p class="mt-1 text-soft">
		Asked once; saved with every reading of this {list ? 'list' : 'round'}.
	</p>
	<InPlace {quantity} bind:answers {asked} {anyGround} {anyCap} />
	{#if asksWhy}
		<div class="mt-3">
			<Alert>
				Nobody read the lash of {unread.length === store.job.stations.length
					? 'any valve'
					: unread.join(' ')} as found. Once an adjuster is turned, nobody can tell what moved.
			</Alert>
			<TextField
				label="Why it is not read as found"
				hint="came off the engine, turned by the customer …"
				problem={whyProblem}
				bind:value={why}
			/>
		</div>
	{/if}
	<div class="mt-4 grid grid-cols-3 gap-4">
		{#if !list}
			<SelectField
				label="Readings per valve"
				options={[
					{ value: '1', label: '1' },
					{ value: '2', label: '2 (+1 if they disagree)' },
					{ value: '3', label: '3' }
				]}
				bind:value={repeats}
			/>
		{/if}
		{#if fitting.length > 0}
			<SelectField
				label="Shop gauge"
				hint={inHand?.gauge.link ? 'sends: its button saves the reading' : undefined}
				options={[
					{ value: '', label: 'Other' },
					...fitting.map(({ gauge: one }) => ({ value: one.id, label: one.name }))
				]}
				bind:value={known}
			/>
		{/if}
		{#if !inHand}
			<TextField label="Gauge" problem={gaugeProblem} bind:value={gauge} />
			<TextField
				label="Resolution"
				problem={resolutionRead.ok ? undefined : resolutionRead.problem}
				hint={resolutionRead.ok ? resolutionRead.text : undefined}
				inputmode="decimal"
				bind:value={resolution}
				figure
			/>
		{/if}
		{#if quantity === 'installed-height'}
			<TextField
				label="Retainer recess in gauge"
				problem={recessRead.ok ? undefined : recessRead.problem}
				hint={recessRead.ok ? recessRead.text : undefined}
				inputmode="decimal"
				bind:value={recess}
				figure
			/>
		{/if}
	</div>
	{#if !list}<p class="caution mt-5">{words.caution}</p>{/if}
	<Button autofocus={!list} look="main" class="mt-5">{list ?? 'Start'}</Button>
</form>
