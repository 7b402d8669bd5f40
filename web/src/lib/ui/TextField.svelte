<script lang="ts" generics="Value extends string | number">
	/** A labelled field for a line of text or a figure, with its problem, if any, said right under it. */
	import type { Message } from '@zinc-ledger/core';
	import type { HTMLInputAttributes } from 'svelte/elements';
	import Field from './Field.svelte';
	import Input from './Input.svelte';

	interface Props extends Omit<HTMLInputAttributes, 'class' | 'value' | 'id'> {
		label: string;
		value: Value;
		problem?: string | Message | null | undefined;
		hint?: string | undefined;
		/** Whether figures are typed, which line up. */
		figure?: boolean;
		element?: HTMLInputElement | undefined;
		class?: string;
	}
	let {
		label,
		value = $bindable(),
		problem,
		hint,
		figure = false,
		element = $bindable(),
		class: extra = '',
		...rest
	}: Props = $props();
</script>

<Field {label} {problem} {hint} class={extra}>
	{#snippet control(attributes)}<Input
			bind:value
			bind:element
			{figure}
			{...rest}
			{...attributes}
		/>{/snippet}
</Field>
