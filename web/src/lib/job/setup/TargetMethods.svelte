<script lang="ts">
	/** The methods of installed height side by side, with what each would aim at here. */
	import { KINDS, TARGET_METHODS, heightsByMethod, mm } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { capital } from '$lib/ui/words';
	import { label, write } from '@zinc-ledger/words';
	import Table from '$lib/ui/Table.svelte';

	const store = getJobStore();
	const bench = getBench();
	const rows = $derived(
		KINDS.map((kind) => {
			const sheet = store.sheet.kinds[kind];
			const setup = store.job.setup.kinds[kind];
			const methods = heightsByMethod(sheet, setup);
			return { kind, sheet, setup, methods };
		})
	);
	const { length, load } = bench;
</script>

<p class="figure text-[13px] text-soft">{bench.units.length}, {bench.units.load}</p>
<Table class="text-[13px]">
	<thead>
		<tr>
			<th>Method</th>
			{#each KINDS as kind (kind)}
				<th class="text-right">{capital(label('kind', kind))}</th>
				<th class="text-right">seat</th>
				<th class="text-right">open</th>
			{/each}
		</tr>
	</thead>
	<tbody>
		{#each TARGET_METHODS as method (method)}
			<tr>
				<th scope="row" class="py-1 text-left font-normal"
					>{capital(label('targetMethod', method))}</th
				>
				{#each rows as { kind, sheet, setup, methods } (kind)}
					{@const { height, because } = methods[method]}
					{@const at = height === null ? null : (sheet.curve?.load(height) ?? null)}
					<td
						class="figure py-1 text-right {setup.aim.method === method
							? 'font-semibold underline decoration-chromate decoration-2 underline-offset-4'
							: ''}"
						title={write(because, bench.units)}
					>
						{length(height)}
					</td>
					<td class="figure py-1 text-right">{load(at)}</td>
					<td class="figure py-1 text-right">
						{load(
							height === null || !sheet.lift ? null : sheet.curve?.load(mm(height - sheet.lift.net))
						)}
					</td>
				{/each}
			</tr>
		{/each}
	</tbody>
</Table>
