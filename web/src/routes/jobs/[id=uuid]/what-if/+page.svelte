<script lang="ts">
	/** Another cam, spring set, floor or method beside the present job; nothing is saved until it is accepted. */
	import { onMount, untrack } from 'svelte';
	import {
		springsToPlace,
		evaluate,
		KINDS,
		readEntry,
		withPlan,
		withScenario,
		type Job,
		type Kind,
		type LibraryPart,
		type PartAt,
		type PlanAnswer,
		type Setup
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import LoadsAlong from '$lib/planning/plan/LoadsAlong.svelte';
	import { gainLine, type Side } from '$lib/planning/what-if/comparison';
	import Tightest from '$lib/planning/what-if/Tightest.svelte';
	import ChangeFields from '$lib/planning/what-if/ChangeFields.svelte';
	import type { Change } from '$lib/planning/what-if/changes';
	import SideBySide from '$lib/planning/what-if/SideBySide.svelte';
	import { Planner } from '$lib/planning/plan/planner.svelte';
	import { usedSpringsOf } from '$lib/planning/plan/used-springs';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import { WORKER_FAILED } from '$lib/worker/worker-client';

	let { data } = $props();
	const store = getJobStore();
	const bench = getBench();
	const planner = new Planner();
	onMount(() => planner.open());
	const springs = $derived(
		(data.springs as LibraryPart<'spring'>[]).filter(({ retired }) => !retired)
	);
	const retainers = $derived(
		(data.retainers as LibraryPart<'retainer'>[]).filter(({ retired }) => !retired)
	);

	const none = (): Record<Kind, Change> => ({
		intake: { spring: '', retainer: '', lift: '', method: '' },
		exhaust: { spring: '', retainer: '', lift: '', method: '' }
	});
	let changes = $state(untrack(none));
	let floors = $state({ bindFloor: '', sealFloor: '' });
	let problem = $state<string | null>(null);
	let kept = $state(false);

	const read = (text: string) => (text.trim() === '' ? null : readEntry(text, bench.units.length));
	const setup = $derived.by<Setup>(() => {
		const length = (text: string) => {
			const entry = read(text);
			return entry?.ok ? entry.text : undefined;
		};
		const changed = (kind: Kind) => {
			const { spring, retainer, lift, method } = changes[kind];
			const parts: PartAt[] = [
				...springs
					.filter(({ part }) => part.id === spring)
					.map(({ part }) => ({ place: 'spring' as const, part })),
				...retainers
					.filter(({ part }) => part.id === retainer)
					.map(({ part }) => ({ place: 'retainer' as const, part }))
			];
			const valve = length(lift);
			return {
				...(parts.length > 0 && { parts }),
				...(valve !== undefined && { lift: valve }),
				...(method && { method })
			};
		};
		const [bindFloor, sealFloor] = [length(floors.bindFloor), length(floors.sealFloor)];
		return withScenario(store.job.setup, store.sheet, {
			kinds: { intake: changed('intake'), exhaust: changed('exhaust') },
			limits: { ...(bindFloor && { bindFloor }), ...(sealFloor && { sealFloor }) }
		});
	});
	const isChanged = $derived(
		Object.values(floors).some(Boolean) ||
			KINDS.some((kind) => Object.values(changes[kind]).some(Boolean))
	);
	const then = $derived(evaluate({ ...store.job, setup }));
	const highest = $derived(store.job.setup.use.engineSpeed ?? null);
	/** Both sides planned, once asked for; gone as soon as something else is changed. */
	let plans = $state.raw<{ of: Setup; now: PlanAnswer; then: PlanAnswer } | null>(null);
	let working = $state(false);
	const both = $derived(plans?.of === setup ? plans : null);
	const side = (name: string, plan: PlanAnswer, job: Job): Side => ({
		name,
		sheet: evaluate(plan.type === 'plan' ? withPlan(job, plan.stations) : job),
		plan,
		highest
	});
	async function planBoth() {
		const asked = setup;
		const ranOf = (job: Job) =>
			usedSpringsOf(job, evaluate(job), data.then?.signed ?? null, data.life, springs)?.ran ?? {};
		const other = { ...store.job, setup: asked };
		const placeSprings = springsToPlace(other, new Set(), ranOf(other)).length > 0;
		const question = (job: Job) => ({
			job,
			shims: store.shims,
			placeSprings,
			fixed: [],
			lockStock: [],
			...ranOf(job)
		});
		working = true;
		problem = null;
		try {
			const now = await planner.plainly(question(store.job));
			const then = await planner.plainly(question(other));
			plans = { of: asked, now, then };
		} catch {
			planner.cancel();
			problem = WORKER_FAILED;
		} finally {
			working = false;
		}
	}
	const sides = $derived<readonly Side[]>([
		{ name: 'now', sheet: store.sheet, plan: null, highest },
		{ name: 'what if', sheet: then, plan: null, highest },
		...(both
			? [
					side('now, planned', both.now, store.job),
					side('what if, planned', both.then, { ...store.job, setup })
				]
			: [])
	]);

	async function keep() {
		problem = await store.changeSetup(setup);
		kept = problem === null;
		if (!kept) return;
		changes = none();
		floors = { bindFloor: '', sealFloor: '' };
	}
</script>

<svelte:head><title>What if · {store.job.number} · Zinc Ledger</title></svelte:head>

<div class="overflow-auto px-4 bench:px-6 py-4">
	<p class="float-right text-[13px]">
		<a class="underline" href="/jobs/{store.job.id}">To the sheet</a>
	</p>
	<h1 class="text-xl font-semibold">What if</h1>
	<p class="text-[13px] text-soft">
		Another cam, spring, minimum or method beside the job as it is. Nothing is saved until you apply
		it.
	</p>
	<ChangeFields bind:changes bind:floors {springs} {retainers} />

	{#if isChanged}
		<p class="mt-4 border-l-4 border-chromate pl-3 text-[17px]" aria-live="polite">
			{gainLine(store.sheet, then, bench)}
		</p>
	{/if}
	<div class="mt-4 grid gap-x-8 gap-y-4 bench:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
		<SideBySide {sides} />
		<div class="space-y-4">
			<LoadsAlong now={store.sheet} then={isChanged ? then : null} called="what if" />
			<Tightest now={store.sheet} then={isChanged ? then : null} {setup} />
		</div>
	</div>
	<div class="mt-4 flex flex-wrap items-center gap-3">
		<Button onclick={keep} disabled={!isChanged} look="main">Apply to job</Button>
		<Button onclick={planBoth} disabled={working}>{working ? 'Calculating…' : 'Plan both'}</Button>
		<Button
			disabled={!isChanged}
			onclick={() => ((changes = none()), (floors = { bindFloor: '', sealFloor: '' }))}
			>Discard</Button
		>
		{#if kept}<span role="status">Applied; every change is recorded with your name.</span>{/if}
		<Alert {problem} />
	</div>
</div>
