<script lang="ts">
	/** Coming apart, station by station: what lay there, beside what is planned, and what is to be counted. */
	import { foundAt, foundCounts, lengthOf, partsOf, stationsAtHand, walk } from '@zinc-ledger/core';
	import { labelsOf } from '@zinc-ledger/words';
	import AsFoundForm from '$lib/assembly/AsFoundForm.svelte';
	import { getBench } from '$lib/bench/bench.svelte';
	import HeadPlan from '$lib/sheet/head-plan/HeadPlan.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Table from '$lib/ui/Table.svelte';

	const store = getJobStore();
	const bench = getBench();
	const order = $derived(walk(stationsAtHand(store.job), store.job.setup.measuringOrder));
	const found = $derived(foundAt(store.job));
	const counts = $derived(foundCounts(store.job));
	let at = $state<string | null>(null);
	const label = $derived(
		at ?? order.find((entry) => !found.has(entry.label))?.label ?? order[0]!.label
	);
	const seals = labelsOf('sealFound');
	const length = (text: string) => bench.length(lengthOf(text));
	const stackOf = (shims: readonly string[]) => shims.map(length).join(' + ') || 'none';

	function next() {
		const i = order.findIndex((entry) => entry.label === label);
		at = order.slice(i + 1).find((entry) => !found.has(entry.label))?.label ?? null;
	}
</script>

<svelte:head><title>As found · {store.job.number} · Zinc Ledger</title></svelte:head>

<div class="flex-none px-4 pt-3">
	<HeadPlan
		job={store.job}
		stations={store.sheet.stations}
		done={{ is: (station) => found.has(station.label), word: 'written down' }}
		selected={label}
		onselect={(one) => (at = one)}
	/>
</div>
<div
	class="grid min-h-0 flex-1 content-start gap-x-8 gap-y-6 overflow-auto px-4 py-4 bench:grid-cols-[minmax(0,1fr)_26rem] bench:px-6"
>
	<div>
		<h1 class="flex items-end gap-5">
			<span class="figure text-[56px] leading-none font-semibold">{label}</span>
			<span class="pb-1 text-[15px] text-soft">
				As it came apart · {found.size} of {order.length} written down
			</span>
		</h1>
		<div class="mt-4">
			{#key label}<AsFoundForm station={label} keep="Save, next valve" onkept={next} />{/key}
		</div>
		<p class="caution mt-5">
			A spring under load lets go without warning: glasses on, face out of line with the stem. Every
			part keeps its station: tag, row or bag.
		</p>
	</div>
	<aside aria-label="Found so far" class="text-[13px]">
		<h2 class="border-b border-ink pb-1 font-semibold">Found, beside what is planned</h2>
		<div class="overflow-x-auto">
			<Table>
				<thead>
					<tr
						><th>Valve</th><th>Shims</th><th>planned</th><th>Locator</th><th>Seal</th><th>Put</th
						></tr
					>
				</thead>
				<tbody>
					{#each order.filter((entry) => found.has(entry.label)) as entry (entry.label)}
						{@const one = found.get(entry.label)!}
						{@const locator = partsOf(store.job.setup, entry).locator}
						<tr>
							<th scope="row" class="figure text-left">{entry.label}</th>
							<td class="figure">{stackOf(one.shims)}</td>
							<td class="figure text-soft">{stackOf(entry.shims)}</td>
							<td class="figure">
								{one.locator === undefined ? '·' : length(one.locator)}
								{#if locator && one.locator !== undefined && lengthOf(one.locator) !== lengthOf(locator.thickness)}
									<span class="text-soft">planned {length(locator.thickness)}</span>
								{/if}
							</td>
							<td>{one.seal ? seals[one.seal] : '·'}</td>
							<td>{one.put ?? ''}</td>
						</tr>
					{:else}
						<tr><td colspan="6" class="text-soft">Nothing yet.</td></tr>
					{/each}
				</tbody>
			</Table>
		</div>
		{#if counts.stations > 0}
			<h2 class="mt-5 border-b border-ink pb-1 font-semibold">To be counted</h2>
			<dl class="grid grid-cols-[1fr_auto] gap-y-0.5 py-2" aria-label="Counts of the strip-down">
				<dt class="text-soft">Lock halves</dt>
				<dd class="figure text-right">{counts.lockHalves}</dd>
				{#each counts.shims as [size, count] (size)}
					<dt class="text-soft">Shims of {bench.length(size)}</dt>
					<dd class="figure text-right">{count}</dd>
				{/each}
				{#each [['Locators', counts.locators], ['Lash caps', counts.caps], ['Dampers', counts.dampers], ['Seals', counts.seals]] as const as [name, count] (name)}
					<dt class="text-soft">{name}</dt>
					<dd class="figure text-right">{count}</dd>
				{/each}
			</dl>
		{/if}
	</aside>
</div>
