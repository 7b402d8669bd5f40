<script lang="ts">
	/** How much lift the valves of a kind can take, with changes laid on each other. */
	import { inSteps, liftRoom, mm, type ChangeStep, type Kind } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getBook } from '$lib/job/book.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { capital } from '$lib/ui/words';
	import AddStep from './AddStep.svelte';
	import Ladder from './Ladder.svelte';
	import LimitsOverLift from './LimitsOverLift.svelte';
	import Steps from './Steps.svelte';
	import type { Library } from './steps';

	interface Props {
		kind: Kind;
		library: Library;
		steps: readonly ChangeStep[];
	}
	let { kind, library, steps = $bindable() }: Props = $props();
	const book = getBook();
	const bench = getBench();
	const { length } = bench;
	const stepped = $derived(inSteps(book.job, book.sheet, kind, steps));
	const last = $derived(stepped.at(-1)!);
	const room = $derived(liftRoom(last.job, last.sheet, kind, library.parts));
	const { cam, limits, unknown, ladder } = $derived(room);
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
	{#if limits.length > 0}<Ladder {kind} {ladder} onadd={add} />{/if}
</section>
