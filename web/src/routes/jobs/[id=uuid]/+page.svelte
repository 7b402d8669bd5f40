<script lang="ts">
	import { untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { walk, type FigureName } from '@zinc-ledger/core';
	import { nextUnmeasured } from '$lib/frame/phases';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Question from '$lib/job/store/Question.svelte';
	import StationDetail from '$lib/job/store/StationDetail.svelte';
	import StationDialog from '$lib/job/store/StationDialog.svelte';
	import { isTyping, isWithin, useKeys } from '$lib/keys/keys.svelte';
	import { outbox } from '$lib/outbox/outbox.svelte';
	import HeadPlan from '$lib/sheet/head-plan/HeadPlan.svelte';
	import { verdictIn } from '$lib/sheet/table/columns';
	import SheetFooter from '$lib/sheet/table/SheetFooter.svelte';
	import SheetRemarks from '$lib/sheet/table/SheetRemarks.svelte';
	import SheetTable from '$lib/sheet/table/SheetTable.svelte';
	import Wants from '$lib/sheet/table/Wants.svelte';
	import StationList from '$lib/sheet/table/StationList.svelte';
	import { stationTyped, typeOn } from '$lib/job/store/typed-station';
	import Button from '$lib/ui/Button.svelte';
	import Alert from '$lib/ui/Alert.svelte';

	const store = getJobStore();
	useKeys([
		{ keys: ['3', 'e'], does: 'go to station 3E' },
		{ keys: ['↑', '↓'], does: 'row above, row below' },
		{ keys: ['←', '→'], does: 'along the head' },
		{ keys: ['c'], does: 'only what is not clear' },
		{ keys: ['h'], does: 'measure heights' },
		{ keys: ['g'], does: 'measure seal gaps' },
		{ keys: ['t'], does: 'measure tip heights' },
		{ keys: ['l'], does: 'set lash' },
		{ keys: ['p'], does: 'print the sheet' }
	]);

	type Rows = 'all' | 'not-clear' | 'intake' | 'exhaust' | 'shims';
	const ROWS: readonly { rows: Rows; name: string }[] = [
		{ rows: 'all', name: 'All' },
		{ rows: 'intake', name: 'Intakes' },
		{ rows: 'exhaust', name: 'Exhausts' },
		{ rows: 'not-clear', name: 'Not clear' },
		{ rows: 'shims', name: 'To shim' }
	];
	let rows = $derived<Rows>(page.url.searchParams.get('show') === 'shims' ? 'shims' : 'all');
	let sortedBy = $state<FigureName | null>(null);
	let chosen = $state<string | null>(untrack(() => page.url.searchParams.get('at')));
	let typed = $state('');
	/** The chosen station's figures lie over the list, on a phone. */
	let opened = $state(false);

	const order = $derived(walk(store.job.stations, store.job.setup.measuringOrder));
	const shown = $derived.by(() => {
		const inOrder = order.flatMap((station) => store.station(station.label) ?? []);
		const kept = inOrder.filter((station) => {
			if (rows === 'all') return true;
			if (rows === 'not-clear') return !['clear', 'not-measured'].includes(station.state);
			if (rows === 'shims') return station.shim?.answer.type === 'fit';
			return station.kind === rows;
		});
		const column = sortedBy;
		if (column === null) return kept;
		const figure = (station: (typeof kept)[number]) =>
			verdictIn(station, column)?.figure ?? Number.POSITIVE_INFINITY;
		return kept.toSorted((a, b) => figure(a) - figure(b));
	});
	const selected = $derived(
		chosen && store.station(chosen)
			? chosen
			: (store.sheet.stations.find((station) => station.state === 'stop')?.label ??
					order[0]?.label ??
					null)
	);
	const station = $derived(selected === null ? undefined : store.station(selected));
	const waiting = $derived(
		new Set(
			outbox.waiting
				.filter((item) => item.jobId === store.job.id)
				.map((item) => item.reading.station)
		)
	);
	const tagged = $derived(
		new Set(store.job.stations.filter(({ spring }) => spring).map((entry) => entry.label))
	);
	const nextToMeasure = $derived(nextUnmeasured(store));

	function select(label: string) {
		chosen = label;
		document.querySelector(`[data-row="${label}"]`)?.scrollIntoView({ block: 'nearest' });
	}

	function step(list: readonly { label: string }[], by: number) {
		const at = list.findIndex((entry) => entry.label === selected);
		const next = list[Math.min(list.length - 1, Math.max(0, at + by))];
		if (next) select(next.label);
	}

	let clearTyped: ReturnType<typeof setTimeout> | undefined;
	function press(event: KeyboardEvent) {
		if (isTyping(event)) return;
		const onSlider = isWithin(event, '[role=slider]');
		const along = () => walk(store.job.stations, 'along-the-head');
		const root = `/jobs/${store.job.id}`;
		const does: Record<string, () => unknown> = {
			ArrowDown: () => step(shown, 1),
			ArrowUp: () => step(shown, -1),
			ArrowRight: () => step(along(), 1),
			ArrowLeft: () => step(along(), -1),
			c: () => (rows = rows === 'not-clear' ? 'all' : 'not-clear'),
			h: () => goto(`${root}/round?of=installed-height`),
			g: () => goto(`${root}/round?of=seal-gap`),
			t: () => goto(`${root}/round?of=tip-height`),
			l: () => goto(`${root}/round?of=lash`),
			p: () => goto(`${root}/paper`)
		};
		if (event.key.startsWith('Arrow') && onSlider) return;
		const action = does[event.key];
		if (action) {
			void action();
			event.preventDefault();
			return;
		}
		if (/^[0-9ieab]$/i.test(event.key)) {
			const labels = store.job.stations.map((entry) => entry.label);
			typed = typeOn(typed, event.key, labels);
			clearTimeout(clearTyped);
			clearTyped = setTimeout(() => (typed = ''), 900);
			const label = stationTyped(typed, labels);
			if (label) select(label);
		}
	}
</script>

<svelte:head><title>{store.job.number} {store.job.engine.name} · Zinc Ledger</title></svelte:head>
<svelte:window onkeydown={press} />

<h1 class="sr-only">Sheet of job {store.job.number}</h1>
<div class="flex-none px-4 pt-3">
	<HeadPlan job={store.job} stations={store.sheet.stations} {selected} onselect={select} />
</div>
{#each store.sheet.remarks.filter(({ asks }) => asks) as remark (remark.asks)}
	<Alert look="watch" class="mx-4 mt-2"><Question {remark} /></Alert>
{/each}
<div class="flex-none px-4 pt-1"><Wants /></div>
<div class="flex min-h-0 flex-1 flex-col gap-x-4 px-4 pt-2 bench:flex-row">
	<div class="flex min-h-0 min-w-0 flex-1 flex-col">
		<div
			class="flex flex-wrap items-center gap-x-1 text-[13px]"
			role="group"
			aria-label="Rows shown"
		>
			{#each ROWS as choice (choice.rows)}
				<Button
					look="filter"
					aria-pressed={rows === choice.rows}
					onclick={() => (rows = choice.rows)}
				>
					{choice.name}
				</Button>
			{/each}
			{#if typed}<span class="figure ml-2 bg-chromate-wash px-2">{typed}</span>{/if}
			<SheetRemarks />
		</div>
		<div class="min-h-0 flex-1 overflow-auto">
			<div class="hidden tablet:block">
				<SheetTable
					stations={shown}
					all={store.sheet.stations}
					{selected}
					{waiting}
					{tagged}
					{sortedBy}
					onselect={select}
					onsort={(column) => (sortedBy = column)}
				/>
			</div>
			<div class="tablet:hidden">
				<StationList
					stations={shown}
					{selected}
					{waiting}
					onselect={(label) => {
						select(label);
						opened = true;
					}}
				/>
			</div>
			{#if shown.length === 0}
				<p class="py-6 text-soft">
					{rows === 'shims' ? 'No station asks for a shim.' : 'Every station is clear.'}
				</p>
			{/if}
		</div>
		<SheetFooter {nextToMeasure} {tagged} />
	</div>
	<aside
		class="hidden w-full flex-none overflow-y-auto border-rule pb-3 tablet:block bench:w-[332px] bench:border-l bench:pl-3"
		aria-label="Chosen station"
	>
		{#if station}
			{#key station.label}<StationDetail {station} />{/key}
		{/if}
	</aside>
</div>

<StationDialog bind:open={opened} {station} />
