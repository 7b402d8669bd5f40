<script lang="ts" generics="Value extends string">
	/** One of a few fixed things. */
	import Check from '@lucide/svelte/icons/check';
	import ChevronDown from '@lucide/svelte/icons/chevron-down';
	import { Select } from 'bits-ui';
	import type { ClassValue } from 'svelte/elements';
	import { LIST, OPTION } from './looks';
	import type { Option } from './options';

	interface Props {
		options: readonly Option<Value>[];
		value: Value;
		/** What it is called in the form that it is sent with. */
		name?: string | undefined;
		/** Told when another was chosen. */
		onchoose?: (value: Value) => void;
		disabled?: boolean;
		id?: string;
		'aria-label'?: string;
		'aria-invalid'?: 'true' | undefined;
		'aria-describedby'?: string | undefined;
		class?: ClassValue;
	}
	let {
		options,
		value = $bindable(),
		name,
		onchoose,
		disabled = false,
		class: extra = '',
		...rest
	}: Props = $props();
	const chosen = $derived(options.find((option) => option.value === value));
</script>

<Select.Root
	type="single"
	{disabled}
	bind:value={() => value as string, (next) => (value = next as Value)}
	onValueChange={(next) => onchoose?.(next as Value)}
>
	<Select.Trigger
		{...rest}
		data-name={name}
		class={['field flex items-center gap-2 text-left', extra]}
	>
		<span class="min-w-0 flex-1 truncate">{chosen?.label ?? ''}</span>
		<ChevronDown size={15} class="flex-none text-soft" aria-hidden="true" />
	</Select.Trigger>
	<Select.Portal>
		<Select.Content class={LIST} sideOffset={2}>
			<Select.Viewport>
				{#each options as option (option.value)}
					<Select.Item
						value={option.value}
						label={option.label}
						disabled={option.disabled ?? false}
						class={OPTION}
					>
						<span class="flex-1">{option.label || '–'}</span>
						{#if option.note}<span class="text-[13px] text-soft">{option.note}</span>{/if}
						{#if option.value === value}<Check size={15} aria-hidden="true" />{/if}
					</Select.Item>
				{/each}
			</Select.Viewport>
		</Select.Content>
	</Select.Portal>
</Select.Root>
{#if name}<input type="hidden" {name} {value} />{/if}
