<script lang="ts">
	/** Jobs, one a row. */
	import JobRow from './JobRow.svelte';
	import type { JobLine } from './line';

	let { jobs }: { jobs: readonly JobLine[] } = $props();
</script>

<table class="block w-full border-collapse tablet:table">
	<thead class="hidden tablet:table-header-group">
		<tr class="border-b-2 border-ink text-left text-[13px] text-soft">
			<th class="w-20 py-1.5 pl-3 font-medium">Job</th>
			<th class="py-1.5 font-medium">Customer</th>
			<th class="py-1.5 font-medium">Engine</th>
			<th class="py-1.5 font-medium bench:w-72">Progress</th>
			<th class="py-1.5 font-medium">Blocked by</th>
			<th class="hidden w-24 py-1.5 pr-3 text-right font-medium bench:table-cell">Received</th>
		</tr>
	</thead>
	<tbody class="block tablet:table-row-group">
		{#each jobs as job (job.id)}<JobRow {job} />{/each}
	</tbody>
</table>
