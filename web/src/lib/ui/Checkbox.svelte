<script lang="ts">
	/** Something that is so or not; its words beside it, or in aria-label. */
	import Check from '@lucide/svelte/icons/check';
	import { Checkbox } from 'bits-ui';
	import type { Snippet } from 'svelte';
	import type { ClassValue } from 'svelte/elements';

	interface Props {
		checked: boolean;
		onchange?: (checked: boolean) => void;
		disabled?: boolean;
		'aria-label'?: string;
		class?: ClassValue;
		children?: Snippet;
	}
	let {
		checked = $bindable(),
		onchange,
		disabled = false,
		class: extra = '',
		children,
		...rest
	}: Props = $props();
	const id = $props.id();
</script>

<div class={['flex min-h-11 bench:min-h-9 items-center', extra]}>
	<Checkbox.Root
		{...rest}
		{id}
		{disabled}
		bind:checked={() => checked, (next) => ((checked = next), onchange?.(next))}
		class="grid size-11 flex-none place-items-center disabled:opacity-45 bench:size-7 bench:place-items-center"
	>
		{#snippet children({ checked: on })}
			<span
				class="grid size-5 place-items-center rounded-xs border border-faint {on
					? 'border-ink bg-ink text-paper'
					: 'bg-paper'}"
			>
				{#if on}<Check size={15} strokeWidth={3} aria-hidden="true" />{/if}
			</span>
		{/snippet}
	</Checkbox.Root>
	{#if children}<label for={id} class="cursor-pointer">{@render children()}</label>{/if}
</div>
