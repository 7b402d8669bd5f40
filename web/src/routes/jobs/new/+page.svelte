<script lang="ts">
	import { untrack } from 'svelte';
	import { superForm } from 'sveltekit-superforms';
	import {
		ARRANGEMENTS,
		CASTINGS,
		defaultSetup,
		evaluate,
		FIRST_VALVES,
		layoutProblem,
		newJob,
		NUMBERINGS,
		PAIRINGS,
		type Job
	} from '@zinc-ledger/core';
	import { useKeys } from '$lib/keys/keys.svelte';
	import { unsent } from '$lib/forms/send-form.svelte';
	import LayoutPreview from '$lib/head-plan/LayoutPreview.svelte';
	import BegunFrom from '$lib/setup/BegunFrom.svelte';
	import { layoutOf } from '$lib/setup/take-in';
	import Field from '$lib/ui/Field.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { labelsOf, type Labels } from '@zinc-ledger/words';
	import Button from '$lib/ui/Button.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import Suggest from '$lib/ui/Suggest.svelte';

	let { data } = $props();
	useKeys([{ keys: ['Enter'], does: 'create the job' }]);
	const { form, errors, enhance } = superForm(
		untrack(() => data.form),
		{
			dataType: 'form',
			onSubmit: () => void (unsent.why = null),
			onError: ({ result }) => unsent.tell(result.error)
		}
	);

	/** The heads as the form would have them; null while that makes no sense yet. */
	const preview = $derived.by(() => {
		const layout = layoutOf($form) as Job['engine']['layout'];
		if (!(layout.cylinders >= 1 && layout.cylinders <= 16) || layoutProblem(layout)) return null;
		const job = newJob({
			id: '',
			number: '',
			takenIn: '',
			customer: { id: '', name: '' },
			engine: { id: '', name: '', layout },
			setup: defaultSetup('in', '')
		});
		return { job, sheet: evaluate(job) };
	});
	const twoHeads = $derived($form.arrangement !== 'inline');
	const first = $derived(preview?.job.stations[0]?.label);
	const known = $derived(data.engines.filter(({ customer }) => customer === $form.customer.trim()));

	const PAIRING_WORDS = { mirrored: 'I E · E I · I E', alternating: 'I E · I E · I E' };
	const NUMBERING_WORDS = {
		'bank-by-bank': '1 2 3 | 4 5 6',
		alternating: '1 3 5 | 2 4 6',
		custom: 'as the maker numbers them'
	};
</script>

<svelte:head><title>New job · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-4 bench:px-8 bench:py-6">
	<form method="POST" use:enhance class="max-w-6xl">
		<h1 class="border-b-2 border-ink pb-2 text-2xl font-semibold">New job</h1>
		<div class="mt-4 grid grid-cols-2 gap-x-5 gap-y-3 bench:grid-cols-4">
			<TextField
				label="Job number"
				problem={$errors.number?.[0]}
				name="number"
				bind:value={$form.number}
				figure
			/>
			<Field label="Customer" problem={$errors.customer?.[0]}>
				{#snippet control(attributes)}
					<Suggest
						name="customer"
						known={data.customers}
						autofocus
						bind:value={$form.customer}
						{...attributes}
					/>
				{/snippet}
			</Field>
			<TextField
				label="Shop, team or phone"
				problem={$errors.contact?.[0]}
				name="contact"
				bind:value={$form.contact}
			/>
			<Field label="Engine" problem={$errors.engine?.[0]}>
				{#snippet control(attributes)}
					<Suggest
						name="engine"
						known={known.map((engine) => engine.name)}
						bind:value={$form.engine}
						{...attributes}
					/>
				{/snippet}
			</Field>
			{#snippet select(
				label: string,
				name:
					| 'arrangement'
					| 'valvesPerCylinder'
					| 'numbering'
					| 'pairing'
					| 'firstValve'
					| 'rightHead'
					| 'lifters',
				choices: readonly string[],
				of: keyof Labels | null,
				words: Record<string, string> = {}
			)}
				<SelectField
					{label}
					problem={$errors[name]?.[0]}
					{name}
					options={choices.map((choice) => {
						const called = of ? labelsOf(of)[choice]! : choice;
						return { value: choice, label: words[choice] ? `${called}: ${words[choice]}` : called };
					})}
					bind:value={() => $form[name] as string, (value) => ($form[name] = value as never)}
				/>
			{/snippet}
			{#snippet text(
				label: string,
				name: 'cylinders' | 'ownNumbers' | 'firingOrder',
				hint?: string
			)}
				<TextField
					{label}
					problem={$errors[name]?.[0]}
					{hint}
					{name}
					bind:value={$form[name]}
					figure
				/>
			{/snippet}
			{@render select('Arrangement', 'arrangement', ARRANGEMENTS, 'arrangement')}
			{@render text('Cylinders', 'cylinders')}
			{@render select('Valves per cylinder', 'valvesPerCylinder', ['2', '3', '4', '5'], null)}
			{#if twoHeads || $form.numbering === 'custom'}
				{@render select(
					'Cylinders numbered',
					'numbering',
					NUMBERINGS,
					'numbering',
					NUMBERING_WORDS
				)}
			{/if}
			{#if $form.numbering === 'custom'}
				{@render text(
					'Numbers from the left',
					'ownNumbers',
					twoHeads ? 'one head / the other, as 1 3 5 / 2 4 6' : 'as 4 3 2 1'
				)}
			{/if}
			{#if $form.valvesPerCylinder === '2'}
				{@render select('Valves along the head', 'pairing', PAIRINGS, 'pairing', PAIRING_WORDS)}
				{@render select('First valve from the left', 'firstValve', FIRST_VALVES, 'kind')}
			{/if}
			{#if twoHeads}
				{@render select('Right-hand head casting', 'rightHead', CASTINGS, 'casting')}
			{/if}
			{@render text('Firing order', 'firingOrder', 'as 1-5-3-6-2-4; can wait')}
			{@render select('Lifters', 'lifters', ['solid', 'hydraulic'], 'lifters')}
		</div>
		<BegunFrom lift={$form.lift} cushion={$form.cushion} like={$form.like} job={data.like} />
		<LayoutPreview {preview} {first} />
		<div class="mt-4 grid gap-x-5 gap-y-3 bench:grid-cols-3">
			<TextField
				label="Application"
				problem={$errors.duty?.[0]}
				name="duty"
				bind:value={$form.duty}
			/>
			<TextField
				label="Customer’s statement"
				problem={$errors.customerStatement?.[0]}
				name="customerStatement"
				bind:value={$form.customerStatement}
			/>
			<TextField
				label="Work done before"
				problem={$errors.workDone?.[0]}
				name="workDone"
				bind:value={$form.workDone}
			/>
		</div>
		<p class="mt-6 flex gap-3">
			<Button look="main">Create job</Button>
			<Button href="/">Cancel</Button>
		</p>
	</form>
</main>
