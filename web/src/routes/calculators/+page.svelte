<script lang="ts">
	/** Calculators, one at a time: a line of figures, answered at once, no job and no server needed. */
	import { replaceState } from '$app/navigation';
	import { page } from '$app/state';
	import { onMount, untrack } from 'svelte';
	import { CALCULATORS } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import { jobAddress, parsed, type Typed } from '$lib/calculators/line';
	import CalculatorRow from '$lib/calculators/CalculatorRow.svelte';
	import { label } from '@zinc-ledger/words';
	import Button from '$lib/ui/Button.svelte';
	import Combobox from '$lib/ui/Combobox.svelte';
	import { recentlyUsed } from '$lib/ui/options';
	import { capital } from '$lib/ui/words';

	useKeys([{ keys: ['Tab'], does: 'next figure' }]);
	const bench = getBench();
	/** So long nothing more is typed before the address says it. */
	const SETTLED = 250;
	let typed = $state.raw<Typed>(untrack(() => Object.fromEntries(page.url.searchParams)) as Typed);
	let settled: ReturnType<typeof setTimeout>;

	// A page that was kept without what stands in its address takes it from there.
	onMount(() => {
		typed = Object.fromEntries(new URL(location.href).searchParams);
		const [begun] = Object.keys(typed);
		const last = begun?.split('.')[0] ?? recentlyUsed('calculator')[0];
		if (CALCULATORS.some(({ code }) => code === last)) chosen = last!;
		return () => clearTimeout(settled);
	});

	function type(place: string, text: string) {
		typed = { ...typed, [place]: text };
		clearTimeout(settled);
		settled = setTimeout(() => {
			const params = new URLSearchParams(parsed(typed, bench.units));
			replaceState(params.size > 0 ? `?${params}` : '/calculators', {});
		}, SETTLED);
	}
	/** A field that is left says how it was understood, and means the same in other units. */
	const settle = () => (typed = { ...typed, ...parsed(typed, bench.units) });
	let chosen = $state<string>(CALCULATORS[0]!.code);
	/** The one that is chosen, after those that stand in the address. */
	const shown = $derived(
		CALCULATORS.filter(
			({ code, fields }) => code === chosen || fields.some(({ key }) => typed[`${code}.${key}`])
		)
	);
</script>

<svelte:head><title>Calculators · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-4 bench:px-8 bench:py-6">
	<div class="flex flex-wrap items-end gap-x-6 gap-y-2 border-b-2 border-ink pb-2">
		<h1 class="text-2xl font-semibold">Calculators</h1>
		<p class="text-soft">
			Figures without a unit are in <span class="figure">{bench.units.length}</span> and
			<span class="figure">{bench.units.load}</span>. The address keeps them.
		</p>
		<span class="ml-auto flex gap-3">
			<Button type="button" onclick={() => ((typed = {}), replaceState('/calculators', {}))}
				>Clear</Button
			>
			<Button look="main" href={jobAddress(typed, bench.units)}>Make it a job</Button>
		</span>
	</div>
	<div class="mt-3 max-w-xl">
		<label for="calculator" class="text-[13px] text-soft">Calculator</label>
		<Combobox
			id="calculator"
			options={CALCULATORS.map(({ code }) => ({
				value: code,
				label: capital(label('calculator', code))
			}))}
			remember="calculator"
			bind:value={chosen}
		/>
	</div>
	<div class="mt-2 max-w-4xl">
		{#each shown as calculator (calculator.code)}
			<CalculatorRow {calculator} {typed} units={bench.units} ontype={type} onleave={settle} />
		{/each}
	</div>
	<p class="caution mt-4">
		What a sum says is as good as what went in: the makers’ instructions and what is measured on the
		head come first.
	</p>
</main>
