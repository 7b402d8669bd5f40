<script lang="ts">
	/** How the valves of the engine lie, field by field, for one that is none of the known. */
	import { ARRANGEMENTS, CASTINGS, FIRST_VALVES, NUMBERINGS, PAIRINGS } from '@zinc-ledger/core';
	import { labelsOf, type Labels } from '@zinc-ledger/words';
	import SelectField from '$lib/ui/SelectField.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { HEADS_HERE, type TakeIn } from './take-in';

	interface Props {
		form: TakeIn;
		problems: Readonly<Partial<Record<keyof TakeIn, string>>>;
		/** Whether it is asked which heads came in: of a job, not of a template. */
		here?: boolean;
	}
	let { form = $bindable(), problems, here = false }: Props = $props();
	const twoHeads = $derived(form.arrangement !== 'inline');
	const PAIRING_WORDS = { mirrored: 'I E · E I · I E', alternating: 'I E · I E · I E' };
	const NUMBERING_WORDS = {
		'bank-by-bank': '1 2 3 | 4 5 6',
		alternating: '1 3 5 | 2 4 6',
		custom: 'as the maker numbers them'
	};
	const HERE_WORDS = { both: 'both heads', A: 'the left head', B: 'the right head' };
	type Choice =
		| 'headsHere'
		| 'arrangement'
		| 'valvesPerCylinder'
		| 'numbering'
		| 'pairing'
		| 'firstValve'
		| 'rightHead'
		| 'lifters';
</script>

{#snippet select(
	label: string,
	name: Choice,
	choices: readonly string[],
	of: keyof Labels | null,
	words: Record<string, string> = {}
)}
	<SelectField
		{label}
		problem={problems[name]}
		{name}
		options={choices.map((choice) => {
			const called = of ? labelsOf(of)[choice]! : choice;
			const explained = words[choice];
			return {
				value: choice,
				label: explained ? (of ? `${called}: ${explained}` : explained) : called
			};
		})}
		bind:value={() => form[name] as string, (value) => (form[name] = value as never)}
	/>
{/snippet}
{#snippet text(label: string, name: 'cylinders' | 'ownNumbers' | 'firingOrder', hint?: string)}
	<TextField {label} problem={problems[name]} {hint} {name} bind:value={form[name]} figure />
{/snippet}

<div class="grid grid-cols-2 gap-x-5 gap-y-3 bench:grid-cols-4">
	{@render select('Arrangement', 'arrangement', ARRANGEMENTS, 'arrangement')}
	{@render text('Cylinders', 'cylinders')}
	{@render select('Valves per cylinder', 'valvesPerCylinder', ['2', '3', '4', '5'], null)}
	{#if twoHeads || form.numbering === 'custom'}
		{@render select('Cylinders numbered', 'numbering', NUMBERINGS, 'numbering', NUMBERING_WORDS)}
	{/if}
	{#if form.numbering === 'custom'}
		{@render text(
			'Numbers from the left',
			'ownNumbers',
			twoHeads ? 'one head / the other, as 1 3 5 / 2 4 6' : 'as 4 3 2 1'
		)}
	{/if}
	{#if form.valvesPerCylinder === '2'}
		{@render select('Valves along the head', 'pairing', PAIRINGS, 'pairing', PAIRING_WORDS)}
		{@render select('First valve from the left', 'firstValve', FIRST_VALVES, 'kind')}
	{/if}
	{#if twoHeads}
		{@render select('Right-hand head casting', 'rightHead', CASTINGS, 'casting')}
		{#if here}
			{@render select('Heads that came in', 'headsHere', HEADS_HERE, null, HERE_WORDS)}
		{/if}
	{/if}
	{@render text('Firing order', 'firingOrder', 'as 1-5-3-6-2-4; can wait')}
	{@render select('Lifters', 'lifters', ['solid', 'hydraulic'], 'lifters')}
</div>
