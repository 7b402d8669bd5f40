<script lang="ts">
	/** How much lift this head can take, and what changes laid on each other gain. */
	import { KINDS, keptSteps, type ChangeStep, type Kind } from '@zinc-ledger/core';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { Ladders } from '$lib/planning/max-lift/ladders.svelte';
	import LiftOf from '$lib/planning/max-lift/LiftOf.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';

	let { data } = $props();
	const store = getJobStore();
	const ladders = new Ladders();
	const none = (): Record<Kind, readonly ChangeStep[]> => ({ intake: [], exhaust: [] });
	let steps = $state.raw(none());
	let problem = $state<string | null>(null);
	let kept = $state(false);
	const isChanged = $derived(KINDS.some((kind) => steps[kind].length > 0));

	async function keep() {
		const changed = KINDS.reduce((job, kind) => keptSteps(job, kind, steps[kind]), store.job);
		problem = await store.rebuild(changed);
		kept = problem === null;
		if (kept) steps = none();
	}
</script>

<svelte:head><title>Lift · {store.job.number} · Zinc Ledger</title></svelte:head>

<div class="overflow-auto px-4 bench:px-6 py-4">
	<p class="float-right text-[13px]">
		<a class="underline" href="/jobs/{store.job.id}">To the sheet</a>
	</p>
	<h1 class="text-xl font-semibold">Max lift</h1>
	<p class="max-w-3xl text-[13px] text-soft">
		The smallest of what bind, seal, piston and spring card leave, each with its minimum kept. More
		lift is taken off piston to valve whole, and holds for this cam timing only: another timing can
		take more, so measure it again with the cam. Changes are laid on each other; nothing is saved
		until you apply them.
	</p>
	{#each KINDS as kind (kind)}
		<LiftOf
			{kind}
			library={data}
			{ladders}
			bind:steps={() => steps[kind], (now) => ((steps = { ...steps, [kind]: now }), (kept = false))}
		/>
	{/each}
	<div class="mt-4 flex flex-wrap items-center gap-3">
		<Button look="main" onclick={keep} disabled={!isChanged}>Apply to job</Button>
		<Button onclick={() => (steps = none())} disabled={!isChanged}>Discard</Button>
		{#if kept}<span role="status">Applied; every change is recorded with your name.</span>{/if}
		<Alert {problem} />
	</div>
</div>
