<script lang="ts">
	/** The assembly, step by step: what to do now, what to take care of, one key to tick it. */
	import {
		cylinderPlace,
		LOCK_HALVES,
		lockHalves,
		partsOf,
		placesDone,
		WAYS
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { isTyping, isWithin, useKeys } from '$lib/keys/keys.svelte';
	import StepDone from '$lib/assembly/StepDone.svelte';
	import StepList from '$lib/assembly/StepList.svelte';
	import StepText from '$lib/assembly/StepText.svelte';
	import StepWork from '$lib/assembly/StepWork.svelte';
	import Together from '$lib/assembly/Together.svelte';
	import { Ticking } from '$lib/assembly/ticking.svelte';
	import HeadPlan from '$lib/sheet/head-plan/HeadPlan.svelte';
	import Section from '$lib/sheet/section/Section.svelte';
	import Key from '$lib/ui/Key.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { capital } from '$lib/ui/words';
	import { label, write } from '@zinc-ledger/words';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import RadioGroup from '$lib/ui/RadioGroup.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	const store = getJobStore();
	const bench = getBench();
	useKeys([
		{ keys: ['Enter'], does: 'tick the step, on to the next' },
		{ keys: ['u'], does: 'undo the last step ticked' }
	]);

	const ticking = new Ticking(store, bench);
	const { steps, done, step, ticked, lacking } = $derived(ticking);
	const place = $derived(step?.place ?? 'job');
	const here = $derived(steps.filter((one) => one.place === place));
	const finished = $derived(placesDone(steps, done));
	const sheet = $derived(store.station(place));
	const entry = $derived(store.job.stations.find(({ label }) => label === place));
	const inCar = $derived(store.job.setup.workLocation === 'vehicle');

	function press(event: KeyboardEvent) {
		if (isTyping(event) || isWithin(event, 'button, a, select, input')) return;
		if (event.key === 'Enter') ticking.finish();
		else if (event.key === 'u') ticking.undo();
		else return;
		event.preventDefault();
	}
</script>

<svelte:head><title>Assembly · {store.job.number} · Zinc Ledger</title></svelte:head>
<svelte:window onkeydown={press} />

<div class="flex-none px-4 pt-3">
	<HeadPlan
		job={store.job}
		stations={store.sheet.stations}
		done={{ is: ({ label }) => finished.has(label), word: 'built' }}
		selected={place}
		lit={({ cylinder }) => place === cylinderPlace(cylinder)}
		onselect={(label) =>
			(ticking.chosen =
				steps.find((one) => one.place === label && !done.has(one.key))?.key ??
				steps.findLast((one) => one.place === label)?.key ??
				null)}
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
				bind:value={ticking.way}
			/>
		</div>
		{#if step}
			<StepText {step} atStation={sheet !== undefined} />
			<form
				class="mt-5 flex flex-wrap items-end gap-4"
				onsubmit={(event) => {
					event.preventDefault();
					ticking.finish();
				}}
			>
				{#if step.counts && !ticked}
					<TextField
						label="Counted"
						class="w-28"
						figure
						inputmode="numeric"
						placeholder={String(entry ? LOCK_HALVES : lockHalves(store.job))}
						bind:value={ticking.count}
					/>
				{/if}
				{#if step.expects !== undefined && !ticked}
					<TextField
						label="Height measured"
						class="w-36"
						figure
						inputmode="decimal"
						placeholder={step.expects === null ? '' : bench.length(step.expects)}
						bind:value={ticking.measured}
					/>
				{/if}
				{#if ticked}
					<StepDone
						{ticked}
						onundo={() => step && ticking.tick(step, false)}
						onnext={() => (ticking.chosen = null)}
					/>
				{:else if lacking}
					<p class="text-[15px]">
						<Mark state="stop" word /> Do first ({lacking.place}): {write(
							lacking.text,
							bench.units
						)}
					</p>
					<Button type="button" onclick={() => (ticking.chosen = lacking!.key)}>Go there</Button>
				{:else if step.step !== 'strip-spring'}
					<TextField label="Note, if any" class="w-72" maxlength={200} bind:value={ticking.note} />
					<Button disabled={ticking.busy} look="main">Done <Key>Enter</Key></Button>
				{/if}
				{#if ticking.mayLeak}
					<Button type="button" onclick={() => ticking.stopAtLeak()}>
						{step.step === 'air' ? 'It does not hold' : 'The air fell'}
					</Button>
				{/if}
			</form>
			{#if !ticked && !lacking}<Together {ticking} />{/if}
			{#if sheet}
				<StepWork
					{step}
					station={sheet}
					open={!ticked && !lacking}
					ondone={() => step && ticking.tick(step, true)}
				/>
			{/if}
			{#if ticking.leaks}
				<Alert
					class="mt-3"
					problem="The air does not hold at {ticking.airAt}: nothing is undone there until it is proved again."
				/>
			{/if}
		{:else}
			<p class="mt-6 text-3xl font-semibold">Built: all {steps.length} steps are done.</p>
			<p class="mt-4">
				<Button href="/jobs/{store.job.id}/round?of=built-height" look="main">
					Measure it as built
				</Button>
			</p>
		{/if}
		<Alert problem={ticking.problem} class="mt-3" />
		{#if sheet && entry}
			<figure class="mt-5 w-[300px]">
				<figcaption class="text-[12px] text-soft">{entry.label}, planned</figcaption>
				<Section
					station={sheet}
					kind={sheet.shared}
					parts={partsOf(store.job.setup, entry)}
					plain
				/>
			</figure>
		{/if}
	</div>
	<StepList
		{place}
		steps={here}
		{done}
		current={step?.key}
		onchoose={(key) => (ticking.chosen = key)}
	/>
</div>
