<script lang="ts">
	/** What cuts at head and block, and another gasket, do to compression, piston to valve, lash and preload. */
	import {
		compressionRatio,
		cutEffect,
		deckNearer,
		KINDS,
		lengthOf,
		mm,
		ratioOf,
		volumeOf,
		worksDone,
		type Millimetres
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getBook } from '$lib/job/book.svelte';
	import { capital } from '$lib/ui/words';

	const book = getBook();
	const bench = getBench();
	const works = $derived(worksDone(book.job.headWork));
	const sum = (of: (work: (typeof works)[number]) => string | undefined): Millimetres =>
		mm(works.reduce((total, work) => total + lengthOf(of(work) ?? '0 mm'), 0));
	const cuts = $derived({
		head: sum(({ work, cut }) => (work === 'block cut' ? undefined : cut)),
		block: sum(({ work, cut }) => (work === 'block cut' ? cut : undefined)),
		thicker: sum(({ thicker }) => thicker)
	});
	const nearer = $derived(deckNearer(cuts));
	const setup = $derived(book.job.setup);
	const ratios = $derived.by(() => {
		const given = setup.compression;
		if (!given) return null;
		const volumes = {
			bore: lengthOf(given.bore),
			stroke: lengthOf(given.stroke),
			chamber: volumeOf(given.chamber),
			gasket: volumeOf(given.gasket),
			deck: volumeOf(given.deck),
			chamberOpen: given.chamberOpen
		};
		return { before: compressionRatio(volumes), after: compressionRatio(volumes, nearer) };
	});
	const ratio = (value: number | null) =>
		value === null ? 'not possible' : `${value.toFixed(2)} : 1`;
	const effects = $derived(
		KINDS.flatMap((kind) => {
			const rocker = ratioOf(setup.kinds[kind]);
			if (!setup.camAt || rocker === null) return [];
			const effect = cutEffect(nearer, {
				valveAngle: setup.valveAngle ?? 0,
				camAt: setup.camAt,
				lifters: setup.lifters,
				ratio: rocker
			});
			return [{ kind, effect }];
		})
	);
	const { length } = bench;
</script>

{#if nearer !== 0}
	<p class="mt-2">
		The deck is <b class="figure">{length(mm(Math.abs(nearer)))}</b>
		{nearer > 0 ? 'nearer' : 'further away'}.
		{#if ratios}
			Compression <b class="figure">{ratio(ratios.before)}</b> before,
			<b class="figure">{ratio(ratios.after)}</b> after.
		{:else}
			Fill in Compression above to see the ratio before and after.
		{/if}
		{#if effects.length === 0}
			Piston to valve changed by as much at least: say above where the cam lies to see lash and
			preload.
		{/if}
	</p>
	{#each effects as { kind, effect } (kind)}
		<p class="text-[14px]">
			{capital(kind)}s: piston to valve
			<b class="figure">{length(mm(Math.abs(effect.pistonToValve)))}</b>
			{nearer > 0 ? 'less' : 'more'}{setup.valveAngle === undefined
				? ' at least, the valve’s angle is not known'
				: ''}{#if effect.lash !== null}; lash closes by <b class="figure">{length(effect.lash)}</b
				>{/if}{#if effect.preload !== null}; preload gains <b class="figure"
					>{length(effect.preload)}</b
				>, or pushrods as much shorter{/if}{effect.retards
				? '; lash and preload stay, the cam timing retards'
				: ''}. Measure all of it again.
		</p>
	{/each}
{/if}
