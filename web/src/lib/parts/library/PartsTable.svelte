<script lang="ts">
	/** The library's parts of one type, with what is done to one: stock, copy, retire. */
	import type { LibraryPart, PartType } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { flatten } from '$lib/forms/flat';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import { fieldsOf } from './fields';
	import Button from '$lib/ui/Button.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Input from '$lib/ui/Input.svelte';
	import Table from '$lib/ui/Table.svelte';

	interface Props {
		type: PartType;
		parts: readonly LibraryPart[];
		/** What was looked for. */
		find: string;
		/** Why stock could not be changed, and of which part. */
		stockProblem?: string | undefined;
		stockOf?: string | undefined;
	}
	let { type, parts, find, stockProblem, stockOf }: Props = $props();
	let counting = $state<string | null>(null);
	const fields = $derived(fieldsOf(type).filter((field) => field.shown));
	const figure = (text: string) =>
		text.replace(/^([+-]?[\d.]+) (in|mm|lbf|N|kgf)(\/\w+)?$/, '$1 $2$3');
</script>

<Table class="text-[14px]">
	<thead>
		<tr>
			<th class="pl-2">Name</th>
			{#each fields as field (field.path)}
				<th class="leading-tight {['text', 'choice'].includes(field.type) ? '' : 'text-right'}"
					>{field.label}</th
				>
			{/each}
			<th class="text-right">In stock</th>
			<th class="pl-3"><span class="sr-only">Change</span></th>
		</tr>
	</thead>
	<tbody>
		{#each parts as { part, stock, retired } (part.id)}
			{@const values = flatten(part, fields)}
			<tr class={retired ? 'text-faint' : ''}>
				<td class="py-1 pl-2">
					<a class="flex min-h-11 bench:min-h-9 items-center font-semibold" href="/parts/{part.id}"
						>{part.name}</a
					>
					{#if retired}<span class="text-[12px]">retired</span>{/if}
				</td>
				{#each fields as field (field.path)}
					<td
						class="py-1 pr-3 {['text', 'choice'].includes(field.type)
							? ''
							: 'figure text-right text-[13px] whitespace-nowrap'}"
					>
						{field.names?.[values[field.path] ?? ''] ?? figure(values[field.path] ?? '')}
					</td>
				{/each}
				<td class="figure py-1 text-right">{stock ?? '·'}</td>
				<td class="py-1 pl-3">
					<div class="flex items-center justify-end gap-3 text-[13px] text-soft">
						<Button
							aria-label="Adjust stock: {part.name}"
							onclick={() => (counting = counting === part.id ? null : part.id)}
							look="quiet">Adjust stock</Button
						>
						<a
							class="flex min-h-11 bench:min-h-9 items-center underline"
							aria-label="Copy {part.name}"
							href="/parts/new?type={type}&copy={part.id}">Copy</a
						>
						<form method="POST" action="?/retire&type={type}" use:sendForm>
							<input type="hidden" name="id" value={part.id} />
							<input type="hidden" name="retired" value={retired ? 'no' : 'yes'} />
							<Button aria-label="{retired ? 'Restore' : 'Retire'} {part.name}" look="quiet">
								{retired ? 'Restore' : 'Retire'}
							</Button>
						</form>
					</div>
					{#if counting === part.id}
						<form
							method="POST"
							action="?/stock&type={type}"
							use:sendForm
							class="flex items-end gap-2 py-1"
						>
							<input type="hidden" name="id" value={part.id} />
							<Input
								figure
								class="!w-20 text-right"
								name="change"
								value=""
								aria-label="How many, + in or − out"
								placeholder="+4"
								{@attach (input) => input.focus()}
							/>
							<Input name="reason" value="" aria-label="Why" placeholder="why" />
							<Button>Save</Button>
						</form>
						{#if stockOf === part.id}
							<Alert problem={stockProblem} class="text-[13px]" />
						{/if}
					{/if}
				</td>
			</tr>
		{:else}
			<tr>
				<td class="py-6 pl-2 text-soft" colspan={fields.length + 3}>
					{find ? `No ${label('part', type)} has “${find}” in it.` : 'None yet.'}
					<a class="underline" href="/parts/new?type={type}">Add one</a>
				</td>
			</tr>
		{/each}
	</tbody>
</Table>
