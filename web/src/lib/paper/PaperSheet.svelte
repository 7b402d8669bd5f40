<script lang="ts">
	/** The sheet as it goes to the customer: one page for up to sixteen stations. */
	import { KINDS, walk, type Job, type Kind, type Sheet } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import HeadPlan from '$lib/head-plan/HeadPlan.svelte';
	import { columnsFor, showFigure, verdictIn } from '$lib/sheet/columns';
	import JudgedBy from './JudgedBy.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import Scale from '$lib/ui/Scale.svelte';
	import { capital, moment, shortDate } from '$lib/ui/words';

	import { findingLines } from '$lib/fit/finding-lines';
	import { label, ruleWords, write } from '@zinc-ledger/words';

	let { job, sheet, size }: { job: Job; sheet: Sheet; size: 'A4' | 'Letter' } = $props();
	const bench = getBench();
	const units = $derived(bench.units);

	const columns = $derived(columnsFor(sheet.stations));
	const rows = $derived(
		walk(job.stations, job.setup.measuringOrder).flatMap(
			(entry) => sheet.stations.find((station) => station.label === entry.label) ?? []
		)
	);
	const told = $derived(findingLines(sheet, units));
	const nameOf = (id: string) => job.people.find((person) => person.id === id)?.name ?? '';
	const measuredBy = $derived(
		job.people
			.filter((person) => job.readings.some((reading) => reading.person === person.id))
			.map((person) => person.name)
	);
	const lastRead = $derived(
		job.readings
			.map((reading) => reading.at)
			.toSorted()
			.at(-1)
	);
	const limits = $derived(job.setup.limits);

	function parts(kind: Kind): [string, string][] {
		const setup = job.setup.kinds[kind];
		const { lift, target, bind } = sheet.kinds[kind];
		const { length } = bench;
		return [
			['Spring', setup.spring ? `${setup.spring.name} (${sourceOf(kind)})` : 'not given'],
			['Retainer', setup.retainer?.name ?? 'not given'],
			['Locks', setup.locks?.name ?? 'not given'],
			['Locator', setup.locator?.name ?? 'not given'],
			['Seal', setup.seal?.name ?? 'not given'],
			['Lift', lift ? `${length(lift.gross)} gross, ${length(lift.net)} net` : 'not given'],
			[
				'Coil bind',
				bind
					? `${length(bind.height)}${bind.first ? `, ${bind.first} binds first` : ''}`
					: 'not given'
			],
			[
				'Target',
				target.height === null
					? write(target.because, units)
					: `${length(target.height)} by ${label('targetMethod', setup.aim.method)}`
			]
		];
	}

	function sourceOf(kind: Kind): string {
		const { curve, sources } = sheet.kinds[kind];
		if (curve?.from === 'tested') return 'tested curve';
		return sources.spring === 'card'
			? 'card, straight line'
			: `${label('source', sources.spring!)}, straight line`;
	}
</script>

<article
	class="mx-auto scheme-light bg-white px-8 py-7 text-[11.5px] leading-snug text-ink [print-color-adjust:exact] print:m-0 print:w-full print:p-0 {size ===
	'A4'
		? 'w-[794px]'
		: 'w-[816px]'}"
	aria-label="Sheet of job {job.number}"
>
	<header class="flex items-end justify-between border-b-[3px] border-ink pb-2">
		<div>
			<h1 class="text-[22px] leading-tight font-bold [font-stretch:112%]">{job.engine.name}</h1>
			<p class="text-[13px]">
				{job.customer.name}{job.customer.contact ? `, ${job.customer.contact}` : ''}
				· {job.setup.use.duty}{job.setup.use.engineSpeed
					? `, to ${job.setup.use.engineSpeed.toLocaleString('en')} rpm`
					: ''}
			</p>
		</div>
		<p class="text-right">
			<span class="figure block text-[22px] leading-tight font-semibold">{job.number}</span>
			received {shortDate(job.takenIn)} · {units.length}, {units.load}
		</p>
	</header>

	<div class="mt-3"><HeadPlan {job} stations={sheet.stations} /></div>

	<table class="mt-3 w-full border-collapse">
		<thead>
			<tr class="border-b-2 border-ink text-[10.5px] text-soft">
				<th class="w-10 py-1 text-left align-bottom font-medium">Valve</th>
				{#each columns as column (column.key)}
					<th class="w-[82px] px-1 py-1 text-right align-bottom leading-tight font-medium">
						{column.title}
						<span class="figure block"
							>{column.dimension === 'load' ? units.load : units.length}</span
						>
					</th>
				{/each}
				<th class="py-1 pl-3 text-left align-bottom font-medium">Shims, remarks</th>
			</tr>
		</thead>
		<tbody>
			{#each rows as station (station.label)}
				{@const remark = station.remarks.find((each) => each.state !== 'not-measured')}
				<tr class="break-inside-avoid border-b border-hair">
					<th scope="row" class="figure text-left text-[13px] font-semibold">{station.label}</th>
					{#each columns as column (column.key)}
						{@const verdict = verdictIn(station, column.key)}
						{@const text = showFigure(verdict, column, units)}
						<td class="h-[29px] px-1 text-right">
							{#if verdict && text !== null && verdict.figure !== null}
								<span class="figure flex items-center justify-end gap-1 text-[13px] leading-tight">
									<Mark state={verdict.state} />
									{text}
								</span>
								<Scale figure={verdict.figure} limits={verdict.limits} state={verdict.state} />
							{:else}
								<span class="figure text-faint">·</span>
							{/if}
						</td>
					{/each}
					<td class="pl-3 text-[10.5px] leading-tight">
						{#if station.stack.shims.length > 0}
							<span class="figure">
								{station.stack.shims.map((shim) => bench.length(shim)).join(' + ')}
							</span>
						{/if}
						{#if remark}<Mark state={remark.state} word /> {write(remark.text, units)}{/if}
					</td>
				</tr>
			{/each}
		</tbody>
	</table>

	<div class="mt-3 grid grid-cols-[1fr_1fr_0.9fr] gap-5 break-inside-avoid">
		{#each KINDS as kind (kind)}
			<section>
				<h2 class="border-b border-ink pb-0.5 font-semibold">{capital(label('kind', kind))}</h2>
				<dl class="mt-1 grid grid-cols-[4.2rem_1fr] gap-y-px">
					{#each parts(kind) as [name, value] (name)}
						<dt class="text-soft">{name}</dt>
						<dd>{value}</dd>
					{/each}
				</dl>
			</section>
		{/each}
		<JudgedBy {limits} />
	</div>

	{#if sheet.remarks.length > 0 || told.length > 0}
		<ul class="mt-2">
			{#each told as { finding, places, compared } (finding.key)}
				<li>
					<Mark state={finding.severity as 'stop' | 'watch'} word />
					{ruleWords(finding.rule).title}, {places}: {compared}.
					{#if finding.acceptance}
						Accepted by {nameOf(finding.acceptance.person)}: {finding.acceptance.reason}
					{:else}
						Not accepted.
					{/if}
				</li>
			{/each}
			{#each sheet.remarks as remark, i (i)}
				<li><Mark state={remark.state} word /> {write(remark.text, units)}</li>
			{/each}
		</ul>
	{/if}

	<footer class="mt-4 grid grid-cols-[1.6fr_1fr] gap-6 border-t border-ink pt-2 break-inside-avoid">
		<p class="text-soft">
			Measured by {measuredBy.join(', ') || 'nobody yet'}{lastRead
				? `, last ${moment(lastRead)}`
				: ''}. Min bind margin {sheet.least.bindMargin
				? `${bench.length(sheet.least.bindMargin.figure)} at ${sheet.least.bindMargin.station}`
				: 'not known'}. Seat loads {KINDS.map((kind) => {
				const range = sheet.seatLoads[kind];
				return `${label('kind', kind)} ${range ? `${bench.load(range.least)}–${bench.load(range.most)}` : 'not known'}`;
			}).join(', ')}. The makers’ instructions for springs, cam and engine come first; these figures
			do not replace them.
		</p>
		<p class="self-end border-t border-ink pt-1 text-soft">Name, date</p>
	</footer>
</article>
