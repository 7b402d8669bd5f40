<script lang="ts">
	/** Readings of a job that wait in this browser, and those that the server rejected. */
	import { outbox } from '$lib/outbox/outbox.svelte';
	import Button from '$lib/ui/Button.svelte';

	let { jobId }: { jobId: string } = $props();
	const waiting = $derived(outbox.waiting.filter((item) => item.jobId === jobId));
	const refused = $derived(waiting.filter((item) => item.refused));
</script>

{#if waiting.length > 0}
	<section role="status" class="flex-none border-b border-rule bg-paper px-4 py-1 text-[13px]">
		{#each refused as item (item.reading.id)}
			<p class="my-1 border-l-4 border-stop pl-2">
				<b>{item.reading.station} {item.reading.read}</b> Rejected: {item.refused}
				<Button onclick={() => outbox.dismiss(item.reading.id)} look="quiet">Dismiss</Button>
			</p>
		{/each}
		{#if waiting.length > refused.length}
			<p class="border-l-4 border-watch pl-2">{waiting.length - refused.length} unsent</p>
		{/if}
	</section>
{/if}
