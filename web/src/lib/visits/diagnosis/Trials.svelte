<script lang="ts">
	/** One change at a time: what was changed, how it was tried, and what that did. */
	import { v7 as uuid } from 'uuid';
	import { CAUSES, message, openTrial, type Cause, type Stop, type Trial } from '@zinc-ledger/core';
	import { labelsOf, tell } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import Table from '$lib/ui/Table.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { capital, moment } from '$lib/ui/words';

	let { stops }: { stops: readonly Stop[] } = $props();
	const store = getJobStore();
	const bench = getBench();
	const results = labelsOf('trialResult');
	const RESULTS = ['gone', 'better', 'same', 'worse'] as const;
	const open = $derived(openTrial(store.job));
	const finished = $derived(store.job.trials.filter(({ result }) => result !== undefined));
	const causes = labelsOf('cause');
	const causeOptions = [
		{ value: '', label: 'None in particular' },
		...CAUSES.map((value) => ({ value: value as string, label: capital(causes[value]!) }))
	];
	let changed = $state('');
	let cause = $state('');
	let tried = $state('');
	let problem = $state<string | null>(null);

	const keep = (entry: Pick<Trial, 'changed' | 'tried'> & Partial<Trial>) =>
		store.append('trials', bench.person, { ...entry, id: uuid(), at: new Date().toISOString() });

	async function begin(event: SubmitEvent) {
		event.preventDefault();
		problem = await keep({
			changed: changed.trim(),
			tried: tried.trim(),
			...(cause !== '' && { cause: cause as Cause })
		});
		if (problem === null) changed = tried = cause = '';
	}
	async function end(result: (typeof RESULTS)[number]) {
		const { id, changed: what, tried: how, cause: addressed } = open!;
		problem = await keep({
			changed: what,
			tried: how,
			of: id,
			result,
			...(addressed && { cause: addressed })
		});
	}
</script>

<section aria-label="Changes tried" class="mt-6">
	<h2 class="border-b border-ink pb-1 font-semibold">Changes tried</h2>
	{#if finished.length > 0}
		<Table class="mt-1 w-full text-left text-[14px]">
			<thead><tr><th>Changed</th><th>Tried how</th><th>Result</th><th>When</th></tr></thead>
			<tbody>
				{#each finished as trial (trial.id)}
					<tr>
						<td>{trial.changed}</td>
						<td>{trial.tried}</td>
						<td class="font-semibold">{results[trial.result!]}</td>
						<td class="text-soft">{store.initials(trial.person)} {moment(trial.at)}</td>
					</tr>
				{/each}
			</tbody>
		</Table>
	{/if}
	{#if open}
		<p class="mt-2">
			Trying: <b>{open.changed}</b>, {open.tried}. What did it do to the fault?
		</p>
		<div class="mt-2 flex flex-wrap gap-2">
			{#each RESULTS as result (result)}
				<Button onclick={() => end(result)}>{capital(results[result]!)}</Button>
			{/each}
		</div>
	{:else if stops.length > 0}
		<p class="mt-2">{tell(message('do-not-run.try-nothing'))}</p>
	{:else}
		<form class="mt-2 flex flex-wrap items-end gap-3" onsubmit={begin}>
			<TextField class="min-w-48 flex-1" label="Changed" bind:value={changed} />
			<TextField class="min-w-48 flex-1" label="Tried how" bind:value={tried} />
			<SelectField label="Addresses" options={causeOptions} bind:value={cause} />
			<Button>Try it</Button>
		</form>
	{/if}
	<Alert class="mt-1" problem={problem && capital(problem)} />
</section>
