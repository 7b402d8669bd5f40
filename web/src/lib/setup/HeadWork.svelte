<script lang="ts">
	/** What was done to the head while it is here; what it changes makes earlier readings stale. */
	import { v7 as uuid } from 'uuid';
	import {
		compressionRatio,
		lengthOf,
		mm,
		readEntry,
		volumeOf,
		WORKS,
		type Work
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getBook } from '$lib/job/book.svelte';
	import Field from '$lib/ui/Field.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { moment } from '$lib/ui/words';

	const book = getBook();
	const bench = getBench();
	let work = $state<Work>('valve job');
	let head = $state('');
	let cut = $state('');
	let note = $state('');
	let problem = $state<string | null>(null);

	const cutRead = $derived(cut.trim() === '' ? null : readEntry(cut, bench.units.length));
	const taken = $derived(
		mm(book.job.headWork.reduce((sum, entry) => sum + (entry.cut ? lengthOf(entry.cut) : 0), 0))
	);
	const ratios = $derived.by(() => {
		const given = book.job.setup.compression;
		if (!given) return null;
		const volumes = {
			bore: lengthOf(given.bore),
			stroke: lengthOf(given.stroke),
			chamber: volumeOf(given.chamber),
			gasket: volumeOf(given.gasket),
			deck: volumeOf(given.deck),
			chamberOpen: given.chamberOpen
		};
		return { before: compressionRatio(volumes), after: compressionRatio(volumes, taken) };
	});
	const ratio = (value: number | null) =>
		value === null ? 'no room left' : `${value.toFixed(2)} : 1`;

	async function add(event: SubmitEvent) {
		event.preventDefault();
		if (work === 'deck cut' && !cutRead?.ok) {
			problem = cutRead ? cutRead.problem : 'Type how much was cut.';
			return;
		}
		problem = await book.append('headWork', bench.person, {
			id: uuid(),
			work,
			...(head && { head }),
			...(work === 'deck cut' && cutRead?.ok && { cut: cutRead.text }),
			...(note.trim() && { note: note.trim() }),
			at: new Date().toISOString()
		});
		if (problem === null) cut = note = '';
	}
</script>

<section class="mt-8 max-w-4xl" aria-label="Work on the head">
	<h2 class="border-b-2 border-ink pb-1 text-lg font-semibold">Done to the head</h2>
	<ul>
		{#each book.job.headWork as entry (entry.id)}
			<li class="flex flex-wrap gap-x-4 border-b border-hair py-1.5">
				<span class="w-28 font-semibold">{entry.work}</span>
				{#if entry.cut}<span class="figure">{entry.cut}</span>{/if}
				{#if entry.head}<span>head {entry.head}</span>{/if}
				<span class="text-soft">{entry.note ?? ''}</span>
				<span class="ml-auto text-[13px] text-soft">
					{moment(entry.at)}, {book.initials(entry.person)}
				</span>
			</li>
		{:else}
			<li class="border-b border-hair py-1.5 text-soft">Nothing yet.</li>
		{/each}
	</ul>
	{#if taken > 0}
		<p class="mt-2">
			Cut so far <b class="figure">{bench.length(taken)}</b>.
			{#if ratios}
				Compression <b class="figure">{ratio(ratios.before)}</b> before,
				<b class="figure">{ratio(ratios.after)}</b> after.
			{:else}
				Fill in Compression above to see the ratio before and after.
			{/if}
			Piston-to-valve room fell by as much, and pushrods are too long by it: measure both.
		</p>
	{/if}
	<form class="mt-3 flex flex-wrap items-end gap-3" onsubmit={add}>
		<Field label="Work" class="w-40">
			{#snippet control(attributes)}
				<select class="field" bind:value={work} {...attributes}>
					{#each WORKS as one (one)}<option>{one}</option>{/each}
				</select>
			{/snippet}
		</Field>
		{#if book.job.heads.length > 1}
			<Field label="Head" class="w-40">
				{#snippet control(attributes)}
					<select class="field" bind:value={head} {...attributes}>
						<option value="">both</option>
						{#each book.job.heads as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
					</select>
				{/snippet}
			</Field>
		{/if}
		{#if work === 'deck cut'}
			<TextField
				label="Cut off"
				class="w-32"
				hint={cutRead?.ok ? cutRead.text : undefined}
				bind:value={cut}
				figure
			/>
		{/if}
		<TextField label="Note" class="min-w-56 flex-1" bind:value={note} maxlength={200} />
		<button class="button">Write it down</button>
	</form>
	{#if problem}<p role="alert" class="mt-2 font-semibold text-stop">{problem}</p>{/if}
	<p class="mt-2 text-[13px] text-soft">
		A valve job, guides or seats make every earlier reading stale; seals the gaps; a cut the lash.
	</p>
	<p class="caution mt-3">
		Grinding and cutting: eye and lung protection, no grit in an assembled engine. Dust of
		copper-beryllium seats is toxic: wet or extracted, by those equipped for it.
	</p>
</section>
