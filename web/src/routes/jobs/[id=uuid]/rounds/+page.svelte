<script lang="ts">
	/** Everything that is read with a gauge: a round each, how far it has come, and what was read last. */
	import { INSPECTED, ROCKER_GAPS, type Quantity } from '@zinc-ledger/core';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { ROUND_WORDS } from '$lib/job/round/words';
	import Table from '$lib/ui/Table.svelte';
	import { moment } from '$lib/ui/words';

	const store = getJobStore();
	const isHydraulic = $derived(store.job.setup.lifters === 'hydraulic');
	const groups = $derived<readonly { title: string; quantities: readonly Quantity[] }[]>([
		{
			title: 'On the bench and in the car',
			quantities: [
				'installed-height',
				'seal-gap',
				'seal-gap-at-lift',
				'tip-height',
				'built-height',
				'on-head-load'
			]
		},
		{
			title: 'Valve train',
			quantities: [
				...ROCKER_GAPS,
				isHydraulic ? ('preload' as const) : ('lash' as const),
				'follower-shim'
			]
		},
		{ title: 'Valves, seats and chambers', quantities: INSPECTED }
	]);
	const last = (quantity: Quantity) =>
		store.job.readings.findLast((reading) => reading.quantity === quantity);
</script>

<svelte:head><title>All rounds · {store.job.number} · Zinc Ledger</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-4 py-4 bench:px-6">
	<h1 class="text-xl font-semibold">All rounds</h1>
	<div class="mt-2 grid max-w-6xl gap-x-10 bench:grid-cols-2">
		{#each groups as { title, quantities } (title)}
			<section>
				<h2 class="mt-4 font-semibold">{title}</h2>
				<Table class="mt-1 text-[14px]">
					<thead>
						<tr><th>Round</th><th class="text-right">Valves read</th><th>Last</th></tr>
					</thead>
					<tbody>
						{#each quantities as quantity (quantity)}
							{@const newest = last(quantity)}
							<tr>
								<th scope="row" class="text-left font-normal">
									<a
										class="flex min-h-11 items-center underline bench:min-h-8"
										href="/jobs/{store.job.id}/round?of={quantity}">{ROUND_WORDS[quantity].title}</a
									>
								</th>
								<td class="figure text-right">{store.sheet.measured[quantity]}</td>
								<td class="text-soft">
									{#if newest}
										<span class="figure">{newest.station} {newest.read}</span>
										{moment(newest.at)}
									{/if}
								</td>
							</tr>
						{/each}
					</tbody>
				</Table>
			</section>
		{/each}
	</div>
</div>
