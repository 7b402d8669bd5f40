<script lang="ts">
	/** Sign-off: what is open, what was accepted and why, and the sheets signed so far. */
	import { v7 as uuid } from 'uuid';
	import { changedSince, maySign, NOTE_SUBJECTS, openItems, unresolved } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getBook } from '$lib/job/book.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { capital, moment } from '$lib/ui/words';
	import { label, write } from '@zinc-ledger/words';

	const book = getBook();
	const bench = getBench();
	const root = $derived(`/jobs/${book.job.id}`);
	const items = $derived(openItems(book.job, book.sheet));
	const toResolve = $derived(items.filter(({ severity }) => severity !== 'info'));
	const toNote = $derived(items.filter(({ severity }) => severity === 'info'));
	const ready = $derived(maySign(items));
	const blocking = $derived(toResolve.filter(({ acceptance }) => !acceptance).length);
	const newest = $derived(book.signed[0]);
	const isChanged = $derived(newest !== undefined && changedSince(book.job, newest));
	/** Signed, and nothing added since: there is nothing to sign. */
	const isCurrent = $derived(newest !== undefined && !isChanged);
	const blockingNotes = $derived(new Set(unresolved(book.job).map(({ id }) => id)));

	let reasons = $state<Record<string, string>>({});
	let problem = $state<string | null>(null);
	let busy = $state(false);
	let note = $state('');
	let place = $state('');
	let isPrivate = $state(true);
	let blocksSignOff = $state(false);
	let about = $state<'' | (typeof NOTE_SUBJECTS)[number]>('');

	async function accept(key: string) {
		problem = await book.append('acceptances', bench.person, {
			id: uuid(),
			finding: key,
			accepted: true,
			reason: reasons[key] ?? '',
			at: new Date().toISOString()
		});
	}

	async function sign() {
		busy = true;
		problem = await book.sign(bench.person, { ...bench.units });
		busy = false;
	}

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
			text: 'Resolved',
			private: true,
			blocksSignOff: false,
			resolves: id,
			at: new Date().toISOString()
		});
</script>

<svelte:head><title>Sign · {book.job.number} · Zinc Ledger</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-6 py-4">
	<h1 class="text-xl font-semibold">Sign the sheet</h1>
	<div class="mt-3 grid gap-x-8 gap-y-6 bench:grid-cols-[minmax(0,1fr)_24rem]">
		<div>
			<section aria-label="To resolve">
				<h2 class="border-b-2 border-ink pb-1 font-semibold">
					{blocking > 0
						? `${blocking} to resolve before it can be signed`
						: 'Nothing blocks sign-off'}
				</h2>
				<ul>
					{#each toResolve as point (point.key)}
						<li class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-hair py-2">
							<b class="figure w-14">{capital(point.place)}</b>
							<span class="min-w-60 flex-1">
								{#if !point.acceptance}<Mark state={point.state} word />{/if}
								{write(point.text, bench.units)}
							</span>
							{#if point.acceptance}
								<span class="text-[13px] text-soft">
									accepted by {book.initials(point.acceptance.person)}: {point.acceptance.reason}
								</span>
							{:else if point.severity === 'acceptance'}
								<form
									class="flex items-end gap-2"
									onsubmit={(event) => {
										event.preventDefault();
										void accept(point.key);
									}}
								>
									<input
										class="field w-56"
										aria-label="Reason to accept it at {point.place}"
										placeholder="reason to accept it"
										maxlength={200}
										bind:value={reasons[point.key]}
									/>
									<button class="button">Accept</button>
								</form>
							{/if}
						</li>
					{/each}
				</ul>
			</section>
			{#if toNote.length > 0}
				<details class="mt-3 text-[13px]">
					<summary class="min-h-9 py-2">
						{toNote.length} not measured or not recorded; the sheet says so
					</summary>
					<ul class="columns-2 gap-6">
						{#each toNote as point (point.key)}
							<li>
								<b class="figure">{capital(point.place)}</b>
								{write(point.text, bench.units)}
							</li>
						{/each}
					</ul>
				</details>
			{/if}
			<p class="mt-5 flex flex-wrap items-center gap-4">
				<button
					class="button button-main"
					disabled={!ready || busy || !bench.person || isCurrent}
					onclick={sign}
				>
					{bench.person ? `Sign as ${bench.person.name}` : 'Select an operator first'}
				</button>
				<span class="text-[13px] text-soft">
					{newest
						? isChanged
							? `Something was added since sheet ${newest.revision}: signing makes sheet ${newest.revision + 1}, which names it.`
							: `Sheet ${newest.revision} is as the job stands.`
						: 'Job and sheet are frozen together; a later change makes a new sheet.'}
				</span>
			</p>
			{#if problem}<p role="alert" class="mt-2 font-semibold text-stop">{problem}</p>{/if}
		</div>
		<aside class="space-y-6 text-[13px]">
			<section aria-label="Signed sheets">
				<h2 class="border-b-2 border-ink pb-1 font-semibold">Signed</h2>
				{#each book.signed as sheet (sheet.id)}
					{@const at = `${root}/signed/${sheet.id}`}
					<div class="border-b border-hair py-2" data-signed={sheet.revision}>
						<p>
							<b>Sheet {sheet.revision}</b>, {sheet.person}, {moment(sheet.at)}{sheet === newest
								? ''
								: ' · superseded'}
						</p>
						<p class="figure mt-0.5 text-[11px] break-all text-soft">SHA-256 {sheet.sha256}</p>
						<p class="mt-1 flex flex-wrap gap-x-3 gap-y-1 [&>a]:min-h-6 [&>a]:underline">
							<a href="{at}/sheet.pdf?size=A4">PDF A4</a>
							<a href="{at}/sheet.pdf?size=Letter">PDF Letter</a>
							<a href="{at}/customer.pdf?size=A4">Customer’s copy</a>
							<a href="{at}/sheet.json" download>JSON</a>
							<a href="{at}/sheet.csv" download>CSV</a>
							<a href="{at}/label.pdf">Label</a>
						</p>
					</div>
				{:else}
					<p class="py-2 text-soft">Not signed yet.</p>
				{/each}
			</section>
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
								· {book.initials(one.person)}{one.private
									? ' · internal'
									: ' · on the customer’s copy'}
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
						<label class="flex min-h-9 items-center gap-2">
							<input type="checkbox" class="size-4" bind:checked={isPrivate} /> internal
						</label>
						<label class="flex min-h-9 items-center gap-2">
							<input type="checkbox" class="size-4" bind:checked={blocksSignOff} /> blocks sign-off
						</label>
						<button class="button">Add</button>
					</div>
				</form>
			</section>
		</aside>
	</div>
</div>
