<script lang="ts" generics="Value extends string | number">
	/** A line of text or a figure whose name stands elsewhere; say it in aria-label or by its id. */
	import { onMount } from 'svelte';
	import type { ClassValue, HTMLInputAttributes } from 'svelte/elements';

	interface Props extends Omit<HTMLInputAttributes, 'class' | 'value'> {
		value: Value;
		/** Whether figures are typed, which line up. */
		figure?: boolean;
		/** The figure that the screen is for, read from where the gauge is held. */
		large?: boolean;
		class?: ClassValue;
		element?: HTMLInputElement | undefined;
	}
	let {
		value = $bindable(),
		figure = false,
		large = false,
		class: extra = '',
		element = $bindable(),
		...rest
	}: Props = $props();
	// A browser by itself leaves what was pressed to bring it up in focus.
	onMount(() => {
		if (rest.autofocus) element?.focus();
	});
	const LARGE =
		'h-[68px] w-[16rem] max-w-full border-b-4 border-ink bg-sunk px-3 text-right text-[48px] leading-none aria-invalid:border-stop tablet:h-[104px] tablet:w-[25rem] tablet:px-4 tablet:text-[72px]';
</script>

<input
	class={[large ? LARGE : 'field', figure && 'figure', extra]}
	autocomplete="off"
	bind:this={element}
	bind:value
	{...rest}
/>
