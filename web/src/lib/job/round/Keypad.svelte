<script lang="ts">
	/** The round's own keys for a finger: no keyboard of the system covers the figure. */
	import Delete from '@lucide/svelte/icons/delete';
	import type { Round } from './round.svelte';
	import Button from '$lib/ui/Button.svelte';

	let { round }: { round: Round } = $props();
	const DIGITS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '0', '.'] as const;
	/** Where each key stands: three columns of digits, the fourth for what is done with them. */
	const COLUMN = ['1', '2', '3'] as const;
	const MAX = 14;

	function type(sign: string) {
		round.asked = null;
		if (round.typed.length < MAX) round.typed += sign;
	}
	function erase() {
		round.asked = null;
		if (round.typed === '') round.back();
		else round.typed = round.typed.slice(0, -1);
	}
</script>

<div
	class="grid grid-cols-4 grid-rows-4 gap-px border-t border-rule bg-rule"
	role="group"
	aria-label="Keypad"
>
	{#each DIGITS as digit, i (digit)}
		<Button
			look="key"
			class="figure bg-paper text-2xl"
			style="grid-area: {Math.floor(i / 3) + 1} / {COLUMN[i % 3]}"
			onclick={() => type(digit)}
		>
			{digit}
		</Button>
	{/each}
	<Button
		look="key"
		class="col-start-4 row-start-1 bg-sunk"
		aria-label={round.typed === '' ? 'Back one station' : 'Erase'}
		onclick={erase}
	>
		<Delete size={24} aria-hidden="true" />
	</Button>
	<Button
		look="key"
		class="col-start-3 row-start-4 bg-sunk font-semibold"
		onclick={() => round.skip()}
	>
		Skip
	</Button>
	<Button
		look="key"
		class="col-start-4 row-span-3 row-start-2 bg-ink text-lg font-semibold text-paper active:bg-ink"
		onclick={() => round.enter()}
	>
		Keep
	</Button>
</div>
