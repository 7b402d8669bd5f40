<script lang="ts">
	/** How much lift the valves of a kind can take, with changes laid on each other. */
	import { untrack } from 'svelte';
	import { inSteps, liftRoom, mm, type ChangeStep, type Kind } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { capital } from '$lib/ui/words';
	import { WORKER_FAILED } from '$lib/worker/worker-client';
	import AddStep from './AddStep.svelte';
	import Ladder from './Ladder.svelte';
	import type { Ladders } from './ladders.svelte';
	import LimitsOverLift from './LimitsOverLift.svelte';
	import Steps from './Steps.svelte';
	import type { Library } from './steps';

	interface Props {
		kind: Kind;
		library: Library;
		ladders: Ladders;
		steps: readonly ChangeStep[];
	}
	let { kind, library, ladders, steps = $bindable() }: Props = $props();
	const store = getJobStore();
	const bench = getBench();
	const { length } = bench;
	const stepped = $derived(inSteps(store.job, store.sheet, kind, steps));
	const last = $derived(stepped.at(-1)!);
	// Without the shop's parts: those are tried in a worker, and take longer than a page may.
	const room = $derived(liftRoom(last.job, last.sheet, kind));
	const { cam, limits, unknown } = $derived(room);
	const ladder = $derived(ladders.of[kind] ?? room.ladder);
	const isTrying = $derived(ladders.of[kind] === null && !ladders.failed);
	$effect(() => {
		const [{ job }, parts] = [last, library.parts];
		// What is asked changes when the job does, and not with the answer.
		untrack(() => void ladders.ask(job, kind, parts));
	});
	const first = $derived(limits[0]);
	const add = (step: ChangeStep) => (steps = [...steps, step]);
</script>

<section class="mt-4 border-t-2 border-ink pt-2" aria-label="{capital(label('kind', kind))} lift">
	<h2 class="flex flex-wrap items-baseline gap-x-4 text-[15px] font-semibold">
		{capital(label('kind', kind))}s
		{#if first}
			<span class="text-[13px] font-normal">
				{#if steps.length > 0}with the changes{/if}
				<b class="figure text-[17px]">{length(first.lift)}</b>
				{bench.units.length}, limited by {label('liftLimit', first.limit)}{first.station
					? ` at ${first.station}`
					: ''}{first.atTarget ? ', at the target height: no height is measured yet' : ''}.
				{#if cam !== null}
					{#if cam > first.lift + 1e-4}
						<Mark state="stop" word /> The cam lifts {length(cam)}: {length(mm(cam - first.lift))} too
						much.
					{:else}
						The cam lifts <span class="figure">{length(cam)}</span>: room for
						<span class="figure">{length(mm(first.lift - cam))}</span> more.
					{/if}
				{/if}
			</span>
		{/if}
		{#if unknown.length > 0}
			<span class="text-[13px] font-normal text-soft"
				>Not known: {unknown.map((one) => label('liftLimit', one)).join(', ')}.</span
			>
		{/if}
	</h2>
	{#if limits.length > 0}<LimitsOverLift {kind} {limits} {cam} />{/if}
	{#if steps.length > 0}
		<Steps {kind} {stepped} onchange={(kept) => (steps = kept)} />
	{/if}
	<AddStep {kind} now={last.sheet} {library} onadd={add} />
	{#if limits.length > 0}
		<Ladder {kind} {ladder} onadd={add} />
		<p class="mt-1 text-[13px] text-soft" role="status">
			{#if isTrying}Trying the shop’s parts…{:else if ladders.failed}{WORKER_FAILED}{/if}
		</p>
	{/if}
</section>
