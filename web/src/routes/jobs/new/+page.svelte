<script lang="ts">
	import { untrack } from 'svelte';
	import { superForm } from 'sveltekit-superforms';
	import { defaultSetup, evaluate, newJob, NUMBERINGS, PAIRINGS } from '@zinc-ledger/core';
	import { useKeys } from '$lib/keys/keys.svelte';
	import HeadPlan from '$lib/plan/HeadPlan.svelte';
	import { ENGINE_CHOICES, layoutOf } from '$lib/setup/take-in';
	import Field from '$lib/ui/Field.svelte';

	let { data } = $props();
	useKeys([{ keys: ['Enter'], does: 'take the job in' }]);
	const { form, errors, enhance } = superForm(
		untrack(() => data.form),
		{ dataType: 'form' }
	);

	const preview = $derived.by(() => {
		const job = newJob({
			id: '',
			number: '',
			takenIn: '',
			customer: { id: '', name: '' },
			engine: { id: '', name: '', layout: layoutOf($form) },
			setup: defaultSetup('in', '')
		});
		return { job, sheet: evaluate(job) };
	});
	const twoHeads = $derived(preview.job.heads.length > 1);
	const first = $derived(preview.job.stations[0]?.label);

	const PAIRING_WORDS = { mirrored: 'I E · E I · I E', repeated: 'I E · I E · I E' };
	const NUMBERING_WORDS = { 'bank by bank': '1 2 3 | 4 5 6', alternating: '1 3 5 | 2 4 6' };
</script>

<svelte:head><title>Take in a job · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-8 py-6">
	<form method="POST" use:enhance class="max-w-6xl">
		<h1 class="border-b-2 border-ink pb-2 text-2xl font-semibold">Take in a job</h1>
		<div class="mt-4 grid grid-cols-2 gap-x-5 gap-y-3 bench:grid-cols-4">
			<Field label="Job number" problem={$errors.number?.[0]}>
				{#snippet control(attributes)}
					<input class="field figure" name="number" bind:value={$form.number} {...attributes} />
				{/snippet}
			</Field>
			<Field label="Customer" problem={$errors.customer?.[0]}>
				{#snippet control(attributes)}
					<!-- svelte-ignore a11y_autofocus -->
					<input
						class="field"
						name="customer"
						list="customers"
						autocomplete="off"
						autofocus
						bind:value={$form.customer}
						{...attributes}
					/>
				{/snippet}
			</Field>
			<Field label="Shop, team or phone" problem={$errors.contact?.[0]}>
				{#snippet control(attributes)}
					<input
						class="field"
						name="contact"
						autocomplete="off"
						bind:value={$form.contact}
						{...attributes}
					/>
				{/snippet}
			</Field>
			<Field label="Engine" problem={$errors.engine?.[0]}>
				{#snippet control(attributes)}
					<input
						class="field"
						name="engine"
						autocomplete="off"
						bind:value={$form.engine}
						{...attributes}
					/>
				{/snippet}
			</Field>
			<Field label="Layout" problem={$errors.layout?.[0]}>
				{#snippet control(attributes)}
					<select class="field" name="layout" bind:value={$form.layout} {...attributes}>
						{#each ENGINE_CHOICES as choice (choice)}<option>{choice}</option>{/each}
					</select>
				{/snippet}
			</Field>
			<Field label="Valves a cylinder" problem={$errors.valvesPerCylinder?.[0]}>
				{#snippet control(attributes)}
					<select
						class="field"
						name="valvesPerCylinder"
						bind:value={$form.valvesPerCylinder}
						{...attributes}
					>
						<option>2</option><option>4</option>
					</select>
				{/snippet}
			</Field>
			{#if twoHeads}
				<Field label="Cylinders numbered" problem={$errors.numbering?.[0]}>
					{#snippet control(attributes)}
						<select class="field" name="numbering" bind:value={$form.numbering} {...attributes}>
							{#each NUMBERINGS as choice (choice)}
								<option value={choice}>{choice}: {NUMBERING_WORDS[choice]}</option>
							{/each}
						</select>
					{/snippet}
				</Field>
			{/if}
			{#if $form.valvesPerCylinder === '2'}
				<Field label="Valves along the head" problem={$errors.pairing?.[0]}>
					{#snippet control(attributes)}
						<select class="field" name="pairing" bind:value={$form.pairing} {...attributes}>
							{#each PAIRINGS as choice (choice)}
								<option value={choice}>{PAIRING_WORDS[choice]}</option>
							{/each}
						</select>
					{/snippet}
				</Field>
			{/if}
			<Field label="Lifters" problem={$errors.lifters?.[0]}>
				{#snippet control(attributes)}
					<select class="field" name="lifters" bind:value={$form.lifters} {...attributes}>
						<option>solid</option><option>hydraulic</option>
					</select>
				{/snippet}
			</Field>
		</div>
		<section class="mt-5" aria-label="The head as it lies on the bench">
			<p class="mb-2 text-[13px] text-soft">
				As it lies on the bench, front of the engine left. First station from the left:
				<b class="figure text-ink">{first}</b>. Is it so?
			</p>
			<HeadPlan job={preview.job} stations={preview.sheet.stations} />
		</section>
		<div class="mt-4 grid gap-x-5 gap-y-3 bench:grid-cols-3">
			<Field label="What it is for" problem={$errors.duty?.[0]}>
				{#snippet control(attributes)}
					<input class="field" name="duty" bind:value={$form.duty} {...attributes} />
				{/snippet}
			</Field>
			<Field label="What the customer says about it" problem={$errors.toldByCustomer?.[0]}>
				{#snippet control(attributes)}
					<input
						class="field"
						name="toldByCustomer"
						bind:value={$form.toldByCustomer}
						{...attributes}
					/>
				{/snippet}
			</Field>
			<Field label="Work done to the head" problem={$errors.workDone?.[0]}>
				{#snippet control(attributes)}
					<input class="field" name="workDone" bind:value={$form.workDone} {...attributes} />
				{/snippet}
			</Field>
		</div>
		<p class="mt-6 flex gap-3">
			<button class="button button-main">Take it in</button>
			<a class="button" href="/">Leave it</a>
		</p>
		<datalist id="customers">
			{#each data.customers as name (name)}<option value={name}></option>{/each}
		</datalist>
	</form>
</main>
