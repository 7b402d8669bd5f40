<script lang="ts">
	/** One more change: a figure, a kit, or a part of the library with what must come with it. */
	import type { ChangeStep, Kind, Sheet } from '@zinc-ledger/core';
	import { tell } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Checkbox from '$lib/ui/Checkbox.svelte';
	import Combobox from '$lib/ui/Combobox.svelte';
	import Field from '$lib/ui/Field.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import {
		figureStep,
		isFigureStep,
		movesLocks,
		partStep,
		stepOptions,
		type Library
	} from './steps';

	interface Props {
		kind: Kind;
		/** After the steps that are there already. */
		now: Sheet;
		library: Library;
		onadd: (step: ChangeStep) => void;
	}
	let { kind, now, library, onadd }: Props = $props();
	const bench = getBench();
	let choice = $state('');
	let figure = $state('');
	let keepsHeight = $state(true);
	let problem = $state<string | null>(null);

	function add(event: SubmitEvent) {
		event.preventDefault();
		if (isFigureStep(choice)) {
			const read = figureStep(choice, figure, keepsHeight, bench.units);
			problem = read.ok ? null : tell(read.problem);
			if (!read.ok) return;
			onadd(read.step);
		} else {
			const step = partStep(choice, kind, now, library, keepsHeight);
			if (!step) return;
			onadd(step);
		}
		choice = figure = '';
	}
</script>

<form class="mt-2 flex flex-wrap items-end gap-3" onsubmit={add}>
	<Field label="Change" class="w-72 max-w-full">
		{#snippet control(attributes)}
			<Combobox options={stepOptions(library, kind)} bind:value={choice} {...attributes} />
		{/snippet}
	</Field>
	{#if isFigureStep(choice)}
		<TextField label="By how much" class="w-32" bind:value={figure} figure {problem} />
	{/if}
	{#if movesLocks(choice)}
		<Checkbox bind:checked={keepsHeight}>with the shim that keeps the height</Checkbox>
	{/if}
	<Button disabled={choice === ''}>Add</Button>
</form>
