<script lang="ts">
	import FilePlus2 from '@lucide/svelte/icons/file-plus-2';
	import Plus from '@lucide/svelte/icons/plus';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import { goto } from '$app/navigation';
	import { isTyping, useKeys } from '$lib/keys/keys.svelte';
	import { JOB_FILTERS, listAddress } from '$lib/job/store/list';
	import FirstRun from '$lib/job/store/FirstRun.svelte';
	import JobTable from '$lib/job/store/JobTable.svelte';
	import { label, problemText } from '@zinc-ledger/words';
	import { capital } from '$lib/ui/words';
	import Button from '$lib/ui/Button.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import FileButton from '$lib/ui/FileButton.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	let { data, form } = $props();
	useKeys([
		{ keys: ['n'], does: 'new job' },
		{ keys: ['↑', '↓'], does: 'job above, job below' },
		{ keys: ['Enter'], does: 'open the job' }
	]);

	let list: HTMLElement;

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
	<Alert problem={data.warning} class="mb-3" />
	{#if data.strays > 0}
		<Alert look="watch" class="mb-3">
			{data.strays} reading{data.strays === 1 ? '' : 's'} sent again after the restore could not be assigned
			to a job. <a class="underline" href="/strays">Show readings</a>
		</Alert>
	{/if}
	<div class="flex flex-wrap items-end gap-x-6 gap-y-3">
		<h1 class="text-2xl font-semibold">Jobs</h1>
		<form role="search" action="/" class="w-full tablet:w-80">
			<TextField
				label="Find by number, customer or engine"
				name="find"
				type="search"
				value={data.query.find}
				oninput={(event) => {
					const find = event.currentTarget.value;
					void goto(listAddress(data.query, { find }), { replaceState: true, keepFocus: true });
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
			<FileButton name="file" accept=".json,application/json">
				<FilePlus2 size={17} /> Import job
			</FileButton>
			<Button href="/jobs/new" look="main"><Plus size={17} /> New job</Button>
		</form>
	</div>

	{#if form?.problems}
		<Alert look="stop" class="mt-5 max-w-4xl">
			<h2 class="font-semibold">
				{form.file ?? 'The file'}: import failed; nothing was changed
			</h2>
			<ul class="mt-1">
				{#each form.problems as problem, i (i)}
					<li>{problemText(problem)}</li>
				{/each}
			</ul>
		</Alert>
	{/if}

	{#if data.begun && !data.query.find}<FirstRun done={data.begun} />{/if}
	<nav aria-label="Which jobs" class="mt-4 -ml-2.5 flex flex-wrap gap-x-1 text-[14px]">
		{#each JOB_FILTERS as filter (filter)}
			<Button
				look="filter"
				href={listAddress(data.query, { filter })}
				aria-current={filter === data.query.filter ? 'page' : undefined}
			>
				{capital(label('jobFilter', filter))}
			</Button>
		{/each}
	</nav>
	<div bind:this={list} class="mt-3">
		{#if data.jobs.length > 0}
			<JobTable jobs={data.jobs} query={data.query} />
			{#if data.more}
				<p class="mt-3 text-soft">
					The newest {data.jobs.length} are shown. Find to narrow it down.
				</p>
			{/if}
		{:else if data.query.filter !== 'all'}
			<p class="border-t-2 border-ink py-6">
				No job is “{label('jobFilter', data.query.filter)}”{data.query.find
					? ` and has “${data.query.find}” in it`
					: ''}.
				<a class="underline" href="/">Show all</a>
			</p>
		{:else if data.query.find}
			<p class="border-t-2 border-ink py-6">
				No job, customer or engine has “{data.query.find}” in it.
				<a class="underline" href="/">Show all</a>
			</p>
		{:else}
			<p class="border-t-2 border-ink py-6">There is no job yet.</p>
		{/if}
	</div>
</main>
