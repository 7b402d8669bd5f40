<script lang="ts">
	import FileDown from '@lucide/svelte/icons/file-down';
	import FilePlus2 from '@lucide/svelte/icons/file-plus-2';
	import Plus from '@lucide/svelte/icons/plus';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import { goto } from '$app/navigation';
	import { PART_TYPES, type PartType } from '@zinc-ledger/core';
	import { isTyping, useKeys } from '$lib/keys/keys.svelte';
	import PartsTable from '$lib/parts/library/PartsTable.svelte';
	import { capital } from '$lib/ui/words';
	import { label, problemText } from '@zinc-ledger/words';
	import Button from '$lib/ui/Button.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import FileButton from '$lib/ui/FileButton.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	let { data, form } = $props();
	useKeys([
		{ keys: ['f'], does: 'find a part' },
		{ keys: ['n'], does: 'add a part of this type' }
	]);
	let search = $state<HTMLInputElement>();

	const typeName = (type: PartType) =>
		capital(type === 'locks' ? label('part', type) : `${label('part', type)}s`);

	function press(event: KeyboardEvent) {
		if (isTyping(event)) return;
		if (event.key === 'n') void goto(`/parts/new?type=${data.type}`);
		else if (event.key === 'f') search?.focus();
		else return;
		event.preventDefault();
	}
	const pageAt = (page: number) =>
		`/parts?type=${encodeURIComponent(data.type)}&find=${encodeURIComponent(data.find)}&page=${page}`;
</script>

<svelte:head><title>Parts · Zinc Ledger</title></svelte:head>
<svelte:window onkeydown={press} />

<main
	id="main"
	class="flex min-h-0 flex-1 flex-col overflow-auto bg-paper px-4 py-4 bench:px-8 bench:py-6"
>
	<div class="flex flex-wrap items-end gap-x-5 gap-y-3">
		<h1 class="text-2xl font-semibold">Parts</h1>
		<form role="search" action="/parts" class="w-72">
			<input type="hidden" name="type" value={data.type} />
			<TextField
				label="Find by any field"
				name="find"
				type="search"
				value={data.find}
				bind:element={search}
				oninput={(event) =>
					void goto(
						`/parts?type=${data.type}&find=${encodeURIComponent(event.currentTarget.value)}`,
						{
							replaceState: true,
							keepFocus: true
						}
					)}
			/>
		</form>
		<div class="ml-auto flex flex-wrap items-end gap-3">
			<Button href="/parts/file?type={data.type}&as=csv" download>
				<FileDown size={17} /> CSV
			</Button>
			<Button href="/parts/file" download><FileDown size={17} /> All as JSON</Button>
			<form
				method="POST"
				action="?/import&type={data.type}"
				enctype="multipart/form-data"
				use:sendForm
			>
				<FileButton name="file" accept=".csv,.json,text/csv,application/json">
					<FilePlus2 size={17} /> Import
				</FileButton>
			</form>
			<Button href="/parts/new?type={data.type}" look="main"><Plus size={17} /> Add</Button>
		</div>
	</div>

	{#if form?.problems}
		<Alert look="stop" class="mt-5 max-w-4xl">
			<h2 class="font-semibold">{form.file ?? 'It'}: import failed; nothing was changed</h2>
			<ul class="mt-1 max-h-60 overflow-auto">
				{#each form.problems as problem, i (i)}
					<li>{problemText(problem)}</li>
				{/each}
			</ul>
		</Alert>
	{:else if form?.taken}
		<p role="status" class="mt-4">{form.taken} parts imported.</p>
		{#if form.older.length > 0}
			<Alert look="watch" class="mt-2 max-w-4xl">
				<h2 class="font-semibold">Not imported</h2>
				<ul class="mt-1 max-h-60 overflow-auto">
					{#each form.older as line, i (i)}
						<li>{problemText(line)}</li>
					{/each}
				</ul>
			</Alert>
		{/if}
	{/if}

	<nav aria-label="Part types" class="mt-5 flex flex-wrap gap-x-1 text-[14px]">
		{#each PART_TYPES as type (type)}
			<Button
				look="filter"
				href="/parts?type={type}"
				aria-current={type === data.type ? 'page' : undefined}
			>
				{typeName(type)}
			</Button>
		{/each}
	</nav>

	<PartsTable
		type={data.type}
		parts={data.parts}
		find={data.find}
		stockOf={form?.stockOf}
		stockProblem={form?.stockProblem}
	/>
	{#if data.page > 0 || data.more}
		<nav aria-label="Pages of the library" class="mt-3 flex items-center gap-3">
			{#if data.page > 0}
				<Button href={pageAt(data.page - 1)}>Page before</Button>
			{/if}
			<span class="text-soft">Page {data.page + 1}</span>
			{#if data.more}<Button href={pageAt(data.page + 1)}>Next page</Button>{/if}
		</nav>
	{/if}
</main>
