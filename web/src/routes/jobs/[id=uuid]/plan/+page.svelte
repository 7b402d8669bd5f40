<script lang="ts">
	/** The plan of the whole job: asked for, looked at, accepted. */
	import { invalidateAll } from '$app/navigation';
	import { onMount } from 'svelte';
	import { SvelteSet } from 'svelte/reactivity';
	import { v7 as uuid } from 'uuid';
	import {
		springsToPlace,
		canReplaceLocks,
		evaluate,
		KINDS,
		pickList,
		withPlan,
		type PlanAnswer
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { isTyping, isWithin, useKeys } from '$lib/keys/keys.svelte';
	import { Planner } from '$lib/planning/plan/planner.svelte';
	import PlanTable from '$lib/planning/plan/PlanTable.svelte';
	import LoadsAlong from '$lib/planning/plan/LoadsAlong.svelte';
	import LoadSpread from '$lib/planning/plan/LoadSpread.svelte';
	import PlanStatus from '$lib/planning/plan/PlanStatus.svelte';
	import Picks from '$lib/planning/plan/Picks.svelte';
	import StationChange from '$lib/planning/plan/StationChange.svelte';
	import { usedSpringsOf } from '$lib/planning/plan/used-springs';
	import UsedSprings from '$lib/planning/plan/UsedSprings.svelte';
	import Key from '$lib/ui/Key.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Checkbox from '$lib/ui/Checkbox.svelte';

	let { data } = $props();
	const store = getJobStore();
	const bench = getBench();
	const planner = new Planner();
	useKeys([
		{ keys: ['Enter'], does: 'calculate the plan' },
		{ keys: ['Esc'], does: 'stop calculating' },
		{ keys: ['↑', '↓'], does: 'station above, below' }
	]);

	const fixed = new SvelteSet<string>();
	const considered = new SvelteSet<string>();
	let placeSprings = $state(true);
	let allNew = $state(false);
	let selected = $state<string | null>(null);
	let problem = $state<string | null>(null);

	const springs = $derived(store.job.setup.springs ?? []);
	const used = $derived(
		usedSpringsOf(store.job, store.sheet, data.then?.signed ?? null, data.life, data.springs)
	);
	/** What the plan is told of springs that ran; nothing on a job that is no visit. */
	const ran = $derived(
		used && allNew
			? { ...used.ran, replaced: store.job.stations.map((station) => station.label) }
			: used?.ran
	);
	const placeable = $derived(springsToPlace(store.job, new Set(fixed), ran ?? {}));
	/** Lock sets that suit the stem and the retainer of this job, on the shelf or to be ordered. */
	const lockSets = $derived.by(() => {
		const own = KINDS.map((kind) => store.job.setup.kinds[kind].locks).filter((locks) => locks);
		return data.locks.filter(({ part }) => own.some((locks) => canReplaceLocks(locks!, part)));
	});

	type Found = Extract<PlanAnswer, { type: 'plan' }>;
	const answer = $derived(planner.answer);
	const found = $derived<Found | null>(answer?.type === 'plan' ? answer : null);
	const planned = $derived(new Map(found?.stations.map((station) => [station.label, station])));
	const next = $derived(new Map(found?.next.map((station) => [station.label, station])));
	const leftOut = $derived(new Map(found?.leftOut));
	const job = $derived(found ? withPlan(store.shelved, found.stations) : null);
	const then = $derived(job ? evaluate(job) : null);
	const counted = $derived(
		new Map(
			[...lockSets, ...data.springs].flatMap(({ part, stock }) =>
				stock == null ? [] : [[part.name, stock] as const]
			)
		)
	);
	const picks = $derived(found ? pickList(store.shelved, found.stations, counted) : []);
	const label = $derived(selected ?? found?.stations[0]?.label ?? store.job.stations[0]!.label);
	const before = $derived(store.station(label)!);
	const after = $derived(then?.stations.find((station) => station.label === label));

	onMount(() => planner.open());

	function work() {
		problem = null;
		void planner.ask({
			job: store.job,
			shims: store.shims,
			placeSprings: placeSprings && placeable.length > 0,
			fixed: [...fixed],
			...ran,
			lockStock: lockSets.map(({ part, stock }) => ({
				locks: part,
				count: stock ?? 0,
				excluded: !considered.has(part.name)
			}))
		});
	}

	async function accept() {
		if (!found) return;
		problem = await store.acceptPlan(
			{
				id: uuid(),
				at: new Date().toISOString(),
				proven: found.proven,
				stations: found.stations.map(({ shims, ...rest }) => ({ ...rest, shims: [...shims] }))
			},
			bench.person
		);
		if (problem !== null) return;
		planner.forget();
		// The shelf holds less of what the plan took.
		await invalidateAll();
	}

	function toggle(set: SvelteSet<string>, name: string) {
		if (set.has(name)) set.delete(name);
		else set.add(name);
	}

	function press(event: KeyboardEvent) {
		if (event.key === 'Escape' && planner.working) planner.cancel();
		if (isTyping(event) || isWithin(event, 'button, a, input')) return;
		const at = store.job.stations.findIndex((station) => station.label === label);
		if (event.key === 'Enter') work();
		else if (event.key === 'ArrowDown') selected = store.job.stations[at + 1]?.label ?? label;
		else if (event.key === 'ArrowUp') selected = store.job.stations[at - 1]?.label ?? label;
		else return;
		event.preventDefault();
	}
</script>

<svelte:head><title>Plan · {store.job.number} · Zinc Ledger</title></svelte:head>
<svelte:window onkeydown={press} />

<div
	class="flex min-h-0 flex-1 flex-col gap-x-4 overflow-auto px-4 pt-3 bench:flex-row bench:overflow-hidden"
>
	<div class="flex min-h-0 min-w-0 flex-1 flex-col">
		<div class="flex flex-wrap items-center gap-x-5 gap-y-1 text-[13px]">
			<h1 class="text-[15px] font-semibold">The plan</h1>
			{#if placeable.length > 0}
				<Checkbox bind:checked={placeSprings}>Place the {placeable.length} tested springs</Checkbox>
			{:else if springs.length > 0}
				<p class="text-[13px] text-soft">
					{springs.length} tested: a sample, too few to place at {store.job.stations.length} valves.
				</p>
			{/if}
			{#if used}<UsedSprings {used} bind:allNew />{/if}
			{#each lockSets.filter(({ stock }) => (stock ?? 0) > 0) as { part, stock } (part.id ?? part.name)}
				<Checkbox
					checked={considered.has(part.name)}
					onchange={() => toggle(considered, part.name)}
				>
					{part.name} <span class="text-soft">({stock} in stock)</span>
				</Checkbox>
			{/each}
			<span class="ml-auto flex items-center gap-3">
				{#if planner.working}
					<span role="status">Calculating…</span>
					<Button onclick={() => planner.cancel()}>Stop <Key>Esc</Key></Button>
				{:else}
					<Button onclick={work} look="main">Calculate plan</Button>
				{/if}
			</span>
		</div>

		<div role="status" class="min-h-11 bench:min-h-8 border-t border-rule py-1.5 text-[13px]">
			<PlanStatus {planner} />
			<Alert {problem} />
		</div>

		<div class="min-h-0 flex-1 overflow-auto">
			<PlanTable
				job={store.job}
				sheet={then ?? store.sheet}
				{planned}
				{leftOut}
				{fixed}
				selected={label}
				onselect={(at) => (selected = at)}
				onfix={(at) => toggle(fixed, at)}
			/>
		</div>
		<footer
			class="grid items-end gap-x-8 gap-y-2 border-t-2 border-ink py-2 text-[13px] tablet:grid-cols-[max-content_minmax(0,1fr)]"
		>
			<LoadSpread {planner} planned={job} {used} />
			<div class={used ? 'hidden min-[1500px]:block' : ''}>
				<LoadsAlong now={store.sheet} {then} called="planned" />
			</div>
			{#if found}
				<p class="min-w-0 text-soft tablet:col-span-2">
					<Button onclick={accept} disabled={planner.working} look="main" class="float-right ml-4"
						>Accept this plan</Button
					>
					<Picks {picks} />
				</p>
			{/if}
		</footer>
	</div>

	<StationChange {label} {before} {after} planned={job} next={next.get(label)} />
</div>
