<script lang="ts">
	/** The control limit of every valve, with its band and its headroom; one of them is looked at closer. */
	import {
		currentMotion,
		motionWithin,
		showMass,
		showSpeed,
		type Controlled,
		type RevolutionsPerMinute,
		type Sheet
	} from '@zinc-ledger/core';
	import { write } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import Table from '$lib/ui/Table.svelte';

	interface Props {
		sheet: Sheet;
		controlled: readonly Controlled[];
		/** Highest engine speed of the job in rpm; null where nobody said. */
		highest: number | null;
		chosen: string;
	}
	let { sheet, controlled, highest, chosen = $bindable() }: Props = $props();
	const bench = getBench();
	const store = getJobStore();
	/** The low end of the band of a valve's motion; null where it is not calculated from what the job has now. */
	function lostFrom({ station, basis, spread }: Controlled): string | null {
		const kept = currentMotion(store.job, station, basis);
		if (!kept) return null;
		const { lost, to } = motionWithin(kept, spread);
		return lost === null ? `above ${speed(to)}` : speed(lost);
	}
	const rows = $derived(
		controlled.map((one) => ({
			...one,
			lost: lostFrom(one),
			sheet: sheet.stations.find(({ label }) => label === one.station)!
		}))
	);
	/** Whether any port's pressure is given. */
	const isPressed = $derived(rows.some((row) => row.sheet.figures.netSeatLoad !== null));
	const chosenLimit = $derived(
		rows.find(({ station }) => station === chosen)?.sheet.figures.controlLimit
	);
	const speed = (of: number) => showSpeed(of as RevolutionsPerMinute);
	const headroom = (limit: number) =>
		highest === null ? '·' : `${Math.round(100 * (limit / highest - 1))} %`.replace('-', '−');
</script>

<div class="overflow-x-auto">
	<Table aria-label="Control limit by valve" class="w-full text-left">
		<thead>
			<tr>
				<th>Valve</th>
				<th class="text-right">Control lost from <span class="figure">rpm</span></th>
				<th class="text-right">Rigid limit <span class="figure">rpm</span></th>
				<th class="hidden text-right tablet:table-cell">±</th>
				<th class="text-right">Headroom</th>
				<th class="hidden text-right tablet:table-cell">Mass <span class="figure">g</span></th>
				{#if isPressed}
					<th class="text-right">
						Net seat load <span class="figure">{bench.units.load}</span>
					</th>
				{/if}
			</tr>
		</thead>
		<tbody>
			{#each rows as { station, mass, limit, lost, sheet: { figures } } (station)}
				{@const verdict = figures.controlLimit}
				<tr class={station === chosen ? 'bg-sunk' : ''}>
					<td>
						<Button
							look="quiet"
							class="min-w-11"
							aria-pressed={station === chosen}
							onclick={() => (chosen = station)}
						>
							<span class="figure font-semibold">{station}</span>
							{#if verdict}<Mark state={verdict.state} word />{/if}
						</Button>
					</td>
					<td class="figure text-right">{lost ?? '·'}</td>
					<td class="figure text-right">{speed(limit.speed)}</td>
					<td class="figure hidden text-right text-soft tablet:table-cell">
						{verdict?.figure == null ? '·' : speed(verdict.uncertainty)}
					</td>
					<td class="figure text-right">{headroom(limit.speed)}</td>
					<td class="figure hidden text-right tablet:table-cell">{showMass(mass.total)}</td>
					{#if isPressed}
						<td class="figure text-right">
							{bench.load(figures.netSeatLoad?.figure)}
							{#if figures.netSeatLoad}<Mark state={figures.netSeatLoad.state} />{/if}
						</td>
					{/if}
				</tr>
			{/each}
		</tbody>
	</Table>
</div>
{#if chosenLimit?.remedy}
	<p class="mt-2 text-[13px]" aria-live="polite">
		<b class="figure">{chosen}</b>
		<Mark state={chosenLimit.state} word />
		{write(chosenLimit.remedy, bench.units)}
	</p>
{/if}
