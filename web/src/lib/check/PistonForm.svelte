<script lang="ts">
	/** The room between piston and valve, over crankshaft angle. */
	import { PISTON_METHODS, readRooms, type RoomRow } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import Field from '$lib/ui/Field.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import type { Keep } from './keep';

	interface Props {
		floor: string;
		keep: Keep;
	}
	let { floor, keep }: Props = $props();
	const bench = getBench();
	/** The least room is near the top dead centre of the gas exchange. */
	const USUAL_ANGLES = ['-10', '0', '10'];
	let method = $state<(typeof PISTON_METHODS)[number]>('indicator');
	let rows = $state<RoomRow[]>(USUAL_ANGLES.map((angle) => ({ angle, room: '' })));
	let problems = $state<Partial<Record<`${number}.${keyof RoomRow}`, string>>>({});

	async function submit(event: SubmitEvent) {
		event.preventDefault();
		const read = readRooms(rows, bench.units.length);
		problems = read.ok ? {} : read.problems;
		if (read.ok && (await keep({ sort: 'piston to valve', method, points: read.value })))
			rows = rows.map(({ angle }) => ({ angle, room: '' }));
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
		<Field label="By">
			{#snippet control(attributes)}
				<select class="field" bind:value={method} {...attributes}>
					{#each PISTON_METHODS as one (one)}<option value={one}>{one}</option>{/each}
				</select>
			{/snippet}
		</Field>
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
					label="Room, {bench.units.length}"
					problem={problems[`${i}.room`]}
					class="w-32"
					inputmode="decimal"
					bind:value={row.room}
					figure
				/>
			</div>
		{/each}
		<button type="button" class="button mt-6" onclick={another}>Another</button>
		<button class="button button-main mt-6">Keep</button>
	</div>
	<p class="mt-1 text-[13px] text-faint">
		Degrees of the crankshaft from the top dead centre between exhaust and intake; floor {floor}.
	</p>
</form>
