<script lang="ts">
	/** The assumptions behind every figure of the page. */
	import {
		ACTIVE_SHARE,
		assumedTrain,
		CARD_SPREAD,
		ESTIMATE_SPREAD,
		MADE_UP_SPREAD,
		MAX_BOUNCE,
		rateUnit,
		SPRING_SHARE,
		STIFFNESS_SPREAD,
		USUAL_SEAT,
		type Controlled
	} from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Disclosure from '$lib/ui/Disclosure.svelte';

	let { of }: { of: Controlled } = $props();
	const store = getJobStore();
	const bench = getBench();
	const train = $derived(assumedTrain(store.job.setup));
	const percent = (part: number) => `${Math.round(100 * part)} %`;
	const isMadeUp = $derived(of.train.lobe.origin === 'made-up');
	const two = $derived(store.job.setup.cam?.[of.kind].second !== undefined);
</script>

<Disclosure title="Assumptions" class="text-[13px]">
	<ul class="max-w-3xl list-disc space-y-1 pl-5">
		<li>
			{#if isMadeUp}
				<b>The lobe is synthesized</b> from its lift and {two ? 'two durations' : 'one duration'}:
				lobes with the same figures differ in acceleration by ± {percent(
					two ? MADE_UP_SPREAD.two : MADE_UP_SPREAD.one
				)}, and no card states the ramp, so the motion covers every ramp in use.
				{#if store.job.setup.cam?.id}
					<a class="underline" href="/parts/{store.job.setup.cam.id}/lobes"
						>Give the cam its lift table</a
					>.
				{/if}
			{:else}
				The lobe is smoothed from its lift table; the band is what the table’s rounding leaves open.
			{/if}
		</li>
		{#if of.train.curve.from === 'card'}
			<li>
				The spring is its card’s: ± {percent(CARD_SPREAD)} of load. A tested one is told closer.
			</li>
		{/if}
		{#if of.mass.uncertainty > 0}
			<li>Masses estimated from size and material: ± {percent(ESTIMATE_SPREAD)} each.</li>
		{/if}
		<li>
			{SPRING_SHARE === 1 / 3 ? 'A third' : percent(SPRING_SHARE)} of the spring’s mass moves; what lies
			on the cam’s side counts by the ratio squared.
		</li>
		<li>
			The limit takes the whole train as rigid: an upper bound, so it says stop or watch and never
			clear.
		</li>
		{#if train}
			<li>
				The train that gives: {label('train', train.type)}, stiffness
				<span class="figure">{bench.rate(train.stiffness)} {rateUnit(bench.units)}</span> at the
				valve ± {percent(train.spread ?? STIFFNESS_SPREAD)}{train.spread === undefined
					? ''
					: ', measured'}, damping {percent(train.damping)} of critical; seat
				<span class="figure">{bench.rate(USUAL_SEAT.stiffness)} {rateUnit(bench.units)}</span>. A
				bounce of more than {MAX_BOUNCE * 1e3} mm counts as lost.
			</li>
		{/if}
		{#if of.surge}
			<li>
				The coils’ own swinging, all of a set taken as one: first at <span class="figure"
					>{Math.round(of.surge.frequency)} Hz</span
				>, {Math.round(100 * ACTIVE_SHARE)} % of the spring’s mass moving, damped {percent(
					of.surge.damping
				)} of critical.
			</li>
		{:else}
			<li>The spring’s mass or rate is not known: no surge of its coils is in the motion.</li>
		{/if}
	</ul>
</Disclosure>
