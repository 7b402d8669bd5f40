<script lang="ts">
	/** What is found, what to do about it, and how far it is to saying that it is not the valvetrain. */
	import { message, answerMessage, type JobDiagnosis, type NamedCause } from '@zinc-ledger/core';
	import { causeWords, label, tell } from '@zinc-ledger/words';

	let { diagnosis }: { diagnosis: JobDiagnosis } = $props();
	const { answer, named, next, unexplained } = $derived(diagnosis);
	const sentenceOf = ({ cause, or }: NamedCause) =>
		tell(
			message('diagnosis.named', { causes: [cause, ...or], stations: diagnosis.stationsOf(cause) })
		);
</script>

{#snippet found(one: NamedCause)}
	{@const words = causeWords(one.cause)}
	<li class="border-b border-hair pb-2" data-named={one.cause}>
		<p class="text-[17px] font-semibold">{sentenceOf(one)}.</p>
		{#if one.or.length > 0}
			<p class="text-[14px]">These look alike. {words.remedy}</p>
		{:else}
			<p class="text-[14px]">{words.remedy}</p>
		{/if}
		{#if one.after}
			<p class="text-[14px]">
				May be a consequence of {label('cause', one.after)}: correct that first.
			</p>
		{/if}
		<p class="text-[13px] text-soft">Measure again afterward: {words.again}.</p>
		<p class="text-[13px] text-soft">For the customer: “{words.customer}”</p>
	</li>
{/snippet}

<div data-answer={answer.type}>
	{#if answer.type === 'elsewhere' || named.length === 0}
		<p class="text-[17px]"><b>{tell(answerMessage(diagnosis))}.</b></p>
	{:else if answer.type === 'not-known-yet'}
		<p class="text-soft">Found so far:</p>
	{/if}
	<ul class="mt-1 grid gap-2">
		{#each named as one (one.cause)}{@render found(one)}{/each}
	</ul>
	{#if diagnosis.condemned.length > 0}
		<p class="mt-2 text-[14px]">
			Replace the springs at <b class="figure">{diagnosis.condemned.join(' ')}</b>.
		</p>
	{/if}
	{#if unexplained.length > 0 && named.length > 0}
		<p class="mt-2 text-[14px]">
			Not explained yet: {unexplained.map((code) => label('finding', code)).join(', ')}.
		</p>
	{/if}
	{#if next}
		<p class="mt-2">
			{answer.type === 'cause' ? 'Before you run the engine, do this check:' : 'Next check:'}
		</p>
	{:else if answer.type === 'not-known-yet'}
		<p class="mt-2">No remaining check would reveal much. Change one thing at a time.</p>
	{/if}
</div>
