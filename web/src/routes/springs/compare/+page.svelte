<script lang="ts">
	/** Two springs beside each other: new and used, card and tested, one kit and another. */
	import { goto, replaceState } from '$app/navigation';
	import { page } from '$app/state';
	import { onMount, untrack } from 'svelte';
	import { readEntry } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import ComparisonChart from '$lib/springs/sets/ComparisonChart.svelte';
	import ComparisonTable from '$lib/springs/sets/ComparisonTable.svelte';
	import { sideOf } from '$lib/springs/sets/compare';
	import Combobox from '$lib/ui/Combobox.svelte';
	import Field from '$lib/ui/Field.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	let { data } = $props();
	const bench = getBench();
	const SIDES = ['a', 'b'] as const;
	const TITLES = { a: 'First spring', b: 'Second spring' } as const;
	const FIGURES = [
		['height', 'Height', 'else the first’s own'],
		['own', 'Second’s height', 'where it has another'],
		['lift', 'Lift', ''],
		['lift2', 'Second lift', 'optional'],
		['step', 'Step', '']
	] as const;
	type Figure = (typeof FIGURES)[number][0];
	const USUAL: Partial<Record<Figure, Record<'in' | 'mm', string>>> = {
		lift: { in: '0.500', mm: '12' },
		step: { in: '0.050', mm: '1' }
	};
	let typed = $state<Record<string, string>>(
		untrack(() => Object.fromEntries(page.url.searchParams))
	);
	const shown = (name: Figure) => typed[name] ?? USUAL[name]?.[bench.units.length] ?? '';
	const read = (name: Figure) => {
		const text = shown(name).trim();
		return text === '' ? null : readEntry(text, bench.units.length);
	};
	const figure = (name: Figure) => {
		const entry = read(name);
		return entry?.ok ? entry.length : null;
	};
	const problem = (name: Figure) => {
		const entry = read(name);
		return entry && !entry.ok ? entry.problem : undefined;
	};
	/** Single springs that stand on a side, each once. */
	const tagged = $derived.by(() => {
		const found = SIDES.flatMap((side) => {
			const of = data[side];
			const value = typed[side] ?? '';
			return of?.type === 'set' && of.tag ? [[value, `${of.set.name} ${of.tag}`] as const] : [];
		});
		return [...new Map(found)].map(([value, label]) => ({ value, label }));
	});
	const options = $derived([
		{ value: '', label: 'none' },
		...data.cards.map(({ id, name }) => ({ value: `card.${id}`, label: `${name}, card` })),
		...data.sets.map(({ id, name, jobNumber }) => ({
			value: `set.${id}`,
			label: jobNumber ? `${name}, median, ${jobNumber}` : `${name}, median`
		})),
		...tagged
	]);
	const a = $derived(data.a && sideOf(data.a));
	const b = $derived(data.b && sideOf(data.b));
	const pair = $derived.by(() => {
		if (!a || !b) return null;
		const height = figure('height') ?? a.height;
		return [
			{ ...a, height },
			{ ...b, height: figure('own') ?? height }
		] as const;
	});
	const lifts = $derived(
		[figure('lift'), figure('lift2')].flatMap((one) => (one !== null && one > 0 ? [one] : []))
	);

	const address = () => {
		const entered = Object.entries(typed).filter(([, text]) => text.trim() !== '');
		return entered.length > 0 ? `?${new URLSearchParams(entered)}` : page.url.pathname;
	};
	function choose(side: 'a' | 'b', code: string) {
		typed[side] = code;
		void goto(address(), { replaceState: true, keepFocus: true, noScroll: true });
	}
	function type(name: Figure, text: string) {
		typed[name] = text;
		clearTimeout(settled);
		settled = setTimeout(() => replaceState(address(), {}), SETTLED);
	}
	/** So long nothing more is typed before the address says it. */
	const SETTLED = 250;
	let settled: ReturnType<typeof setTimeout>;
	onMount(() => () => clearTimeout(settled));
</script>

<svelte:head><title>Compare springs · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-4 bench:px-8 bench:py-6">
	<div class="flex flex-wrap items-end gap-x-6 border-b-2 border-ink pb-2">
		<h1 class="text-2xl font-semibold">Compare springs</h1>
		<p class="text-soft">At one height, or each at the same lift from its own. Never otherwise.</p>
		<a class="ml-auto flex min-h-11 items-center underline bench:min-h-9" href="/springs"
			>Spring sets</a
		>
	</div>
	<div class="mt-3 grid gap-3 tablet:grid-cols-2">
		{#each SIDES as side (side)}
			<Field
				label={TITLES[side]}
				problem={typed[side] && !data[side]
					? 'There is no such spring.'
					: data[side] && !(side === 'a' ? a : b)
						? 'None of this set is tested.'
						: undefined}
			>
				{#snippet control(attributes)}
					<Combobox
						{options}
						bind:value={() => typed[side] ?? '', (code) => choose(side, code)}
						placeholder="card or set"
						{...attributes}
					/>
				{/snippet}
			</Field>
		{/each}
	</div>
	<div class="mt-3 grid grid-cols-2 gap-3 tablet:grid-cols-5">
		{#each FIGURES as [name, title, hint] (name)}
			<TextField
				label={title}
				figure
				{hint}
				problem={problem(name)}
				bind:value={() => shown(name), (text) => type(name, text)}
			/>
		{/each}
	</div>
	{#if pair && lifts.length > 0}
		<div class="mt-4 grid gap-x-8 gap-y-4 bench:grid-cols-2">
			<ComparisonTable {pair} {lifts} step={figure('step')} />
			<ComparisonChart {pair} lift={Math.max(...lifts)} />
		</div>
	{:else}
		<p class="mt-6 text-soft">Choose two springs and a lift.</p>
	{/if}
</main>
