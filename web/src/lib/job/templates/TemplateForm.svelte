<script lang="ts">
	/** An engine as the shop knows it: how its heads lie, rockers, pockets, chamber, usual aims. */
	import { untrack } from 'svelte';
	import { KINDS } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import type { Values } from '$lib/forms/flat';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import FieldColumn from '$lib/job/setup/FieldColumn.svelte';
	import HeadFields from '$lib/job/setup/HeadFields.svelte';
	import KindRow from '$lib/job/setup/KindRow.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { capital } from '$lib/ui/words';
	import { CHAMBER_FIELDS, ENGINE_FIELDS, headsOf } from './form';

	interface Props {
		title: string;
		initial: Values;
		form: { message?: string; problems?: Readonly<Record<string, string>>; values?: Values } | null;
	}
	let { title, initial, form }: Props = $props();
	let values = $state<Values>(untrack(() => ({ ...(form?.values ?? initial) })));
	let heads = $state(untrack(() => headsOf(form?.values ?? initial)));
	const problems = $derived<Readonly<Record<string, string>>>(form?.problems ?? {});
</script>

<form method="POST" use:sendForm={{ reset: false }}>
	<input type="hidden" name="revision" value={initial.revision ?? ''} />
	<input type="hidden" name="from" value={initial.from ?? ''} />
	<div
		class="sticky top-0 z-[1] flex flex-wrap items-center gap-3 border-b-2 border-ink bg-paper py-3"
	>
		<h1 class="text-xl font-semibold">{title}</h1>
		<Alert problem={form?.message} />
		<Button href="/templates" class="ml-auto">Cancel</Button>
		<Button look="main">Save the template</Button>
	</div>
	<div class="mt-3 max-w-6xl">
		<TextField
			class="max-w-md"
			label="Name"
			name="name"
			problem={problems.name}
			bind:value={() => values.name ?? '', (text) => (values.name = text)}
		/>
		<h2 class="mt-5 border-b border-ink pb-1 font-semibold">Heads</h2>
		<div class="mt-2"><HeadFields bind:form={heads} {problems} /></div>
		<div class="mt-5 grid gap-x-10 gap-y-5 bench:grid-cols-2">
			<div>
				<div
					class="grid grid-cols-[minmax(0,1fr)_7rem_7rem] items-center gap-x-3 border-b border-ink pb-1 tablet:grid-cols-[minmax(0,1fr)_9rem_9rem]"
				>
					<h2 class="font-semibold">Usual at the valve</h2>
					{#each KINDS as kind (kind)}<b>{capital(label('kind', kind))}</b>{/each}
				</div>
				{#each ENGINE_FIELDS as field, i (i)}
					<KindRow
						{field}
						bind:values
						{problems}
						class="grid-cols-[minmax(0,1fr)_7rem_7rem] tablet:grid-cols-[minmax(0,1fr)_9rem_9rem]"
					/>
				{/each}
			</div>
			<div>
				<FieldColumn title="Chamber and bore" fields={CHAMBER_FIELDS} bind:values {problems} />
				<p class="mt-3 text-[13px] text-soft">
					Springs, retainers and locks are no part of it: they come with the kit. Limits are those
					of the job that it was made from, else the shop’s.
				</p>
			</div>
		</div>
	</div>
</form>
