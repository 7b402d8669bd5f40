<script lang="ts">
	/** What the sweep says of its spring once the lever is up. */
	import { identify, type SpringCard, type SweepFigures } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import Key from '$lib/ui/Key.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import Matches from '$lib/springs/sets/Matches.svelte';
	import type { SpringTest } from './spring-test.svelte';
	import Button from '$lib/ui/Button.svelte';

	interface Props {
		test: SpringTest;
		figures: SweepFigures;
		/** What it may be. */
		cards: readonly SpringCard[];
	}
	let { test, figures, cards }: Props = $props();
	const { length, load } = getBench();
	const { bind, curve } = $derived(figures);
	const matches = $derived(curve ? identify({ curve, bind }, cards).slice(0, 2) : []);
	const shown = $derived([
		['Seat', load(figures.seat)],
		['Open', load(figures.open)],
		['Bind', bind.type === 'bind' ? length(bind.height) : label('noBind', bind.why)],
		['Energy', figures.energy === null ? '·' : `${figures.energy.toFixed(1)} J`]
	] as const);
</script>

<dl class="mt-2 flex flex-wrap gap-x-8 border-t border-rule pt-2">
	{#each shown as [name, text] (name)}
		<div>
			<dt class="text-[13px] text-soft">{name}</dt>
			<dd class="figure text-2xl">{text}</dd>
		</div>
	{/each}
</dl>
{#if bind.type === 'bind' && bind.stackPoints < 3}
	<p class="mt-1">
		<Mark state="watch" word /> Only {bind.stackPoints} points past coil bind: take at least 3
	</p>
{/if}
<p class="mt-3 flex flex-wrap gap-3">
	<Button onclick={() => test.keep()} look="main">Save <Key>Enter</Key></Button>
	<Button onclick={() => test.capture.again()}>
		Retest {test.tag}
		<Key>r</Key>
	</Button>
</p>
{#if matches.length > 0}
	<div class="max-w-md text-[13px]"><Matches {matches} /></div>
{/if}
