<script lang="ts">
	/** A figure moved along a line, by hand or by arrow keys. */
	import { Slider } from 'bits-ui';
	import type { ClassValue } from 'svelte/elements';

	interface Props {
		label: string;
		value: number;
		min: number;
		max: number;
		step: number;
		/** The figure in words, for those who only hear it. */
		text?: string;
		class?: ClassValue;
	}
	let { label, value = $bindable(), min, max, step, text, class: extra = '' }: Props = $props();
</script>

<Slider.Root
	type="single"
	{min}
	{max}
	{step}
	bind:value
	class={['relative flex h-11 w-full touch-none items-center select-none', extra]}
>
	<span class="relative h-1 w-full bg-rule"
		><Slider.Range class="absolute h-full bg-metal-dark" /></span
	>
	<Slider.Thumb
		index={0}
		aria-label={label}
		aria-valuetext={text}
		class="grid size-11 cursor-grab place-items-center"
	>
		<span class="h-6 w-3 border border-paper bg-ink"></span>
	</Slider.Thumb>
</Slider.Root>
