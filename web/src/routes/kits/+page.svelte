<script lang="ts">
	/** Kits of springs: the figures of each paper in a line. */
	import FileDown from '@lucide/svelte/icons/file-down';
	import FilePlus2 from '@lucide/svelte/icons/file-plus-2';
	import Plus from '@lucide/svelte/icons/plus';
	import { goto } from '$app/navigation';
	import { showLength, showLoad, lengthOf, loadOf } from '@zinc-ledger/core';
	import { problemText } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import { isTyping, useKeys } from '$lib/keys/keys.svelte';
	import { paperOfKit } from '$lib/parts/kits/of-kit';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import FileButton from '$lib/ui/FileButton.svelte';
	import Table from '$lib/ui/Table.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	let { data, form } = $props();
	const bench = getBench();
	useKeys([
		{ keys: ['f'], does: 'find a kit' },
		{ keys: ['n'], does: 'add a kit' }
	]);
	let search = $state<HTMLInputElement>();
	const parts = $derived(new Map(Object.entries(data.parts)));
	const length = (text: string | undefined) =>
		text === undefined ? '·' : showLength(lengthOf(text), bench.units);
	const load = (text: string | undefined) =>
		text === undefined ? '·' : showLoad(loadOf(text), bench.units);

	function press(event: KeyboardEvent) {
		if (isTyping(event)) return;
		if (event.key === 'n') void goto('/kits/new');
		else if (event.key === 'f') search?.focus();
		else return;
		event.preventDefault();
	}
</script>

<svelte:head><title>Kits · Zinc Ledger</title></svelte:head>
<svelte:window onkeydown={press} />

<main id="main" class="min-h-0 flex-1 overflow-auto bg-paper px-4 py-4 bench:px-8 bench:py-6">
	<div class="flex flex-wrap items-end gap-x-5 gap-y-3">
		<h1 class="text-2xl font-semibold">Kits</h1>
		<form role="search" action="/kits" class="w-72">
			<TextField
				label="Find by any word"
				name="find"
				type="search"
				value={data.find}
				bind:element={search}
				oninput={(event) =>
					void goto(`/kits?find=${encodeURIComponent(event.currentTarget.value)}`, {
						replaceState: true,
						keepFocus: true
					})}
			/>
		</form>
		<div class="ml-auto flex flex-wrap items-end gap-3">
			<Button href="/kits/file?as=csv" download><FileDown size={17} /> CSV</Button>
			<Button href="/kits/file" download><FileDown size={17} /> JSON, with parts</Button>
			<form method="POST" action="?/import" enctype="multipart/form-data" use:sendForm>
				<FileButton name="file" accept=".csv,.json,text/csv,application/json">
					<FilePlus2 size={17} /> Import
				</FileButton>
			</form>
			<Button href="/kits/new" look="main"><Plus size={17} /> From its paper</Button>
		</div>
	</div>
	{#if form?.problems}
		<Alert look="stop" class="mt-5 max-w-4xl">
			<h2 class="font-semibold">{form.file ?? 'It'}: import failed; nothing was changed</h2>
			<ul class="mt-1 max-h-60 overflow-auto">
				{#each form.problems as problem, i (i)}<li>{problemText(problem)}</li>{/each}
			</ul>
		</Alert>
	{:else if form?.taken}
		<p role="status" class="mt-4">{form.taken} kits imported.</p>
	{/if}
	<div class="mt-5 overflow-x-auto">
		<Table class="text-[14px]">
			<thead>
				<tr>
					<th class="pl-2">Kit</th>
					<th class="hidden bench:table-cell">Maker</th>
					<th class="text-right leading-tight">Card height, {bench.units.length}</th>
					<th class="text-right leading-tight">Seat load, {bench.units.load}</th>
					<th class="hidden text-right leading-tight tablet:table-cell">Open load</th>
					<th class="hidden text-right leading-tight tablet:table-cell">at lift</th>
					<th class="hidden text-right leading-tight tablet:table-cell">Coil bind</th>
					<th class="hidden text-right leading-tight bench:table-cell">Max lift</th>
					<th class="hidden pl-4 bench:table-cell">Seal</th>
					<th><span class="sr-only">Change</span></th>
				</tr>
			</thead>
			<tbody>
				{#each data.kits as { doc: kit, retired } (kit.id)}
					{@const paper = paperOfKit(kit, parts, 'intake')}
					<tr class={retired ? 'text-faint' : ''}>
						<td class="py-1 pl-2">
							<a
								class="flex min-h-11 items-center font-semibold bench:min-h-9"
								href="/kits/{kit.id}"
							>
								{kit.name}
							</a>
							{#if retired}<span class="text-[12px]">retired</span>{/if}
						</td>
						<td class="hidden py-1 text-soft bench:table-cell">{kit.maker ?? ''}</td>
						<td class="figure py-1 text-right">{length(paper.seat?.height)}</td>
						<td class="figure py-1 text-right">{load(paper.seat?.load)}</td>
						<td class="figure hidden py-1 text-right tablet:table-cell">{load(paper.open?.load)}</td
						>
						<td class="figure hidden py-1 text-right tablet:table-cell">
							{paper.openLift === null ? '·' : showLength(paper.openLift, bench.units)}
						</td>
						<td class="figure hidden py-1 text-right tablet:table-cell">{length(paper.bind)}</td>
						<td class="figure hidden py-1 text-right bench:table-cell">{length(paper.maxLift)}</td>
						<td class="hidden py-1 pl-4 text-soft bench:table-cell">{paper.seal ?? '·'}</td>
						<td class="py-1 pl-3">
							<div class="flex items-center justify-end gap-3 text-[13px] text-soft">
								<a
									class="flex min-h-11 items-center whitespace-nowrap underline bench:min-h-9"
									aria-label="New job with {kit.name}"
									href="/jobs/new?kit={kit.id}">New job</a
								>
								<form class="hidden tablet:block" method="POST" action="?/retire" use:sendForm>
									<input type="hidden" name="id" value={kit.id} />
									<input type="hidden" name="retired" value={retired ? 'no' : 'yes'} />
									<Button aria-label="{retired ? 'Restore' : 'Retire'} {kit.name}" look="quiet">
										{retired ? 'Restore' : 'Retire'}
									</Button>
								</form>
							</div>
						</td>
					</tr>
				{:else}
					<tr>
						<td class="py-6 pl-2 text-soft" colspan="10">
							{data.find ? `No kit has “${data.find}” in it.` : 'None yet.'}
							<a class="underline" href="/kits/new">Add one from its paper</a>
						</td>
					</tr>
				{/each}
			</tbody>
		</Table>
	</div>
</main>
