<script lang="ts">
	/** What a cylinder loses of the air that is fed to it, its valves closed: in the car it stands for the vacuum. */
	import { readLoss, UNSAID_LIMITS, type Message } from '@zinc-ledger/core';
	import Button from '$lib/ui/Button.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import type { Keep } from './keep';

	interface Props {
		/** The greatest part that may be lost; the usual one where the job says nothing. */
		max: number | undefined;
		keep: Keep;
	}
	let { max: given, keep }: Props = $props();
	const max = $derived(given ?? UNSAID_LIMITS.leakDown);
	let lost = $state('');
	let problem = $state<Message | null>(null);

	async function submit(event: SubmitEvent) {
		event.preventDefault();
		const read = readLoss(lost);
		problem = read.ok ? null : read.problem;
		if (read.ok && (await keep({ type: 'leak-down', loss: read.loss, max }))) lost = '';
	}
</script>

<form class="mt-4 border-t-2 border-ink pt-2" onsubmit={submit}>
	<h2 class="font-semibold">Leak-down of the cylinder</h2>
	<div class="mt-2 flex flex-wrap items-start gap-4">
		<TextField
			label="Lost, %"
			hint="max {(max * 100).toFixed(0)} %"
			{problem}
			class="w-32"
			inputmode="decimal"
			bind:value={lost}
			figure
		/>
		<Button look="main" class="mt-6">Save, next valve</Button>
	</div>
</form>
