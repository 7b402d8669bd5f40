<script lang="ts">
	/** A head: where it is fitted, its visits, and what its parts have run. */
	import { untrack } from 'svelte';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import JobTable from '$lib/job/store/JobTable.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Combobox from '$lib/ui/Combobox.svelte';
	import Field from '$lib/ui/Field.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import ServiceTable from '$lib/visits/comparison/ServiceTable.svelte';

	let { data, form } = $props();
	useKeys([]);
	let mark = $state(untrack(() => data.head.mark ?? ''));
	let to = $state('');
	const { head } = $derived(data);
</script>

<svelte:head><title>Head {head.mark ?? head.place} · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-4 bench:px-8 bench:py-6">
	<div class="flex flex-wrap items-center gap-3 border-b-2 border-ink pb-2">
		<h1 class="text-2xl font-semibold">Head {head.mark ?? head.place}</h1>
		<span class="text-soft">
			{#if head.engineId}
				{head.place} of
				<a class="underline" href="/engines/{head.engineId}">{head.engine}</a>, {head.customer}
			{:else}
				on no engine
			{/if}
		</span>
		{#if data.isSigned}
			<Button look="main" href="/heads/{head.id}/back" class="ml-auto">This head is back</Button>
		{/if}
	</div>
	<h2 class="mt-5 mb-1 font-semibold">Visits, newest first</h2>
	<JobTable jobs={data.jobs} />
	<h2 class="mt-6 mb-1 font-semibold">What its parts have run</h2>
	{#if data.service.length > 0}
		<ServiceTable items={data.service} />
	{:else}
		<p class="text-soft">
			Nothing was told of its service yet: it is asked when the head comes back.
		</p>
	{/if}
	<div class="mt-6 grid max-w-4xl gap-x-8 gap-y-4 tablet:grid-cols-2">
		<form
			method="POST"
			action="?/mark"
			use:sendForm={{ reset: false }}
			class="flex items-end gap-3"
		>
			<TextField
				label="Known by"
				name="mark"
				hint="casting or serial number, or the shop’s label"
				problem={form && 'mark' in form ? (form.mark as string) : undefined}
				bind:value={mark}
			/>
			<Button>Save</Button>
		</form>
		<form
			method="POST"
			action="?/move"
			use:sendForm={{ reset: false }}
			class="flex items-end gap-3"
		>
			<Field
				label="Fitted to another engine"
				hint="its visits, springs and their service go with it"
				problem={form && 'move' in form ? (form.move as string) : undefined}
			>
				{#snippet control(attributes)}
					<Combobox name="to" options={data.places} bind:value={to} {...attributes} />
				{/snippet}
			</Field>
			<Button>Move</Button>
		</form>
	</div>
</main>
