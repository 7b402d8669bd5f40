<script lang="ts">
	/** Whether the springs hold the valves to their cam: limits, forces, masses and motion. */
	import {
		controlledStations,
		KINDS,
		wantedSpeed,
		type ControlSweep,
		type Need
	} from '@zinc-ledger/core';
	import { label, write } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import Assumptions from '$lib/valvetrain/control/Assumptions.svelte';
	import CalculateMotion from '$lib/valvetrain/control/CalculateMotion.svelte';
	import ExhaustOpening from '$lib/valvetrain/control/ExhaustOpening.svelte';
	import Forces from '$lib/valvetrain/control/Forces.svelte';
	import LobeFaults from '$lib/valvetrain/control/LobeFaults.svelte';
	import Maps from '$lib/valvetrain/control/Maps.svelte';
	import Masses from '$lib/valvetrain/control/Masses.svelte';
	import MotionCourse from '$lib/valvetrain/control/MotionCourse.svelte';
	import MotionSweep from '$lib/valvetrain/control/MotionSweep.svelte';
	import PortPressure from '$lib/valvetrain/control/PortPressure.svelte';
	import StationLimits from '$lib/valvetrain/control/StationLimits.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import NeedLink from '$lib/sheet/needs/NeedLink.svelte';
	import { capital } from '$lib/ui/words';

	const store = getJobStore();
	const bench = getBench();
	const controlled = $derived(controlledStations(store.sheet));
	let picked = $state('');
	const of = $derived(
		controlled.find(({ station }) => station === picked) ?? controlled[0] ?? null
	);
	const highest = $derived(store.job.setup.use.engineSpeed ?? null);
	/** What the limits of a kind still need, each named once. */
	const lacking = $derived(
		KINDS.map((kind) => {
			const own = store.sheet.stations.filter((one) => one.kind === kind);
			const needs = new Map<string, Need>();
			for (const { figures } of own)
				for (const need of figures.controlLimit?.needs ?? []) needs.set(need.code, need);
			const isShapeless =
				own.length > 0 && own.every(({ figures }) => figures.controlLimit === null);
			return { kind, needs: [...needs.values()], isShapeless };
		}).filter(({ needs, isShapeless }) => needs.length > 0 || isShapeless)
	);
	const cam = $derived(store.job.setup.cam);
	const wanted = $derived(wantedSpeed(store.job));
	let shown = $state.raw<{ station: string; sweep: ControlSweep } | null>(null);
	const separation = $derived(
		shown?.station === of?.station ? (shown?.sweep.separation.middle ?? null) : null
	);
</script>

<svelte:head><title>Valve control · {store.job.number} · Zinc Ledger</title></svelte:head>

<div class="overflow-auto px-4 bench:px-6 py-4">
	<h1 class="text-xl font-semibold">Valve control</h1>
	<p class="max-w-3xl text-[13px] text-soft">
		An aid, not a promise: the makers’ limits for springs, cam and engine come first. More control
		at speed costs seats, tips, lifters and power.
	</p>
	{#if lacking.length > 0}
		<section class="mt-3" aria-label="What it still needs">
			<h2 class="border-b-2 border-ink pb-1 font-semibold">What it still needs</h2>
			<ul>
				{#each lacking as { kind, needs, isShapeless } (kind)}
					<li class="flex flex-wrap gap-x-4 border-b border-hair py-1.5">
						<b class="w-20">{capital(label('kind', kind))}s</b>
						{#if isShapeless}
							<a
								class="flex min-h-11 items-center underline bench:min-h-8"
								href={cam?.id
									? `/parts/${cam.id}#${kind}.durationAt`
									: `/jobs/${store.job.id}/setup#cam`}
							>
								{cam
									? 'the lobe lift that its duration is given at'
									: 'a cam with lift and duration'}
							</a>
						{/if}
						{#each needs as need (need.code)}
							<NeedLink
								{need}
								kinds={[kind]}
								title="The control limit wants {write(need, bench.units)}"
								class="flex min-h-11 items-center underline bench:min-h-8"
							>
								{write(need, bench.units)}
							</NeedLink>
						{/each}
					</li>
				{/each}
			</ul>
		</section>
	{/if}
	<LobeFaults />
	{#if of}
		<CalculateMotion {of} all={controlled} bind:shown />
		<div class="mt-4">
			<StationLimits
				sheet={store.sheet}
				{controlled}
				{highest}
				bind:chosen={() => of.station, (to) => (picked = to)}
			/>
		</div>
		<div class="mt-5 grid gap-x-8 gap-y-5 bench:grid-cols-2">
			<div class="space-y-5">
				<MotionSweep {of} {highest} {wanted} {shown} />
				<Forces {of} {highest} />
				<Maps {of} {controlled} sheet={store.sheet} speeds={{ highest, wanted }} />
			</div>
			<div class="space-y-5">
				{#key of.station}<MotionCourse {of} {highest} {separation} />{/key}
				{#key of.station}<Masses {of} />{/key}
				<Assumptions {of} />
			</div>
		</div>
	{/if}
	<div class="mt-5 grid gap-x-8 gap-y-5 bench:grid-cols-2">
		{#each KINDS as kind (kind)}<PortPressure job={store.job} sheet={store.sheet} {kind} />{/each}
		<ExhaustOpening job={store.job} />
	</div>
</div>
