<script lang="ts">
	/** Readings of a job that wait in this browser, and those that the server rejected. */
	import { page } from '$app/state';
	import { outbox } from '$lib/outbox/outbox.svelte';
	import Button from '$lib/ui/Button.svelte';

	let { jobId }: { jobId: string } = $props();
	const waiting = $derived(outbox.waiting.filter((item) => item.jobId === jobId));
	const others = $derived(waiting.filter((item) => !item.refused && outbox.isOthers(item)));
	const refused = $derived(waiting.filter((item) => item.refused));
	const own = $derived(waiting.length - refused.length - others.length);
</script>

{#if waiting.length > 0}
	<section role="status" class="flex-none border-b border-rule bg-paper px-4 py-1 text-[13px]">
		{#each refused as item (item.reading.id)}
			<p class="my-1 border-l-4 border-stop pl-2">
				<b>{item.reading.station} {item.reading.read}</b> Rejected: {item.refused}
				<Button onclick={() => outbox.dismiss(item.reading.id)} look="quiet">Dismiss</Button>
			</p>
		{/each}
		{#if own > 0}
			<p class="border-l-4 border-watch pl-2">{own} unsent</p>
		{/if}
		{#if others.length > 0 || outbox.asksWho}
			<p class="flex flex-wrap items-center gap-x-3 border-l-4 border-watch pl-2">
				{#if others.length > 0}
					{others.length} unsent by somebody else: sent once they are at this bench.
				{:else}
					Sign in to send it; nothing is lost.
				{/if}
				<a
					class="flex min-h-8 items-center underline"
					href="/bench?back={encodeURIComponent(page.url.pathname)}">Who is here?</a
				>
			</p>
		{/if}
	</section>
{/if}
