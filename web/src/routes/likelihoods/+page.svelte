<script lang="ts">
	/** Likelihood settings: the starting weight of each cause for a complaint, and how often it produces a finding. Causes that a shop has no reason to change are folded away. */
	import { goto } from '$app/navigation';
	import {
		CAUSES,
		COMPLAINTS,
		EVIDENCE,
		EVIDENCE_CODES,
		isStated,
		startOf,
		stepOf,
		STEPS,
		USUAL_WEIGHT,
		type Cause,
		type EvidenceCode
	} from '@zinc-ledger/core';
	import { labelsOf } from '@zinc-ledger/words';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Disclosure from '$lib/ui/Disclosure.svelte';
	import Input from '$lib/ui/Input.svelte';
	import Select from '$lib/ui/Select.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import Table from '$lib/ui/Table.svelte';
	import { capital } from '$lib/ui/words';

	let { data, form } = $props();
	useKeys([{ keys: ['Enter'], does: 'save what was changed' }]);
	const [causes, complaints, findings, steps] = [
		labelsOf('cause'),
		labelsOf('complaint'),
		labelsOf('finding'),
		labelsOf('howOften')
	];
	const STEP_OPTIONS = Object.keys(STEPS).map((value) => ({ value, label: steps[value]! }));
	let finding = $state<EvidenceCode>(EVIDENCE_CODES[0]);
	/** What was changed here and is not saved yet, by field. */
	let typed = $state<Record<string, string>>({});
	const hasWeight = (cause: Cause) =>
		startOf(data.complaint, cause, data.likelihoods) !== USUAL_WEIGHT;
	const hasLevel = (cause: Cause) => isStated(finding, cause, data.likelihoods);
	const startField = (cause: string) => `diagnosis.start.${data.complaint}.${cause}`;
	const stepField = (cause: string) => `diagnosis.step.${finding}.${cause}`;
	const wrong = $derived((form && 'wrong' in form ? form.wrong : []) as readonly string[]);
</script>

<svelte:head><title>Likelihoods · Zinc Ledger</title></svelte:head>

{#snippet weights(shown: readonly Cause[])}
	<Table class="mt-2 w-full text-left text-[14px]">
		<thead><tr><th>Cause</th><th class="text-right">Starts with</th></tr></thead>
		<tbody>
			{#each shown as cause (cause)}
				{@const field = startField(cause)}
				<tr>
					<td>{capital(causes[cause]!)}</td>
					<td class="w-28 text-right">
						<Input
							figure
							inputmode="decimal"
							aria-label="{causes[cause]}, starts with"
							aria-invalid={wrong.includes(field) || undefined}
							bind:value={
								() => typed[field] ?? String(startOf(data.complaint, cause, data.likelihoods)),
								(text) => (typed[field] = text)
							}
						/>
					</td>
				</tr>
			{/each}
		</tbody>
	</Table>
{/snippet}
{#snippet levels(shown: readonly Cause[])}
	<Table class="mt-2 w-full text-left text-[14px]">
		<thead><tr><th>Cause</th><th>Produces it</th></tr></thead>
		<tbody>
			{#each shown as cause (cause)}
				{@const field = stepField(cause)}
				<tr>
					<td>{capital(causes[cause]!)}</td>
					<td class="w-44">
						<Select
							aria-label="{causes[cause]} produces it"
							options={STEP_OPTIONS}
							bind:value={
								() => typed[field] ?? (stepOf(finding, cause, data.likelihoods) as string),
								(step) => (typed[field] = step)
							}
						/>
					</td>
				</tr>
			{/each}
		</tbody>
	</Table>
{/snippet}

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-4 bench:px-8 bench:py-6">
	<form
		method="POST"
		use:sendForm={{ reset: false, after: ({ type }) => type === 'success' && (typed = {}) }}
		class="max-w-5xl"
	>
		<div class="flex flex-wrap items-center gap-3 border-b-2 border-ink pb-2">
			<h1 class="text-2xl font-semibold">Likelihood settings</h1>
			<span class="ml-auto"></span>
			<Alert problem={form && 'message' in form ? form.message : null} />
			<Button look="main">Save</Button>
		</div>
		<p class="mt-2 max-w-3xl text-[13px] text-soft">
			Each complaint starts with a weight for every cause; each finding then counts by how often a
			cause produces it. Shop practice, and yours to change.
		</p>
		{#each Object.entries(typed) as [field, text] (field)}
			<input type="hidden" name={field} value={text} />
		{/each}
		<div class="mt-4 grid gap-x-10 gap-y-6 bench:grid-cols-2">
			<section aria-label="Where it begins">
				<SelectField
					label="Complaint"
					options={COMPLAINTS.map((value) => ({ value, label: complaints[value]! }))}
					value={data.complaint}
					onchoose={(value) => goto(`?complaint=${value}`, { keepFocus: true })}
				/>
				{@render weights(CAUSES.filter(hasWeight))}
				<Disclosure title="All other causes: {USUAL_WEIGHT}">
					{@render weights(CAUSES.filter((cause) => !hasWeight(cause)))}
				</Disclosure>
			</section>
			<section aria-label="How often">
				<SelectField
					label="Finding"
					options={EVIDENCE_CODES.map((value) => ({ value, label: findings[value]! }))}
					bind:value={finding}
				/>
				{@render levels(CAUSES.filter(hasLevel))}
				<Disclosure title="All other causes: {steps[EVIDENCE[finding].else]}">
					{@render levels(CAUSES.filter((cause) => !hasLevel(cause)))}
				</Disclosure>
			</section>
		</div>
	</form>
</main>
