<script lang="ts">
	/** What happened between two visits, asked once. */
	import { COMPLAINTS } from '@zinc-ledger/core';
	import { labelsOf } from '@zinc-ledger/words';
	import SelectField from '$lib/ui/SelectField.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { SINCE_NUMBERS, type SinceField } from './since';

	interface Props {
		values: Record<SinceField, string>;
		problems: Readonly<Partial<Record<SinceField, string>>>;
	}
	let { values = $bindable(), problems }: Props = $props();
	const NAMES: Readonly<Record<(typeof SINCE_NUMBERS)[number], string>> = {
		hours: 'Hours run',
		runs: 'Runs',
		kilometres: 'Kilometres',
		highestSpeed: 'Highest speed, rpm',
		overSpeed: 'Times over-sped'
	};
	const complaints = labelsOf('complaint');
</script>

<div class="grid grid-cols-2 gap-x-5 gap-y-3 tablet:grid-cols-5">
	{#each SINCE_NUMBERS as name (name)}
		<TextField
			label={NAMES[name]}
			{name}
			inputmode="decimal"
			figure
			problem={problems[name]}
			bind:value={values[name]}
		/>
	{/each}
</div>
<div class="mt-3 grid gap-x-5 gap-y-3 tablet:grid-cols-3">
	<SelectField
		label="Complaint"
		name="complaint"
		options={[
			{ value: '', label: 'none' },
			...COMPLAINTS.map((value) => ({ value, label: complaints[value]! }))
		]}
		problem={problems.complaint}
		bind:value={values.complaint}
	/>
	<TextField
		label="What the customer noticed"
		name="noticed"
		hint="in their words"
		problem={problems.noticed}
		bind:value={values.noticed}
	/>
	<TextField
		label="What was changed since"
		name="changed"
		hint="cam, rockers, lash turned, fuel …"
		problem={problems.changed}
		bind:value={values.changed}
	/>
</div>
