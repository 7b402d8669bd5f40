<script lang="ts">
	/** A quantity explained: what it is, how it is measured, what is forgotten; the others found by any word. */
	import { HELP_TOPICS, helpLike, helpOf } from '@zinc-ledger/words/help';
	import Button from '$lib/ui/Button.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import Drawing from './Drawing.svelte';
	import type { Help } from './help.svelte';

	let { help }: { help: Help } = $props();
	let find = $state('');
	const shown = $derived(find.trim() ? helpLike(find) : HELP_TOPICS);
	const text = $derived(helpOf(help.topic));
	const PARTS = $derived([
		['What it is', text.what],
		['How it is measured', text.how],
		['What is forgotten', text.forgotten]
	] as const);
</script>

<Dialog bind:open={help.open} title={text.title}>
	<div class="grid gap-4 tablet:grid-cols-[11rem_minmax(0,1fr)]">
		<div class="order-last tablet:order-none">
			<TextField label="Find an explanation" type="search" bind:value={find} />
			<ul class="mt-2 flex flex-wrap gap-x-3 tablet:block" aria-label="Explanations">
				{#each shown as topic (topic)}
					<li>
						<Button
							look="quiet"
							class="text-left {topic === help.topic ? 'font-semibold' : ''}"
							aria-pressed={topic === help.topic}
							onclick={() => (help.topic = topic)}>{helpOf(topic).title}</Button
						>
					</li>
				{:else}
					<li class="py-2 text-soft">Nothing has “{find}” in it.</li>
				{/each}
			</ul>
		</div>
		<article aria-label={text.title}>
			<Drawing topic={help.topic} />
			{#each PARTS as [title, says] (title)}
				<h3 class="mt-2 text-[13px] font-semibold text-soft">{title}</h3>
				<p class="max-w-prose">{says}</p>
			{/each}
			<p class="mt-3 text-[13px]">
				<Button look="quiet" href="/trade#{text.formula}">Formulas and limits</Button>
			</p>
			<p class="caution mt-3 text-[13px]">The makers’ own instructions come first.</p>
		</article>
	</div>
</Dialog>
