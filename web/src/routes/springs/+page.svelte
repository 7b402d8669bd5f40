<script lang="ts">
	import { sendForm } from '$lib/forms/send-form.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import SetFields from '$lib/springs/sets/SetFields.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Table from '$lib/ui/Table.svelte';

	let { data, form } = $props();
	useKeys([{ keys: ['Enter'], does: 'create the set' }]);
	const problems = $derived(form?.problems ?? {});
	const typed = $derived<Record<string, string>>(form?.typed ?? {});
</script>

<svelte:head><title>Springs · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-4 bench:px-8 bench:py-6">
	<div class="flex flex-wrap items-center gap-4">
		<h1 class="text-2xl font-semibold">Spring sets</h1>
		<Button href="/springs/compare" class="ml-auto">Compare two</Button>
	</div>
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
			<SetFields cards={data.cards} values={typed} {problems} counts />
			<div class="flex flex-wrap gap-3">
				<Button look="main">Create set</Button>
				<Button name="then" value="test">Create and test</Button>
			</div>
		</form>
	</div>
</main>
