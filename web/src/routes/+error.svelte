<script lang="ts">
	import { onMount } from 'svelte';
	import { page } from '$app/state';
	import Button from '$lib/ui/Button.svelte';

	const away = $derived(page.status === 503);

	onMount(() => {
		const timer = setInterval(() => {
			if (!away) return;
			void fetch('/healthz')
				.then((response) => {
					if (response.ok) location.reload();
				})
				.catch(() => undefined);
		}, 2000);
		return () => clearInterval(timer);
	});
</script>

<svelte:head><title>{page.status} · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 bg-paper p-10">
	<p class="figure text-sm text-soft">{page.status}</p>
	<h1 class="mt-1 text-2xl font-semibold">{page.error?.message}</h1>
	{#if page.error?.advice}<p class="mt-3 max-w-prose">{page.error.advice}</p>{/if}
	<p class="mt-6 flex gap-3">
		<Button href="/">Jobs</Button>
		{#if away}<span role="status" class="self-center text-soft">Trying again every two seconds</span
			>{/if}
	</p>
</main>
