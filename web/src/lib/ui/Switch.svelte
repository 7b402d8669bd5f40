<script lang="ts">
	/** Something that works at once, on or off; its words before it. */
	import { Switch } from 'bits-ui';
	import type { Snippet } from 'svelte';

	interface Props {
		checked: boolean;
		onchange?: (checked: boolean) => void;
		children: Snippet;
	}
	let { checked = $bindable(), onchange, children }: Props = $props();
	const id = $props.id();
</script>

<div class="flex min-h-11 items-center gap-3">
	<label for={id} class="flex-1 cursor-pointer">{@render children()}</label>
	<Switch.Root
		{id}
		bind:checked={() => checked, (next) => ((checked = next), onchange?.(next))}
		class="flex h-11 w-14 items-center"
	>
		<span
			class="flex h-6 w-11 items-center border border-ink px-0.5 {checked ? 'bg-ink' : 'bg-sunk'}"
		>
			<Switch.Thumb
				class="size-[18px] transition-transform data-[state=checked]:translate-x-[1.1rem] {checked
					? 'bg-paper'
					: 'bg-ink'}"
			/>
		</span>
	</Switch.Root>
</div>
