<script lang="ts">
	/** Lash and preload on the engine: the order to set in, how far to turn, hot, drift, shims of followers. */
	import {
		expectedHot,
		growthOf,
		KINDS,
		lengthOf,
		perTurn,
		type CrankPosition
	} from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import CrankDial from '$lib/valvetrain/lash/CrankDial.svelte';
	import FollowerShims from '$lib/valvetrain/lash/FollowerShims.svelte';
	import LashDrift from '$lib/valvetrain/lash/LashDrift.svelte';
	import SettingOrderTable from '$lib/valvetrain/lash/SettingOrderTable.svelte';
	import { capital } from '$lib/ui/words';

	let { data } = $props();
	const store = getJobStore();
	const bench = getBench();
	const solid = $derived(store.job.setup.lifters === 'solid');
	const growth = $derived(growthOf(store.job));
	const followers = $derived(
		KINDS.some((kind) => store.job.setup.kinds[kind].lifter?.type.endsWith('bucket')) ||
			store.sheet.measured['follower-shim'] > 0
	);
	const { length } = bench;
	let shown = $state.raw<CrankPosition | null>(null);
</script>

<svelte:head><title>Lash · {store.job.number} · Zinc Ledger</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-4 bench:px-6 py-4">
	<div class="flex flex-wrap items-end gap-x-6 gap-y-2">
		<h1 class="text-xl font-semibold">{solid ? 'Lash' : 'Preload'} on the engine</h1>
		{#each KINDS as kind (kind)}
			{@const { lash, preload } = store.job.setup.kinds[kind]}
			{@const hot = expectedHot(store.job, store.job.setup.kinds[kind])}
			{@const step = perTurn(store.job, store.job.setup.kinds[kind])}
			<p class="text-[13px]">
				<span class="text-soft">{capital(label('kind', kind))}s</span>
				{#if solid}
					<b class="figure">{lash ? length(lengthOf(lash.setting)) : '·'}</b>
					{lash ? `± ${length(lengthOf(lash.tolerance))} ${lash.engine}` : 'no setting'}{hot ===
					null
						? ''
						: `, about ${length(hot)} hot`}{step === null ? '' : `, ${length(step)} per turn`}
				{:else}
					<b class="figure">{preload ? length(lengthOf(preload)) : 'not given'}</b>
					from zero lash{step === null ? '' : `, ${length(step)} of plunger per turn`}
				{/if}
			</p>
		{/each}
	</div>
	<p class="caution mt-3">
		Ignition off, in neutral, turned by hand one way only. {!solid
			? 'A pumped-up lifter needs time to bleed down before its preload is read.'
			: growth
				? `Growth ${length(growth.growth)} is ${growth.from === 'usual' ? 'usual for these metals' : 'measured'}: always confirm hot. Hot lash burns; sleeves and hair clear of what turns.`
				: 'What lash does as this engine warms is not known: confirm hot. Hot lash burns; sleeves and hair clear of what turns.'}
	</p>

	<div class="mt-4 grid gap-x-8 gap-y-6 bench:grid-cols-2">
		<SettingOrderTable {followers} bind:shown />
		<section aria-label="Crankshaft, followers and drift">
			{#if shown}<CrankDial stop={shown} />{/if}
			{#if followers}<FollowerShims library={data.followerShims} taken={data.taken} />{/if}
			{#if solid}<LashDrift />{/if}
		</section>
	</div>
</div>
