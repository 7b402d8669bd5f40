<script lang="ts">
	/** Jobs, one a row; ordered by its heads where the list knows how it was asked for. */
	import JobRow from './JobRow.svelte';
	import { listAddress, type JobOrder, type JobQuery } from './list';
	import type { JobLine } from './line';
	import Button from '$lib/ui/Button.svelte';
	import Table from '$lib/ui/Table.svelte';

	let { jobs, query }: { jobs: readonly JobLine[]; query?: JobQuery } = $props();
	const address = (order: JobOrder) =>
		listAddress(query!, { order, reversed: query!.order === order && !query!.reversed });
	/** Nobody looks for a day where no job has one. */
	const anyDue = $derived(query?.order === 'due' || jobs.some(({ due, price }) => due ?? price));
	const LEAST_FIRST: readonly JobOrder[] = ['customer', 'engine', 'due'];
	const sorted = (order: JobOrder) => {
		if (query?.order !== order) return 'none';
		const largestFirst = LEAST_FIRST.includes(order) ? query.reversed : !query.reversed;
		return largestFirst ? 'descending' : 'ascending';
	};
</script>

{#snippet head(order: JobOrder, name: string, extra = '')}
	<th class={extra} aria-sort={query ? sorted(order) : undefined}>
		{#if query}
			<Button look="head" href={address(order)}>
				{name}
				{query.order === order ? (sorted(order) === 'ascending' ? '↑' : '↓') : ''}
			</Button>
		{:else}{name}{/if}
	</th>
{/snippet}

<Table class="block tablet:table bench:table-fixed">
	<thead class="hidden tablet:table-header-group">
		<tr>
			{@render head('number', 'Job', 'w-20 pl-3')}
			{@render head('customer', 'Customer', 'bench:w-[17%]')}
			{@render head('engine', 'Engine', 'bench:w-[24%]')}
			<th class="bench:w-[22%]">Progress</th>
			{@render head('stops', 'Blocked by')}
			{#if anyDue}
				{@render head('due', 'Wanted by', 'hidden w-24 text-right bench:table-cell')}
			{/if}
			{@render head('received', 'Received', 'hidden w-[88px] text-right bench:table-cell')}
		</tr>
	</thead>
	<tbody class="block tablet:table-row-group">
		{#each jobs as job (job.id)}<JobRow {job} {anyDue} />{/each}
	</tbody>
</Table>
