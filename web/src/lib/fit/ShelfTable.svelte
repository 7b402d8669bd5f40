<script lang="ts">
	/** What the job is built of, what it took off the shelf, and what lies there. */
	import { invalidateAll } from '$app/navigation';
	import { partsWanted, type LibraryPart } from '@zinc-ledger/core';
	import { getBook } from '$lib/job/book.svelte';

	interface Props {
		library: readonly LibraryPart[];
		/** What the job has taken of each part, by its id. */
		taken: Readonly<Record<string, number>>;
	}
	let { library, taken }: Props = $props();
	const book = getBook();
	let problem = $state<string | null>(null);

	const rows = $derived(
		partsWanted(book.job).flatMap((row) => {
			const shelved = library.find(({ part }) => part.id === row.id);
			return shelved ? [{ ...row, has: taken[row.id] ?? 0, stock: shelved.stock }] : [];
		})
	);

	async function take(id: string, count: number) {
		problem = await book.takeParts(id, count);
		if (problem === null) await invalidateAll();
	}
</script>

{#if rows.length > 0}
	<section>
		<h2 class="border-b border-ink pb-1 font-semibold">From stock</h2>
		{#if problem}<p role="alert" class="mt-1 font-semibold text-stop">{problem}</p>{/if}
		<table class="w-full text-[14px]">
			<thead>
				<tr class="text-left text-[12px] text-soft [&>th]:py-1 [&>th]:font-medium">
					<th>Part</th>
					<th class="text-right">Required</th>
					<th class="text-right">Taken</th>
					<th class="text-right">In stock</th>
					<th><span class="sr-only">Take or give back</span></th>
				</tr>
			</thead>
			<tbody>
				{#each rows as { id, name, wanted, has, stock } (id)}
					<tr class="border-t border-hair">
						<td>{name}</td>
						<td class="figure text-right">{wanted}</td>
						<td class="figure text-right">{has}</td>
						<td class="figure text-right">{stock ?? 'not counted'}</td>
						<td class="py-1 text-right whitespace-nowrap">
							{#if stock !== null && has < wanted}
								<button
									class="button"
									aria-label="Take {wanted - has} of {name}"
									onclick={() => take(id, wanted - has)}>Take {wanted - has}</button
								>
							{/if}
							{#if has > 0}
								<button
									class="button"
									aria-label="Give back {has} of {name}"
									onclick={() => take(id, -has)}>Give back</button
								>
							{/if}
						</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</section>
{/if}
