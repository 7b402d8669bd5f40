<script lang="ts">
	import {
		chooseSprings,
		contextOf,
		KINDS,
		showMass,
		showSpeed,
		type Kind,
		type SpringCandidate
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { capital } from '$lib/ui/words';
	import { label, write } from '@zinc-ledger/words';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Table from '$lib/ui/Table.svelte';

	let { data } = $props();
	const store = getJobStore();
	const bench = getBench();
	useKeys([]);
	let kind = $state<Kind>('intake');
	let problem = $state<string | null>(null);

	const candidates = $derived.by(() => {
		const context = contextOf(store.sheet.fitContexts, { kind, stations: [] });
		return context ? chooseSprings(context, data.parts, data.kits) : [];
	});
	const could = $derived(candidates.filter(({ ruledOut }) => ruledOut.length === 0).length);
	const figures = (one: SpringCandidate) => [
		bench.length(one.height),
		bench.load(one.seatLoad),
		bench.load(one.openLoad),
		bench.length(one.bindMargin),
		one.mass === null ? '·' : showMass(one.mass),
		...(knowsSpeed ? [one.controlLimit === null ? '·' : showSpeed(one.controlLimit)] : [])
	];
	/** Where springs lose their valves is shown as soon as it is known of one. */
	const knowsSpeed = $derived(candidates.some(({ controlLimit }) => controlLimit !== null));
	const columns = $derived([
		['Height', bench.units.length],
		['Seat', bench.units.load],
		['Open', bench.units.load],
		['Bind margin', bench.units.length],
		['Mass', 'g'],
		...(knowsSpeed ? [['Control limit', 'rpm']] : [])
	]);

	/** What else is exchanged with it: "retainer Ostrel R-40, locks …". */
	const changes = (one: SpringCandidate) =>
		one.changes.map(({ place, part }) => `${label('slot', place)} ${part.name}`).join(', ');
	const isOnJob = ({ part, kit }: SpringCandidate) => {
		const { spring, kit: taken } = store.job.setup.kinds[kind];
		return spring?.id === part.part.id && (kit === null ? !taken : taken?.id === kit.id);
	};

	async function take({ parts }: SpringCandidate) {
		if (!bench.person) {
			problem = 'Pick who works at this bench first, at the top.';
			return;
		}
		const { setup } = store.job;
		problem = await store.changeSetup({ ...setup, kinds: { ...setup.kinds, [kind]: parts } });
	}
</script>

<svelte:head><title>Find a spring · {store.job.number} · Zinc Ledger</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-4 bench:px-6 pb-8">
	<div class="sticky top-0 z-[1] flex min-h-16 items-center gap-4 border-b-2 border-ink bg-paper">
		<h1 class="text-xl font-semibold">Find a spring</h1>
		<div role="group" aria-label="Valve" class="flex gap-1">
			{#each KINDS as one (one)}
				<Button look="filter" aria-pressed={kind === one} onclick={() => (kind = one)}
					>{capital(label('kind', one))}</Button
				>
			{/each}
		</div>
		<span class="text-soft">{could} of {candidates.length} suitable</span>
		<Button href="/jobs/{store.job.id}/parts" class="ml-auto">Back to the parts</Button>
	</div>
	<Alert {problem} class="mt-2" />
	<Table>
		<thead>
			<tr>
				<th>Spring</th>
				{#each columns as [title, unit] (title)}
					<th class="w-20 text-right">
						{title} <span class="figure block">{unit}</span>
					</th>
				{/each}
				<th class="pl-5">Changes and reasons</th>
				<th><span class="sr-only">Use</span></th>
			</tr>
		</thead>
		<tbody>
			{#each candidates as one (`${one.kit?.id ?? ''} ${one.part.part.id}`)}
				{@const out = one.ruledOut.length > 0}
				<tr class="align-top {out ? 'text-soft' : ''}">
					<th scope="row" class="py-2 text-left font-semibold">
						{one.kit?.name ?? one.part.part.name}
						{#if one.kit}<span class="block text-xs font-normal">kit</span>{/if}
						{#if isOnJob(one)}
							<span class="block text-xs font-normal">on the job now</span>
						{/if}
					</th>
					{#each figures(one) as text, i (i)}
						<td class="figure py-2 text-right">{text}</td>
					{/each}
					<td class="py-2 pl-5 text-[13px]">
						{#if one.changes.length > 0}
							<span class="block">with {changes(one)}</span>
						{/if}
						{#each one.ruledOut as reason, i (i)}
							<span class="block"><Mark state="stop" /> {write(reason, bench.units)}</span>
						{/each}
						{#each one.remarks as remark, i (i)}
							<span class="block text-soft">{write(remark, bench.units)}</span>
						{/each}
					</td>
					<td class="py-1 text-right">
						{#if !out && !isOnJob(one)}
							<Button
								aria-label="Use {one.kit ? 'kit ' : ''}{one.kit?.name ?? one.part.part.name}"
								onclick={() => take(one)}>Use</Button
							>
						{/if}
					</td>
				</tr>
			{/each}
		</tbody>
	</Table>
	<p class="mt-3 max-w-prose text-[13px] text-soft">
		Each is calculated at the height this job’s method targets with it, and with what would have to
		change. Kits first, then what changes least, fewest reasons against it, the bind margin nearest
		to the one aimed for, and mass. Loads from a card are a straight line: test the spring.
	</p>
</div>
