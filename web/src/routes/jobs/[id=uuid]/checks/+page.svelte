<script lang="ts">
	/** What is tried on the built head: vacuum, passages through the lift, piston to valve. */
	import { v7 as uuid } from 'uuid';
	import {
		lengthOf,
		partsOf,
		PASSAGES,
		rollerSweep,
		stationsAtHand,
		walk,
		type Check
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import CheckingSprings from '$lib/assembly/CheckingSprings.svelte';
	import CheckTable from '$lib/sheet/checks/CheckTable.svelte';
	import type { CheckDraft } from '$lib/sheet/checks/keep';
	import LeakDownForm from '$lib/sheet/checks/LeakDownForm.svelte';
	import LiftAtTop from '$lib/sheet/checks/LiftAtTop.svelte';
	import PistonForm from '$lib/sheet/checks/PistonForm.svelte';
	import VacuumForm from '$lib/sheet/checks/VacuumForm.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { isTyping, useKeys } from '$lib/keys/keys.svelte';
	import HeadPlan from '$lib/sheet/head-plan/HeadPlan.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { capital } from '$lib/ui/words';
	import { label as nameOf, write } from '@zinc-ledger/words';
	import Button from '$lib/ui/Button.svelte';
	import Alert from '$lib/ui/Alert.svelte';

	const store = getJobStore();
	const bench = getBench();
	useKeys([{ keys: ['↑', '↓'], does: 'valve before, valve after' }]);

	const order = $derived(walk(stationsAtHand(store.job), store.job.setup.measuringOrder));
	const isTried = (one: string) => {
		const { vacuum, leakDown } = store.station(one)?.checks ?? {};
		return Boolean(vacuum ?? leakDown);
	};
	let at = $state<string | null>(null);
	const label = $derived(
		at ?? order.find((entry) => !isTried(entry.label))?.label ?? order[0]!.label
	);
	const station = $derived(store.station(label)!);
	const limits = $derived(store.job.setup.limits);
	/** How far a roller of this arm must sweep over the tip. */
	const sweep = $derived.by(() => {
		const entry = store.job.stations.find((one) => one.label === label)!;
		const { rocker } = partsOf(store.job.setup, entry);
		const { lift } = station.shared;
		if (rocker?.nose !== 'roller-tip' || !rocker.arm || !lift) return null;
		return rollerSweep(lengthOf(rocker.arm), lift.gross);
	});
	let note = $state('');
	let problem = $state<string | null>(null);

	async function keep(check: CheckDraft): Promise<boolean> {
		problem = await store.append('checks', bench.person, {
			...check,
			id: uuid(),
			station: label,
			...(note.trim() && { note: note.trim() }),
			at: new Date().toISOString()
		} as Omit<Check, 'person'>);
		if (problem === null) note = '';
		return problem === null;
	}
	/** The valve so many further on in walking order; the ends hold. */
	const beside = (by: number) =>
		order[order.findIndex((entry) => entry.label === label) + by]?.label ?? label;
	async function keepVacuum(check: CheckDraft): Promise<boolean> {
		const next = beside(1);
		const isKept = await keep(check);
		if (isKept) at = next;
		return isKept;
	}

	function press(event: KeyboardEvent) {
		if (isTyping(event)) return;
		if (event.key === 'ArrowDown') at = beside(1);
		else if (event.key === 'ArrowUp') at = beside(-1);
		else return;
		event.preventDefault();
	}
</script>

<svelte:head><title>Checks · {store.job.number} · Zinc Ledger</title></svelte:head>
<svelte:window onkeydown={press} />

<div class="flex-none px-4 pt-3">
	<HeadPlan
		job={store.job}
		stations={store.sheet.stations}
		done={{ is: (one) => isTried(one.label), word: 'tested' }}
		selected={label}
		onselect={(one) => (at = one)}
	/>
</div>
<div
	class="grid min-h-0 flex-1 gap-x-8 overflow-auto px-4 bench:px-6 py-4 bench:grid-cols-[minmax(0,1fr)_26rem]"
>
	<div>
		<h1 class="flex items-end gap-5">
			<span class="figure text-[56px] leading-none font-semibold">{label}</span>
			<span class="pb-1 text-[15px] text-soft">Checks on the built head</span>
		</h1>
		{#if problem}
			<Alert {problem} class="sticky top-0 z-[1] bg-paper py-2" />
		{/if}
		{#if store.job.setup.workLocation === 'vehicle'}
			<LeakDownForm max={limits.leakDown} keep={keepVacuum} />
		{:else}
			<VacuumForm wanted={limits.vacuum} keep={keepVacuum} />
		{/if}
		<section class="mt-3 border-t border-rule pt-2">
			<h2 class="font-semibold">Through-lift clearance, with a checking spring</h2>
			<p class="caution mt-1">
				Count the checking springs out again: no head leaves with a checking spring in it.
			</p>
			<CheckingSprings />
			{#each PASSAGES as passage (passage)}
				<div class="flex min-h-12 flex-wrap items-center gap-3 border-b border-hair">
					<span class="w-28">{capital(nameOf('passage', passage))}</span>
					{#if passage === 'tip-wipe' && sweep !== null}
						<span class="text-[13px] text-soft"
							>roller sweeps <span class="figure">{bench.length(sweep)}</span> at least</span
						>
					{/if}
					{#each [true, false] as passes (passes)}
						<Button
							aria-pressed={station.checks.passages[passage]?.passes === passes}
							onclick={() => keep({ type: 'passage', passage, passes })}
							class="aria-pressed:border-ink aria-pressed:bg-chromate-wash"
						>
							{passes ? 'Clear' : 'Contact'}
						</Button>
					{/each}
				</div>
			{/each}
			<p class="mt-2 flex flex-wrap gap-x-4 text-[13px]">
				<a class="underline" href="/jobs/{store.job.id}/round?of=seal-gap-at-lift"
					>Seal gaps at full lift</a
				>
				<a class="underline" href="/jobs/{store.job.id}/round?of=rocker-full-lift"
					>Rocker clearance</a
				>
				<a class="underline" href="/jobs/{store.job.id}/round?of=on-head-load">Loads on the head</a>
			</p>
		</section>
		<PistonForm
			floor={limits.pistonFloors[station.kind]}
			gasket={store.job.setup.gasketThickness}
			{keep}
		/>
		<LiftAtTop job={store.job} kind={station.kind} />
		<TextField
			class="mt-3 max-w-md"
			label="Note with the next check"
			maxlength={200}
			bind:value={note}
		/>
	</div>
	<aside class="text-[13px]">
		<CheckTable stations={order.map((entry) => store.station(entry.label)!)} />
		{#each station.remarks.filter(({ state }) => state === 'stop') as remark, i (i)}
			<p class="mt-2"><Mark state="stop" word /> {write(remark.text, bench.units)}</p>
		{/each}
	</aside>
</div>
