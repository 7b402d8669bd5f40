<script lang="ts">
	import GaugeForm from '$lib/parts/gauges/GaugeForm.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';

	let { data, form } = $props();
	useKeys([{ keys: ['Enter'], does: 'keep the gauge' }]);
</script>

<svelte:head><title>New gauge · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-4 bench:px-8 bench:py-6">
	<h1 class="border-b-2 border-ink pb-2 text-2xl font-semibold">New gauge</h1>
	<div class="mt-3 max-w-2xl"><GaugeForm initial={data.values} {form} /></div>
	<p class="mt-4 max-w-2xl text-[13px] text-soft">
		A gauge that sends its readings is reached at a host and port, through a serial-to-network box
		where it has no network of its own. Without a pattern its lines are read as
		<span class="figure">H 46.212 mm F 612.4 N</span>, either half alone too.
	</p>
</main>
