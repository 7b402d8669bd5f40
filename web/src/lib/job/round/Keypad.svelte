<script lang="ts">
	/** The round's own keys. */
	import NumberPad from '$lib/ui/NumberPad.svelte';
	import type { Round } from './round.svelte';

	let { round }: { round: Round } = $props();
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

<NumberPad
	ontype={type}
	onerase={erase}
	eraseLabel={round.typed === '' ? 'Back one station' : 'Erase'}
	side={{ label: 'Skip', press: () => round.skip() }}
	main={{ label: 'Keep', press: () => round.enter() }}
/>
