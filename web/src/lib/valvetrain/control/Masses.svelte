<script lang="ts">
	/** What must follow the cam, part by part as it counts at the valve, and what a few grams buy. */
	import {
		kilograms,
		limitWith,
		showMass,
		showSpeed,
		type Controlled,
		type RevolutionsPerMinute
	} from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import Input from '$lib/ui/Input.svelte';
	import Table from '$lib/ui/Table.svelte';
	import { capital } from '$lib/ui/words';

	let { of }: { of: Controlled } = $props();
	/** Grams off, as typed, by part. */
	let off = $state<Record<string, string>>({});
	const named = (part: string) =>
		part === 'pushrod' ? 'pushrod' : label('part', part as Parameters<typeof label<'part'>>[1]);
	const grams = (text: string | undefined) => {
		const value = Number((text ?? '').replace(',', '.').replace('−', '-'));
		return Number.isFinite(value) ? value : 0;
	};
	const gained = (more: number) => {
		const then = limitWith(of, kilograms(more / 1000));
		return then === null ? null : then - of.limit.speed;
	};
	const signed = (speed: number | null) =>
		speed === null
			? '·'
			: `${speed < 0 ? '−' : '+'}${showSpeed(Math.abs(speed) as RevolutionsPerMinute)}`;
	const total = $derived(of.mass.parts.reduce((sum, { part }) => sum - grams(off[part]), 0));
</script>

<section aria-label="Moving mass of {of.station}">
	<h2 class="border-b-2 border-ink pb-1 font-semibold">
		What must follow the cam, <span class="figure">{of.station}</span>
	</h2>
	<Table class="w-full text-left">
		<thead>
			<tr>
				<th>Part, as it counts at the valve</th>
				<th class="text-right"><span class="figure">g</span></th>
				<th class="text-right">lighter by <span class="figure">g</span></th>
				<th class="text-right"><span class="figure">rpm</span></th>
			</tr>
		</thead>
		<tbody>
			{#each of.mass.parts as { part, mass, isEstimated } (part)}
				<tr>
					<td>
						{capital(named(part))}
						{#if isEstimated}<b class="text-[13px]">estimated from its size</b>{/if}
					</td>
					<td class="figure text-right">{showMass(mass)}</td>
					<td class="text-right">
						<Input
							class="figure w-20 text-right"
							inputmode="decimal"
							aria-label="{capital(named(part))} lighter by, in grams"
							bind:value={() => off[part] ?? '', (text) => (off[part] = text)}
						/>
					</td>
					<td class="figure text-right">
						{grams(off[part]) === 0 ? '·' : signed(gained(-grams(off[part])))}
					</td>
				</tr>
			{/each}
			<tr class="font-semibold">
				<td>All together</td>
				<td class="figure text-right">{showMass(of.mass.total)}</td>
				<td class="figure text-right"
					>{total === 0 ? '·' : (-total).toFixed(1).replace('-', '−')}</td
				>
				<td class="figure text-right">{total === 0 ? '·' : signed(gained(total))}</td>
			</tr>
		</tbody>
	</Table>
</section>
