<script lang="ts">
	/** What came of a plan that was asked for, or the plan in force. */
	import { invalidateAll } from '$app/navigation';
	import { mm, planInForce } from '@zinc-ledger/core';
	import { write } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import ReasonForm from '$lib/ui/ReasonForm.svelte';
	import { moment } from '$lib/ui/words';
	import type { Planner } from './planner.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import { WORKER_FAILED } from '$lib/worker/worker-client';

	let { planner }: { planner: Planner } = $props();
	const store = getJobStore();
	const bench = getBench();
	const { length } = bench;
	const answer = $derived(planner.answer);
	const found = $derived(answer?.type === 'plan' ? answer : null);
	const inForce = $derived(planInForce(store.job));
	let withdrawing = $state(false);
	let problem = $state<string | null>(null);

	async function withdraw(reason: string) {
		if (!inForce) return;
		problem = await store.withdrawPlan(inForce.id, reason);
		if (problem !== null) return;
		withdrawing = false;
		// What it took is on the shelf again.
		await invalidateAll();
	}
</script>

{#if planner.failed}
	<Alert problem={WORKER_FAILED} />
{:else if answer?.type === 'no-plan'}
	<p class="font-semibold">
		<Mark state="stop" word /> There is no plan that meets every minimum:
	</p>
	<ul class="mt-1 space-y-0.5">
		{#each answer.why as why, i (i)}<li>{write(why, bench.units)}</li>{/each}
	</ul>
{:else if answer?.type === 'stopped'}
	<p><Mark state="watch" word /> Stopped before any plan was found.</p>
{:else if found}
	<p>
		{#if found.proven}
			<b>Optimal.</b>
		{:else}
			<Mark state="watch" word />
			<b>Best so far, not proven optimal:</b> a better one could save {(found.gap * 100).toFixed(1)} %
			at most.
		{/if}
		Worst station {length(mm(found.worst))} beyond the dead band{planner.took === null
			? ''
			: `; calculated in ${(planner.took / 1000).toFixed(2)} s`}.
		{#if found.leftOut.length > 0}
			<span class="text-watch">{found.leftOut.length} skipped.</span>
		{/if}
	</p>
{:else if inForce}
	<p>
		Accepted {moment(inForce.at)} by {store.initials(inForce.person)}, {inForce.proven
			? 'optimal'
			: 'not proven optimal'}{store.job.plans.length > 1
			? `; it supersedes ${store.job.plans.length - 1} before it`
			: ''}.
		<a class="underline" href="/jobs/{store.job.id}/plan/picks">Pick list</a>
		<Button onclick={() => (withdrawing = true)} look="quiet" class="ml-3 text-soft">
			Withdraw the plan
		</Button>
	</p>
	{#if withdrawing}
		<ReasonForm
			label="Reason for withdrawing the plan"
			placeholder="Reason; shims, locks and springs go back to what they were"
			onreason={withdraw}
		/>
	{/if}
{:else}
	<p class="text-soft">
		First every minimum is met; then the worst distance from the target is least, then the sum, then
		the fewest parts. Lock what is to stay.
	</p>
{/if}
<Alert {problem} />
