<script lang="ts">
	/** The diagnosis of a complaint: what is found, what to do about it, and the next check. */
	import { v7 as uuid } from 'uuid';
	import {
		CHECKS,
		diagnoseJob,
		newestLooks,
		sinceOf,
		visitComparison,
		type CheckCode
	} from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import Answer from '$lib/visits/diagnosis/Answer.svelte';
	import Causes from '$lib/visits/diagnosis/Causes.svelte';
	import CloseCase from '$lib/visits/diagnosis/CloseCase.svelte';
	import Checks from '$lib/visits/diagnosis/Checks.svelte';
	import LookForm from '$lib/visits/diagnosis/LookForm.svelte';
	import Trials from '$lib/visits/diagnosis/Trials.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import SeenPhotos from '$lib/visits/diagnosis/SeenPhotos.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Disclosure from '$lib/ui/Disclosure.svelte';
	import { capital } from '$lib/ui/words';
	import { pageOfCheck } from '$lib/visits/diagnosis/checks';
	import { readSince, sinceTexts, type SinceField } from '$lib/visits/comparison/since';
	import SinceFields from '$lib/visits/comparison/SinceFields.svelte';

	let { data } = $props();
	const store = getJobStore();
	const bench = getBench();
	useKeys([]);
	const beside = $derived(data.then ? visitComparison(data.then.signed, store.job) : []);
	const lifeUsed = $derived(
		new Map(data.life.flatMap(({ station, used }) => (used === null ? [] : [[station, used]])))
	);
	const diagnosis = $derived(
		diagnoseJob(store.job, store.sheet, {
			comparison: beside,
			likelihoods: data.likelihoods,
			lifeUsed
		})
	);
	const since = $derived(sinceOf(store.job));
	const looks = $derived(newestLooks(store.job));
	const next = $derived(diagnosis?.next?.check ?? null);
	let chosen = $state<CheckCode | null>(null);
	const shown = $derived(chosen ?? next);

	let values = $state(sinceTexts(null));
	let problems = $state<Partial<Record<SinceField, string>>>({});
	let problem = $state<string | null>(null);
	let telling = $state(false);
	async function keepSince(event: SubmitEvent) {
		event.preventDefault();
		const read = readSince(values);
		problems = read.ok ? {} : read.problems;
		if (!read.ok) return;
		const entry = { id: uuid(), ...read.since, at: new Date().toISOString() };
		problem = await store.append('since', bench.person, entry);
		if (problem === null) telling = false;
	}
	function startTelling() {
		values = sinceTexts(since);
		telling = true;
	}
</script>

<svelte:head><title>Diagnosis · {store.job.number} · Zinc Ledger</title></svelte:head>

{#snippet lookAt(check: CheckCode)}
	<section class="mt-3" aria-label="Next check">
		<h2 class="flex items-baseline gap-3 border-b border-ink pb-1 font-semibold">
			{capital(label('check', check))}
			<span class="figure text-[13px] text-soft">about {CHECKS[check]} min</span>
			{#if pageOfCheck(check, store.job)}
				<a class="ml-auto text-[13px] underline" href={pageOfCheck(check, store.job)}>
					Enter figures
				</a>
			{/if}
		</h2>
		{#key check}
			<LookForm {check} before={looks.get(check)} onkept={() => (chosen = null)} />
		{/key}
	</section>
{/snippet}

<div class="min-h-0 flex-1 overflow-auto px-4 py-4 bench:px-6">
	<div class="flex flex-wrap items-center gap-x-4 gap-y-2 border-b-2 border-ink pb-2">
		<h1 class="text-xl font-semibold">Diagnosis</h1>
		<span class="text-soft">
			{since?.complaint
				? capital(label('complaint', since.complaint))
				: 'No complaint recorded'}{since?.noticed ? `: “${since.noticed}”` : ''}
		</span>
		{#if !telling}
			<Button class="ml-auto" onclick={startTelling}>
				{since ? 'Change' : 'Enter the complaint'}
			</Button>
		{/if}
	</div>
	{#if telling}
		<form class="mt-3 max-w-4xl" onsubmit={keepSince} aria-label="What happened since">
			<SinceFields bind:values {problems} />
			<div class="mt-3 flex gap-3">
				<Button look="main">Save</Button>
				<Button type="button" onclick={() => (telling = false)}>Cancel</Button>
			</div>
			<Alert problem={problem && capital(problem)} />
		</form>
	{/if}
	{#if diagnosis}
		<div
			class="mt-3 grid gap-x-10 gap-y-4 bench:grid-cols-[minmax(0,1fr)_24rem] bench:grid-rows-[auto_1fr]"
		>
			<div>
				<Answer {diagnosis} />
				{#if shown}{@render lookAt(shown)}{/if}
			</div>
			<div class="bench:col-start-2 bench:row-span-2 bench:row-start-1">
				<Causes {diagnosis} />
			</div>
			<div>
				<Disclosure title="All checks">
					<Checks done={diagnosis.done} onchoose={(check) => (chosen = check)} />
				</Disclosure>
				<Trials stops={diagnosis.stops} />
				<CloseCase named={diagnosis.named.map(({ cause }) => cause)} />
				<SeenPhotos looks={looks.values()} photos={data.photos} />
			</div>
		</div>
	{:else if !telling}
		<p class="mt-3 max-w-2xl text-soft">
			Enter the customer’s complaint first. Checks done before that are saved and count later.
		</p>
		{#if chosen}<div class="max-w-3xl">{@render lookAt(chosen)}</div>{/if}
		<div class="mt-4 max-w-3xl">
			<Checks done={[]} onchoose={(check) => (chosen = check)} />
		</div>
	{/if}
</div>
