<script lang="ts">
	import { v7 as uuid } from 'uuid';
	import {
		GROOVES_SEEN,
		CONTACTS,
		SEAT_MARKS,
		inspectionFindings,
		STEMS_SEEN,
		TIPS_SEEN,
		stationsAtHand,
		walk,
		type Inspection
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import Came from '$lib/job/inspection/Came.svelte';
	import Photos from '$lib/photos/Photos.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { isTyping, isWithin, useKeys } from '$lib/keys/keys.svelte';
	import HeadPlan from '$lib/sheet/head-plan/HeadPlan.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { moment } from '$lib/ui/words';
	import { labelsOf, tell } from '@zinc-ledger/words';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import RadioGroup from '$lib/ui/RadioGroup.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	let { data } = $props();
	const store = getJobStore();
	const bench = getBench();
	useKeys([
		{ keys: ['↑', '↓'], does: 'valve before, valve after' },
		{ keys: ['g'], does: 'all good: save, next valve' },
		{ keys: ['Enter'], does: 'save as chosen, next valve' }
	]);

	const ASKED = [
		{ name: 'condition', title: 'Valve is', choices: ['new', 'reused'], of: 'condition' },
		{ name: 'tip', title: 'Tip', choices: TIPS_SEEN, of: 'tipSeen' },
		{ name: 'groove', title: 'Lock groove', choices: GROOVES_SEEN, of: 'grooveSeen' },
		{ name: 'stem', title: 'Stem', choices: STEMS_SEEN, of: 'stemSeen' },
		{ name: 'seatMark', title: 'Seat mark', choices: SEAT_MARKS, of: 'seatMark' },
		{ name: 'contact', title: 'Contact', choices: CONTACTS, of: 'contact' }
	] as const;
	const GOOD = {
		condition: 'reused',
		tip: 'good',
		groove: 'good',
		stem: 'good',
		seatMark: 'even',
		contact: 'middle'
	} as const;
	type Seen = Pick<Inspection, (typeof ASKED)[number]['name']>;

	const order = $derived(walk(stationsAtHand(store.job), store.job.setup.measuringOrder));
	let at = $state<string | null>(null);
	const label = $derived(
		at ?? order.find((entry) => !store.station(entry.label)?.seen)?.label ?? order[0]!.label
	);
	const seen = $derived(store.station(label)?.seen ?? null);
	let chosen = $derived<Seen>({ ...GOOD, ...(seen && pick(seen)) });
	let note = $derived(seen?.note ?? '');
	let problem = $state<string | null>(null);
	const done = $derived(store.sheet.stations.filter((station) => station.seen).length);

	function pick({ condition, tip, groove, stem, seatMark, contact }: Inspection): Seen {
		return { condition, tip, groove, stem, seatMark, contact };
	}

	function step(by: number) {
		const i = order.findIndex((entry) => entry.label === label);
		at = order[Math.min(order.length - 1, Math.max(0, i + by))]!.label;
		problem = null;
	}

	async function keep(what: Seen, about: string) {
		problem = await store.append('inspections', bench.person, {
			id: uuid(),
			station: label,
			...what,
			...(about.trim() && { note: about.trim() }),
			at: new Date().toISOString()
		});
		if (problem === null) step(1);
	}

	function press(event: KeyboardEvent) {
		if (isTyping(event) || isWithin(event, '[role=radio]')) return;
		if (event.key === 'ArrowDown') step(1);
		else if (event.key === 'ArrowUp') step(-1);
		else if (event.key === 'g') void keep({ ...GOOD, condition: chosen.condition }, '');
		else return;
		event.preventDefault();
	}
</script>

<svelte:head><title>Valves · {store.job.number} · Zinc Ledger</title></svelte:head>
<svelte:window onkeydown={press} />

<div class="flex-none px-4 pt-3">
	<HeadPlan
		job={store.job}
		stations={store.sheet.stations}
		seen
		selected={label}
		onselect={(one) => (at = one)}
	/>
</div>
<div
	class="grid min-h-0 flex-1 gap-x-8 overflow-auto px-4 bench:px-6 py-4 bench:grid-cols-[minmax(0,1fr)_20rem]"
>
	<form
		onsubmit={(event) => {
			event.preventDefault();
			void keep(chosen, note);
		}}
	>
		<h1 class="flex items-end gap-5">
			<span class="figure text-[56px] leading-none font-semibold">{label}</span>
			<span class="pb-1 text-[15px] text-soft"
				>Inspect the valve · {done} of {order.length} inspected</span
			>
		</h1>
		<div class="mt-4 border-t-2 border-ink">
			{#each ASKED as { name, title, choices, of } (name)}
				{@const names = labelsOf(of)}
				<RadioGroup
					label={title}
					class="min-h-12 border-b border-hair"
					options={choices.map((choice) => ({ value: choice as string, label: names[choice]! }))}
					value={chosen[name] ?? null}
					onchoose={(choice) => (chosen = { ...chosen, [name]: choice })}
				>
					{#snippet lead()}<span class="w-28 text-[13px] text-soft">{title}</span>{/snippet}
				</RadioGroup>
			{/each}
		</div>
		<TextField label="Note" class="mt-3" maxlength={200} bind:value={note} />
		<div class="mt-3 min-h-12 space-y-1">
			{#each inspectionFindings(chosen) as remark (remark.text.code)}
				<p><Mark state={remark.state} word /> {tell(remark.text)}</p>
			{/each}
		</div>
		<Button look="main" class="mt-2">Save, next valve</Button>
		<Alert {problem} class="mt-2" />
	</form>
	<aside aria-label="Photos and what was seen" class="space-y-5 text-[13px]">
		<section>
			<h2 class="mb-2 border-b border-ink pb-1 font-semibold">Photos of {label}</h2>
			{#key label}
				<Photos
					photos={data.photos.filter((photo) => photo.station === label)}
					to="/api/jobs/{store.job.id}/photos?station={label}"
					of="valve {label}"
				/>
			{/key}
			<p class="mt-1 text-soft">JPEG, PNG or WebP to 12 MB. Where it was taken is not kept.</p>
		</section>
		<section>
			<h2 class="border-b border-ink pb-1 font-semibold">Inspected so far</h2>
			<ul>
				{#each order as entry (entry.label)}
					{@const valve = store.station(entry.label)?.seen}
					{#if valve}
						<li class="flex flex-wrap gap-x-2 border-b border-hair py-1">
							<b class="figure w-9">{entry.label}</b>
							<span>{labelsOf('condition')[valve.condition]}</span>
							{#each inspectionFindings(valve) as remark (remark.text.code)}
								<span><Mark state={remark.state} /> {tell(remark.text).split(':')[0]}</span>
							{/each}
							<span class="ml-auto text-soft" title={moment(valve.at)}
								>{store.initials(valve.person)}</span
							>
						</li>
					{/if}
				{/each}
			</ul>
		</section>
		<Came
			photos={data.photos.filter(({ station, evidence }) => station === null && evidence === null)}
		/>
		<p class="caution">
			Keep every valve with its station: tag or rack. Solvents: ventilation and gloves.
		</p>
	</aside>
</div>
