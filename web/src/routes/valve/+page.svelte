<script lang="ts">
	/** One valve on one screen: spring, lift and height in, loads, clearances, shim and verdict out. */
	import { replaceState } from '$app/navigation';
	import { page } from '$app/state';
	import { onMount, untrack } from 'svelte';
	import { MediaQuery } from 'svelte/reactivity';
	import { gaugeInHand, KINDS, type OneValve } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import Answer from '$lib/calculators/one-valve/Answer.svelte';
	import {
		addressOf,
		answerOf,
		FIELD_NAMES,
		fromAddress,
		readTexts,
		SPRING_FIELDS,
		valveOf,
		type Chosen,
		type Field,
		type Texts
	} from '$lib/calculators/one-valve/entries';
	import { GAUGES_FOR } from '$lib/job/round/words';
	import { useKeys } from '$lib/keys/keys.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Combobox from '$lib/ui/Combobox.svelte';
	import NumberPad from '$lib/ui/NumberPad.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import ToggleGroup from '$lib/ui/ToggleGroup.svelte';
	import { capital } from '$lib/ui/words';

	let { data, form } = $props();
	useKeys([{ keys: ['Enter'], does: 'next figure' }]);
	const bench = getBench();
	const SETTLED = 250;
	const MAX = 14;

	const begun = fromAddress(untrack(() => page.url.searchParams));
	let typed = $state.raw<Texts>(begun.typed);
	let chosen = $state.raw<Chosen>(begun.chosen);
	let settled: ReturnType<typeof setTimeout>;
	// A page that was kept without what stands in its address takes it from there.
	onMount(() => {
		({ typed, chosen } = fromAddress(new URL(location.href).searchParams));
		return () => clearTimeout(settled);
	});
	function keepAddress() {
		clearTimeout(settled);
		settled = setTimeout(() => replaceState(addressOf(typed, chosen, bench.units), {}), SETTLED);
	}
	function type(field: Field, text: string) {
		typed = { ...typed, [field]: text };
		keepAddress();
	}
	function choose(more: Partial<Chosen>) {
		chosen = { ...chosen, ...more };
		keepAddress();
	}

	const gauges = $derived(
		data.gauges.filter(({ gauge }) => GAUGES_FOR['installed-height'].includes(gauge.type))
	);
	/** Read here with the shop's first gauge, unless another is chosen. */
	const gaugeId = $derived(chosen.gauge || (gauges[0]?.gauge.id ?? 'phone'));
	const gauge = $derived.by((): OneValve['gauge'] => {
		const known = gauges.find((one) => one.gauge.id === gaugeId);
		if (!known) return null;
		return gaugeInHand(
			known.gauge,
			known.checks,
			'length',
			known.repeats?.['installed-height'] ?? null
		);
	});
	const read = $derived(readTexts(typed, bench.units));
	const valve = $derived(valveOf(chosen, read.texts, data.springs, gauge));
	const answer = $derived(answerOf(valve, data.setup, data.shims));
	const springs = $derived([
		{ value: 'figures', label: 'Two loads and coil bind' },
		...data.springs.map(({ id, name }) => ({ value: id, label: name }))
	]);
	const kinds = KINDS.map((value) => ({ value, label: capital(label('kind', value)) }));
	const fields = $derived<readonly Field[]>([
		...(chosen.spring === 'figures' ? SPRING_FIELDS : []),
		'lift',
		'height',
		'gap'
	]);
	const unitOf = (field: Field) => (field.endsWith('Load') ? bench.units.load : bench.units.length);

	/** A finger types on the page's own keys, and no keyboard of the system opens. */
	const touch = new MediaQuery('(pointer: coarse) or (width < 40rem)');
	let active = $state<Field>(begun.chosen.spring === 'figures' ? 'seatHeight' : 'lift');
	let inputs = $state<Partial<Record<Field, HTMLInputElement>>>({});
	function next() {
		const i = fields.indexOf(active);
		const to = fields[(i + 1) % fields.length]!;
		inputs[to]?.focus();
	}
	/** A figure that is left stands as it was understood. */
	function settle(field: Field) {
		const text = read.texts[field];
		if (text) type(field, text);
	}
</script>

<svelte:head><title>One valve · Zinc Ledger</title></svelte:head>

<main
	id="main"
	class="flex h-[calc(100dvh-2.75rem)] min-h-0 flex-none flex-col bg-paper bench:h-auto bench:flex-1"
>
	<div class="min-h-0 flex-1 overflow-auto px-4 py-3 bench:px-8 bench:py-5">
		<div class="flex flex-wrap items-center gap-x-6 gap-y-1 border-b-2 border-ink pb-2">
			<h1 class="text-xl font-semibold tablet:text-2xl">One valve</h1>
			<ToggleGroup
				label="Kind of valve"
				options={kinds}
				bind:value={() => chosen.kind, (to) => choose({ kind: to })}
			/>
			<Button
				type="button"
				look="quiet"
				class="ml-auto"
				onclick={() => {
					typed = {};
					chosen = { spring: '', kind: 'intake', gauge: chosen.gauge };
					keepAddress();
				}}>Clear</Button
			>
		</div>
		<div class="mt-2 grid gap-x-10 gap-y-3 bench:grid-cols-[24rem_minmax(0,1fr)]">
			<form
				class="grid content-start gap-2"
				onsubmit={(event) => {
					event.preventDefault();
					next();
				}}
			>
				<div>
					<label for="spring" class="text-[13px] text-soft">Spring</label>
					<Combobox
						id="spring"
						options={springs}
						remember="spring"
						placeholder="Find it in the library"
						bind:value={() => chosen.spring, (to) => choose({ spring: to })}
					/>
				</div>
				<div class="grid grid-cols-2 gap-x-3 gap-y-2 tablet:grid-cols-3 bench:grid-cols-2">
					{#each fields as field (field)}
						<TextField
							label="{FIELD_NAMES[field]}, {unitOf(field)}"
							figure
							inputmode={touch.current ? 'none' : 'decimal'}
							autocomplete="off"
							problem={read.problems[field]}
							bind:element={() => inputs[field], (to) => (inputs[field] = to)}
							onfocus={() => (active = field)}
							onblur={() => settle(field)}
							bind:value={() => typed[field] ?? '', (text) => type(field, text)}
						/>
					{/each}
					<SelectField
						label="Height read with"
						options={[
							...gauges.map(({ gauge: { id, name } }) => ({ value: id, label: name })),
							{ value: 'phone', label: 'Told by phone' }
						]}
						bind:value={() => gaugeId, (to) => choose({ gauge: to })}
					/>
				</div>
			</form>
			<Answer {answer} {valve} problem={form?.message ?? null} isTouch={touch.current} />
		</div>
	</div>
	{#if touch.current}
		<div class="flex-none">
			<NumberPad
				ontype={(sign) => {
					const text = typed[active] ?? '';
					if (text.length < MAX) type(active, text + sign);
				}}
				onerase={() => type(active, (typed[active] ?? '').slice(0, -1))}
				eraseLabel="Erase"
				side={{ label: '/', press: () => type(active, `${typed[active] ?? ''}/`) }}
				main={{ label: 'Next', press: next }}
			/>
		</div>
	{/if}
</main>
