<script lang="ts" generics="Value extends string">
	/** One of a few, all of them seen. */
	import { RadioGroup } from 'bits-ui';
	import type { Snippet } from 'svelte';
	import type { ClassValue } from 'svelte/elements';
	import type { Option } from './options';

	interface Props {
		/** What is asked, for those who only hear it. */
		label: string;
		options: readonly Option<Value>[];
		/** '' or null while nothing is chosen. */
		value: Value | '' | null;
		onchoose?: (value: Value) => void;
		/** Stands before the choices. */
		lead?: Snippet;
		/** Stands behind a choice, as its key. */
		beside?: Snippet<[Option<Value>]>;
		class?: ClassValue;
	}
	let {
		label,
		options,
		value = $bindable(),
		onchoose,
		lead,
		beside,
		class: extra = ''
	}: Props = $props();
	const id = $props.id();
</script>

<RadioGroup.Root
	aria-label={label}
	bind:value={
		() => value ?? '',
		(next) => {
			value = next as Value;
			onchoose?.(next as Value);
		}
	}
	class={['flex flex-wrap items-center gap-x-5', extra]}
>
	{@render lead?.()}
	{#each options as option, i (option.value)}
		<div class="flex items-center">
			<RadioGroup.Item
				value={option.value}
				id="{id}-{i}"
				disabled={option.disabled ?? false}
				class="grid size-11 flex-none place-items-center bench:size-8"
			>
				{#snippet children({ checked })}
					<span class="grid size-5 place-items-center rounded-full border border-faint bg-paper">
						{#if checked}<span class="size-3 rounded-full bg-ink"></span>{/if}
					</span>
				{/snippet}
			</RadioGroup.Item>
			<label for="{id}-{i}" class="flex min-h-11 cursor-pointer items-center gap-2 bench:min-h-8">
				{option.label}
				{@render beside?.(option)}
			</label>
		</div>
	{/each}
</RadioGroup.Root>
