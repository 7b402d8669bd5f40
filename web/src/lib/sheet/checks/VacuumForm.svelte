<script lang="ts">
	/** The vacuum that a port reached, and for how long it held. */
	import { readVacuum, type Job, type VacuumUnit, type Message } from '@zinc-ledger/core';
	import TextField from '$lib/ui/TextField.svelte';
	import type { Keep } from './keep';
	import Button from '$lib/ui/Button.svelte';

	interface Props {
		wanted: Job['setup']['limits']['vacuum'];
		keep: Keep;
	}
	let { wanted, keep }: Props = $props();
	const unit = $derived(wanted.min.split(' ')[1] as VacuumUnit);
	let reached = $state('');
	let seconds = $derived(String(wanted.seconds));
	let problems = $state<Partial<Record<'reached' | 'seconds', Message>>>({});

	async function submit(event: SubmitEvent) {
		event.preventDefault();
		const read = readVacuum({ reached, seconds }, unit);
		problems = read.ok ? {} : read.problems;
		if (read.ok && (await keep({ type: 'vacuum', min: wanted.min, ...read.value }))) reached = '';
	}
</script>

<form class="mt-4 border-t-2 border-ink pt-2" onsubmit={submit}>
	<h2 class="font-semibold">Vacuum of the port</h2>
	<div class="mt-2 flex flex-wrap items-start gap-4">
		<TextField
			label="Vacuum, {unit}"
			hint="min {wanted.min}"
			problem={problems.reached}
			class="w-32"
			inputmode="decimal"
			bind:value={reached}
			figure
		/>
		<TextField
			label="Held for, seconds"
			hint="min {wanted.seconds}"
			problem={problems.seconds}
			class="w-32"
			inputmode="numeric"
			bind:value={seconds}
			figure
		/>
		<Button look="main" class="mt-6">Save, next valve</Button>
	</div>
</form>
