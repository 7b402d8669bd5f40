<script lang="ts">
	/** A labelled field for several lines of text. */
	import type { Message } from '@zinc-ledger/core';
	import type { HTMLTextareaAttributes } from 'svelte/elements';
	import Field from './Field.svelte';

	interface Props extends Omit<HTMLTextareaAttributes, 'class' | 'value' | 'id'> {
		label: string;
		value: string;
		problem?: string | Message | null | undefined;
		hint?: string | undefined;
		class?: string;
	}
	let { label, value = $bindable(), problem, hint, class: extra = '', ...rest }: Props = $props();
</script>

<Field {label} {problem} {hint} class={extra}>
	{#snippet control(attributes)}<textarea
			class="field h-auto py-1.5"
			bind:value
			{...rest}
			{...attributes}></textarea>{/snippet}
</Field>
