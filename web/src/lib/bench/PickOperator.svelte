<script lang="ts">
	/** Who works here, chosen where a page needs a name: those who know this job, or somebody else. */
	import { page } from '$app/state';
	import type { Person } from '@zinc-ledger/core';
	import Button from '$lib/ui/Button.svelte';
	import { getBench } from './bench.svelte';

	/** People to choose from; where people sign in, each proves who it is on the page for that. */
	let { people }: { people: readonly Person[] } = $props();
	const bench = getBench();
	const back = $derived(encodeURIComponent(page.url.pathname + page.url.search));
</script>

<section class="mt-6 max-w-xl" aria-label="Who works here">
	<h2 class="text-xl font-semibold">Who works here?</h2>
	<p class="mt-1 text-soft">Every reading carries a name.</p>
	{#if !bench.access.network && people.length > 0}
		<form method="POST" action="/bench?/pick&back={back}" class="mt-3 border-t-2 border-ink">
			{#each people as { id, initials, name } (id)}
				<Button
					look="row"
					name="person"
					value={id}
					class="min-h-12 gap-4 border-b border-hair px-3"
				>
					<span class="figure w-12 font-semibold">{initials}</span>{name}
				</Button>
			{/each}
		</form>
	{/if}
	<p class="mt-3">
		<a class="flex min-h-11 items-center underline bench:min-h-8" href="/bench?back={back}">
			{!bench.access.network && people.length > 0 ? 'Somebody else' : 'Select an operator'}
		</a>
	</p>
</section>
