<script lang="ts">
	/** One line for each valve that changed: what moved and by how much, what it looks like, and what to do. */
	import type { InCommon, LoadsInCommon, SpringFate, StationComparison } from '@zinc-ledger/core';
	import { causeWords, label } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { capital } from '$lib/ui/words';
	import {
		CAUSE_OF,
		changeText,
		explanationText,
		FITS_NONE,
		ownChanges,
		partsText,
		unitOf
	} from './comparison';

	interface Props {
		stations: readonly StationComparison[];
		fates: readonly SpringFate[];
		/** Shifts that all valves share: stated once above, not at each valve. */
		common: readonly InCommon[];
		loads: LoadsInCommon | null;
	}
	let { stations, fates, common, loads }: Props = $props();
	const bench = getBench();
	const all = $derived(
		stations.map((one) => ({ ...one, own: ownChanges(one, common, loads), fate: fateOf(one) }))
	);
	const changed = $derived(all.filter(({ own }) => own.length > 0));
	const unchanged = $derived(
		all.filter(({ own, moved }) => own.length === 0 && Object.keys(moved).length > 0).length
	);
	const fateOf = ({ station }: StationComparison) => fates.find((one) => one.station === station);
	const movedText = (own: ReturnType<typeof ownChanges>) =>
		own
			.map(
				([trace, change]) =>
					`${label('trace', trace)} ${changeText(trace, change, bench)} ${unitOf(trace, bench)}`
			)
			.join(', ');
	const remedies = ({ happened }: StationComparison) => [
		...new Set(
			(happened?.explanations[0]?.happened ?? []).map(
				({ happening }) => causeWords(CAUSE_OF[happening]).remedy
			)
		)
	];
</script>

<ul aria-label="Valves that changed">
	{#each changed as one (one.station)}
		{@const fate = one.fate}
		<li
			class="grid gap-x-4 border-b border-hair py-1.5 text-[14px] tablet:grid-cols-[3rem_minmax(0,2fr)_minmax(0,3fr)]"
			data-changed={one.station}
		>
			<b class="figure">{one.station}</b>
			<span>{capital(movedText(one.own))}</span>
			<span>
				{#if !one.happened || one.happened.fitsNone}
					<b>{capital(FITS_NONE)}.</b>
				{:else}
					<b>
						{capital(
							one.happened.explanations
								.filter(({ happened }) => happened.length > 0)
								.map((explanation) => explanationText(explanation, bench))
								.join(', or ') || 'as it was'
						)}.
					</b>
					{#if one.happened.parts}{capital(partsText(one.happened.parts))}.{/if}
					{remedies(one).join(' ')}
					{#if fate?.fate === 'replace'}
						{capital(label('fate', fate.fate))}: {label('fateReason', fate.reason)}.
					{/if}
				{/if}
			</span>
		</li>
	{/each}
</ul>
{#if unchanged > 0}
	<p class="mt-2 text-[14px] text-soft">
		<span class="figure">{unchanged}</span>
		{unchanged === 1 ? 'valve' : 'valves'} unchanged within measurement uncertainty.
	</p>
{/if}
