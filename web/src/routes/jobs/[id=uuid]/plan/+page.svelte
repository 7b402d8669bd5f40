<script lang="ts">
	/** The plan of the whole job: asked for, looked at, accepted. */
	import { invalidateAll } from '$app/navigation';
	import { onMount } from 'svelte';
	import { SvelteSet } from 'svelte/reactivity';
	import { v7 as uuid } from 'uuid';
	import {
		canReplaceLocks,
		evaluate,
		loadSpread,
		KINDS,
		mm,
		partsOf,
		pickList,
		planInForce,
		withPlan,
		type LibraryPart,
		type PlanAnswer,
		keyOf
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getBook } from '$lib/job/book.svelte';
	import { isTyping, useKeys } from '$lib/keys/keys.svelte';
	import { Planner } from '$lib/planner/planner.svelte';
	import PlanTable from '$lib/planner/PlanTable.svelte';
	import Section from '$lib/section/Section.svelte';
	import Key from '$lib/ui/Key.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import ReasonForm from '$lib/ui/ReasonForm.svelte';
	import { capital, moment } from '$lib/ui/words';
	import { write } from '@zinc-ledger/words';

	let { data } = $props();
	const book = getBook();
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
	let selected = $state<string | null>(null);
	let problem = $state<string | null>(null);
	let accepted = $state(false);
	let withdrawing = $state(false);

	const springs = $derived(book.job.setup.springs ?? []);
	/** Lock sets that suit the stem and the retainer of this job, on the shelf or to be ordered. */
	const lockSets = $derived.by(() => {
		const own = KINDS.map((kind) => book.job.setup.kinds[kind].locks).filter((locks) => locks);
		return (data.locks as LibraryPart<'locks'>[]).filter(({ part }) =>
			own.some((locks) => canReplaceLocks(locks!, part))
		);
	});

	type Found = Extract<PlanAnswer, { sort: 'plan' }>;
	const answer = $derived(planner.answer);
	const found = $derived<Found | null>(answer?.sort === 'plan' ? answer : null);
	const planned = $derived(new Map(found?.stations.map((station) => [station.label, station])));
	const next = $derived(new Map(found?.next.map((station) => [station.label, station])));
	const leftOut = $derived(new Map(found?.leftOut));
	const job = $derived(found ? withPlan(book.shelved, found.stations) : null);
	const then = $derived(job ? evaluate(job) : null);
	const picks = $derived(found ? pickList(book.shelved, found.stations) : []);
	const placed = $derived(picks.filter(({ sort }) => sort === 'spring').length);
	const label = $derived(selected ?? found?.stations[0]?.label ?? book.job.stations[0]!.label);
	const before = $derived(book.station(label)!);
	const after = $derived(then?.stations.find((station) => station.label === label));
	const inForce = $derived(planInForce(book.job));

	const PLANS = {
		'as-it-stands': 'as it stands',
		'to-card-height': 'shims to card height',
		'shims-only': 'shims only',
		'this-plan': 'this plan'
	} as const;
	interface Spread {
		name: keyof typeof PLANS;
		of: ReturnType<typeof loadSpread>;
	}
	const spreads = $derived<Spread[]>([
		{ name: 'as-it-stands' as const, of: loadSpread(book.job) },
		...planner.simpler.flatMap(([name, other]) =>
			other.sort === 'plan'
				? [{ name, of: loadSpread(withPlan(book.shelved, other.stations)) }]
				: []
		),
		...(job ? [{ name: 'this-plan' as const, of: loadSpread(job) }] : [])
	]);
	const { length, load } = bench;

	onMount(() => planner.open());

	function work() {
		accepted = false;
		problem = null;
		void planner.ask({
			job: book.job,
			shims: book.shims,
			placeSprings: placeSprings && springs.length > 0,
			fixed: [...fixed],
			lockStock: lockSets.map(({ part, stock }) => ({
				locks: part,
				count: stock ?? 0,
				excluded: !considered.has(part.name)
			}))
		});
	}

	async function accept() {
		if (!found) return;
		problem = await book.acceptPlan(
			{
				id: uuid(),
				at: new Date().toISOString(),
				proven: found.proven,
				stations: found.stations.map(({ label: at, shims, locks, spring }) => ({
					label: at,
					shims: [...shims],
					...(locks && { locks }),
					...(spring !== undefined && { spring })
				}))
			},
			bench.person
		);
		accepted = problem === null;
		if (!accepted) return;
		planner.forget();
		// The shelf holds less of what the plan took.
		await invalidateAll();
	}

	async function withdraw(reason: string) {
		if (!inForce) return;
		problem = await book.withdrawPlan(inForce.id, reason);
		if (problem !== null) return;
		withdrawing = accepted = false;
		// What it took is on the shelf again.
		await invalidateAll();
	}

	function toggle(set: SvelteSet<string>, name: string) {
		if (set.has(name)) set.delete(name);
		else set.add(name);
	}

	function press(event: KeyboardEvent) {
		if (event.key === 'Escape' && planner.working) planner.cancel();
		if (isTyping(event) || (event.target as HTMLElement).closest('button, a, input')) return;
		const at = book.job.stations.findIndex((station) => station.label === label);
		if (event.key === 'Enter') work();
		else if (event.key === 'ArrowDown') selected = book.job.stations[at + 1]?.label ?? label;
		else if (event.key === 'ArrowUp') selected = book.job.stations[at - 1]?.label ?? label;
		else return;
		event.preventDefault();
	}
</script>

<svelte:head><title>Plan · {book.job.number} · Zinc Ledger</title></svelte:head>
<svelte:window onkeydown={press} />

<div
	class="flex min-h-0 flex-1 flex-col gap-x-4 overflow-auto px-4 pt-3 bench:flex-row bench:overflow-hidden"
>
	<div class="flex min-h-0 min-w-0 flex-1 flex-col">
		<div class="flex flex-wrap items-center gap-x-5 gap-y-1 text-[13px]">
			<h1 class="text-[15px] font-semibold">The plan</h1>
			{#if springs.length > 0}
				<label class="flex min-h-9 items-center gap-2">
					<input type="checkbox" class="size-4" bind:checked={placeSprings} />
					Place the {springs.length} tested springs
				</label>
			{/if}
			{#each lockSets.filter(({ stock }) => (stock ?? 0) > 0) as { part, stock } (part.id ?? part.name)}
				<label class="flex min-h-9 items-center gap-2">
					<input
						type="checkbox"
						class="size-4"
						checked={considered.has(part.name)}
						onchange={() => toggle(considered, part.name)}
					/>
					{part.name} <span class="text-soft">({stock} in stock)</span>
				</label>
			{/each}
			<span class="ml-auto flex items-center gap-3">
				{#if planner.working}
					<span role="status">Calculating…</span>
					<button class="button" onclick={() => planner.cancel()}>Stop <Key>Esc</Key></button>
				{:else}
					<button class="button button-main" onclick={work}>Calculate plan</button>
				{/if}
			</span>
		</div>

		<div role="status" class="min-h-8 border-t border-rule py-1.5 text-[13px]">
			{#if answer?.sort === 'no-plan'}
				<p class="font-semibold">
					<Mark state="stop" word /> There is no plan that meets every minimum:
				</p>
				<ul class="mt-1 space-y-0.5">
					{#each answer.why as why, i (i)}<li>{write(why, bench.units)}</li>{/each}
				</ul>
			{:else if answer?.sort === 'stopped'}
				<p><Mark state="watch" word /> Stopped before any plan was found.</p>
			{:else if found}
				<p>
					{#if found.proven}
						<b>Optimal.</b>
					{:else}
						<Mark state="watch" word />
						<b>Best so far, not proven optimal:</b> a better one could save {(
							found.gap * 100
						).toFixed(1)} % at most.
					{/if}
					Worst station {length(mm(found.worst))} beyond the dead band{planner.took === null
						? ''
						: `; calculated in ${(planner.took / 1000).toFixed(2)} s`}.
					{#if found.leftOut.length > 0}
						<span class="text-watch">{found.leftOut.length} skipped.</span>
					{/if}
				</p>
			{:else if accepted || inForce}
				{#if inForce}
					<p>
						Accepted {moment(inForce.at)} by {book.initials(inForce.person)}, {inForce.proven
							? 'optimal'
							: 'not proven optimal'}{book.job.plans.length > 1
							? `; it supersedes ${book.job.plans.length - 1} before it`
							: ''}.
						<a class="underline" href="/jobs/{book.job.id}/plan/picks">Pick list</a>
						<button class="ml-3 min-h-8 text-soft underline" onclick={() => (withdrawing = true)}>
							Withdraw the plan
						</button>
					</p>
					{#if withdrawing}
						<ReasonForm
							label="Reason for withdrawing the plan"
							placeholder="Reason; shims, locks and springs go back to what they were"
							onreason={withdraw}
						/>
					{/if}
				{/if}
			{:else}
				<p class="text-soft">
					First every minimum is met; then the worst distance from the target is least, then the
					sum, then the fewest parts. Lock what is to stay.
				</p>
			{/if}
			{#if problem}<p role="alert" class="font-semibold text-stop">{problem}</p>{/if}
		</div>

		<div class="min-h-0 flex-1 overflow-auto">
			<PlanTable
				job={book.job}
				sheet={then ?? book.sheet}
				{planned}
				{leftOut}
				{fixed}
				selected={label}
				onselect={(at) => (selected = at)}
				onfix={(at) => toggle(fixed, at)}
			/>
		</div>
		<footer class="flex items-end gap-x-8 gap-y-2 border-t-2 border-ink py-2 text-[13px]">
			<table aria-label="Spread of seat loads" class="text-left">
				<thead>
					<tr class="text-[12px] text-soft [&>th]:pr-5 [&>th]:font-medium">
						<th>Seat-load spread</th><th>intakes</th><th>exhausts</th><th>shims</th>
					</tr>
				</thead>
				<tbody>
					{#each spreads as { name, of } (name)}
						<tr class="[&>td]:pr-5">
							<td>{PLANS[name]}</td>
							<td class="figure">{load(of.spread.intake)}</td>
							<td class="figure">{load(of.spread.exhaust)}</td>
							<td class="figure">{of.shims}</td>
						</tr>
					{/each}
				</tbody>
			</table>
			{#if found}
				<p class="min-w-0 flex-1 text-soft">
					{#if placed > 0}<span class="mr-3">{placed} springs moved</span>{/if}
					{#each picks.filter(({ sort }) => sort !== 'spring') as pick (keyOf(pick.part))}
						<span class="mr-3 whitespace-nowrap {pick.short > 0 ? 'font-semibold text-watch' : ''}">
							{capital(write(pick.part, bench.units))} × {pick.wanted}{pick.short > 0
								? `, ${pick.short} short`
								: pick.shelf === null
									? ', not counted'
									: ''}
						</span>
					{/each}
				</p>
				<button class="button button-main" onclick={accept} disabled={planner.working}>
					Accept this plan
				</button>
			{/if}
		</footer>
	</div>

	<aside
		class="w-full flex-none overflow-y-auto pb-3 text-[13px] bench:w-[332px] bench:border-l bench:border-rule bench:pl-3"
		aria-label="Station {label}"
	>
		<h2 class="figure text-base font-semibold">{label}</h2>
		<div class="grid grid-cols-2 gap-2">
			{#each [['now', before], ['planned', after]] as const as [name, station] (name)}
				<figure>
					<figcaption class="text-[12px] text-soft">{name}</figcaption>
					{#if station}
						{@const entry = (name === 'now' ? book.job : job)!.stations.find(
							(one) => one.label === label
						)!}
						<Section {station} kind={station.shared} parts={partsOf(book.job.setup, entry)} plain />
					{:else}
						<p class="py-6 text-soft">No plan yet.</p>
					{/if}
				</figure>
			{/each}
		</div>
		{#if after}
			<table class="mt-1 w-full text-right">
				<thead>
					<tr class="text-[12px] text-soft [&>th]:font-medium">
						<th class="text-left">{label}</th><th>now</th><th>planned</th>
					</tr>
				</thead>
				<tbody>
					{#each [['Height', length(before.figures.height.figure), length(after.figures.height.figure)], ['Seat load', load(before.figures.seatLoad.figure), load(after.figures.seatLoad.figure)], ['Open load', load(before.figures.openLoad.figure), load(after.figures.openLoad.figure)], ['Bind margin', length(before.figures.bindMargin.figure), length(after.figures.bindMargin.figure)], ['Seal clearance', length(before.figures.sealClearance.figure), length(after.figures.sealClearance.figure)], ['Target', length(before.shared.target.height), length(after.shared.target.height)]] as const as [name, was, is] (name)}
						<tr class="border-t border-hair">
							<td class="text-left text-soft">{name}</td>
							<td class="figure">{was}</td>
							<td class="figure">{is}</td>
						</tr>
					{/each}
				</tbody>
			</table>
			{@const other = next.get(label)}
			{#if other}
				<p class="mt-2 border-t border-rule pt-2 text-soft">
					Next best here: {other.shims.length > 0
						? `shim ${other.shims.join(' + ')}`
						: 'no shims'}{other.locks ? `, ${other.locks.name}` : ''}.
				</p>
			{/if}
		{/if}
	</aside>
</div>
