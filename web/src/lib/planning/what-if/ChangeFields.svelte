<script lang="ts">
	/** What might be otherwise: spring, retainer, lift and method of each kind, and the floors. */
	import { KINDS, readEntry, TARGET_METHODS, type Kind, type LibraryPart } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { capital } from '$lib/ui/words';
	import type { Change } from './changes';
	import SelectField from '$lib/ui/SelectField.svelte';
	import Combobox from '$lib/ui/Combobox.svelte';
	import Field from '$lib/ui/Field.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	interface Props {
		changes: Record<Kind, Change>;
		floors: { bindFloor: string; sealFloor: string };
		springs: readonly LibraryPart<'spring'>[];
		retainers: readonly LibraryPart<'retainer'>[];
	}
	let { changes = $bindable(), floors = $bindable(), springs, retainers }: Props = $props();
	const store = getJobStore();
	const bench = getBench();
	const { length } = bench;
	const wrong = (text: string) => {
		const entry = text.trim() === '' ? null : readEntry(text, bench.units.length);
		return entry && !entry.ok ? entry.problem : undefined;
	};
</script>

{#snippet part(
	kind: Kind,
	place: 'spring' | 'retainer',
	all: readonly LibraryPart<'spring' | 'retainer'>[]
)}
	<Field label="{capital(label('kind', kind))} {label('part', place)}">
		{#snippet control(attributes)}
			<Combobox
				remember={place}
				options={[
					{
						value: '',
						label: `unchanged: ${store.job.setup.kinds[kind][place]?.name ?? 'none'}`
					},
					...all.map(({ part }) => ({ value: part.id!, label: part.name }))
				]}
				bind:value={changes[kind][place]}
				{...attributes}
			/>
		{/snippet}
	</Field>
{/snippet}

<div class="mt-3 grid gap-x-6 gap-y-3 border-t-2 border-ink pt-3 bench:grid-cols-3">
	{#each KINDS as kind (kind)}
		<fieldset class="space-y-3">
			<legend class="font-semibold">{capital(label('kind', kind))}s</legend>
			{@render part(kind, 'spring', springs)}
			{@render part(kind, 'retainer', retainers)}
			<TextField
				label="{capital(label('kind', kind))} valve lift"
				problem={wrong(changes[kind].lift)}
				hint="now {length(store.sheet.kinds[kind].lift?.gross)}"
				inputmode="decimal"
				bind:value={changes[kind].lift}
				figure
			/>
			<SelectField
				label="{capital(label('kind', kind))} target method"
				options={[
					{
						value: '',
						label: `unchanged: ${label('targetMethod', store.job.setup.kinds[kind].aim.method)}`
					},
					...TARGET_METHODS.map((method) => ({
						value: method,
						label: label('targetMethod', method)
					}))
				]}
				bind:value={changes[kind].method}
			/>
		</fieldset>
	{/each}
	<fieldset class="space-y-3">
		<legend class="font-semibold">Minimums</legend>
		{#each [['bindFloor', 'Min bind margin'], ['sealFloor', 'Min seal clearance']] as const as [key, name] (key)}
			<TextField
				label={name}
				problem={wrong(floors[key])}
				hint="now {store.job.setup.limits[key]}"
				inputmode="decimal"
				bind:value={floors[key]}
				figure
			/>
		{/each}
	</fieldset>
</div>
