<script lang="ts">
	/** Notes on the job: for the shop or for the customer, some of which block its signing. */
	import { v7 as uuid } from 'uuid';
	import { NOTE_SUBJECTS, unresolved } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { capital } from '$lib/ui/words';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import FileButton from '$lib/ui/FileButton.svelte';
	import Select from '$lib/ui/Select.svelte';
	import Checkbox from '$lib/ui/Checkbox.svelte';
	import { plain } from '$lib/ui/options';

	const store = getJobStore();
	const bench = getBench();
	const blockingNotes = $derived(new Set(unresolved(store.job).map(({ id }) => id)));

	let note = $state('');
	let place = $state('');
	let isPrivate = $state(true);
	let blocksSignOff = $state(false);
	let about = $state<'' | (typeof NOTE_SUBJECTS)[number]>('');
	let file = $state.raw<{ name: string; text: string } | null>(null);
	/** Characters of a file that a note keeps. */
	const MAX = 20_000;
	let problem = $state<string | null>(null);

	async function addNote(event: SubmitEvent) {
		event.preventDefault();
		problem = await store.append('notes', bench.person, {
			id: uuid(),
			...(place && { station: place }),
			text: note.trim(),
			private: isPrivate,
			blocksSignOff,
			...(about && { about }),
			...(file && { file }),
			at: new Date().toISOString()
		});
		if (problem === null) {
			note = '';
			blocksSignOff = false;
			about = '';
			file = null;
		}
	}

	/** Figures that came as a file: what a flow bench wrote. */
	async function attach(input: HTMLInputElement) {
		const [chosen] = input.files ?? [];
		if (!chosen) return;
		const text = await chosen.text();
		problem =
			text.length > MAX || text.includes('\0')
				? `${chosen.name}: text of at most ${MAX / 1000} kB, as a list or CSV`
				: null;
		if (problem === null) file = { name: chosen.name.slice(0, 80), text };
	}

	const resolve = (id: string) =>
		store.append('notes', bench.person, {
			id: uuid(),
			text: 'resolved',
			private: true,
			blocksSignOff: false,
			resolves: id,
			at: new Date().toISOString()
		});
</script>

<section aria-label="Notes">
	<h2 class="border-b-2 border-ink pb-1 font-semibold">Notes</h2>
	<ul>
		{#each store.job.notes.filter((one) => !one.resolves) as one (one.id)}
			<li class="border-b border-hair py-1.5">
				{#if blockingNotes.has(one.id)}<Mark state="stop" word />{/if}
				{one.station ?? ''}
				{#if one.about}<b>{capital(label('note', one.about))}:</b>{/if}
				{one.text}
				{#if one.file}
					<a
						class="underline"
						download={one.file.name}
						href="data:text/plain;charset=utf-8,{encodeURIComponent(one.file.text)}"
						>{one.file.name}</a
					>
				{/if}
				<span class="text-soft">
					· {store.initials(one.person)}{one.private ? ' · internal' : ' · on the customer’s copy'}
				</span>
				{#if blockingNotes.has(one.id)}
					<Button onclick={() => resolve(one.id)} class="ml-2">Resolve</Button>
				{/if}
			</li>
		{/each}
	</ul>
	<form class="mt-2 space-y-2" onsubmit={addNote}>
		<TextField label="Note" maxlength={200} bind:value={note} />
		<div class="flex flex-wrap items-center gap-x-4">
			<Select
				class="!w-32"
				aria-label="Valve"
				options={[
					{ value: '', label: 'whole job' },
					...plain(store.job.stations.map((station) => station.label))
				]}
				bind:value={place}
			/>
			<Select
				class="!w-36"
				aria-label="About"
				options={[
					{ value: '', label: 'any note' },
					...NOTE_SUBJECTS.map((value) => ({ value, label: label('note', value) }))
				]}
				bind:value={about}
			/>
			<Checkbox bind:checked={isPrivate}>internal</Checkbox>
			<Checkbox bind:checked={blocksSignOff}>blocks sign-off</Checkbox>
			<FileButton small accept=".csv,.txt,text/csv,text/plain" onfiles={attach}
				>{file ? file.name : 'Attach figures'}</FileButton
			>
			<Button>Add</Button>
		</div>
	</form>
	<Alert {problem} class="mt-2" />
</section>
