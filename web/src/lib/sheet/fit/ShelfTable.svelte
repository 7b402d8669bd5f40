<script lang="ts">
	/** What the job is built of, what it took off the shelf, and what lies there. */
	import { invalidateAll } from '$app/navigation';
	import { partsWanted, type LibraryPart } from '@zinc-ledger/core';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Table from '$lib/ui/Table.svelte';

	interface Props {
		library: readonly LibraryPart[];
		/** What the job has taken of each part, by its id. */
		taken: Readonly<Record<string, number>>;
	}
	let { library, taken }: Props = $props();
	const store = getJobStore();
	let problem = $state<string | null>(null);

	const rows = $derived(
		partsWanted(store.job).flatMap((row) => {
			const shelved = library.find(({ part }) => part.id === row.id);
			return shelved ? [{ ...row, has: taken[row.id] ?? 0, stock: shelved.stock }] : [];
		})
	);

	async function take(id: string, count: number) {
		problem = await store.takeParts(id, count);
		if (problem === null) await invalidateAll();
	}
</script>

{#if rows.length > 0}
	<section>
		<h2 class="border-b border-ink pb-1 font-semibold">From stock</h2>
		<Alert {problem} class="mt-1" />
		<Table class="text-[14px]">
			<thead>
				<tr>
					<th>Part</th>
					<th class="text-right">Required</th>
					<th class="text-right">Taken</th>
					<th class="text-right">In stock</th>
					<th><span class="sr-only">Take or give back</span></th>
				</tr>
			</thead>
			<tbody>
				{#each rows as { id, name, wanted, has, stock } (id)}
					<tr>
						<td>{name}</td>
						<td class="figure text-right">{wanted}</td>
						<td class="figure text-right">{has}</td>
						<td class="figure text-right">{stock ?? 'not counted'}</td>
						<td class="py-1 text-right whitespace-nowrap">
							{#if stock !== null && has < wanted}
								<Button
									aria-label="Take {wanted - has} of {name}"
									onclick={() => take(id, wanted - has)}>Take {wanted - has}</Button
								>
							{/if}
							{#if has > 0}
								<Button aria-label="Give back {has} of {name}" onclick={() => take(id, -has)}
									>Give back</Button
								>
							{/if}
						</td>
					</tr>
				{/each}
			</tbody>
		</Table>
	</section>
{/if}
