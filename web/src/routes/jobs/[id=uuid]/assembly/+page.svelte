<script lang="ts">
	/** The assembly, step by step: what to do now, what to take care of, one key to tick it. */
	import { v7 as uuid } from 'uuid';
	import {
		assemblyOf,
		inWay,
		firstMissingPrerequisite,
		lockHalves,
		nextStep,
		partsOf,
		placesDone,
		cylinderPlace,
		WAYS,
		type Step,
		type Way,
		message
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getBook } from '$lib/job/book.svelte';
	import { isTyping, useKeys } from '$lib/keys/keys.svelte';
	import StepDone from '$lib/assembly/StepDone.svelte';
	import StepList from '$lib/assembly/StepList.svelte';
	import StepText from '$lib/assembly/StepText.svelte';
	import HeadPlan from '$lib/head-plan/HeadPlan.svelte';
	import Section from '$lib/section/Section.svelte';
	import Key from '$lib/ui/Key.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { capital } from '$lib/ui/words';
	import { label, tell, write } from '@zinc-ledger/words';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import RadioGroup from '$lib/ui/RadioGroup.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	const book = getBook();
	const bench = getBench();
	useKeys([
		{ keys: ['Enter'], does: 'tick the step, on to the next' },
		{ keys: ['u'], does: 'undo the last step ticked' }
	]);

	let way = $state<Way>('by-station');
	let chosen = $state<string | null>(null);
	let count = $state('');
	let note = $state('');
	let problem = $state<string | null>(null);
	let busy = $state(false);

	const { steps, done } = $derived(assemblyOf(book.job, book.sheet));
	const going = $derived(inWay(steps, way));
	const step = $derived<Step | null>(
		(chosen === null ? null : steps.find(({ key }) => key === chosen)) ?? nextStep(going, done)
	);
	const place = $derived(step?.place ?? 'job');
	const here = $derived(steps.filter((one) => one.place === place));
	const lacking = $derived(
		step && !done.has(step.key) ? firstMissingPrerequisite(step, steps, done) : null
	);
	const ticked = $derived(step ? (done.get(step.key) ?? null) : null);
	const finished = $derived(placesDone(steps, done));
	const sheet = $derived(book.station(place));
	const entry = $derived(book.job.stations.find(({ label }) => label === place));
	const inCar = $derived(book.job.setup.workLocation === 'vehicle');

	async function tick(what: Step, isDone: boolean) {
		if (busy) return;
		const counted = Number.parseInt(count, 10);
		if (isDone && what.counts && !(counted >= 0)) {
			problem = tell(message('entry.count-missing'));
			return;
		}
		busy = true;
		problem = await book.append('assembly', bench.person, {
			id: uuid(),
			place: what.place,
			step: what.step,
			done: isDone,
			...(isDone && what.counts && { count: counted }),
			...(note.trim() && { note: note.trim() }),
			at: new Date().toISOString()
		});
		busy = false;
		if (problem !== null) return;
		chosen = null;
		count = '';
		note = '';
	}

	function finish() {
		if (step && !ticked && !lacking) void tick(step, true);
	}

	function undo() {
		const last = [...done].toSorted(([, a], [, b]) => Date.parse(b.at) - Date.parse(a.at))[0];
		const of = last && steps.find(({ key }) => key === last[0]);
		if (of) void tick(of, false);
	}

	function press(event: KeyboardEvent) {
		if (isTyping(event) || (event.target as HTMLElement).closest('button, a, select, input'))
			return;
		if (event.key === 'Enter') finish();
		else if (event.key === 'u') undo();
		else return;
		event.preventDefault();
	}
</script>

<svelte:head><title>Assembly · {book.job.number} · Zinc Ledger</title></svelte:head>
<svelte:window onkeydown={press} />

<div class="flex-none px-4 pt-3">
	<HeadPlan
		job={book.job}
		stations={book.sheet.stations}
		done={{ is: ({ label }) => finished.has(label), word: 'built' }}
		selected={place}
		lit={({ cylinder }) => place === cylinderPlace(cylinder)}
		onselect={(label) =>
			(chosen =
				steps.find((one) => one.place === label && !done.has(one.key))?.key ??
				steps.findLast((one) => one.place === label)!.key)}
	/>
</div>
<div
	class="grid min-h-0 flex-1 gap-x-8 overflow-auto px-4 bench:px-6 py-4 bench:grid-cols-[1fr_20rem]"
>
	<div>
		<div class="flex flex-wrap items-center gap-x-6 gap-y-1 text-[13px] text-soft">
			<h1 class="text-[15px] font-semibold">Assembly</h1>
			<span>{done.size} of {steps.length} steps</span>
			{#if inCar}
				<span>in the vehicle, one cylinder at a time</span>
			{/if}
			<RadioGroup
				label="Order"
				options={WAYS.map((value) => ({ value, label: capital(label('way', value)) }))}
				bind:value={way}
			/>
		</div>
		{#if step}
			<StepText {step} atStation={sheet !== undefined} />
			<form
				class="mt-5 flex flex-wrap items-end gap-4"
				onsubmit={(event) => {
					event.preventDefault();
					finish();
				}}
			>
				{#if step.counts && !ticked}
					<TextField
						label="Counted"
						class="w-28"
						figure
						inputmode="numeric"
						placeholder={String(lockHalves(book.job))}
						bind:value={count}
					/>
				{/if}
				{#if ticked}
					<StepDone
						{ticked}
						onundo={() => step && tick(step, false)}
						onnext={() => (chosen = null)}
					/>
				{:else if lacking}
					<p class="text-[15px]">
						<Mark state="stop" word /> Do first ({lacking.place}): {write(
							lacking.text,
							bench.units
						)}
					</p>
					<Button type="button" onclick={() => (chosen = lacking!.key)}>Go there</Button>
				{:else}
					<TextField label="Note, if any" class="w-72" maxlength={200} bind:value={note} />
					<Button disabled={busy} look="main">Done <Key>Enter</Key></Button>
				{/if}
			</form>
		{:else}
			<p class="mt-6 text-3xl font-semibold">Built: all {steps.length} steps are done.</p>
			<p class="mt-4">
				<Button href="/jobs/{book.job.id}/round?of=built-height" look="main">
					Measure it as built
				</Button>
			</p>
		{/if}
		<Alert {problem} class="mt-3" />
		{#if sheet && entry}
			<figure class="mt-5 w-[300px]">
				<figcaption class="text-[12px] text-soft">{entry.label}, planned</figcaption>
				<Section station={sheet} kind={sheet.shared} parts={partsOf(book.job.setup, entry)} plain />
			</figure>
		{/if}
	</div>
	<StepList {place} steps={here} {done} current={step?.key} onchoose={(key) => (chosen = key)} />
</div>
