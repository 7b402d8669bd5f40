<script lang="ts">
	/** How much lift this head can take: the limits over lift, and what each single change gains. */
	import { KINDS, liftRoom, mm, type Millimetres } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getBook } from '$lib/job/book.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { capital } from '$lib/ui/words';
	import { label, write } from '@zinc-ledger/words';
	import Table from '$lib/ui/Table.svelte';

	let { data } = $props();
	const book = getBook();
	const bench = getBench();
	const WIDTH = 900;
	const ROW = 34;
	const LEFT = 150;
	const { length } = bench;
	const rooms = $derived(
		KINDS.map((kind) => ({ kind, ...liftRoom(book.job, book.sheet, kind, data.library) }))
	);
	const scaleOf = (lifts: readonly (Millimetres | null)[]) => {
		const most = Math.max(1, ...lifts.map((lift) => lift ?? 0)) * 1.12;
		return (lift: number) => LEFT + (Math.max(0, lift) / most) * (WIDTH - LEFT - 90);
	};
</script>

<svelte:head><title>Lift · {book.job.number} · Zinc Ledger</title></svelte:head>

<div class="overflow-auto px-4 bench:px-6 py-4">
	<p class="float-right text-[13px]">
		<a class="underline" href="/jobs/{book.job.id}">To the sheet</a>
	</p>
	<h1 class="text-xl font-semibold">Max lift</h1>
	<p class="max-w-3xl text-[13px] text-soft">
		The smallest of what bind, seal, piston and spring card leave, each with its minimum kept. More
		lift is taken off piston to valve whole, and holds for this cam timing only: another timing can
		take more, so measure it again with the cam.
	</p>
	{#each rooms as { kind, cam, limits, unknown, ladder } (kind)}
		{@const x = scaleOf([cam, ...limits.map(({ lift }) => lift)])}
		{@const first = limits[0]}
		<section
			class="mt-4 border-t-2 border-ink pt-2"
			aria-label="{capital(label('kind', kind))} lift"
		>
			<h2 class="flex flex-wrap items-baseline gap-x-4 text-[15px] font-semibold">
				{capital(label('kind', kind))}s
				{#if first}
					<span class="text-[13px] font-normal">
						<b class="figure text-[17px]">{length(first.lift)}</b>
						{bench.units.length}, limited by {label('liftLimit', first.limit)}{first.station
							? ` at ${first.station}`
							: ''}.
						{#if cam !== null}
							{#if cam > first.lift + 1e-4}
								<Mark state="stop" word /> The cam lifts {length(cam)}: {length(
									mm(cam - first.lift)
								)} too much.
							{:else}
								The cam lifts <span class="figure">{length(cam)}</span>: room for
								<span class="figure">{length(mm(first.lift - cam))}</span> more.
							{/if}
						{/if}
					</span>
				{/if}
				{#if unknown.length > 0}
					<span class="text-[13px] font-normal text-soft"
						>Not known: {unknown.map((one) => label('liftLimit', one)).join(', ')}.</span
					>
				{/if}
			</h2>
			{#if limits.length > 0}
				{@const height = limits.length * ROW + 26}
				<svg
					viewBox="0 0 {WIDTH} {height}"
					class="mt-1 w-full max-w-5xl"
					role="img"
					aria-label="{kind} limits over lift"
				>
					{#each limits as { limit, lift, station }, i (limit)}
						<text x="0" y={i * ROW + 21} class="fill-ink text-[13px]"
							>{capital(label('liftLimit', limit))}{station ? `, ${station}` : ''}</text
						>
						<rect
							x={LEFT}
							y={i * ROW + 8}
							width={x(lift) - LEFT}
							height="18"
							class={i === 0 ? 'fill-ink' : 'fill-metal'}
						/>
						<text x={x(lift) + 6} y={i * ROW + 22} class="figure fill-ink text-[13px]"
							>{length(lift)}</text
						>
					{/each}
					{#if cam !== null}
						<!-- The light edge keeps the line in sight where it crosses a dark bar. -->
						<line
							x1={x(cam)}
							x2={x(cam)}
							y1="0"
							y2={height - 18}
							class="stroke-paper"
							stroke-width="5"
						/>
						<line
							x1={x(cam)}
							x2={x(cam)}
							y1="0"
							y2={height - 18}
							class="stroke-ink"
							stroke-width="2"
							stroke-dasharray="4 3"
						/>
						<text x={x(cam)} y={height - 4} text-anchor="middle" class="figure fill-ink text-[13px]"
							>cam {length(cam)}</text
						>
					{/if}
				</svg>
				<Table class="mt-1 text-[13px]" aria-label="What single changes gain, {kind}">
					<thead>
						<tr>
							<th>Change</th><th class="text-right">Gain</th><th>Next limit</th><th>Trade-off</th>
						</tr>
					</thead>
					<tbody>
						{#each ladder as option, i (i)}
							<tr class="align-top {option.notRecommended ? 'text-soft' : ''}">
								<td>{write(option.change, bench.units)}</td>
								<td class="figure text-right">{length(option.gain)}</td>
								<td class="whitespace-nowrap"
									>{label('liftLimit', option.next.limit)}{option.next.station
										? ` at ${option.next.station}`
										: ''},
									<span class="figure">{length(option.next.lift)}</span></td
								>
								<td
									>{#if option.notRecommended}<Mark state="watch" word />{/if}
									{write(option.tradeOff, bench.units)}</td
								>
							</tr>
						{:else}
							<tr><td class="py-1 text-soft" colspan="4">No single change here gains lift.</td></tr>
						{/each}
					</tbody>
				</Table>
			{/if}
		</section>
	{/each}
</div>
