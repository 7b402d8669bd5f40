<script lang="ts">
	/** What to do with each spring that has run, and what decided it. */
	import { lengthOf, mm, type SpringFate } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Table from '$lib/ui/Table.svelte';
	import { capital } from '$lib/ui/words';

	let { fates }: { fates: readonly SpringFate[] } = $props();
	const store = getJobStore();
	const bench = getBench();
	const margin = (room: SpringFate['bindMargin']) => bench.length(room && mm(room.value));
	const { bindFloor, sealFloor } = $derived(store.job.setup.limits);
</script>

<section aria-label="Used springs">
	{#if fates.every(({ reason }) => reason === 'policy')}
		<p class="mt-2">
			Replace all: {label('fateReason', 'policy')}.
			<a class="underline" href="/jobs/{store.job.id}/setup">Policy on used springs</a>
		</p>
	{:else}
		<div class="overflow-x-auto">
			<Table class="mt-1 text-left text-[14px]">
				<thead>
					<tr>
						<th>Valve</th><th>Decision</th><th>Reason</th><th class="text-right">Load lost</th><th
							class="pl-6">Shims</th
						>
						<th class="text-right">
							Bind margin after
							<span class="figure block">min {bench.length(lengthOf(bindFloor))}</span>
						</th>
						<th class="text-right">
							Seal clearance after
							<span class="figure block">min {bench.length(lengthOf(sealFloor))}</span>
						</th>
						<th class="text-right">Life left</th>
					</tr>
				</thead>
				<tbody>
					{#each fates as one (one.station)}
						<tr data-fate={one.station}>
							<th scope="row" class="figure text-left">{one.station}</th>
							<td class={one.fate === 'replace' ? 'font-semibold text-stop' : ''}>
								{capital(label('fate', one.fate))}
							</td>
							<td>{label('fateReason', one.reason)}</td>
							<td class="figure text-right"
								>{one.sag === null ? '·' : `${(100 * one.sag.value).toFixed(1)} %`}</td
							>
							<td class="figure pl-6">
								{one.fate === 'reshim'
									? one.shims?.map((shim) => bench.length(shim)).join(' + ')
									: ''}
							</td>
							<td class="figure text-right">{margin(one.bindMargin)}</td>
							<td class="figure text-right">{margin(one.sealClearance)}</td>
							<td class="figure text-right">
								{one.serviceLeft === null
									? '·'
									: one.serviceLeft < 0
										? 'exceeded'
										: `${Math.round(100 * one.serviceLeft)} %`}
							</td>
						</tr>
					{/each}
				</tbody>
			</Table>
		</div>
	{/if}
</section>
