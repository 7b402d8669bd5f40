<script lang="ts">
	/** Another cam, spring set, floor or method beside the present job; nothing is saved until it is accepted. */
	import { onMount, untrack } from 'svelte';
	import {
		evaluate,
		KINDS,
		readEntry,
		TARGET_METHODS,
		withPlan,
		withScenario,
		type Job,
		type Kind,
		type LibraryPart,
		type PlanAnswer,
		type TargetMethod,
		type Setup
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getBook } from '$lib/job/book.svelte';
	import type { Side } from '$lib/what-if/comparison';
	import SideBySide from '$lib/what-if/SideBySide.svelte';
	import { Planner } from '$lib/planner/planner.svelte';
	import Field from '$lib/ui/Field.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { capital } from '$lib/ui/words';
	import { label } from '@zinc-ledger/words';

	let { data } = $props();
	const book = getBook();
	const bench = getBench();
	const planner = new Planner();
	onMount(() => planner.open());
	const springs = $derived(
		(data.springs as LibraryPart<'spring'>[]).filter(({ retired }) => !retired)
	);

	interface Change {
		spring: string;
		lift: string;
		method: TargetMethod | '';
	}
	const none = (): Record<Kind, Change> => ({
		intake: { spring: '', lift: '', method: '' },
		exhaust: { spring: '', lift: '', method: '' }
	});
	let changes = $state(untrack(none));
	let floors = $state({ bindFloor: '', sealFloor: '' });
	let problem = $state<string | null>(null);
	let kept = $state(false);

	const read = (text: string) => (text.trim() === '' ? null : readEntry(text, bench.units.length));
	const wrong = (text: string) => {
		const entry = read(text);
		return entry && !entry.ok ? entry.problem : undefined;
	};

	const setup = $derived.by<Setup>(() => {
		const length = (text: string) => {
			const entry = read(text);
			return entry?.ok ? entry.text : undefined;
		};
		const changed = (kind: Kind) => {
			const { spring, lift, method } = changes[kind];
			const card = springs.find(({ part }) => part.id === spring)?.part;
			const valve = length(lift);
			return {
				...(card && { spring: card }),
				...(valve !== undefined && { lift: valve }),
				...(method && { method })
			};
		};
		const [bindFloor, sealFloor] = [length(floors.bindFloor), length(floors.sealFloor)];
		return withScenario(book.job.setup, book.sheet, {
			kinds: { intake: changed('intake'), exhaust: changed('exhaust') },
			limits: { ...(bindFloor && { bindFloor }), ...(sealFloor && { sealFloor }) }
		});
	});
	const isChanged = $derived(
		Object.values(floors).some(Boolean) ||
			KINDS.some((kind) => Object.values(changes[kind]).some(Boolean))
	);
	const then = $derived(evaluate({ ...book.job, setup }));
	/** Both sides planned, once asked for; gone as soon as something else is changed. */
	let plans = $state.raw<{ of: Setup; now: PlanAnswer; then: PlanAnswer } | null>(null);
	let working = $state(false);
	const both = $derived(plans?.of === setup ? plans : null);
	const side = (name: string, plan: PlanAnswer, job: Job): Side => ({
		name,
		sheet: evaluate(plan.sort === 'plan' ? withPlan(job, plan.stations) : job),
		plan
	});
	async function planBoth() {
		const asked = setup;
		const placeSprings = (asked.springs ?? []).length > 0;
		const question = (job: Job) => ({
			job,
			shims: book.shims,
			placeSprings,
			fixed: [],
			lockStock: []
		});
		working = true;
		const now = await planner.plainly(question(book.job));
		const other = await planner.plainly(question({ ...book.job, setup: asked }));
		working = false;
		plans = { of: asked, now, then: other };
	}
	const sides = $derived<readonly Side[]>([
		{ name: 'now', sheet: book.sheet, plan: null },
		{ name: 'what if', sheet: then, plan: null },
		...(both
			? [
					side('now, planned', both.now, book.job),
					side('what if, planned', both.then, { ...book.job, setup })
				]
			: [])
	]);
	const { length } = bench;

	async function keep() {
		problem = await book.changeSetup(setup);
		kept = problem === null;
		if (!kept) return;
		changes = none();
		floors = { bindFloor: '', sealFloor: '' };
	}
</script>

<svelte:head><title>What if · {book.job.number} · Zinc Ledger</title></svelte:head>

<div class="overflow-auto px-4 bench:px-6 py-4">
	<p class="float-right text-[13px]">
		<a class="underline" href="/jobs/{book.job.id}">To the sheet</a>
	</p>
	<h1 class="text-xl font-semibold">What if</h1>
	<p class="text-[13px] text-soft">
		Another cam, spring, minimum or method beside the job as it is. Nothing is saved until you apply
		it.
	</p>
	<div class="mt-3 grid gap-x-6 gap-y-3 border-t-2 border-ink pt-3 bench:grid-cols-3">
		{#each KINDS as kind (kind)}
			<fieldset class="space-y-3">
				<legend class="font-semibold">{capital(label('kind', kind))}s</legend>
				<Field label="{capital(label('kind', kind))} spring">
					{#snippet control(attributes)}
						<select class="field" bind:value={changes[kind].spring} {...attributes}>
							<option value=""
								>unchanged: {book.job.setup.kinds[kind].spring?.name ?? 'none'}</option
							>
							{#each springs as { part } (part.id)}<option value={part.id}>{part.name}</option
								>{/each}
						</select>
					{/snippet}
				</Field>
				<TextField
					label="{capital(label('kind', kind))} valve lift"
					problem={wrong(changes[kind].lift)}
					hint="now {length(book.sheet.kinds[kind].lift?.gross)}"
					inputmode="decimal"
					bind:value={changes[kind].lift}
					figure
				/>
				<Field label="{capital(label('kind', kind))} target method">
					{#snippet control(attributes)}
						<select class="field" bind:value={changes[kind].method} {...attributes}>
							<option value=""
								>unchanged: {label('targetMethod', book.job.setup.kinds[kind].aim.method)}</option
							>
							{#each TARGET_METHODS as method (method)}<option value={method}
									>{label('targetMethod', method)}</option
								>{/each}
						</select>
					{/snippet}
				</Field>
			</fieldset>
		{/each}
		<fieldset class="space-y-3">
			<legend class="font-semibold">Minimums</legend>
			{#each [['bindFloor', 'Min bind margin'], ['sealFloor', 'Min seal clearance']] as const as [key, name] (key)}
				<TextField
					label={name}
					problem={wrong(floors[key])}
					hint="now {book.job.setup.limits[key]}"
					inputmode="decimal"
					bind:value={floors[key]}
					figure
				/>
			{/each}
		</fieldset>
	</div>

	<SideBySide {sides} />
	<p class="mt-4 flex items-center gap-3">
		<button class="button button-main" onclick={keep} disabled={!isChanged}>Apply to job</button>
		<button class="button" onclick={planBoth} disabled={working}
			>{working ? 'Calculating…' : 'Plan both'}</button
		>
		<button
			class="button"
			disabled={!isChanged}
			onclick={() => ((changes = none()), (floors = { bindFloor: '', sealFloor: '' }))}
			>Discard</button
		>
		{#if kept}<span role="status">Applied; every change is recorded with your name.</span>{/if}
		{#if problem}<span role="alert" class="font-semibold text-stop">{problem}</span>{/if}
	</p>
</div>
