<script lang="ts">
	import {
		checksInForce,
		checksStillWanted,
		compareGauges,
		correctionInForce,
		dimensionOf,
		dueOn,
		frameStiffness,
		headFactorBy,
		lengthOf,
		loadOf,
		READS,
		readingsOfSame
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import CheckForm from '$lib/parts/gauges/CheckForm.svelte';
	import GaugeForm from '$lib/parts/gauges/GaugeForm.svelte';
	import LinkState from '$lib/parts/gauges/LinkState.svelte';
	import Residuals from '$lib/parts/gauges/Residuals.svelte';
	import { correctionWords } from '$lib/parts/gauges/words';
	import { useKeys } from '$lib/keys/keys.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { moment } from '$lib/ui/words';
	import { label } from '@zinc-ledger/words';
	import Alert from '$lib/ui/Alert.svelte';
	import Table from '$lib/ui/Table.svelte';

	let { data, form } = $props();
	const bench = getBench();
	useKeys([{ keys: ['Enter'], does: 'save the check' }]);
	const reads = $derived(READS[data.gauge.type]);
	const value = (text: string) => (dimensionOf(text) === 'length' ? lengthOf(text) : loadOf(text));
	const problem = $derived(form && 'checkProblem' in form ? String(form.checkProblem) : null);
	const typed = $derived<Record<string, string> | null>(
		form && 'typed' in form ? (form.typed as Record<string, string>) : null
	);
	const kept = $derived(form && 'values' in form ? form : null);

	/** Springs, or standards, that both this gauge and another were tried on. */
	const comparisons = $derived(
		data.others.flatMap(({ gauge, checks }) => {
			const pairs = readingsOfSame(data.checks, checks);
			const compared = compareGauges(pairs);
			return compared ? [{ gauge, compared, pairs }] : [];
		})
	);
	const frame = $derived(frameStiffness(data.checks));
	const factor = $derived(data.gauge.type === 'on-head-tester' ? headFactorBy(data.checks) : null);
</script>

<svelte:head><title>{data.gauge.name} · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-4 bench:px-8 bench:py-6">
	<p class="text-[13px]"><a class="underline" href="/gauges">Gauges</a></p>
	<h1 class="flex items-baseline gap-4 border-b-2 border-ink pb-2 text-2xl font-semibold">
		{data.gauge.name}
		<span class="text-base font-normal text-soft">{label('gauge', data.gauge.type)}</span>
		{#if data.gauge.link}
			<span class="ml-auto text-[14px] font-normal"><LinkState gauge={data.gauge} /></span>
		{/if}
	</h1>
	<div class="mt-4 grid gap-x-12 gap-y-8 bench:grid-cols-[minmax(0,1fr)_26rem]">
		<div>
			<h2 class="border-b border-ink pb-1 font-semibold">Checks against a reference</h2>
			<p class="mt-2">
				Correction in force <b class="figure"
					>{correctionWords(data.gauge, data.checks, bench.units)}</b
				>
				{#if dueOn(data.checks, data.gauge.dueMonths)}
					· calibration due <span class="figure">{dueOn(data.checks, data.gauge.dueMonths)}</span>
				{/if}
				{#if frame !== null}
					· a millimetre of its frame holds <b class="figure">{Math.round(frame)}</b> N
				{/if}
				{#if factor !== null}
					· correction factor <b class="figure">{factor.toFixed(3)}</b>
				{/if}
			</p>
			{#each reads as dimension (dimension)}
				{#if checksStillWanted(data.checks, dimension) > 0}
					<p class="mt-1">
						<Mark state="watch" /> One more check of {dimension} tells how well the correction holds;
						until then it counts as no better than a single reading.
					</p>
				{/if}
				{@const checks = checksInForce(data.checks, dimension)}
				{#if checks.length > 1}
					<Residuals
						{dimension}
						points={checks.map((check, i) => ({
							at: value(check.reference),
							residual: correctionInForce(data.checks, dimension).residuals[i]!
						}))}
					/>
				{/if}
			{/each}
			<Table class="mt-3 text-[14px]">
				<thead>
					<tr>
						<th>Standard</th>
						<th class="text-right">Reference</th>
						<th class="text-right">Reading</th>
						<th class="text-right">When</th>
					</tr>
				</thead>
				<tbody>
					{#each data.checks.toReversed() as check (check.id)}
						<tr>
							<td class="py-1">{check.against}</td>
							<td class="figure py-1 text-right">{check.reference}</td>
							<td class="figure py-1 text-right">{check.read}</td>
							<td class="py-1 text-right text-[13px] text-soft">{moment(check.at)}</td>
						</tr>
					{:else}
						<tr
							><td class="py-2 text-soft" colspan="4"
								>None yet: its readings are taken as they are.</td
							></tr
						>
					{/each}
				</tbody>
			</Table>
			<CheckForm {reads} {typed} />
			<Alert {problem} class="mt-1" />
			<p class="mt-2 text-[13px] text-soft">
				Checks of one day count together: one gives an offset, several a straight line. The same
				spring or standard named alike on two gauges compares them. {#if reads.length > 1}A pull on
					a solid block, its load and how far the dial moved, tells the frame’s stiffness: solid is
					what is as steep as that.{/if}
			</p>
			{#if comparisons.length > 0}
				<h2 class="mt-6 border-b border-ink pb-1 font-semibold">Against other gauges</h2>
				{#each comparisons as { gauge, compared, pairs } (gauge.id)}
					<p class="border-b border-hair py-1.5">
						{#if compared.disagree}<Mark state="watch" word />{/if}
						{gauge.name} reads
						<b class="figure">{Math.abs(compared.difference * 100).toFixed(1)} %</b>
						{compared.difference >= 0 ? 'more' : 'less'} on {pairs.length} of the same{compared.disagree
							? ': one reads wrong'
							: ', within repeatability'}
					</p>
				{/each}
			{/if}
		</div>
		<div>
			<h2 class="border-b border-ink pb-1 font-semibold">Details</h2>
			<GaugeForm initial={data.values} action="?/keep" form={kept} />
		</div>
	</div>
</main>
