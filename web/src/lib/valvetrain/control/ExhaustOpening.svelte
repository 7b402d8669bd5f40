<script lang="ts">
	/** What an exhaust valve is opened against, and how much that grows as it opens earlier. */
	import {
		ATMOSPHERE,
		EXPANSION,
		lengthOf,
		mm,
		MM_PER,
		openingForce,
		pressureAtExhaustOpening,
		pressureOf,
		trainRatio,
		type Job
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import Table from '$lib/ui/Table.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	let { job }: { job: Job } = $props();
	const bench = getBench();
	/** Degrees of the crankshaft that it may open earlier. */
	const EARLIER = [0, 2, 4] as const;
	const isInch = $derived(bench.units.length === 'in');
	const unit = $derived(isInch ? 'psi' : 'bar');
	const kilopascals = $derived(pressureOf(isInch ? '1 psi' : '1 bar'));
	const { compression, cam, kinds, train } = $derived(job.setup);
	const parts = $derived(kinds.exhaust);
	let typed = $state({ peak: '', rod: '', ratio: '', atOpening: '' });
	/** A figure that was typed; null for none. */
	const figure = (text: string) => {
		const value = Number(text.replace(',', '.'));
		return text.trim() !== '' && Number.isFinite(value) && value > 0 ? value : null;
	};
	const problem = (text: string) =>
		text.trim() !== '' && figure(text) === null ? 'A number, such as 100' : undefined;
	const opens = $derived(cam?.exhaust.opens ?? null);
	const head = $derived(parts.valve?.head ? lengthOf(parts.valve.head) : null);
	const squeeze = $derived(figure(typed.ratio) ?? compression?.ratio ?? null);
	const rod = $derived(figure(typed.rod));
	const peak = $derived(figure(typed.peak));
	const given = $derived(figure(typed.atOpening));
	/** Pressure in the cylinder in kPa, absolute, by how much earlier it opens. */
	const pressureAt = $derived.by<((earlier: number) => number) | null>(() => {
		if (given !== null) return (earlier) => (earlier === 0 ? given * kilopascals : Number.NaN);
		if (!compression || squeeze === null || rod === null || peak === null || opens === null)
			return null;
		const cylinder = {
			bore: lengthOf(compression.bore),
			stroke: lengthOf(compression.stroke),
			rod: mm(rod * MM_PER[bench.units.length]),
			ratio: squeeze
		};
		return (earlier) => pressureAtExhaustOpening(cylinder, peak * kilopascals, opens + earlier);
	});
	const ratio = $derived(trainRatio(job.setup, parts) ?? 1);
	const port = $derived(
		ATMOSPHERE + (parts.portPressure ? Math.max(0, pressureOf(parts.portPressure)) : 0)
	);
	const rows = $derived(
		pressureAt && head !== null
			? EARLIER.map((earlier) => ({ earlier, pressure: pressureAt(earlier) }))
					.filter(({ pressure }) => Number.isFinite(pressure))
					.map((row) => ({ ...row, force: openingForce(row.pressure, port, head, ratio) }))
			: []
	);
	const wanting = $derived(
		[
			head === null && 'the exhaust valve’s head diameter',
			given === null && !compression && 'bore and stroke',
			given === null && opens === null && 'where the exhaust opens, on the cam card'
		].filter((one) => one !== false)
	);
</script>

<section aria-label="Exhaust opening">
	<h2 class="border-b-2 border-ink pb-1 font-semibold">Opening the exhaust against its cylinder</h2>
	<div class="mt-2 grid gap-x-6 gap-y-2 tablet:grid-cols-2">
		<TextField
			label="Peak cylinder pressure, {unit} absolute"
			inputmode="decimal"
			figure
			problem={problem(typed.peak)}
			hint="taken {EXPANSION.peakAt}° after top dead centre"
			bind:value={typed.peak}
		/>
		<TextField
			label="Rod length, {bench.units.length}"
			inputmode="decimal"
			figure
			problem={problem(typed.rod)}
			bind:value={typed.rod}
		/>
		{#if compression && compression.ratio === undefined}
			<TextField
				label="Compression ratio"
				inputmode="decimal"
				figure
				problem={problem(typed.ratio)}
				bind:value={typed.ratio}
			/>
		{/if}
		<TextField
			label="Or pressure at opening, {unit} absolute"
			inputmode="decimal"
			figure
			problem={problem(typed.atOpening)}
			bind:value={typed.atOpening}
		/>
	</div>
	{#if rows.length > 0}
		<Table class="mt-2 w-full text-left" aria-label="Forces at exhaust opening">
			<thead>
				<tr>
					<th>Opens</th>
					<th class="text-right">Cylinder <span class="figure">{unit}</span></th>
					<th class="text-right">At the valve <span class="figure">{bench.units.load}</span></th>
					{#if train === 'pushrod'}<th class="text-right">At the pushrod</th>{/if}
					{#if train !== 'bucket'}<th class="text-right">At the pivot</th>{/if}
				</tr>
			</thead>
			<tbody>
				{#each rows as { earlier, pressure, force } (earlier)}
					<tr>
						<td>{earlier === 0 ? 'as on the card' : `${earlier}° earlier`}</td>
						<td class="figure text-right">{(pressure / kilopascals).toFixed(isInch ? 0 : 1)}</td>
						<td class="figure text-right">{bench.load(force.valve)}</td>
						{#if train === 'pushrod'}
							<td class="figure text-right">{bench.load(force.pushrod)}</td>
						{/if}
						{#if train !== 'bucket'}
							<td class="figure text-right">{bench.load(force.pivot)}</td>
						{/if}
					</tr>
				{/each}
			</tbody>
		</Table>
		<p class="mt-1 text-[13px] text-soft">
			Besides what the spring takes. Expansion by the power {EXPANSION.exponent} from the peak; tried
			here, not kept. An aid, not a promise.
		</p>
	{:else if wanting.length > 0}
		<p class="mt-2 text-[13px]">It still needs {wanting.join(', ')}.</p>
	{/if}
</section>
