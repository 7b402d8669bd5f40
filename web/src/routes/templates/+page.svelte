<script lang="ts">
	/** Engines that the shop knows, to take a job in by. */
	import Plus from '@lucide/svelte/icons/plus';
	import { label } from '@zinc-ledger/words';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Table from '$lib/ui/Table.svelte';

	let { data, form } = $props();
</script>

<svelte:head><title>Templates · Zinc Ledger</title></svelte:head>

<main id="main" class="min-h-0 flex-1 overflow-auto bg-paper px-4 py-4 bench:px-8 bench:py-6">
	<div class="flex flex-wrap items-center gap-3">
		<h1 class="text-2xl font-semibold">Templates of engines</h1>
		<Alert problem={form?.message} />
		<Button href="/templates/new" look="main" class="ml-auto"><Plus size={17} /> By hand</Button>
	</div>
	<p class="mt-1 max-w-prose text-[13px] text-soft">
		How the heads lie, rockers, pockets, chamber and usual aims. A job’s engine is kept as a
		template under its Hand over.
	</p>
	<Table class="mt-4 text-[14px]">
		<thead>
			<tr>
				<th class="pl-2">Engine</th>
				<th>Heads</th>
				<th class="hidden tablet:table-cell">Firing order</th>
				<th class="hidden tablet:table-cell">Lifters</th>
				<th class="hidden text-right tablet:table-cell">Rocker ratio</th>
				<th><span class="sr-only">Change</span></th>
			</tr>
		</thead>
		<tbody>
			{#each data.templates as { id, name, retired, layout, lifters, ratio } (id)}
				<tr class={retired ? 'text-faint' : ''}>
					<td class="py-1 pl-2">
						<a
							class="flex min-h-11 items-center font-semibold bench:min-h-9"
							href="/templates/{id}"
						>
							{name}
						</a>
						{#if retired}<span class="text-[12px]">retired</span>{/if}
					</td>
					<td class="py-1">
						{label('arrangement', layout.arrangement)}, {layout.cylinders} × {layout.valvesPerCylinder}
						valves
					</td>
					<td class="figure hidden py-1 tablet:table-cell"
						>{layout.firingOrder?.join('-') ?? '·'}</td
					>
					<td class="hidden py-1 tablet:table-cell">{label('lifters', lifters)}</td>
					<td class="figure hidden py-1 text-right tablet:table-cell">{ratio ?? '·'}</td>
					<td class="py-1 pl-3">
						<div class="flex items-center justify-end gap-3 text-[13px] text-soft">
							<a
								class="flex min-h-11 items-center underline bench:min-h-9"
								aria-label="New job on {name}"
								href="/jobs/new?template={id}">New job</a
							>
							<form method="POST" action="?/retire" use:sendForm>
								<input type="hidden" name="id" value={id} />
								<input type="hidden" name="retired" value={retired ? 'no' : 'yes'} />
								<Button aria-label="{retired ? 'Restore' : 'Retire'} {name}" look="quiet">
									{retired ? 'Restore' : 'Retire'}
								</Button>
							</form>
						</div>
					</td>
				</tr>
			{:else}
				<tr><td class="py-6 pl-2 text-soft" colspan="6">None yet.</td></tr>
			{/each}
		</tbody>
	</Table>
</main>
