<script lang="ts">
	/** What is due across all engines, what springs may run, and which batch loses its load sooner. */
	import { untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { label } from '@zinc-ledger/words';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Combobox from '$lib/ui/Combobox.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Table from '$lib/ui/Table.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { capital } from '$lib/ui/words';
	import {
		batchText,
		dueText,
		lifeText,
		limitText,
		priceOfLife,
		ranText
	} from '$lib/visits/comparison/service';

	let { data, form } = $props();
	useKeys([{ keys: ['Enter'], does: 'save the limit' }]);
	const FIELDS = [
		['duty', 'For the duty', 'all that have none of their own'],
		['hours', 'Hours', ''],
		['runs', 'Runs', ''],
		['kilometres', 'Kilometres', ''],
		['cycles', 'Cycles of the cam', ''],
		['overSpeed', 'An over-speed costs, %', 'of the life']
	] as const;
	const EMPTY = {
		part: '',
		duty: '',
		hours: '',
		runs: '',
		kilometres: '',
		cycles: '',
		overSpeed: ''
	};
	type Values = Record<keyof typeof EMPTY, string>;
	let values = $state<Values>(
		untrack(() => ({ ...EMPTY, ...(form && 'values' in form ? (form.values as Values) : {}) }))
	);
	const problems = $derived<Record<string, string>>(
		form && 'problems' in form ? (form.problems as Record<string, string>) : {}
	);
	const cards = $derived(data.cards.map(({ id, name }) => ({ value: id, label: name })));
</script>

<svelte:head><title>Service · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-4 bench:px-8 bench:py-6">
	<div class="flex items-center gap-3 border-b-2 border-ink pb-2">
		<h1 class="text-2xl font-semibold">Service</h1>
		<a class="ml-auto underline" href="/service/file" download>CSV</a>
	</div>
	<section class="mt-4" aria-label="Due">
		<h2 class="font-semibold">{dueText(data.due)}</h2>
		{#if data.due.length > 0}
			<div class="overflow-x-auto">
				<Table class="mt-1 text-left text-[14px]">
					<thead>
						<tr>
							<th>Engine</th><th>Head</th><th>Part</th><th class="text-right">Has run</th><th
								>Of its life</th
							>
						</tr>
					</thead>
					<tbody>
						{#each data.due as one (one.head + one.part + one.name)}
							<tr>
								<td
									>{one.engine ?? 'on no engine'}<span class="text-soft"
										>, {one.customer ?? ''}</span
									></td
								>
								<td><a class="underline" href="/heads/{one.head}">{one.mark ?? one.place}</a></td>
								<td>{one.count} × {label('served', one.part)} {one.name ?? ''}</td>
								<td class="figure text-right">{ranText(one)}</td>
								<td class={one.used! >= 1 ? 'font-semibold text-stop' : ''}>{lifeText(one.used)}</td
								>
							</tr>
						{/each}
					</tbody>
				</Table>
			</div>
		{/if}
	</section>
	<div class="mt-8 grid max-w-6xl gap-x-10 gap-y-8 bench:grid-cols-2">
		<section aria-label="Limits">
			<h2 class="border-b border-ink pb-1 font-semibold">What springs may run</h2>
			<Table class="mt-1 text-left text-[14px]">
				<thead><tr><th>Card</th><th>Duty</th><th>Limit</th><th>Price of its life</th></tr></thead>
				<tbody>
					{#each data.limits as limit (limit.part + (limit.duty ?? ''))}
						<tr>
							<td>{limit.name}</td>
							<td>{limit.duty ?? 'every other'}</td>
							<td>{limitText(limit)}</td>
							<td>{limit.price === null ? 'no price' : priceOfLife(limit.price, 1, limit)}</td>
						</tr>
					{:else}
						<tr><td colspan="4" class="text-soft">No limit is set: nothing is ever due.</td></tr>
					{/each}
				</tbody>
			</Table>
			<form method="POST" use:sendForm={{ reset: false }} class="mt-3">
				<Field label="Card" problem={problems.part}>
					{#snippet control(attributes)}
						<Combobox name="part" options={cards} bind:value={values.part} {...attributes} />
					{/snippet}
				</Field>
				<div class="mt-2 grid grid-cols-2 gap-3 tablet:grid-cols-3">
					{#each FIELDS as [name, title, hint] (name)}
						<TextField
							label={title}
							{name}
							hint={hint || undefined}
							figure={name !== 'duty'}
							problem={problems[name]}
							bind:value={values[name]}
						/>
					{/each}
				</div>
				<Button look="main" class="mt-3">Save the limit</Button>
			</form>
			<p class="mt-2 text-[13px] text-soft">
				Springs and rockers are fatigue parts: their makers’ limits go first, and the shop’s own are
				no promise.
			</p>
		</section>
		<section aria-label="Batches">
			<h2 class="border-b border-ink pb-1 font-semibold">Which batch loses its load</h2>
			<div class="mt-2 max-w-md">
				<Field label="Springs of the card">
					{#snippet control(attributes)}
						<Combobox
							options={cards}
							bind:value={() => data.card?.id ?? '', (id) => void goto(`?card=${id}`)}
							{...attributes}
						/>
					{/snippet}
				</Field>
			</div>
			{#if data.card}
				<ul class="mt-3">
					{#each data.batches as batch (batch.batch)}
						<li class="border-b border-hair py-1.5">{capital(batchText(batch))}</li>
					{:else}
						<li class="text-soft">No set of this card was tested again after it ran.</li>
					{/each}
				</ul>
			{/if}
		</section>
	</div>
</main>
