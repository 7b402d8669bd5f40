<script lang="ts">
	/** Which stations have a checking spring in: no head leaves with one. */
	import { v7 as uuid } from 'uuid';
	import { CHECKING_SPRING, checkingSprings, stationsAtHand } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';

	const store = getJobStore();
	const bench = getBench();
	let problem = $state<string | null>(null);
	const stations = $derived(stationsAtHand(store.job));
	const fitted = $derived(checkingSprings(store.job.assembly));
	async function say(place: string, done: boolean) {
		problem = await store.append('assembly', bench.person, {
			id: uuid(),
			place,
			step: CHECKING_SPRING,
			done,
			at: new Date().toISOString()
		});
	}
</script>

<p class="mt-1 text-[13px] text-soft" aria-live="polite">
	Checking springs in: {fitted.size === 0 ? 'none' : [...fitted].join(', ')}
</p>
<div class="mt-1 flex flex-wrap gap-1" role="group" aria-label="Checking spring in">
	{#each stations as { label } (label)}
		<Button
			type="button"
			look="cell"
			class="figure min-w-11 border border-rule px-1.5 text-center aria-pressed:border-watch aria-pressed:bg-sunk aria-pressed:font-semibold"
			aria-pressed={fitted.has(label)}
			onclick={() => say(label, !fitted.has(label))}>{label}</Button
		>
	{/each}
</div>
<Alert {problem} />
