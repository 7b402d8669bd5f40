<script lang="ts">
	/** All checks: who did which and when, or what it takes; each is the way to its form. */
	import { CHECK_CODES, CHECKS, newestLooks, type CheckCode } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Button from '$lib/ui/Button.svelte';
	import { capital, moment } from '$lib/ui/words';

	interface Props {
		/** Checks that the figures of the job have done. */
		done: readonly CheckCode[];
		onchoose: (check: CheckCode) => void;
	}
	let { done, onchoose }: Props = $props();
	const store = getJobStore();
	const looks = $derived(newestLooks(store.job));
</script>

<ul class="grid gap-x-8 tablet:grid-cols-2">
	{#each CHECK_CODES as check (check)}
		{@const look = looks.get(check)}
		<li class="flex items-center gap-2 border-b border-hair py-0.5 text-[14px]">
			<Button small onclick={() => onchoose(check)}>{capital(label('check', check))}</Button>
			<span class="ml-auto text-soft">
				{#if look}
					{store.initials(look.person)} {moment(look.at)}
				{:else if done.includes(check)}
					by its figures
				{:else}
					<span class="figure">{CHECKS[check]} min</span>
				{/if}
			</span>
		</li>
	{/each}
</ul>
