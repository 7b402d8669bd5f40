<script lang="ts">
	/** An engine speed that is dragged. */
	import { showSpeed, type Controlled, type RevolutionsPerMinute } from '@zinc-ledger/core';
	import Slider from '$lib/ui/Slider.svelte';

	interface Props {
		of: Controlled;
		speed: number;
		label: string;
	}
	let { of, speed = $bindable(), label }: Props = $props();
	const STEP = 50;
	const max = $derived(Math.ceil((of.limit.speed * 1.3) / STEP) * STEP);
	const text = $derived(`${showSpeed(speed as RevolutionsPerMinute)} rpm`);
</script>

<div class="flex items-center gap-4">
	<Slider {label} min={1000} {max} step={STEP} {text} bind:value={speed} />
	<span class="figure w-28 text-right whitespace-nowrap">{text}</span>
</div>
