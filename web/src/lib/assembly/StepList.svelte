<script lang="ts">
	/** The steps at one place, with those that are done and who did them. */
	import Check from '@lucide/svelte/icons/check';
	import type { AssemblyStep, Step } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { capital, moment } from '$lib/ui/words';
	import Button from '$lib/ui/Button.svelte';

	interface Props {
		place: string;
		steps: readonly Step[];
		done: ReadonlyMap<string, AssemblyStep>;
		/** Key of the step at hand. */
		current: string | undefined;
		onchoose: (key: string) => void;
	}
	let { place, steps, done, current, onchoose }: Props = $props();
	const store = getJobStore();
</script>

<aside class="text-[13px]" aria-label="Steps at {place}">
	<h2 class="border-b border-ink pb-1 font-semibold">
		{place === 'job' ? 'The whole job' : capital(place)}
	</h2>
	<ol>
		{#each steps as one (one.key)}
			{@const mark = done.get(one.key)}
			<li>
				<Button
					look="row"
					class="border-b border-hair aria-[current=step]:bg-chromate-wash"
					aria-current={one.key === current ? 'step' : undefined}
					onclick={() => onchoose(one.key)}
				>
					<span class="w-5 flex-none">
						{#if mark}<Check size={17} aria-label="done" />{/if}
					</span>
					<span class="flex-1">{capital(label('step', one.step))}</span>
					{#if mark}
						<span class="text-soft" title={moment(mark.at)}>{store.initials(mark.person)}</span>
					{/if}
				</Button>
			</li>
		{/each}
	</ol>
	<p class="mt-3 text-soft">
		Parts makers’ instructions, local rules and licensed practice come first.
	</p>
</aside>
