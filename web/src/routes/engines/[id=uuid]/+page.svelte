<script lang="ts">
	import { useKeys } from '$lib/keys/keys.svelte';
	import JobTable from '$lib/job/JobTable.svelte';

	let { data } = $props();
	useKeys([]);
</script>

<svelte:head><title>{data.engine.name} · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-4 bench:px-8 bench:py-6">
	<h1 class="text-2xl font-semibold">{data.engine.name}</h1>
	<p class="mt-1 mb-6 text-soft">
		{data.engine.customer} · {data.jobs.length}
		{data.jobs.length === 1 ? 'job' : 'jobs'} on this engine, newest first
	</p>
	<JobTable jobs={data.jobs} />
</main>
