<script lang="ts">
	/** A lift table out of a file or pasted: what its figures are is recognised, and can be said otherwise. */
	import Papa from 'papaparse';
	import {
		guessTable,
		MAX_TABLE_LINES,
		readTable,
		type Cam,
		type Kind,
		type TableMeaning
	} from '@zinc-ledger/core';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import Button from '$lib/ui/Button.svelte';
	import FileButton from '$lib/ui/FileButton.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import TextArea from '$lib/ui/TextArea.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import DegreeWheel from './DegreeWheel.svelte';
	import LobeFigures from './LobeFigures.svelte';

	type Said = {
		-readonly [Key in Exclude<keyof TableMeaning, 'ratio'>]?: TableMeaning[Key];
	} & { ratio?: string };
	let {
		kind,
		card,
		cam,
		revision
	}: { kind: Kind; card: Cam[Kind]; cam: string; revision: number } = $props();
	let text = $state('');
	/** What somebody said of the figures, over what was recognised. */
	let chosen = $state<Said>({});
	const rows = $derived(
		text.trim() === ''
			? []
			: Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trim(), {
					skipEmptyLines: 'greedy',
					// One more than a table may have, so that it is told of.
					preview: MAX_TABLE_LINES + 1
				}).data
	);
	const guess = $derived(guessTable(rows));
	const ratio = $derived(chosen.ratio?.trim() ? Number(chosen.ratio.replace(',', '.')) : 1);
	const meaning = $derived<TableMeaning>({ ...guess.meaning, ...chosen, ratio });
	const read = $derived(rows.length > 0 ? readTable(rows, meaning) : null);
	const hint = (key: keyof TableMeaning) =>
		key in chosen ? undefined : guess.named.includes(key) ? 'said by its heading' : 'taken to be';
	const columns = $derived(guess.columns.map((name, i) => ({ value: String(i), label: name })));
	/** More than any lift table takes. */
	const MAX_BYTES = 1_000_000;
	async function take({ files }: HTMLInputElement) {
		chosen = {};
		text = (await files?.[0]?.slice(0, MAX_BYTES).text()) ?? '';
	}
</script>

<section class="mt-5" aria-label="Read a lift table">
	<h2 class="flex items-center gap-4 border-b-2 border-ink pb-1 font-semibold">
		Read a lift table
		<FileButton small accept=".csv,.txt,text/csv,text/plain" class="ml-auto" onfiles={take}>
			From a file
		</FileButton>
	</h2>
	<TextArea
		label="Or paste it: degrees and lift, a line each"
		rows={4}
		class="mt-2 max-w-xl"
		bind:value={text}
	/>
	<DegreeWheel
		storageKey="degree-wheel {cam} {kind}"
		ontable={(table) => {
			chosen = {};
			text = table;
		}}
	/>
	{#if read}
		<div class="mt-3 grid max-w-4xl gap-x-6 gap-y-2 tablet:grid-cols-3">
			<SelectField
				label="Column of degrees"
				options={columns}
				hint={hint('degree')}
				bind:value={() => String(meaning.degree), (to) => (chosen.degree = Number(to))}
			/>
			<SelectField
				label="Degrees of the"
				options={[
					{ value: 'cam', label: 'cam' },
					{ value: 'crank', label: 'crankshaft' }
				]}
				hint={hint('degrees')}
				bind:value={() => meaning.degrees, (to) => (chosen.degrees = to)}
			/>
			<SelectField
				label="Column of lift"
				options={columns}
				hint={hint('lift')}
				bind:value={() => String(meaning.lift), (to) => (chosen.lift = Number(to))}
			/>
			<SelectField
				label="Lift in"
				options={[
					{ value: 'mm', label: 'mm' },
					{ value: 'in', label: 'in' }
				]}
				hint={hint('unit')}
				bind:value={() => meaning.unit, (to) => (chosen.unit = to)}
			/>
			<SelectField
				label="Lift of the"
				options={[
					{ value: 'lobe', label: 'lobe' },
					{ value: 'valve', label: 'valve' }
				]}
				hint={hint('at')}
				bind:value={() => meaning.at, (to) => (chosen.at = to)}
			/>
			{#if meaning.at === 'valve'}
				<TextField
					label="Rocker ratio it was read with"
					inputmode="decimal"
					figure
					bind:value={() => chosen.ratio ?? '1', (to) => (chosen.ratio = to)}
				/>
			{/if}
		</div>
		{#if read.unread.length > 0}
			<p class="mt-2 text-[13px]">
				Not figures, left out: line{read.unread.length > 1 ? 's' : ''}
				<span class="figure">{read.unread.slice(0, 8).join(', ')}</span>{read.unread.length > 8
					? ' and more'
					: ''}.
			</p>
		{/if}
		<p class="mt-2 text-[13px] text-soft">
			Nose at <span class="figure">{read.nose.toFixed(2)}°</span> of the table{read.isOneSided
				? '; one side stands for both'
				: ''}{read.zero === 0 ? '' : '; its base circle is taken as nothing'}.
		</p>
		<LobeFigures lines={read.lines} {card} />
		{#if read.faults.length === 0}
			<form method="POST" action="?/keep" use:sendForm={{ reset: false }} class="mt-3">
				<input type="hidden" name="kind" value={kind} />
				<input type="hidden" name="revision" value={revision} />
				<input type="hidden" name="lines" value={JSON.stringify(read.lines)} />
				<Button look="main">Keep lift table</Button>
			</form>
		{/if}
	{/if}
</section>
