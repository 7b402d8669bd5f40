<script lang="ts">
	import Mark from '$lib/ui/Mark.svelte';
	import { capital, shortDate } from '$lib/ui/words';
	import type { JobLine } from './line';
	import { label, tell } from '@zinc-ledger/words';

	let { job }: { job: JobLine } = $props();
	const blocking = $derived(job.stages.find((stage) => stage.blocks && stage.name !== 'sheet'));
</script>

<tr
	class="relative grid grid-cols-[4.5rem_minmax(0,1fr)] border-b tablet:table-row border-hair focus-within:bg-chromate-wash hover:bg-sunk"
>
	<td class="row-span-3 py-3 pl-3 align-top tablet:row-auto">
		<a
			data-job
			href="/jobs/{job.id}"
			class="figure text-lg font-semibold after:absolute after:inset-0"
		>
			{job.number}
		</a>
	</td>
	<td class="pt-3 pr-4 align-top tablet:py-3">
		{job.customer}
		<span class="block text-[13px] text-soft">{job.contact ?? ''}</span>
	</td>
	<td class="pr-4 align-top tablet:py-3">
		{job.engine}
		<span class="block text-[13px] text-soft">{job.stations} valves · {job.duty}</span>
	</td>
	<td class="pt-1 pr-4 align-top tablet:py-3 tablet:pr-6">
		<span class="block">
			{job.open
				? `${capital(label('stage', job.open.name))}: ${job.open.note ? tell(job.open.note) : 'not begun'}`
				: 'Sheet ready'}
		</span>
		<span class="mt-1.5 flex gap-0.5" aria-hidden="true">
			{#each job.stages as stage (stage.name)}
				<span
					class="h-1.5 flex-1 {stage.done
						? 'bg-soft'
						: stage === job.open
							? 'bg-chromate'
							: 'bg-rule'}"
				></span>
			{/each}
		</span>
	</td>
	<td class="col-start-2 pt-1 pr-4 pb-3 align-top tablet:py-3">
		{#if job.stops.length > 0}
			<span class="flex gap-2"><Mark state="stop" word /> {job.stops.join(', ')}</span>
		{/if}
		{#if blocking}<span class="block text-watch">{blocking.note && tell(blocking.note)}</span>{/if}
		{#if job.unclear > 0}
			<span class="block text-[13px] text-soft">{job.unclear} to review</span>
		{/if}
		{#if job.stops.length === 0 && !blocking && job.unclear === 0}
			<span class="text-faint">nothing</span>
		{/if}
	</td>
	<td class="figure hidden py-3 pr-3 text-right align-top text-[13px] text-soft bench:table-cell"
		>{shortDate(job.takenIn)}</td
	>
</tr>
