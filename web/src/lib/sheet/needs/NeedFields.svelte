<script lang="ts">
	/** The very fields that something is wanted in, of each kind of valve that wants it. */
	import { untrack } from 'svelte';
	import type { Kind, Need, Setup } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import FormField from '$lib/forms/FormField.svelte';
	import { focusField } from '$lib/forms/focus';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { isShown } from '$lib/job/setup/values';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import { capital } from '$lib/ui/words';
	import { placeOfNeed } from './needs';
	import { askedFor, setupWith } from './fields';

	interface Props {
		need: Need;
		kinds: readonly Kind[];
		ondone: () => void;
	}
	let { need, kinds, ondone }: Props = $props();
	const store = getJobStore();
	const bench = getBench();
	const asked = untrack(() => askedFor(need, kinds, store.job));
	let values = $state({ ...asked.values });
	let problem = $state<string | null>(null);

	async function save(event: SubmitEvent) {
		event.preventDefault();
		const setup = setupWith(values, asked, store.job.setup, bench.units) as Setup;
		problem = await store.changeSetup(setup);
		if (problem === null) ondone();
		else await store.refresh();
	}
</script>

<form onsubmit={save} {@attach (form) => focusField(form, asked.first)}>
	{#each asked.groups as { kind, part, fields } (kind)}
		{#if kind}
			<h3 class="mt-4 border-b border-ink pb-1 font-semibold">
				{capital(label('kind', kind))}{part ? `: ${part}` : ''}
			</h3>
		{/if}
		{#each fields.filter((field) => isShown(field, values)) as field (field.path)}
			<div class="mt-2">
				<span class="text-[13px] text-soft">{field.label}</span>
				<FormField
					{field}
					path={field.path}
					label="{kind ? `${kind}: ` : ''}{field.label}"
					bind:value={() => values[field.path] ?? '', (text) => (values[field.path] = text)}
				/>
			</div>
		{/each}
	{/each}
	<Alert {problem} class="mt-3" />
	<p class="mt-4 flex flex-wrap items-center gap-3">
		<Button look="main">Save</Button>
		<a class="underline" href={placeOfNeed(need, kinds[0]!, store.job)}>
			{asked.ofPart ? 'The part in the library' : 'All of the setup'}
		</a>
	</p>
	{#if asked.ofPart}
		<p class="mt-2 text-[13px] text-soft">Holds for this job; the library’s part stays as it is.</p>
	{/if}
</form>
