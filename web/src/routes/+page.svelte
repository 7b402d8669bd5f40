<script lang="ts">
	import { FilePlus2, Plus } from '@lucide/svelte';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { isTyping, useKeys } from '$lib/keys/keys.svelte';
	import JobTable from '$lib/job/JobTable.svelte';
	import { problemText } from '@zinc-ledger/words';

	let { data, form } = $props();
	useKeys([
		{ keys: ['n'], does: 'new job' },
		{ keys: ['↑', '↓'], does: 'job above, job below' },
		{ keys: ['Enter'], does: 'open the job' }
	]);

	let search: HTMLInputElement;
	let list: HTMLElement;

	$effect(() => {
		if (page.url.search === '?find') search.focus();
	});

	function press(event: KeyboardEvent) {
		if (isTyping(event)) return;
		if (event.key === 'n') void goto('/jobs/new');
		else if (event.key === 'ArrowDown') step(1);
		else if (event.key === 'ArrowUp') step(-1);
		else return;
		event.preventDefault();
	}

	function step(by: number) {
		const links = [...list.querySelectorAll<HTMLAnchorElement>('a[data-job]')];
		const at = links.indexOf(document.activeElement as HTMLAnchorElement);
		links[Math.min(links.length - 1, Math.max(0, at + by))]?.focus();
	}
</script>

<svelte:head><title>Jobs · Zinc Ledger</title></svelte:head>
<svelte:window onkeydown={press} />

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-4 bench:px-8 bench:py-6">
	<div class="flex flex-wrap items-end gap-x-6 gap-y-3">
		<h1 class="text-2xl font-semibold">Jobs</h1>
		<form role="search" action="/" class="w-full tablet:w-80">
			<label for="find" class="mb-1 block text-[13px] text-soft">
				Find by number, customer or engine
			</label>
			<input
				id="find"
				name="find"
				class="field"
				type="search"
				value={data.find}
				bind:this={search}
				autocomplete="off"
				oninput={(event) => {
					const find = event.currentTarget.value;
					void goto(`/?find=${encodeURIComponent(find)}`, { replaceState: true, keepFocus: true });
				}}
			/>
		</form>
		<form
			method="POST"
			action="?/import"
			enctype="multipart/form-data"
			use:sendForm
			class="flex flex-wrap items-end gap-3 tablet:ml-auto"
		>
			<label class="button">
				<FilePlus2 size={17} /> Import job
				<input
					type="file"
					name="file"
					accept=".json,application/json"
					class="sr-only"
					onchange={(event) => event.currentTarget.form?.requestSubmit()}
				/>
			</label>
			<a class="button button-main" href="/jobs/new"><Plus size={17} /> New job</a>
		</form>
	</div>

	{#if form?.problems}
		<section role="alert" class="mt-5 max-w-4xl border-l-4 border-stop py-1 pl-4">
			<h2 class="font-semibold">
				{form.file ?? 'The file'}: import failed; nothing was changed
			</h2>
			<ul class="mt-1">
				{#each form.problems as problem, i (i)}
					<li>{problemText(problem)}</li>
				{/each}
			</ul>
		</section>
	{/if}

	<div bind:this={list} class="mt-6">
		{#if data.jobs.length > 0}
			<JobTable jobs={data.jobs} />
			{#if data.more}
				<p class="mt-3 text-soft">
					The newest {data.jobs.length} are shown. Find to narrow it down.
				</p>
			{/if}
		{:else if data.find}
			<p class="border-t-2 border-ink py-6">
				No job, customer or engine has “{data.find}” in it.
				<a class="underline" href="/">Show all</a>
			</p>
		{:else}
			<p class="border-t-2 border-ink py-6">
				The bench is empty. <a class="underline" href="/jobs/new">Make the first job</a>, or import
				one.
			</p>
		{/if}
	</div>
</main>
