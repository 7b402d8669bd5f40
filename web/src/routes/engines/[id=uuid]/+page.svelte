<script lang="ts">
	/** An engine: its heads as they are numbered, its visits, and what was signed of it last. */
	import { defaultSetup, evaluate, newJob } from '@zinc-ledger/core';
	import HeadPlan from '$lib/sheet/head-plan/HeadPlan.svelte';
	import JobTable from '$lib/job/store/JobTable.svelte';
	import LastSigned from '$lib/sheet/table/LastSigned.svelte';
	import Button from '$lib/ui/Button.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';

	let { data } = $props();
	useKeys([]);
	/** The heads alone, without anything of a visit. */
	const bare = $derived.by(() => {
		const { id, name, layout } = data.engine;
		const job = newJob({
			id: '',
			number: '',
			takenIn: '',
			customer: { id: '', name: '' },
			engine: { id, name, layout },
			setup: defaultSetup('in', '')
		});
		return { job, sheet: evaluate(job) };
	});
	/** The newest visit, where it came after what was signed last. */
	const back = $derived(data.signed && data.jobs.find(({ id }) => id !== data.signed!.job));
	const visits = $derived(
		data.jobs.length === 1 ? 'one visit' : `${data.jobs.length} visits, newest first`
	);
</script>

<svelte:head><title>{data.engine.name} · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-4 bench:px-8 bench:py-6">
	<h1 class="text-2xl font-semibold">{data.engine.name}</h1>
	<p class="mt-1 text-soft">
		{data.engine.customer} · fires
		<span class="figure"
			>{data.engine.layout.firingOrder?.join('-') ?? 'in an order not known'}</span
		>
	</p>
	<div class="mt-4"><HeadPlan job={bare.job} stations={bare.sheet.stations} /></div>
	<ul class="mt-3 flex flex-wrap gap-x-8 gap-y-2" aria-label="Heads">
		{#each data.heads as { id, place, mark } (id)}
			<li class="flex items-center gap-3">
				<a class="underline" href="/heads/{id}">Head {mark ?? place}</a>
				{#if data.signed}<Button href="/heads/{id}/back">This head is back</Button>{/if}
			</li>
		{/each}
	</ul>
	<h2 class="mt-6 mb-1 font-semibold">
		{visits}
	</h2>
	<JobTable jobs={data.jobs} />
	<section class="mt-8" aria-label="Signed last">
		{#if data.signed}
			<LastSigned signed={data.signed} />
			{#if back}
				<p class="mt-3">
					<a class="underline" href="/jobs/{back.id}/then">
						Changes since last visit: job <span class="figure">{back.number}</span>
					</a>
				</p>
			{/if}
		{:else}
			<p class="text-soft">Nothing was signed of this engine yet.</p>
		{/if}
	</section>
</main>
