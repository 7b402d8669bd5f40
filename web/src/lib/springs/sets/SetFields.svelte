<script lang="ts">
	/** What is said of a set of springs: its card, or how they are wound, and where they work. */
	import { SPRING_BUILDS, type LibraryPart } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import Combobox from '$lib/ui/Combobox.svelte';
	import Field from '$lib/ui/Field.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { capital } from '$lib/ui/words';

	interface Props {
		cards: readonly LibraryPart[];
		/** By name, as text. */
		values: Readonly<Record<string, string>>;
		problems: Readonly<Record<string, string>>;
		/** A new set says how many springs it has. */
		counts?: boolean;
	}
	let { cards, values, problems, counts = false }: Props = $props();
	let card = $derived(values.card ?? '');
	let build = $derived(values.build ?? '');
	const chosen = $derived(cards.find(({ part }) => part.id === card));
	const known = $derived(
		chosen?.type === 'spring' && chosen.part.build !== undefined ? chosen.part.build : null
	);
	const FIGURES = [
		['count', 'How many springs'],
		['job', 'For job number'],
		['seat', 'Nominal height'],
		['lift', 'Lift']
	] as const;
	const hints: Partial<Record<(typeof FIGURES)[number][0], string>> = {
		job: 'optional',
		seat: 'else the card’s',
		lift: 'else the card’s'
	};
</script>

<TextField
	label="Name"
	problem={problems.name}
	name="name"
	value={values.name ?? ''}
	hint={counts ? 'else the card and the day' : undefined}
/>
<Field label="Card">
	{#snippet control(attributes)}
		<Combobox
			name="card"
			remember="spring"
			options={[
				{ value: '', label: 'not known yet' },
				...cards
					.filter(({ retired, part }) => !retired || part.id === values.card)
					.map(({ part }) => ({ value: part.id, label: part.name }))
			]}
			bind:value={card}
			{...attributes}
		/>
	{/snippet}
</Field>
{#if known === null}
	<SelectField
		label="Build"
		name="build"
		options={[
			{ value: '', label: 'not known' },
			...SPRING_BUILDS.map((one) => ({ value: one, label: capital(label('springBuild', one)) }))
		]}
		bind:value={build}
		hint="bind is looked for by it"
		problem={problems.build}
	/>
{/if}
<div class="grid grid-cols-2 gap-3">
	{#each FIGURES.filter(([name]) => counts || name !== 'count') as [name, title] (name)}
		<TextField
			label={title}
			problem={problems[name]}
			hint={hints[name]}
			{name}
			value={values[name] ?? (name === 'count' ? '12' : '')}
			figure
		/>
	{/each}
</div>
