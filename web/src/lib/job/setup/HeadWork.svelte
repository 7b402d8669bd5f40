<script lang="ts">
	/** What was done to the head while it is here; what it changes makes earlier readings stale. */
	import { v7 as uuid } from 'uuid';
	import {
		changesDeck,
		KINDS,
		readEntry,
		readSignedEntry,
		worksDone,
		WORKS,
		type HeadWork,
		type Work
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import ReasonForm from '$lib/ui/ReasonForm.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { capital, moment } from '$lib/ui/words';
	import CutEffects from './CutEffects.svelte';
	import { WORK_HINTS } from './work-hints';
	import { label, tell } from '@zinc-ledger/words';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';

	const store = getJobStore();
	const bench = getBench();
	let work = $state<Work>('valve-job');
	let head = $state('');
	let kind = $state('');
	let at = $state('');
	let amount = $state('');
	let note = $state('');
	let problem = $state<string | null>(null);
	let withdrawing = $state<HeadWork | null>(null);

	const done = $derived(new Set(worksDone(store.job.headWork).map(({ id }) => id)));
	const isCut = $derived(work === 'deck-cut' || work === 'block-cut');
	const amountRead = $derived(
		amount.trim() === '' ? null : (isCut ? readEntry : readSignedEntry)(amount, bench.units.length)
	);
	const labels = $derived(
		at
			.toUpperCase()
			.replaceAll(
				/([IE])([ABC])\b/g,
				(_, valve: string, side: string) => valve + side.toLowerCase()
			)
			.split(/[\s,;]+/)
			.filter(Boolean)
	);
	const where = ({ head, kind, stations }: HeadWork) =>
		stations?.join(' ') ??
		[head && (store.job.heads.find(({ id }) => id === head)?.name ?? head), kind && `${kind}s`]
			.filter(Boolean)
			.join(', ');

	async function add(event: SubmitEvent) {
		event.preventDefault();
		if (isCut && !amountRead?.ok) {
			problem = amountRead ? tell(amountRead.problem) : 'Enter how much was removed.';
			return;
		}
		problem = await store.append('headWork', bench.person, {
			id: uuid(),
			work,
			...(labels.length > 0
				? { stations: labels }
				: { ...(head && { head }), ...(kind && { kind: kind as 'intake' | 'exhaust' }) }),
			...(amountRead?.ok && isCut && { cut: amountRead.text }),
			...(amountRead?.ok && work === 'other-gasket' && { thicker: amountRead.text }),
			...(note.trim() && { note: note.trim() }),
			at: new Date().toISOString()
		});
		if (problem === null) amount = note = at = '';
	}

	async function withdraw(reason: string) {
		if (!withdrawing) return;
		problem = await store.append('headWork', bench.person, {
			id: uuid(),
			work: withdrawing.work,
			withdraws: withdrawing.id,
			note: reason,
			at: new Date().toISOString()
		});
		if (problem === null) withdrawing = null;
	}
</script>

<section class="mt-8 max-w-4xl" aria-label="Work on the head">
	<h2 class="border-b-2 border-ink pb-1 text-lg font-semibold">Head work</h2>
	<ul>
		{#each store.job.headWork as entry (entry.id)}
			{@const gone = !done.has(entry.id)}
			<li class="flex flex-wrap items-baseline gap-x-4 border-b border-hair py-1.5">
				<span class="w-36 font-semibold {gone ? 'text-faint line-through' : ''}">
					{capital(label('work', entry.work))}{entry.withdraws ? ', withdrawn' : ''}
				</span>
				{#if entry.cut ?? entry.thicker}<span class="figure">{entry.cut ?? entry.thicker}</span
					>{/if}
				<span>{where(entry)}</span>
				<span class="text-soft">{entry.note ?? ''}</span>
				<span class="ml-auto text-[13px] text-soft">
					{moment(entry.at)}, {store.initials(entry.person)}
				</span>
				{#if !gone}
					<Button
						aria-label="Withdraw {label('work', entry.work)}"
						onclick={() => (withdrawing = entry)}
						look="quiet"
						class="text-[13px] text-soft"
					>
						Withdraw
					</Button>
				{/if}
				{#if withdrawing?.id === entry.id}
					<ReasonForm
						label="Reason for withdrawing {label('work', entry.work)}"
						onreason={withdraw}
					/>
				{/if}
			</li>
		{:else}
			<li class="border-b border-hair py-1.5 text-soft">Nothing yet.</li>
		{/each}
	</ul>
	<CutEffects />
	<form class="mt-3 flex flex-wrap items-start gap-3" onsubmit={add}>
		<SelectField
			label="Work"
			class="w-48"
			options={WORKS.map((one) => ({ value: one, label: label('work', one) }))}
			bind:value={work}
		/>
		{#if store.job.heads.length > 1}
			<SelectField
				label="Head"
				class="w-32"
				options={[
					{ value: '', label: 'both' },
					...store.job.heads.map((one) => ({ value: one.id, label: one.name }))
				]}
				bind:value={head}
			/>
		{/if}
		{#if !changesDeck(work)}
			<SelectField
				label="Valves"
				class="w-32"
				options={[
					{ value: '', label: 'both kinds' },
					...KINDS.map((one) => ({ value: one, label: `${capital(label('kind', one))}s` }))
				]}
				bind:value={kind}
			/>
			<TextField
				label="or single valves"
				class="w-36"
				hint={labels.length > 0 ? labels.join(' ') : 'such as 3I 3E'}
				bind:value={at}
				figure
			/>
		{/if}
		{#if isCut || work === 'other-gasket'}
			<TextField
				label={isCut ? 'Material removed' : 'Thicker by, − thinner'}
				class="w-40"
				hint={amountRead?.ok ? amountRead.text : undefined}
				bind:value={amount}
				figure
			/>
		{/if}
		<TextField label="Note" class="min-w-56 flex-1" bind:value={note} maxlength={200} />
		<Button class="mt-6">Add</Button>
	</form>
	<Alert {problem} class="mt-2" />
	<p class="mt-2 text-[13px] text-soft">{WORK_HINTS[work]}</p>
	<p class="caution mt-3">
		Grinding and cutting: eye and lung protection, no grit in an assembled engine. Dust of
		copper-beryllium seats is toxic: wet or extracted, by those equipped for it.
	</p>
</section>
