<script lang="ts">
	/** Notes on the job: for the shop or for the customer, some of which block its signing. */
	import { v7 as uuid } from 'uuid';
	import { NOTE_SUBJECTS, unresolved } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getBook } from '$lib/job/book.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { capital } from '$lib/ui/words';

	const book = getBook();
	const bench = getBench();
	const blockingNotes = $derived(new Set(unresolved(book.job).map(({ id }) => id)));

	let note = $state('');
	let place = $state('');
	let isPrivate = $state(true);
	let blocksSignOff = $state(false);
	let about = $state<'' | (typeof NOTE_SUBJECTS)[number]>('');
	let problem = $state<string | null>(null);

	async function addNote(event: SubmitEvent) {
		event.preventDefault();
		problem = await book.append('notes', bench.person, {
			id: uuid(),
			...(place && { station: place }),
			text: note.trim(),
			private: isPrivate,
			blocksSignOff,
			...(about && { about }),
			at: new Date().toISOString()
		});
		if (problem === null) {
			note = '';
			blocksSignOff = false;
			about = '';
		}
	}

	const resolve = (id: string) =>
		book.append('notes', bench.person, {
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
		{#each book.job.notes.filter((one) => !one.resolves) as one (one.id)}
			<li class="border-b border-hair py-1.5">
				{#if blockingNotes.has(one.id)}<Mark state="stop" word />{/if}
				{one.station ?? ''}
				{#if one.about}<b>{capital(label('note', one.about))}:</b>{/if}
				{one.text}
				<span class="text-soft">
					· {book.initials(one.person)}{one.private ? ' · internal' : ' · on the customer’s copy'}
				</span>
				{#if blockingNotes.has(one.id)}
					<button class="button ml-2" onclick={() => resolve(one.id)}>Resolve</button>
				{/if}
			</li>
		{/each}
	</ul>
	<form class="mt-2 space-y-2" onsubmit={addNote}>
		<TextField label="Note" maxlength={200} bind:value={note} />
		<div class="flex flex-wrap items-center gap-x-4">
			<label>
				<span class="sr-only">Valve</span>
				<select class="field w-28" bind:value={place} aria-label="Valve">
					<option value="">whole job</option>
					{#each book.job.stations as { label } (label)}<option value={label}>{label}</option
						>{/each}
				</select>
			</label>
			<label>
				<span class="sr-only">About</span>
				<select class="field w-36" bind:value={about} aria-label="About">
					<option value="">any note</option>
					{#each NOTE_SUBJECTS as subject (subject)}<option value={subject}
							>{label('note', subject)}</option
						>{/each}
				</select>
			</label>
			<label class="flex min-h-11 bench:min-h-9 items-center gap-2">
				<input type="checkbox" class="size-4" bind:checked={isPrivate} /> internal
			</label>
			<label class="flex min-h-11 bench:min-h-9 items-center gap-2">
				<input type="checkbox" class="size-4" bind:checked={blocksSignOff} /> blocks sign-off
			</label>
			<button class="button">Add</button>
		</div>
	</form>
	{#if problem}<p role="alert" class="mt-2 font-semibold text-stop">{problem}</p>{/if}
</section>
