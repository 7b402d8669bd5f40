<script lang="ts">
	/** What may be told of a job when it is taken in, and can wait. */
	import { SOURCES } from '@zinc-ledger/core';
	import { labelsOf } from '@zinc-ledger/words';
	import Disclosure from '$lib/ui/Disclosure.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import TextArea from '$lib/ui/TextArea.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import type { TakeIn } from './take-in';

	interface Props {
		form: TakeIn;
		problems: Readonly<Partial<Record<keyof TakeIn, string>>>;
	}
	let { form = $bindable(), problems }: Props = $props();
	const MORE = [
		'number',
		'contact',
		'liftExhaust',
		'customerStatement',
		'workDone',
		'came'
	] as const;
	let more = $state(false);
	// A problem in what is closed opens it.
	const moreOpen = $derived(more || MORE.some((name) => problems[name]));
</script>

<Disclosure
	class="mt-1"
	keep
	title="More: number, day it is wanted, lift by kind, what came with it"
	bind:open={() => moreOpen, (now) => (more = now)}
>
	<div class="grid gap-x-5 gap-y-3 tablet:grid-cols-2 bench:grid-cols-4">
		<TextField
			label="Job number"
			problem={problems.number}
			name="number"
			bind:value={form.number}
			figure
		/>
		<TextField
			label="Shop, team or phone"
			problem={problems.contact}
			name="contact"
			bind:value={form.contact}
		/>
		<TextField label="Wanted by" type="date" name="due" bind:value={form.due} />
		<TextField label="Price" name="price" bind:value={form.price} />
		<TextField
			label="Exhaust lift, where it differs"
			problem={problems.liftExhaust}
			name="liftExhaust"
			bind:value={form.liftExhaust}
			figure
		/>
		<SelectField
			label="Who says the lift"
			name="liftSource"
			options={SOURCES.map((value) => ({ value, label: labelsOf('source')[value]! }))}
			bind:value={() => form.liftSource as string, (value) => (form.liftSource = value as never)}
		/>
		<TextField
			label="Customer’s statement"
			problem={problems.customerStatement}
			name="customerStatement"
			bind:value={form.customerStatement}
		/>
		<TextField
			label="Work done before"
			problem={problems.workDone}
			name="workDone"
			bind:value={form.workDone}
		/>
		<TextArea
			class="tablet:col-span-2"
			label="What came with the head"
			hint="a thing a line, its state after a colon: 12 valves: bagged by cylinder"
			problem={problems.came}
			name="came"
			rows={4}
			bind:value={form.came}
		/>
	</div>
</Disclosure>
