<script lang="ts">
	/** Changes laid on each other: what every figure comes to after each, kept on the job or dropped as a whole. */
	import {
		isForJob,
		stepMessage,
		type ChangeStep,
		type Kind,
		type Millimetres,
		type Stepped
	} from '@zinc-ledger/core';
	import { label, write } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import Table from '$lib/ui/Table.svelte';
	import { limitText, stepRows } from './steps';

	interface Props {
		kind: Kind;
		/** The job as it is first. */
		stepped: readonly Stepped[];
		onchange: (steps: readonly ChangeStep[]) => void;
	}
	let { kind, stepped, onchange }: Props = $props();
	const bench = getBench();
	const { length } = bench;
	const steps = $derived(stepped.flatMap(({ step }) => step ?? []));
	const rows = $derived(stepRows(kind, stepped, bench));
	const atBench = $derived(steps.filter((step) => !isForJob(step)));
	const gained = (gain: Millimetres | null) =>
		gain === null ? '·' : `${gain < 0 ? '−' : '+'}${length(Math.abs(gain) as Millimetres)}`;
</script>

<div class="overflow-x-auto">
	<Table
		class="mt-1 text-[14px]"
		aria-label="Changes of the {label('kind', kind)}s, one on another"
	>
		<thead>
			<tr class="align-bottom">
				<th></th>
				{#each stepped as { step }, i (i)}
					<th class="max-w-44 text-right">
						{#if step}
							+ {write(stepMessage(step), bench.units)}
							<Button
								look="quiet"
								aria-label="Drop {write(stepMessage(step), bench.units)}"
								onclick={() => onchange(steps.toSpliced(i - 1, 1))}>Drop</Button
							>
						{:else}now{/if}
					</th>
				{/each}
			</tr>
		</thead>
		<tbody>
			<tr class="font-semibold">
				<th scope="row" class="text-left font-semibold">Max lift {bench.units.length}</th>
				{#each stepped as { limits }, i (i)}
					<td class="figure text-right">{length(limits[0]?.lift)}</td>
				{/each}
			</tr>
			<tr>
				<th scope="row" class="text-left font-normal">Gain in all</th>
				{#each stepped as { gain }, i (i)}
					<td class="figure text-right">{i === 0 ? '' : gained(gain)}</td>
				{/each}
			</tr>
			<tr>
				<th scope="row" class="text-left font-normal">Limited by</th>
				{#each stepped as one, i (i)}<td class="text-right">{limitText(one)}</td>{/each}
			</tr>
			{#each rows as { name, texts } (name)}
				<tr>
					<th scope="row" class="text-left font-normal">{name}</th>
					{#each texts as text, i (i)}<td class="figure text-right whitespace-nowrap">{text}</td
						>{/each}
				</tr>
			{/each}
			{#if stepped.some(({ newStops }) => newStops.length > 0)}
				<tr class="align-top">
					<th scope="row" class="text-left font-normal">Does not fit</th>
					{#each stepped as { newStops }, i (i)}
						<td class="text-right text-[13px]">
							{#each newStops as { key, compared } (key)}
								<span class="block"
									><Mark state="stop" /> {compared ? write(compared, bench.units) : ''}</span
								>
							{/each}
						</td>
					{/each}
				</tr>
			{/if}
		</tbody>
	</Table>
</div>
{#if atBench.length > 0}
	<p class="mt-1 text-[13px] text-soft">
		Not put on the job: {atBench.map((step) => write(stepMessage(step), bench.units)).join(', ')}.
		Do it at the bench, then read the gaps again.
	</p>
{/if}
