<script lang="ts" generics="Value extends string">
	/** A labelled choice of a few, with its problem, if any, said right under it. */
	import type { Message } from '@zinc-ledger/core';
	import Field from './Field.svelte';
	import type { Option } from './options';
	import Select from './Select.svelte';

	interface Props {
		label: string;
		options: readonly Option<Value>[];
		value: Value;
		name?: string;
		problem?: string | Message | null | undefined;
		hint?: string | undefined;
		onchoose?: (value: Value) => void;
		class?: string;
	}
	let {
		label,
		options,
		value = $bindable(),
		name,
		problem,
		hint,
		onchoose,
		class: extra = ''
	}: Props = $props();
</script>

<Field {label} {problem} {hint} class={extra}>
	{#snippet control(attributes)}
		<Select {options} bind:value {name} {...onchoose && { onchoose }} {...attributes} />
	{/snippet}
</Field>
