<script lang="ts">
	import { page } from '$app/state';
	import RoundBench from '$lib/job/round/RoundBench.svelte';

	let { data } = $props();
</script>

{#key page.url.search}<RoundBench
		quantity={data.quantity}
		gauges={data.gauges}
		settingOrder={data.settingOrder}
		only={data.only}
		back={data.back}
	/>{/key}
