<script lang="ts">
	/** How far the cam lifts a valve where its piston is near. */
	import { liftAtTop, USUALLY_NEAREST, type Job, type Kind } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';

	let { job, kind }: { job: Job; kind: Kind } = $props();
	const bench = getBench();
	const atTop = $derived(liftAtTop(job.setup, kind));
</script>

{#if atTop !== null}
	<p class="mt-1 text-[13px]">
		The cam lifts it <b class="figure">{bench.length(atTop)}</b> at top dead centre of the gas
		exchange,
		<b class="figure">{bench.length(liftAtTop(job.setup, kind, USUALLY_NEAREST))}</b>
		{USUALLY_NEAREST}° {kind === 'intake' ? 'after' : 'before'}, where it is usually nearest:
		measure there, and on both sides of it.
	</p>
{/if}
