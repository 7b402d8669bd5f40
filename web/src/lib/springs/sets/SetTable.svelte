<script lang="ts">
	/** The springs of a set under each other, how far each is off the middle, and which go together. */
	import { rateUnit, setFigures, type Newtons, type SetLimits } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { stateClass } from '$lib/ui/state';
	import { byPercent } from '$lib/ui/words';
	import type { Row } from './worked';
	import { label } from '@zinc-ledger/words';
	import Button from '$lib/ui/Button.svelte';
	import Table from '$lib/ui/Table.svelte';

	interface Props {
		rows: readonly Row[];
		/** Tag of the chosen spring. */
		chosen: string | undefined;
		onchoose: (tag: string) => void;
		limits: SetLimits;
	}
	let { rows, chosen, onchoose, limits }: Props = $props();
	const bench = getBench();
	const { length, load, rate } = bench;
	/** As fine as the finest tester that pressed any of them, so that the column lines up. */
	const resolution = $derived(
		rows.reduce<Newtons | undefined>(
			(finest, { resolution: one }) =>
				one !== undefined && (finest === undefined || one < finest) ? one : finest,
			undefined
		)
	);
	const set = $derived(
		setFigures(
			rows.map(({ spring, figures }) => ({ tag: spring.tag, seat: figures.seat })),
			limits
		)
	);
</script>

<Table class="mt-2 [&_th:not(:first-child)]:text-right">
	<thead>
		<tr class="text-right">
			<th class="pl-2">Spring</th>
			<th>Seat <span class="figure">{bench.units.load}</span></th>
			<th>Open <span class="figure">{bench.units.load}</span></th>
			<th>Rate <span class="figure">{rateUnit(bench.units)}</span></th>
			<th>Non-linearity</th>
			<th>Bind <span class="figure">{bench.units.length}</span></th>
			<th>From median</th>
			<th class="pr-2"><span class="sr-only">State</span></th>
		</tr>
	</thead>
	<tbody>
		{#each rows as { spring, worked: done, figures, bind } (spring.tag)}
			{@const member = set.members.get(spring.tag)}
			{@const isChosen = spring.tag === chosen}
			<tr
				class="figure cursor-pointer text-right text-[15px] {isChosen
					? 'bg-chromate-wash'
					: 'hover:bg-sunk'}"
				data-tag={spring.tag}
				onclick={() => onchoose(spring.tag)}
			>
				<th
					scope="row"
					class="h-8 border-l-[5px] pl-2 text-left font-medium {isChosen
						? 'border-l-chromate'
						: 'border-l-transparent'}"
				>
					<Button look="cell">{spring.tag}</Button>
				</th>
				<td class={member ? stateClass(member.state) : ''}>{load(figures.seat, resolution)}</td>
				<td>{load(figures.open, resolution)}</td>
				<td>{rate(figures.rate)}</td>
				<td
					>{figures.nonLinearity === null
						? '·'
						: `${(figures.nonLinearity * 100).toFixed(1)} %`}</td
				>
				<td>{length(bind)}{spring.measured.bind ? '*' : ''}</td>
				<td class={member ? stateClass(member.state) : ''}
					>{member ? byPercent(member.off) : '·'}</td
				>
				<td class="pr-2 pl-3 text-left font-sans text-[13px]">
					{#if member && member.state !== 'clear'}<Mark state={member.state} word />{/if}
					{#if done === null}<span class="text-faint">not tested</span>
					{:else if done.bind.type === 'none'}bind {label('noBind', done.bind.why)}{/if}
				</td>
			</tr>
		{/each}
	</tbody>
</Table>
<p class="mt-2 text-[13px] text-soft">
	{#if set.median !== null}
		Seat loads <b class="figure text-ink">{load(set.min, resolution)}–{load(set.max, resolution)}</b
		>, median
		<b class="figure text-ink">{load(set.median, resolution)}</b>. Matched pairs:
		<span class="figure text-ink">{set.pairs.map((pair) => pair.join('+')).join('  ')}</span>
	{:else}
		Nothing is tested yet.
	{/if}
</p>
