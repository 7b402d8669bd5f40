<script lang="ts">
	/** The sheet as it goes to the customer, on screen and from there to a printer. */
	import HeadPlan from '$lib/sheet/head-plan/HeadPlan.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import ScaleBar from '$lib/ui/ScaleBar.svelte';
	import { CAUTION, NOT_LOOKED_AT, UNMARKED, type Paper } from './layout';

	let { paper, size }: { paper: Paper; size: 'A4' | 'Letter' } = $props();
</script>

<article
	class="mx-auto scheme-light bg-white px-8 py-7 text-[11.5px] leading-snug text-ink [print-color-adjust:exact] print:m-0 print:w-full print:p-0 {size ===
	'A4'
		? 'w-[794px]'
		: 'w-[816px]'}"
	aria-label="Sheet of job {paper.number}"
>
	<header class="flex items-end justify-between border-b-[3px] border-ink pb-2">
		<div>
			<h1 class="text-[22px] leading-tight font-bold [font-stretch:112%]">{paper.title}</h1>
			<p class="text-[13px]">{paper.customer}</p>
		</div>
		<p class="text-right">
			<span class="figure block text-[22px] leading-tight font-semibold">{paper.number}</span>
			{paper.dates}
		</p>
	</header>
	{#if paper.scope}<p class="mt-1 text-[13px] font-semibold">{paper.scope}</p>{/if}

	<div class="mt-3"><HeadPlan job={paper.plan.job} stations={paper.plan.stations} /></div>

	<table class="mt-3 w-full border-collapse">
		<thead>
			<tr class="border-b-2 border-ink text-[10.5px] text-soft">
				<th class="w-10 py-1 text-left align-bottom font-medium">Valve</th>
				{#each paper.columns as { title, unit } (title)}
					<th class="px-1 py-1 text-right align-bottom leading-tight font-medium">
						{title} <span class="figure block">{unit}</span>
					</th>
				{/each}
			</tr>
		</thead>
		<tbody>
			{#each paper.rows as row (row.label)}
				<tr class="break-inside-avoid border-b border-hair">
					<th scope="row" class="figure text-left text-[13px] font-semibold">{row.label}</th>
					{#if !row.isLookedAt}
						<td class="h-[26px] px-1 text-soft" colspan={paper.columns.length}>{NOT_LOOKED_AT}</td>
					{/if}
					{#each row.isLookedAt ? row.cells : [] as cell, i (i)}
						<td class="h-[26px] px-1 text-right">
							{#if cell}
								<span class="figure flex items-center justify-end gap-1 text-[13px] leading-tight">
									<Mark state={cell.state} />
									{cell.text}
								</span>
								<ScaleBar scale={cell.scale} state={cell.state} />
							{:else}
								<span class="figure text-faint">·</span>
							{/if}
						</td>
					{/each}
				</tr>
			{/each}
		</tbody>
	</table>

	<div class="mt-2 grid grid-cols-[1fr_1fr_0.8fr] gap-5 break-inside-avoid">
		{#each paper.blocks as { title, lines } (title)}
			<section>
				<h2 class="border-b border-ink pb-0.5 font-semibold">{title}</h2>
				<dl class="mt-1 grid grid-cols-[auto_1fr] gap-x-2 gap-y-px">
					{#each lines as [name, value] (name)}
						<dt class="text-soft">{name}</dt>
						<dd>{value}</dd>
					{/each}
				</dl>
			</section>
		{/each}
	</div>

	{#each paper.remarks as { title, lines } (title)}
		<section class="mt-1.5">
			<h2 class="font-semibold">{title}</h2>
			<ul>
				{#each lines as { state, text }, i (i)}
					<li class="mr-2 inline">
						{#if state}<Mark {state} word />{/if}
						{text}
					</li>
				{/each}
			</ul>
		</section>
	{/each}

	<footer class="mt-2 grid grid-cols-[1.6fr_1fr] gap-6 border-t border-ink pt-2 break-inside-avoid">
		<div class="text-soft">
			<p class="flex flex-wrap gap-x-3">
				{#each ['watch', 'inconclusive', 'stop'] as const as state (state)}
					<Mark {state} word />
				{/each}
				{UNMARKED}
			</p>
			<p>{paper.measured} {CAUTION}</p>
		</div>
		<p class="self-end border-t border-ink pt-1 text-soft">Name, date</p>
	</footer>
</article>
