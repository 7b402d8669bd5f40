<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import { invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import { lengthOf, mm, readEntry, sweepPoints, type LibraryPart } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { isTyping, isWithin, useKeys } from '$lib/keys/keys.svelte';
	import { cardEnds } from '$lib/springs/sets/card-line';
	import { send } from '$lib/http/send-json';
	import SpringComparison from '$lib/springs/sets/SpringComparison.svelte';
	import ByHand from '$lib/springs/sets/ByHand.svelte';
	import SetEdit from '$lib/springs/sets/SetEdit.svelte';
	import SetLimitsForm from '$lib/springs/sets/SetLimitsForm.svelte';
	import SetTable from '$lib/springs/sets/SetTable.svelte';
	import SpringFigures from '$lib/springs/sets/SpringFigures.svelte';
	import SpringFiles from '$lib/springs/sets/SpringFiles.svelte';
	import SweepChart from '$lib/springs/sets/SweepChart.svelte';
	import { sweepOutbox } from '$lib/outbox/sweeps.svelte';
	import WorkingHeight from '$lib/springs/sets/WorkingHeight.svelte';
	import { bindBand, rowsOf } from '$lib/springs/sets/worked';
	import { problemText, tell } from '@zinc-ledger/words';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';

	let { data, form } = $props();
	const bench = getBench();
	useKeys([
		{ keys: ['↑', '↓'], does: 'spring above, spring below' },
		{ keys: ['t'], does: 'test springs' }
	]);

	let seat = $state(untrack(() => lengthOf(data.set.seat) as number));
	const lift = $derived(lengthOf(data.set.lift) as number);
	const build = $derived(data.set.build);
	const rows = $derived(rowsOf(data.springs, build, seat, lift));
	let chosenTag = $state(untrack(() => page.url.searchParams.get('tag')));
	const chosen = $derived(rows.find(({ spring }) => spring.tag === chosenTag) ?? rows[0]);
	let comparedTag = $state('');
	let placing = $state<number | null>(null);
	let problem = $state<string | null>(null);

	const cards = $derived(data.library.map((part) => (part as LibraryPart<'spring'>).part));
	const lines = $derived(
		rows.flatMap(({ spring, sweep }) => {
			if (!sweep) return [];
			const isChosen = spring.tag === chosen?.spring.tag || spring.tag === comparedTag;
			const points = sweepPoints(sweep)
				.filter(({ travel }) => travel === 'down')
				.map(({ height, load: force }) => [height, force] as const);
			return [{ name: spring.tag, points, chosen: isChosen }];
		})
	);
	const lowest = $derived.by(() => {
		const points = lines.find(({ name }) => name === chosen?.spring.tag)?.points ?? [];
		return points.length > 0 ? Math.min(...points.map(([height]) => height)) : null;
	});
	const bindShown = $derived(chosen ? bindBand(chosen, placing) : null);

	// Sweeps that were still on their way when this page was loaded.
	onMount(() => void sweepOutbox.open());
	$effect(() => {
		if (sweepOutbox.sent === 0) return;
		sweepOutbox.sent = 0;
		void invalidateAll();
	});

	function step(by: number) {
		const at = rows.findIndex(({ spring }) => spring.tag === chosen?.spring.tag);
		chosenTag = rows[Math.min(rows.length - 1, Math.max(0, at + by))]?.spring.tag ?? null;
		placing = null;
	}
	function press(event: KeyboardEvent) {
		if (isTyping(event) || isWithin(event, '[role=slider]')) return;
		if (event.key === 'ArrowDown') step(1);
		else if (event.key === 'ArrowUp') step(-1);
		else return;
		event.preventDefault();
	}

	async function measure(change: Record<string, string>) {
		if (!chosen) return;
		const { bind, ...before } = chosen.spring.measured;
		const kept = { ...before, ...(bind && { bind: bind.height }), ...change };
		const body = Object.fromEntries(Object.entries(kept).filter(([, text]) => text));
		problem = await send('PUT', `/api/sets/${data.set.id}/springs/${chosen.spring.tag}`, body);
		if (problem !== null) return;
		placing = null;
		await invalidateAll();
	}
	function typed(name: string, text: string) {
		if (text.trim() === '' || name === 'serial') return void measure({ [name]: text.trim() });
		const entry = readEntry(text, bench.units.length);
		if (entry.ok) void measure({ [name]: entry.text });
		else problem = tell(entry.problem);
	}
</script>

<svelte:head><title>{data.set.name} · Zinc Ledger</title></svelte:head>
<svelte:window onkeydown={press} />

<main id="main" class="grid min-h-0 flex-1 bg-paper bench:grid-cols-[minmax(0,1fr)_23rem]">
	<div class="min-h-0 overflow-auto px-4 bench:px-6 py-4">
		<div class="flex flex-wrap items-center gap-x-4 gap-y-2 border-b-2 border-ink pb-2">
			<h1 class="text-xl font-semibold">{data.set.name}</h1>
			<p class="text-[14px] text-soft">
				{data.set.card?.name ?? 'no card'}
				{#if data.set.jobId}· <a class="underline" href="/jobs/{data.set.jobId}"
						>job {data.set.jobNumber}</a
					>{/if}
			</p>
			<Button href="/service/{data.set.id}" class="ml-auto">Over its service</Button>
			<Button href="/springs/{data.set.id}/labels">Labels</Button>
			<Button href="/springs/{data.set.id}/capture" look="main">Test springs</Button>
		</div>
		{#if form && 'problems' in form && form.problems}
			<Alert look="stop" class="mt-2">
				<h2 class="font-semibold">
					{'file' in form ? form.file : 'It'} import failed; nothing was changed
				</h2>
				{#each form.problems as one, i (i)}
					<p class="text-[13px]">{problemText(one)}</p>
				{/each}
			</Alert>
		{:else if form && 'taken' in form}<p role="status" class="mt-2">{form.taken}</p>
		{:else if form && 'used' in form}<p role="status" class="mt-2">{form.used}</p>{/if}

		{#if lines.length > 0 && chosen}
			<div class="mt-2">
				<SweepChart
					{lines}
					card={data.set.card ? cardEnds(data.set.card) : []}
					curve={chosen.worked?.curve ?? null}
					{seat}
					{lift}
					bind={bindShown}
					name="{data.set.name} {chosen.spring.tag}"
					onseat={(at) => (seat = at)}
					onbind={(at) => (placing = at)}
				/>
			</div>
			<WorkingHeight
				bind:seat
				bind:placing
				own={data.set.seat}
				{lowest}
				onset={(bind) => measure({ bind })}
			/>
		{/if}

		<SetTable
			{rows}
			chosen={chosen?.spring.tag}
			onchoose={(tag) => ((chosenTag = tag), (placing = null))}
			limits={data.set.limits}
		/>
		<SetEdit
			set={data.set}
			cards={data.library}
			refused={form && 'edit' in form && form.edit
				? { typed: form.typed, problems: form.edit }
				: null}
		/>
		<SetLimitsForm setId={data.set.id} limits={data.set.limits} />
	</div>

	<aside
		class="min-h-0 overflow-auto border-rule px-4 py-4 text-[13px] bench:border-l"
		aria-label="Chosen spring"
	>
		{#if chosen}
			<SpringFigures
				spring={chosen}
				card={data.set.card}
				{cards}
				seat={mm(seat)}
				lift={data.set.lift}
				limits={data.set.limits}
				{build}
				fitted={data.fitted}
			/>
			<SpringComparison
				set={data.set}
				{rows}
				chosen={chosen.spring.tag}
				{seat}
				bind:tag={comparedTag}
			/>
			<ByHand spring={chosen.spring} onmeasure={typed} />
			<Alert {problem} class="mt-1" />

			<SpringFiles
				setId={data.set.id}
				tag={chosen.spring.tag}
				tested={chosen.sweep !== null}
				ask={form && 'ask' in form ? form.ask : undefined}
			/>
			{#if data.set.jobId && lines.length > 0}
				<form method="POST" action="?/use" use:sendForm class="mt-3">
					<Button>Use curve on job {data.set.jobNumber}</Button>
				</form>
			{/if}
		{/if}
	</aside>
</main>
