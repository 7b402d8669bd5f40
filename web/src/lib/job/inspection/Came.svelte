<script lang="ts">
	/** What came with the head, in what state, with photos: asked for again when it goes home. */
	import type { Setup } from '@zinc-ledger/core';
	import { message } from '@zinc-ledger/core';
	import { tell } from '@zinc-ledger/words';
	import type { ComponentProps } from 'svelte';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Photos from '$lib/photos/Photos.svelte';
	import { cameFrom } from '$lib/job/setup/take-in';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Input from '$lib/ui/Input.svelte';

	let { photos }: { photos: ComponentProps<typeof Photos>['photos'] } = $props();
	const store = getJobStore();
	const bench = getBench();
	const came = $derived(store.job.setup.came ?? []);
	let typed = $state('');
	let problem = $state<string | null>(null);

	async function keep(list: NonNullable<Setup['came']>) {
		if (!bench.person) {
			problem = tell(message('server.operator-required'));
			return;
		}
		const setup = { ...store.job.setup };
		delete setup.came;
		problem = await store.changeSetup({ ...setup, ...(list.length > 0 && { came: list }) });
		if (problem === null) typed = '';
	}
</script>

<section aria-label="What came with the head">
	<h2 class="border-b border-ink pb-1 font-semibold">Came with the head</h2>
	<ul>
		{#each came as { what, state }, i (i)}
			<li class="flex items-center gap-2 border-b border-hair py-1">
				<span class="flex-1"
					>{what}{#if state}<span class="text-soft">: {state}</span>{/if}</span
				>
				<Button
					look="quiet"
					aria-label="Take {what} off the list"
					onclick={() => keep(came.filter((_, k) => k !== i))}>Remove</Button
				>
			</li>
		{:else}
			<li class="py-1 text-soft">Nothing noted.</li>
		{/each}
	</ul>
	<form
		class="mt-1 flex gap-2"
		onsubmit={(event) => {
			event.preventDefault();
			if (typed.trim()) void keep([...came, ...cameFrom(typed)]);
		}}
	>
		<Input
			aria-label="What came with the head"
			placeholder="12 valves: bagged by cylinder"
			maxlength={200}
			bind:value={typed}
		/>
		<Button>Add</Button>
	</form>
	<Alert {problem} class="mt-1" />
	<div class="mt-2">
		<Photos {photos} to="/api/jobs/{store.job.id}/photos" of="what came with the head" />
	</div>
</section>
