<script lang="ts">
	import { sendForm } from '$lib/forms/send-form.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import Field from '$lib/ui/Field.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Combobox from '$lib/ui/Combobox.svelte';
	import Table from '$lib/ui/Table.svelte';

	let { data, form } = $props();
	useKeys([{ keys: ['Enter'], does: 'create the set' }]);
	const problems = $derived(form?.problems ?? {});
	const typed = $derived<Record<string, string>>(form?.typed ?? {});
</script>

<svelte:head><title>Springs · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-4 bench:px-8 bench:py-6">
	<h1 class="text-2xl font-semibold">Spring sets</h1>
	<div class="mt-4 grid gap-x-12 gap-y-8 bench:grid-cols-[minmax(0,1fr)_20rem]">
		<Table class="h-max">
			<thead>
				<tr>
					<th class="pl-3">Set</th>
					<th>Card</th>
					<th>Job</th>
					<th class="text-right">Height</th>
					<th class="text-right">Lift</th>
					<th class="text-right">Tested</th>
				</tr>
			</thead>
			<tbody>
				{#each data.sets as set (set.id)}
					<tr>
						<td class="pl-3">
							<a
								class="flex min-h-11 items-center font-semibold underline"
								href="/springs/{set.id}"
							>
								{set.name}
							</a>
						</td>
						<td>{set.card?.name ?? '·'}</td>
						<td class="figure text-[13px]">
							{#if set.jobId}<a class="underline" href="/jobs/{set.jobId}">{set.jobNumber}</a
								>{:else}·{/if}
						</td>
						<td class="figure text-right text-[13px]">{set.seat}</td>
						<td class="figure text-right text-[13px]">{set.lift}</td>
						<td class="figure pr-3 text-right">{set.tested} of {set.springs}</td>
					</tr>
				{:else}
					<tr
						><td class="py-6 pl-3 text-soft" colspan="6"
							>No sets yet. Make the first on the right.</td
						></tr
					>
				{/each}
			</tbody>
			{#if data.page > 0 || data.more}
				<tfoot>
					<tr>
						<td colspan="6" class="py-2 pl-3">
							{#if data.page > 0}
								<Button href="/springs?page={data.page - 1}">Newer sets</Button>
							{/if}
							{#if data.more}
								<Button href="/springs?page={data.page + 1}">Older sets</Button>
							{/if}
						</td>
					</tr>
				</tfoot>
			{/if}
		</Table>
		<form method="POST" use:sendForm class="space-y-3">
			<h2 class="border-b border-ink pb-1 font-semibold">New set</h2>
			<TextField label="Name" problem={problems.name} name="name" value={typed.name ?? ''} />
			<Field label="Card">
				{#snippet control(attributes)}
					<Combobox
						name="card"
						remember="spring"
						options={[
							{ value: '', label: 'not known yet' },
							...data.cards
								.filter((card) => !card.retired)
								.map(({ part }) => ({ value: part.id!, label: part.name }))
						]}
						value={typed.card ?? ''}
						{...attributes}
					/>
				{/snippet}
			</Field>
			<div class="grid grid-cols-2 gap-3">
				{#each [['count', 'How many springs', '12', ''], ['job', 'For job number', '', 'may stay empty'], ['seat', 'Nominal height', '', 'else the card’s'], ['lift', 'Lift', '', 'else the card’s']] as const as [name, label, first, hint] (name)}
					<TextField
						{label}
						problem={problems[name]}
						{hint}
						{name}
						value={typed[name] ?? first}
						figure
					/>
				{/each}
			</div>
			<Button look="main">Create set</Button>
		</form>
	</div>
</main>
