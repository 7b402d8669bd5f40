<script lang="ts">
	/** Calculators: one line of figures each, answered at once, no job and no server needed. */
	import { replaceState } from '$app/navigation';
	import { page } from '$app/state';
	import { onMount, untrack } from 'svelte';
	import { CALCULATORS } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import { jobAddress, parsed, type Typed } from '$lib/calculators/line';
	import CalculatorRow from '$lib/calculators/CalculatorRow.svelte';
	import Button from '$lib/ui/Button.svelte';

	useKeys([{ keys: ['Tab'], does: 'next figure' }]);
	const bench = getBench();
	/** So long nothing more is typed before the address says it. */
	const SETTLED = 250;
	let typed = $state.raw<Typed>(untrack(() => Object.fromEntries(page.url.searchParams)) as Typed);
	let settled: ReturnType<typeof setTimeout>;

	// A page that was kept without what stands in its address takes it from there.
	onMount(() => {
		typed = Object.fromEntries(new URL(location.href).searchParams);
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
	const half = Math.ceil(CALCULATORS.length / 2);
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
	<div class="grid gap-x-10 bench:grid-cols-2">
		{#each [CALCULATORS.slice(0, half), CALCULATORS.slice(half)] as column, i (i)}
			<div>
				{#each column as calculator (calculator.code)}
					<CalculatorRow {calculator} {typed} units={bench.units} ontype={type} onleave={settle} />
				{/each}
			</div>
		{/each}
	</div>
	<p class="caution mt-4">
		What a sum says is as good as what went in: the makers’ instructions and what is measured on the
		head come first.
	</p>
</main>
