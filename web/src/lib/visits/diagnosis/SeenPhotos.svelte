<script lang="ts">
	/** Photos of a visit: by the mark they show, and those of nothing in particular. */
	import type { EvidenceCode, Look } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Photos from '$lib/photos/Photos.svelte';
	import { capital } from '$lib/ui/words';
	import { marksSeen } from './evidence';

	interface Photo {
		readonly id: string;
		readonly evidence: EvidenceCode | null;
		readonly width: number;
		readonly height: number;
		readonly at: string;
	}
	let { looks, photos }: { looks: Iterable<Look>; photos: readonly Photo[] } = $props();
	const store = getJobStore();
	const to = $derived(`/api/jobs/${store.job.id}/photos`);
	const marks = $derived(
		marksSeen(
			looks,
			photos.flatMap(({ evidence }) => evidence ?? [])
		)
	);
	const of = (mark: EvidenceCode | null) => photos.filter(({ evidence }) => evidence === mark);
</script>

<section class="mt-6" aria-label="Photos">
	<h2 class="mb-2 border-b border-ink pb-1 font-semibold">Photos of what was seen</h2>
	{#each marks as { evidence, stations } (evidence)}
		<h3 class="mt-3 mb-1 text-[13px]">
			{capital(label('finding', evidence))}
			{#if stations.length > 0}<span class="figure font-semibold">{stations.join(' ')}</span>{/if}
		</h3>
		<Photos photos={of(evidence)} to="{to}?evidence={evidence}" of={label('finding', evidence)} />
	{/each}
	{#if marks.length > 0}<h3 class="mt-3 mb-1 text-[13px]">Of something else</h3>{/if}
	<Photos photos={of(null)} {to} of="what was seen" />
</section>
