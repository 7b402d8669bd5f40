<script lang="ts">
	/** Possible causes, the likeliest first, with the evidence for and against each. */
	import type { JobDiagnosis } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Disclosure from '$lib/ui/Disclosure.svelte';
	import { capital } from '$lib/ui/words';
	import { evidenceText } from './evidence';

	let { diagnosis }: { diagnosis: JobDiagnosis } = $props();
	const store = getJobStore();
	const bench = getBench();
	const open = $derived(diagnosis.causes.filter(({ likely }) => likely !== 'unlikely'));
	const rest = $derived(diagnosis.causes.filter(({ likely }) => likely === 'unlikely'));
	type Weighed = JobDiagnosis['causes'][number];
	const say = (code: Weighed['for'][number]) =>
		evidenceText(code, diagnosis, store.job.looks, bench);
</script>

{#snippet cause(one: Weighed)}
	<li class="border-b border-hair py-1.5" data-cause={one.cause}>
		<div class="flex items-baseline gap-3">
			<span class={one.likely === 'unlikely' ? '' : 'font-semibold'}>
				{capital(label('cause', one.cause))}
			</span>
			<span class="ml-auto flex-none text-[13px] text-soft">{label('likely', one.likely)}</span>
		</div>
		{#each one.for as code (code)}
			<p class="text-[13px]"><span class="figure" aria-label="for">+</span> {say(code)}</p>
		{/each}
		{#each one.against as code (code)}
			<p class="text-[13px] text-soft">
				<span class="figure" aria-label="against">−</span>
				{say(code)}
			</p>
		{/each}
	</li>
{/snippet}

<section aria-label="Causes">
	<h2 class="border-b border-ink pb-1 font-semibold">Possible causes</h2>
	<ol>
		{#each open as one (one.cause)}{@render cause(one)}{/each}
	</ol>
	<Disclosure title="Unlikely: {rest.length}">
		<ol>
			{#each rest as one (one.cause)}{@render cause(one)}{/each}
		</ol>
	</Disclosure>
	{#if diagnosis.answer.type === 'not-known-yet' && diagnosis.beforeElsewhere.minutes > 0}
		<p class="mt-2 text-[13px]">
			“Not the valvetrain” takes another
			<span class="figure">{diagnosis.beforeElsewhere.minutes} min</span> of checks.
		</p>
	{/if}
	<p class="mt-2 text-[13px] text-soft">
		Weighed by the shop’s <a class="underline" href="/likelihoods?complaint={diagnosis.complaint}"
			>likelihood settings</a
		>. Anything not checked counts for nothing.
	</p>
</section>
