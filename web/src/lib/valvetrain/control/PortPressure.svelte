<script lang="ts">
	/** What the pressure in a port leaves of the weakest seat load, and what would lift the valve. */
	import {
		lengthOf,
		liftOffPressure,
		netSeatForce,
		pressureOf,
		type Job,
		type Kilopascals,
		type Kind,
		type Newtons,
		type Sheet
	} from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import Table from '$lib/ui/Table.svelte';

	let { job, sheet, kind }: { job: Job; sheet: Sheet; kind: Kind } = $props();
	const bench = getBench();
	/** Of the pressure given. */
	const PARTS = [0.5, 0.75, 1, 1.25, 1.5] as const;
	const parts = $derived(job.setup.kinds[kind]);
	const weakest = $derived(
		sheet.stations
			.filter((one) => one.kind === kind && one.figures.seatLoad.figure !== null)
			.toSorted((a, b) => a.figures.seatLoad.figure! - b.figures.seatLoad.figure!)[0]
	);
	const shown = (pressure: Kilopascals) =>
		bench.units.length === 'in'
			? `${(pressure / pressureOf('1 psi')).toFixed(1)} psi`
			: `${(pressure / 100).toFixed(2)} bar`;
</script>

{#if parts.portPressure && parts.valve?.head && weakest}
	{@const head = lengthOf(parts.valve.head)}
	{@const given = pressureOf(parts.portPressure)}
	{@const seat = weakest.figures.seatLoad.figure as Newtons}
	<section aria-label="Port pressure on {label('kind', kind)} valves">
		<h2 class="border-b-2 border-ink pb-1 font-semibold">
			Pressure behind the {label('kind', kind)} valves
		</h2>
		<p class="mt-2 text-[13px]">
			Weakest is <b class="figure">{weakest.label}</b> with
			<span class="figure">{bench.load(seat)} {bench.units.load}</span> on a head of
			<span class="figure">{bench.length(head)}</span>:
			<b class="figure">{shown(liftOffPressure(seat, head))}</b> lifts it off its seat. Pressure is the
			port’s less the cylinder’s.
		</p>
		<Table class="mt-1 text-left">
			<thead>
				<tr>
					<th>Pressure</th>
					<th class="text-right">Net seat load <span class="figure">{bench.units.load}</span></th>
				</tr>
			</thead>
			<tbody>
				{#each PARTS as part (part)}
					{@const pressure = (given * part) as Kilopascals}
					<tr class={part === 1 ? 'bg-sunk font-semibold' : ''}>
						<td class="figure py-1 pr-6">{shown(pressure)}</td>
						<td class="figure py-1 text-right">
							{bench.load(netSeatForce(seat, head, pressure))}
						</td>
					</tr>
				{/each}
			</tbody>
		</Table>
	</section>
{/if}
