<script lang="ts">
	/** A list of figures, pasted: what is understood stands beside the head until it is kept. */
	import { goto } from '$app/navigation';
	import { evaluate, readPasted, stationsAtHand, walk, type PastedFigure } from '@zinc-ledger/core';
	import { label, tell } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import HeadPlan from '$lib/sheet/head-plan/HeadPlan.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { outbox } from '$lib/outbox/outbox.svelte';
	import { LISTED, readingsOf } from '$lib/job/round/listed';
	import type { RoundBegun } from '$lib/job/round/round.svelte';
	import RoundStart from '$lib/job/round/RoundStart.svelte';
	import { ROUND_WORDS } from '$lib/job/round/words';
	import Mark from '$lib/ui/Mark.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import TextArea from '$lib/ui/TextArea.svelte';
	import { capital } from '$lib/ui/words';

	let { data } = $props();
	const store = getJobStore();
	const bench = getBench();
	let text = $state('');

	const order = $derived(walk(stationsAtHand(store.job), store.job.setup.measuringOrder));
	const pasted = $derived(
		readPasted(text, {
			quantity: data.quantity,
			units: bench.units,
			order: order.map((station) => station.label)
		})
	);
	const PREVIEW: Pick<RoundBegun, 'parts' | 'gauge'> = {
		parts: { locator: true, shims: false, recess: '0 mm', sealHome: true },
		gauge: { name: '-', resolution: '0.01 mm', correction: '0 mm' }
	};
	/** The head as it would be with the figures of the list. */
	const stations = $derived.by(() => {
		if (pasted.figures.length === 0 || !bench.person) return store.sheet.stations;
		const read = readingsOf(pasted.figures, data.quantity, PREVIEW, store.job, bench.person);
		return evaluate({ ...store.job, readings: [...store.job.readings, ...read] }).stations;
	});
	const byStation = $derived.by(() => {
		const groups = new Map<string, PastedFigure[]>();
		for (const figure of pasted.figures)
			groups.set(figure.station, [...(groups.get(figure.station) ?? []), figure]);
		return order.flatMap((station) => {
			const figures = groups.get(station.label);
			return figures ? [{ station: station.label, figures }] : [];
		});
	});
	const missing = $derived(
		order.filter((one) => !byStation.some(({ station }) => station === one.label))
	);

	async function keep(begun: RoundBegun) {
		if (!bench.person) return;
		const readings = readingsOf(pasted.figures, data.quantity, begun, store.job, bench.person);
		for (const reading of readings) await outbox.add(store.job.id, reading);
		await goto(`/jobs/${store.job.id}`);
	}
</script>

<svelte:head><title>A list · {store.job.number} · Zinc Ledger</title></svelte:head>

<div class="flex-none px-4 pt-3">
	<HeadPlan job={store.job} {stations} measured={data.quantity} />
</div>
<div
	class="grid min-h-0 flex-1 content-start gap-x-8 gap-y-4 overflow-auto px-4 py-3 bench:grid-cols-[minmax(0,1fr)_minmax(0,1fr)] bench:px-6"
>
	<div>
		<h1 class="text-xl font-semibold">A list of {label('quantity', data.quantity)}s</h1>
		<SelectField
			label="Of"
			class="mt-3 max-w-xs"
			options={LISTED.map((value) => ({ value, label: capital(label('quantity', value)) }))}
			bind:value={
				() => data.quantity as string, (of) => void goto(`?of=${of}`, { keepFocus: true })
			}
		/>
		<TextArea
			class="mt-3"
			label="Paste it here"
			hint="1I 1.812, 1E 1.809 … or one a line; or figures alone in the measuring order"
			rows={12}
			bind:value={text}
		/>
		{#if !bench.person}
			<p class="mt-3">
				<a class="underline" href="/bench">Select an operator</a> first: every reading carries a name.
			</p>
		{:else if pasted.figures.length > 0}
			<div class="mt-4">
				<RoundStart
					quantity={data.quantity}
					gauges={data.gauges}
					list={`Keep ${pasted.figures.length} readings`}
					onbegin={keep}
				/>
			</div>
		{/if}
	</div>
	<div>
		<section aria-label="Understood">
			<h2 class="border-b-2 border-ink pb-1 font-semibold" role="status">
				{pasted.figures.length} understood{pasted.problems.length > 0
					? `, ${pasted.problems.length} not`
					: ''}
			</h2>
			{#if pasted.problems.length > 0}
				<ul class="mt-1" aria-label="Not understood">
					{#each pasted.problems as { line, says, why }, i (i)}
						<li class="flex flex-wrap gap-x-3 border-b border-hair py-1 text-[13px]">
							<Mark state="stop" />
							<b>Line {line}</b>
							<span class="figure">{says}</span>
							<span class="text-soft">{tell(why)}</span>
						</li>
					{/each}
				</ul>
				<p class="py-1 text-[13px] text-soft">Lines that are not understood are not kept.</p>
			{/if}
			<ul class="columns-2 gap-6 tablet:columns-3">
				{#each byStation as { station, figures } (station)}
					<li class="flex gap-3 border-b border-hair py-1">
						<b class="figure w-10">{station}</b>
						<span class="figure">{figures.map(({ read }) => read).join(' · ')}</span>
					</li>
				{/each}
			</ul>
			{#if byStation.length > 0 && missing.length > 0}
				<p class="mt-2 text-[13px] text-soft">
					Not in the list: <span class="figure">{missing.map((one) => one.label).join(' ')}</span>
				</p>
			{/if}
		</section>
		<p class="caution mt-4">{ROUND_WORDS[data.quantity].caution}</p>
	</div>
</div>
