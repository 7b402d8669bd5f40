<script lang="ts" generics="Value extends string">
	/** One of two or three short things that change what is shown, pressed in. */
	import { ToggleGroup } from 'bits-ui';
	import type { ClassValue } from 'svelte/elements';
	import type { Option } from './options';

	interface Props {
		label: string;
		options: readonly Option<Value>[];
		value: Value;
		onchoose?: (value: Value) => void;
		figure?: boolean;
		class?: ClassValue;
	}
	let {
		label,
		options,
		value = $bindable(),
		onchoose,
		figure = false,
		class: extra = ''
	}: Props = $props();
</script>

<ToggleGroup.Root
	type="single"
	aria-label={label}
	class={['flex items-center', extra]}
	bind:value={
		() => value as string,
		(next) => {
			if (!next) return;
			value = next as Value;
			onchoose?.(next as Value);
		}
	}
>
	{#each options as option (option.value)}
		<ToggleGroup.Item
			value={option.value}
			class={[
				'min-h-11 min-w-12 border border-rule px-2 not-first:-ml-px data-[state=on]:relative data-[state=on]:border-ink data-[state=on]:bg-chromate-wash data-[state=on]:font-semibold',
				figure && 'figure'
			]}
		>
			{option.label}
		</ToggleGroup.Item>
	{/each}
</ToggleGroup.Root>
