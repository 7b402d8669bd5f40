<script lang="ts">
	/** The clearance between piston and valve, over crankshaft angle. */
	import {
		PISTON_METHODS,
		readEntry,
		readRooms,
		type RoomRow,
		type Message
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import type { Keep } from './keep';
	import { label } from '@zinc-ledger/words';
	import Button from '$lib/ui/Button.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';

	interface Props {
		floor: string;
		/** Of the gasket that will run, where it is known. */
		gasket: string | undefined;
		keep: Keep;
	}
	let { floor, gasket, keep }: Props = $props();
	const bench = getBench();
	/** The least clearance is near overlap TDC. */
	const USUAL_ANGLES = ['-10', '0', '10'];
	let method = $state<(typeof PISTON_METHODS)[number]>('indicator');
	let trial = $state('');
	let trialProblem = $state<Message | null>(null);
	let rows = $state<RoomRow[]>(USUAL_ANGLES.map((angle) => ({ angle, room: '' })));
	let problems = $state<Partial<Record<`${number}.${keyof RoomRow}`, Message>>>({});

	async function submit(event: SubmitEvent) {
		event.preventDefault();
		const read = readRooms(rows, bench.units.length);
		problems = read.ok ? {} : read.problems;
		const tried = trial.trim() === '' ? null : readEntry(trial, bench.units.length);
		trialProblem = tried && !tried.ok ? tried.problem : null;
		if (!read.ok || (tried && !tried.ok)) return;
		const check = {
			type: 'piston-to-valve',
			method,
			...(tried && { gasket: tried.text }),
			points: read.value
		} as const;
		if (await keep(check)) rows = rows.map(({ angle }) => ({ angle, room: '' }));
	}
	const another = () => (rows = [...rows, { angle: '20', room: '' }]);
</script>

<form class="mt-3 border-t border-rule pt-2" onsubmit={submit}>
	<h2 class="font-semibold">Piston to valve</h2>
	<p class="caution mt-1">
		Checking springs in, lifters held out. Turn the engine by hand, ignition off, and stop at the
		first touch.
	</p>
	<div class="mt-2 flex flex-wrap items-start gap-4">
		<SelectField
			label="Method"
			options={PISTON_METHODS.map((one) => ({ value: one, label: label('pistonMethod', one) }))}
			bind:value={method}
		/>
		<TextField
			label="Gasket in the trial"
			hint={gasket ? `will run on ${gasket}` : '0 for none'}
			problem={trialProblem}
			class="w-36"
			inputmode="decimal"
			bind:value={trial}
			figure
		/>
		{#each rows as row, i (i)}
			<div class="flex gap-1">
				<TextField
					label="At, °"
					problem={problems[`${i}.angle`]}
					class="w-24"
					inputmode="numeric"
					bind:value={row.angle}
					figure
				/>
				<TextField
					label="Clearance, {bench.units.length}"
					problem={problems[`${i}.room`]}
					class="w-32"
					inputmode="decimal"
					bind:value={row.room}
					figure
				/>
			</div>
		{/each}
		<Button type="button" onclick={another} class="mt-6">Add row</Button>
		<Button look="main" class="mt-6">Save</Button>
	</div>
	<p class="mt-1 text-[13px] text-faint">
		Degrees of the crankshaft from overlap TDC; min {floor}.
	</p>
</form>
