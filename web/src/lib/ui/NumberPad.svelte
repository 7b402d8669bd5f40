<script lang="ts">
	/** Keys for a finger: no keyboard of the system covers the figure. */
	import Delete from '@lucide/svelte/icons/delete';
	import Button from './Button.svelte';

	interface Props {
		ontype: (sign: string) => void;
		onerase: () => void;
		eraseLabel: string;
		/** The key beside the point. */
		side: { readonly label: string; readonly press: () => void };
		main: { readonly label: string; readonly press: () => void };
	}
	let { ontype, onerase, eraseLabel, side, main }: Props = $props();
	const DIGITS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '0', '.'] as const;
	/** Where each key stands: three columns of digits, the fourth for what is done with them. */
	const COLUMN = ['1', '2', '3'] as const;
</script>

<div
	class="grid grid-cols-4 grid-rows-4 gap-px border-t border-rule bg-rule"
	role="group"
	aria-label="Keypad"
>
	{#each DIGITS as digit, i (digit)}
		<Button
			type="button"
			look="key"
			class="figure bg-paper text-2xl"
			style="grid-area: {Math.floor(i / 3) + 1} / {COLUMN[i % 3]}"
			onclick={() => ontype(digit)}
		>
			{digit}
		</Button>
	{/each}
	<Button
		type="button"
		look="key"
		class="col-start-4 row-start-1 bg-sunk"
		aria-label={eraseLabel}
		onclick={onerase}
	>
		<Delete size={24} aria-hidden="true" />
	</Button>
	<Button
		type="button"
		look="key"
		class="col-start-3 row-start-4 bg-sunk font-semibold"
		onclick={side.press}
	>
		{side.label}
	</Button>
	<Button
		type="button"
		look="key"
		class="col-start-4 row-span-3 row-start-2 bg-ink text-lg font-semibold text-paper active:bg-ink"
		onclick={main.press}
	>
		{main.label}
	</Button>
</div>
