<script lang="ts">
	/** The formulas, limits and methods behind every figure, as docs/trade has them. */
	import { useKeys } from '$lib/keys/keys.svelte';
	import Button from '$lib/ui/Button.svelte';

	let { data } = $props();
	useKeys([]);
</script>

<svelte:head><title>Formulas and limits · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-6 bench:px-8">
	<h1 class="text-2xl font-semibold">Formulas and limits</h1>
	<p class="mt-1 max-w-3xl text-[13px] text-soft">
		Where each figure comes from. Makers’ instructions come first; a limit marked as shop practice
		can be changed under Policies or on the job.
	</p>
	<nav aria-label="On this page" class="mt-3 -ml-2.5 flex flex-wrap gap-x-1 text-[14px]">
		{#each data.pages as { place, title } (place)}
			<Button look="filter" href="#{place}">{title}</Button>
		{/each}
	</nav>
	{#each data.pages as { place, html } (place)}
		<!-- eslint-disable-next-line svelte/no-at-html-tags -- Made from docs/trade when the program is built. -->
		<article class="trade mt-6 max-w-4xl border-t-2 border-ink pt-3">{@html html}</article>
	{/each}
</main>

<style>
	.trade :global(h2) {
		font-size: 1.25rem;
		font-weight: 600;
	}
	.trade :global(h3) {
		margin-top: 1.25rem;
		font-size: 1rem;
		font-weight: 600;
	}
	.trade :global(:is(p, ul, ol, .table)) {
		margin-top: 0.5rem;
	}
	.trade :global(:is(ul, ol)) {
		padding-left: 1.25rem;
	}
	.trade :global(ul) {
		list-style: disc;
	}
	.trade :global(ol) {
		list-style: decimal;
	}
	.trade :global(.table) {
		overflow-x: auto;
	}
	.trade :global(:is(th, td)) {
		padding-right: 1rem;
		vertical-align: top;
		font-size: 13px;
	}
</style>
