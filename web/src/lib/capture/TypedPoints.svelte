<script lang="ts">
	/** Points of a sweep typed off the dial, one by one. */
	import { message, readEntry, withUnit } from '@zinc-ledger/core';
	import { tell } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import type { SpringTest } from './spring-test.svelte';
	import Button from '$lib/ui/Button.svelte';

	let { test }: { test: SpringTest } = $props();
	const bench = getBench();
	let dial = $state('');
	let reading = $state('');

	function add(event: SubmitEvent) {
		event.preventDefault();
		const entry = readEntry(dial, bench.units.length);
		const force = withUnit(reading, bench.units.load);
		if (!entry.ok) test.problem = tell(entry.problem);
		else if (!/^\d+(\.\d+)? (lbf|N|kgf)$/.test(force))
			test.problem = tell(message('entry.not-load', { typed: reading }));
		else {
			test.problem = null;
			test.capture.type(entry.text, force);
			dial = reading = '';
		}
	}
</script>

<form class="mt-3 flex items-end gap-3" onsubmit={add}>
	<TextField label="Dial" class="w-36" bind:value={dial} figure />
	<TextField label="Load" class="w-36" bind:value={reading} figure />
	<Button>Add the point</Button>
	<Button type="button" onclick={() => test.capture.end()}>Finish</Button>
</form>
