<script lang="ts">
	/** Whether a gauge that sends is there, and what it last sent. */
	import { onMount } from 'svelte';
	import type { Gauge } from '@zinc-ledger/core';
	import Mark from '$lib/ui/Mark.svelte';
	import { Device, DEVICE_WORDS } from './device.svelte';

	let { gauge }: { gauge: Gauge } = $props();
	const device = new Device();
	onMount(() => device.listen(gauge.id));
	const isWell = $derived(device.state === 'connected' || device.state === 'connecting');
</script>

<span role="status" data-link={device.state}>
	{#if !isWell}<Mark state="watch" />{/if}
	{DEVICE_WORDS[device.state]}
	{#if device.last}
		<span class="figure text-[13px] text-soft">
			{device.last.slice(0, 2).filter(Boolean).join(', ')}
		</span>
	{/if}
	{#if device.malformed > 0}<span class="text-[13px] text-soft"
			>· {device.malformed} unreadable lines</span
		>{/if}
	{#if device.dropped > 0}<span class="text-[13px] text-soft">· {device.dropped} passed over</span
		>{/if}
</span>
