<script lang="ts">
	import Mark from '$lib/ui/Mark.svelte';
	import { capital, shortDate } from '$lib/ui/words';
	import type { JobLine } from './line';
	import { label, tell } from '@zinc-ledger/words';

	let { job, anyDue = false }: { job: JobLine; anyDue?: boolean } = $props();
	/** The day it was wanted on is over, and it is not signed. */
	const late = $derived(
		job.due !== undefined &&
			job.open !== undefined &&
			job.due < new Date().toISOString().slice(0, 10)
	);
	const blocking = $derived(job.stages.find((stage) => stage.blocks && stage.name !== 'sheet'));
</script>

<tr
	class="relative grid grid-cols-[4.5rem_minmax(0,1fr)] border-b tablet:table-row border-hair focus-within:bg-chromate-wash hover:bg-sunk"
>
	<td class="row-span-3 py-3 pl-3 align-top tablet:row-auto tablet:py-2 tablet:align-middle">
		<a
			data-job
			href="/jobs/{job.id}"
			class="figure text-lg font-semibold after:absolute after:inset-0"
		>
			{job.number}
		</a>
	</td>
	<td class="pt-3 pr-4 tablet:py-2">
		{job.customer}
		<span class="block text-[13px] text-soft bench:inline">{job.contact ?? ''}</span>
	</td>
	<td class="pr-4 tablet:py-2">
		{job.engine}
		<span class="block text-[13px] text-soft bench:inline">
			{job.stations} valves<span class="bench:hidden">{job.duty ? `, ${job.duty}` : ''}</span>
		</span>
	</td>
	<td class="pt-1 pr-4 tablet:py-2 tablet:pr-6">
		<span class="flex flex-wrap items-center gap-x-3 gap-y-1 bench:flex-nowrap">
			<span class="flex h-1.5 w-24 flex-none gap-0.5" aria-hidden="true">
				{#each job.stages as stage (stage.name)}
					<span
						class="flex-1 {stage.done ? 'bg-soft' : stage === job.open ? 'bg-chromate' : 'bg-rule'}"
					></span>
				{/each}
			</span>
			<span>
				{job.open
					? `${capital(label('stage', job.open.name))}: ${job.open.note ? tell(job.open.note) : 'not begun'}`
					: 'Sheet ready'}
			</span>
		</span>
	</td>
	<td class="col-start-2 pt-1 pr-4 pb-3 tablet:py-2">
		{#if job.stops.length > 0}
			<span class="mr-2 whitespace-nowrap"><Mark state="stop" word /> {job.stops.join(', ')}</span>
		{/if}
		{#if blocking}<span class="mr-2 text-watch">{blocking.note && tell(blocking.note)}</span>{/if}
		{#if job.unclear > 0}
			<span class="text-[13px] text-soft">{job.unclear} to review</span>
		{/if}
		{#if job.stops.length === 0 && !blocking && job.unclear === 0}
			<span class="text-faint">nothing</span>
		{/if}
	</td>
	{#if anyDue}<td class="figure hidden py-2 pr-3 text-right text-[13px] bench:table-cell">
			{#if job.due}
				<span class={late ? 'font-semibold text-watch' : ''}>
					{shortDate(job.due)}{late ? ', past' : ''}
				</span>
			{/if}
			{#if job.price}<span class="block truncate text-soft">{job.price}</span>{/if}
		</td>{/if}
	<td class="figure hidden py-2 pr-3 text-right text-[13px] text-soft bench:table-cell"
		>{shortDate(job.takenIn)}</td
	>
</tr>
