<script lang="ts">
	/** One station before and after the plan, and what would have been next best. */
	import { partsOf, type Job, type PlannedStation, type StationSheet } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Section from '$lib/sheet/section/Section.svelte';
	import Table from '$lib/ui/Table.svelte';

	interface Props {
		label: string;
		before: StationSheet;
		/** As planned; left out while there is no plan. */
		after: StationSheet | undefined;
		/** The job with the plan in it. */
		planned: Job | null;
		next: PlannedStation | undefined;
	}
	let { label, before, after, planned, next }: Props = $props();
	const store = getJobStore();
	const { length, load } = getBench();
	const COMPARED = [
		['Height', 'height', length],
		['Seat load', 'seatLoad', load],
		['Open load', 'openLoad', load],
		['Bind margin', 'bindMargin', length],
		['Seal clearance', 'sealClearance', length]
	] as const;
	const partsAt = (job: Job) =>
		partsOf(
			job.setup,
			job.stations.find((station) => station.label === label)!
		);
	const changed = $derived(
		after === undefined
			? []
			: [
					...COMPARED.map(
						([name, figure, shown]) =>
							[
								name,
								shown(before.figures[figure].figure as never),
								shown(after.figures[figure].figure as never)
							] as const
					),
					[
						'Target',
						length(before.shared.target.height),
						length(after.shared.target.height)
					] as const
				]
	);
</script>

<aside
	class="w-full flex-none overflow-y-auto pb-3 text-[13px] bench:w-[332px] bench:border-l bench:border-rule bench:pl-3"
	aria-label="Station {label}"
>
	<h2 class="figure text-base font-semibold">{label}</h2>
	{#if after && planned}
		<Section
			station={after}
			kind={after.shared}
			parts={partsAt(planned)}
			before={{ station: before, parts: partsAt(store.job) }}
			plain
		/>
	{:else}
		<Section station={before} kind={before.shared} parts={partsAt(store.job)} plain />
	{/if}
	{#if after}
		<Table class="mt-1 text-right [&_th:not(:first-child)]:text-right">
			<thead>
				<tr>
					<th>{label}</th><th>now</th><th>planned</th>
				</tr>
			</thead>
			<tbody>
				{#each changed as [name, was, is] (name)}
					<tr>
						<td class="text-left text-soft">{name}</td>
						<td class="figure">{was}</td>
						<td class="figure">{is}</td>
					</tr>
				{/each}
			</tbody>
		</Table>
		{#if next}
			<p class="mt-2 border-t border-rule pt-2 text-soft">
				Next best here: {next.shims.length > 0
					? `shim ${next.shims.join(' + ')}`
					: 'no shims'}{next.locks ? `, ${next.locks.name}` : ''}.
			</p>
		{/if}
	{/if}
</aside>
