<script lang="ts">
	/** The shop's trail, newest first. Nothing in it can be changed. */
	import Acts from '$lib/access/Acts.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import Button from '$lib/ui/Button.svelte';

	let { data } = $props();
	useKeys([]);
</script>

<svelte:head><title>What was done · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-6 bench:px-8">
	<h1 class="text-2xl font-semibold">What was done</h1>
	<p class="mt-1 text-[13px] text-soft">
		Sign-ins, roles, what was taken out, shared or restored. Nobody can change it.
	</p>
	<Acts acts={data.acts} class="mt-4" />
	{#if data.more}<Button href="?before={data.more}" class="mt-4">Earlier</Button>{/if}
</main>
