<script lang="ts">
	/** Closes a case with what it proved to be: from the part or the cure, never from the program's own answer. */
	import { untrack } from 'svelte';
	import { v7 as uuid } from 'uuid';
	import { CAUSES, caseOutcome, type Cause } from '@zinc-ledger/core';
	import { label, labelsOf } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Disclosure from '$lib/ui/Disclosure.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { capital, moment } from '$lib/ui/words';

	/** Causes that the diagnosis names. */
	let { named }: { named: readonly Cause[] } = $props();
	const store = getJobStore();
	const bench = getBench();
	const outcome = $derived(caseOutcome(store.job));
	const names = labelsOf('cause');
	const causeOptions = (empty: string) => [
		{ value: '', label: empty },
		...CAUSES.map((value) => ({ value: value as string, label: capital(names[value]!) }))
	];
	const proofOptions = Object.entries(labelsOf('outcomeProof')).map(([value, text]) => ({
		value,
		label: capital(text)
	}));
	let first = $state(untrack(() => named[0] ?? ''));
	let second = $state('');
	let shownBy = $state<'part' | 'cure'>('part');
	let note = $state('');
	let changing = $state(false);
	let problem = $state<string | null>(null);

	async function close(event: SubmitEvent) {
		event.preventDefault();
		const causes = [...new Set([first, second])].filter((cause) => cause !== '') as Cause[];
		if (causes.length === 0) {
			problem = 'Choose what was at fault.';
			return;
		}
		problem = await store.append('outcomes', bench.person, {
			id: uuid(),
			causes,
			shownBy,
			note: note.trim(),
			at: new Date().toISOString()
		});
		if (problem === null) changing = false;
	}
</script>

<section class="mt-6" aria-label="Close the case">
	{#if outcome && !changing}
		<h2 class="border-b border-ink pb-1 font-semibold">Case closed</h2>
		<p class="mt-2">
			<b>{outcome.causes.map((cause) => capital(label('cause', cause))).join(', ')}</b>:
			{label('outcomeProof', outcome.shownBy)} ({outcome.note}).
			<span class="text-[13px] text-soft">
				{store.initials(outcome.person)}
				{moment(outcome.at)}
			</span>
		</p>
		<Button class="mt-2" onclick={() => (changing = true)}>Change</Button>
	{:else}
		<Disclosure title="Close the case">
			<p class="max-w-2xl text-[13px] text-soft">
				Enter what was really at fault once the part or the cure has shown it. The shop’s diagnoses
				are checked against this.
			</p>
			<form class="mt-2 grid max-w-2xl gap-3 tablet:grid-cols-2" onsubmit={close}>
				<SelectField
					label="At fault"
					options={causeOptions('Choose')}
					bind:value={() => first, (to) => (first = to as Cause | '')}
				/>
				<SelectField label="And also" options={causeOptions('Nothing else')} bind:value={second} />
				<SelectField
					label="What showed it"
					options={proofOptions}
					bind:value={() => shownBy, (to) => (shownBy = to === 'cure' ? 'cure' : 'part')}
				/>
				<TextField label="Which part, or what was done" bind:value={note} />
				<div class="tablet:col-span-2"><Button>Close the case</Button></div>
			</form>
		</Disclosure>
	{/if}
	<Alert class="mt-1" problem={problem && capital(problem)} />
</section>
