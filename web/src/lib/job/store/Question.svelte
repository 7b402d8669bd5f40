<script lang="ts">
	/** What the sheet asks about readings, with its answers: only a person can know. */
	import type { Remark } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { capital } from '$lib/ui/words';
	import { getJobStore } from './job-store.svelte';
	import { write } from '@zinc-ledger/words';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';

	let { remark }: { remark: Remark } = $props();
	const store = getJobStore();
	const bench = getBench();
	let problem = $state<string | null>(null);
	const ANSWERS = {
		order: [
			['Before', false],
			['After', true]
		],
		'forgotten-part': [['No, all was as written', false]],
		pocket: [['Both are entered', true]]
	} as const;
	const answers = $derived(
		remark.about !== undefined && remark.about in ANSWERS
			? ANSWERS[remark.about as keyof typeof ANSWERS]
			: []
	);

	async function say(answer: boolean) {
		problem = await store.answer(remark.asks!, answer, bench.person);
	}
</script>

<Mark state={remark.state} word />
{write(remark.text, bench.units)}
{#if remark.asks}
	<span class="inline-flex flex-wrap gap-2 align-middle">
		{#each answers as [word, answer] (word)}
			<Button onclick={() => say(answer)} small>{word}</Button>
		{/each}
	</span>
	{#if remark.about === 'forgotten-part'}
		<span class="text-soft">If it was, void the readings and measure again.</span>
	{/if}
{/if}
<Alert problem={problem && capital(problem)} />
