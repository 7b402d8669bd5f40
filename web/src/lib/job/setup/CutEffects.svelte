<script lang="ts">
	/** What cuts at head and block, and another gasket, do to compression, piston to valve, lash and preload. */
	import { cutEffects, mm, type Millimetres } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { capital } from '$lib/ui/words';
	import { label } from '@zinc-ledger/words';

	const store = getJobStore();
	const bench = getBench();
	const cuts = $derived(cutEffects(store.job));
	const nearer = $derived(cuts.nearer);
	const ratio = (value: number | null) =>
		value === null ? 'not possible' : `${value.toFixed(2)} : 1`;
	const length = (by: Millimetres) => bench.length(mm(Math.abs(by)));
</script>

{#if nearer !== 0}
	<p class="mt-2">
		The deck is <b class="figure">{length(nearer)}</b>
		{nearer > 0 ? 'nearer' : 'further away'}.
		{#if cuts.compression}
			Compression <b class="figure">{ratio(cuts.compression.before)}</b> before,
			<b class="figure">{ratio(cuts.compression.after)}</b> after.
		{:else}
			Fill in bore, stroke and the ratio before, or the volumes, under Compression above to see it
			before and after.
		{/if}
		{#if cuts.kinds.length === 0}
			Piston to valve changed by as much at least: say above where the cam lies to see lash and
			preload.
		{/if}
	</p>
	{#each cuts.kinds as { kind, effect } (kind)}
		<p class="text-[14px]">
			{capital(label('kind', kind))}s: piston to valve
			<b class="figure">{length(effect.pistonToValve)}</b>
			{nearer > 0 ? 'less' : 'more'}{store.job.setup.valveAngle === undefined
				? ' at least, the valve’s angle is not known'
				: ''}{#if effect.lash !== null}; lash {nearer > 0 ? 'closes' : 'opens'} by
				<b class="figure">{length(effect.lash)}</b>{/if}{#if effect.preload !== null}; preload {nearer >
				0
					? 'gains'
					: 'loses'} <b class="figure">{length(effect.preload)}</b>, or pushrods as much {nearer > 0
					? 'shorter'
					: 'longer'}{/if}{effect.retards
				? `; lash and preload stay, the cam timing ${nearer > 0 ? 'retards' : 'advances'}`
				: ''}. Measure all of it again.
		</p>
	{/each}
{/if}
