<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { doNotRun, visitComparison } from '@zinc-ledger/core';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { nextOf } from '$lib/frame/phases';
	import PhaseBar from '$lib/frame/PhaseBar.svelte';
	import Rail from '$lib/frame/Rail.svelte';
	import Unsent from '$lib/frame/Unsent.svelte';
	import StopBanner from '$lib/visits/stops/StopBanner.svelte';
	import { JobStore, setJobStore } from '$lib/job/store/job-store.svelte';
	import { isTyping } from '$lib/keys/keys.svelte';
	import { listenToJob } from '$lib/live/live';
	import { outbox } from '$lib/outbox/outbox.svelte';
	import { offerAfterRestore } from '$lib/outbox/after-restore';

	let { data, children } = $props();

	const store = untrack(() => new JobStore(data.job, data.revision, data.signed, data.shims));
	setJobStore(store);

	// Each answer of the server is taken over once: on a step to another page it comes by again, by then old.
	let taken: unknown = untrack(() => data.job);
	$effect.pre(() => {
		if (data.job === taken) return;
		taken = data.job;
		store.load(data.job, data.revision, data.signed, data.shims);
	});

	onMount(() => {
		void outbox.open((jobId, readings) => {
			if (jobId === store.job.id) store.confirm(readings);
		});
	});
	$effect(() => {
		const { id } = data.job;
		return untrack(() =>
			listenToJob(id, {
				readings: (readings) => store.confirm(readings),
				changed: () => void store.refresh(),
				// The line was down: the server may have been restored meanwhile.
				opened: () => void offerAfterRestore()
			})
		);
	});

	/** Pages that know the last signed sheet also see locks that have pulled through. */
	const signed = $derived(page.data.then?.signed ?? null);
	const stops = $derived(
		doNotRun(store.job, store.sheet, signed ? visitComparison(signed, store.job) : [])
	);

	/** What is next is one press away, on every page of the job by the same key. */
	function press(event: KeyboardEvent) {
		if (isTyping(event) || event.key !== 'n') return;
		const next = nextOf(store);
		if (next) void goto(next.href);
		event.preventDefault();
	}
</script>

<svelte:window onkeydown={press} />

<div class="flex min-h-0 flex-1 flex-col bench:flex-row">
	<Rail {store} />
	<main id="main" class="flex min-h-0 min-w-0 flex-1 flex-col bg-paper">
		<Unsent jobId={store.job.id} />
		<StopBanner {stops} />
		{@render children()}
	</main>
	<PhaseBar {store} />
</div>
