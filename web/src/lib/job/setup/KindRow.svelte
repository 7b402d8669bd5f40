<script lang="ts">
	/** One field that intake and exhaust each have, side by side; none where neither kind shows it. */
	import { KINDS } from '@zinc-ledger/core';
	import type { ClassValue } from 'svelte/elements';
	import FormField from '$lib/forms/FormField.svelte';
	import type { Values } from '$lib/forms/flat';
	import type { SetupFieldSpec } from './fields';
	import { isShown } from './values';

	interface Props {
		field: SetupFieldSpec;
		values: Values;
		problems: Readonly<Record<string, string>>;
		/** The columns of the row, and those of its name. */
		class: ClassValue;
		named?: ClassValue;
	}
	let { field, values = $bindable(), problems, class: columns, named = '' }: Props = $props();
	const pathOf = (kind: string) => `kinds.${kind}.${field.path}`;
	const shown = $derived(KINDS.filter((kind) => isShown({ ...field, path: pathOf(kind) }, values)));
</script>

{#if shown.length > 0}
	<div class={['grid items-center gap-x-3 border-b border-hair py-1', columns]}>
		<span class={['text-[13px] leading-tight text-soft', named]}>{field.label}</span>
		{#each KINDS as kind (kind)}
			{@const path = pathOf(kind)}
			<div>
				{#if shown.includes(kind)}
					<FormField
						{field}
						{path}
						label="{kind}: {field.label}"
						bind:value={() => values[path] ?? '', (text) => (values[path] = text)}
						problem={problems[path]}
					/>
				{/if}
			</div>
		{/each}
	</div>
{/if}
