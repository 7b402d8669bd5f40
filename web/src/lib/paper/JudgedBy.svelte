<script lang="ts">
	/** What a sheet on paper was judged by, and what its marks mean. */
	import { lengthOf, type Job } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import Mark from '$lib/ui/Mark.svelte';

	let { limits }: { limits: Job['setup']['limits'] } = $props();
	const bench = getBench();
</script>

<section>
	<h2 class="border-b border-ink pb-0.5 font-semibold">Judged by</h2>
	<dl class="mt-1 grid grid-cols-[1fr_auto] gap-y-px">
		<dt class="text-soft">Height within ±</dt>
		<dd class="figure">{bench.length(lengthOf(limits.heightTolerance))}</dd>
		<dt class="text-soft">Min bind margin</dt>
		<dd class="figure">{bench.length(lengthOf(limits.bindFloor))}</dd>
		<dt class="text-soft">Min seal clearance</dt>
		<dd class="figure">{bench.length(lengthOf(limits.sealFloor))}</dd>
		<dt class="text-soft">Loads within ±</dt>
		<dd class="figure">{Math.round(limits.loadTolerance * 100)} %</dd>
	</dl>
	<p class="mt-2 flex flex-wrap gap-x-3">
		<Mark state="watch" word /><Mark state="inconclusive" word /><Mark state="stop" word />
	</p>
	<p class="mt-0.5 text-soft">A figure without a mark is clear; a dot is not measured.</p>
</section>
