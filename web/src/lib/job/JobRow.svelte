<script lang="ts">
	import Mark from '$lib/ui/Mark.svelte';
	import { capital, shortDate } from '$lib/ui/words';
	import type { JobLine } from './line';
	import { label, tell } from '@zinc-ledger/words';

	let { job }: { job: JobLine } = $props();
	const blocking = $derived(job.stages.find((stage) => stage.blocks && stage.name !== 'sheet'));
</script>

<tr class="relative border-b border-hair focus-within:bg-chromate-wash hover:bg-sunk">
	<td class="py-3 pl-3 align-top">
		<a
			data-job
			href="/jobs/{job.id}"
			class="figure text-lg font-semibold after:absolute after:inset-0"
		>
			{job.number}
		</a>
	</td>
	<td class="py-3 pr-4 align-top">
		{job.customer}
		<span class="block text-[13px] text-soft">{job.contact ?? ''}</span>
	</td>
	<td class="py-3 pr-4 align-top">
		{job.engine}
		<span class="block text-[13px] text-soft">{job.stations} valves · {job.duty}</span>
	</td>
	<td class="py-3 pr-6 align-top">
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
	<td class="py-3 pr-4 align-top">
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
	<td class="figure py-3 pr-3 text-right align-top text-[13px] text-soft"
		>{shortDate(job.takenIn)}</td
	>
</tr>
