<script lang="ts">
	/** Fields of the set-up in one column under their title. */
	import FormField from '$lib/forms/FormField.svelte';
	import type { Values } from '$lib/forms/flat';
	import type { SetupFieldSpec } from './fields';

	interface Props {
		/** Left out where something around it names it. */
		title?: string;
		fields: readonly SetupFieldSpec[];
		values: Values;
		problems: Readonly<Record<string, string>>;
	}
	let { title, fields, values = $bindable(), problems }: Props = $props();
</script>

{#if title}<h3 class="mt-5 border-b border-ink pb-1 font-semibold">{title}</h3>{/if}
{#each fields as field (field.path)}
	<div
		class="border-b border-hair py-1 {field.type === 'text'
			? ''
			: 'grid grid-cols-[1fr_8.5rem] items-center gap-x-3'}"
	>
		<span class="text-[13px] leading-tight text-soft">{field.label}</span>
		<FormField
			{field}
			path={field.path}
			label={field.label}
			bind:value={() => values[field.path] ?? '', (text) => (values[field.path] = text)}
			problem={problems[field.path]}
		/>
	</div>
{/each}
