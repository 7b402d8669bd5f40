<script lang="ts">
	/** What the shop decides once for its jobs; the careful usual stands where it decides nothing. */
	import { untrack } from 'svelte';
	import FormField from '$lib/forms/FormField.svelte';
	import type { Values } from '$lib/forms/flat';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import { SHOP_FIELDS, SHOP_GROUPS, type SetupFieldSpec } from '$lib/job/setup/fields';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Disclosure from '$lib/ui/Disclosure.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { moment } from '$lib/ui/words';

	let { data, form } = $props();
	useKeys([{ keys: ['Enter'], does: 'keep the shop’s policies' }]);
	let values = $state<Values>(untrack(() => ({ ...data.own, ...form?.values })));
	const problems = $derived<Record<string, string>>(form?.problems ?? {});
	let opened = $state<Record<string, boolean>>({});
	let wanted = $state('');
	const isFound = ({ label }: SetupFieldSpec) =>
		wanted
			.toLowerCase()
			.split(/\s+/)
			.every((word) => label.toLowerCase().includes(word));
	/** A group opens by itself where something is found in it, or is wrong. */
	const isOpen = (title: string, fields: readonly SetupFieldSpec[]) =>
		(opened[title] ?? false) ||
		(wanted.trim() !== '' && fields.some(isFound)) ||
		fields.some(({ path }) => problems[path]);
	const usualOf = ({ path, choices: all = [], names, type }: SetupFieldSpec) => {
		const usual = data.usual[path] || all[0] || (type === 'yes-no' ? 'no' : 'none');
		return names?.[usual] ?? usual;
	};
	const named = (path: string) => SHOP_FIELDS.find((field) => field.path === path);
	const shown = (path: string, text: string | null) =>
		text ? (named(path)?.names?.[text] ?? text) : 'the usual';
</script>

<svelte:head><title>Shop policies · Zinc Ledger</title></svelte:head>

{#snippet rows(fields: readonly SetupFieldSpec[])}
	<p
		class="grid grid-cols-[minmax(0,1fr)_7rem_8rem] gap-x-3 border-b border-ink pb-1 tablet:grid-cols-[minmax(0,1fr)_10rem_12rem]"
	>
		<span></span>
		<span class="text-right text-[13px] font-normal text-soft">usual</span>
		<span class="text-[13px] font-normal text-soft">this shop’s own</span>
	</p>
	{#each fields as field (field.path)}
		<div
			hidden={!isFound(field)}
			class="grid grid-cols-[minmax(0,1fr)_7rem_8rem] items-center gap-x-3 border-b border-hair py-1 tablet:grid-cols-[minmax(0,1fr)_10rem_12rem]"
		>
			<span class="text-[13px] leading-tight text-soft">{field.label}</span>
			<span class="text-right text-[13px] {field.choices ? '' : 'figure'}">{usualOf(field)}</span>
			<FormField
				{field}
				path={field.path}
				label={field.label}
				bind:value={() => values[field.path] ?? '', (text) => (values[field.path] = text)}
				problem={problems[field.path]}
			/>
		</div>
	{/each}
{/snippet}

<main id="main" class="flex-1 overflow-auto bg-paper px-4 pb-10 bench:px-8">
	<form
		method="POST"
		use:sendForm={{
			reset: false,
			after: (result) => {
				if (result.type === 'success') values = { ...data.own };
			}
		}}
	>
		<div
			class="sticky top-0 z-[1] flex flex-wrap items-center gap-3 border-b-2 border-ink bg-paper py-3"
		>
			<h1 class="text-xl font-semibold">Shop policies</h1>
			<Alert problem={form?.message} />
			{#if form && 'changed' in form}
				<p role="status" class="text-[13px]">
					{form.changed} changed; jobs from now on start with it.
				</p>
			{/if}
			<Button look="main" class="ml-auto">Save</Button>
		</div>
		<div class="mt-2 grid gap-x-12 bench:grid-cols-[minmax(0,44rem)_minmax(0,1fr)]">
			<div>
				<p class="mt-2 max-w-prose text-[13px] text-soft">
					Shops differ. The careful choice is the usual one and stands where nothing is said here;
					each job starts with these and may still differ, and its sheet says so.
				</p>
				<TextField
					class="mt-3 max-w-md"
					label="Find a policy"
					type="search"
					autocomplete="off"
					onkeydown={(event) => event.key === 'Enter' && event.preventDefault()}
					bind:value={wanted}
				/>
				<div class="mt-2">
					{#each SHOP_GROUPS as { title, fields } (title)}
						{@const own = fields.filter(({ path }) => values[path]).length}
						<Disclosure
							class="border-b border-hair"
							keep
							{title}
							note={own > 0 ? `${own} of ${fields.length} the shop’s own` : 'none changed'}
							bind:open={() => isOpen(title, fields), (open) => (opened[title] = open)}
						>
							{@render rows(fields)}
						</Disclosure>
					{/each}
				</div>
			</div>
			<div>
				<section aria-label="Signing key">
					<h2 class="mt-5 border-b border-ink pb-1 font-semibold">Signing key</h2>
					<p class="py-1.5 text-[13px] text-soft">
						{data.keys.length > 0
							? 'Signed sheets carry this shop’s digital signature. Anyone with this public key can check it.'
							: 'The key is created when you sign the first sheet.'}
					</p>
					{#each data.keys as key (key)}
						<p class="figure border-b border-hair py-1.5 text-[13px] break-all">{key}</p>
					{/each}
				</section>
				<section aria-label="What was changed">
					<h2 class="mt-5 border-b border-ink pb-1 font-semibold">Changed</h2>
					<ul class="text-[13px]">
						{#each data.changes as { field, from, to, person, at }, i (i)}
							<li class="border-b border-hair py-1.5">
								{named(field)?.label ?? field}: <span class="figure">{shown(field, from)}</span> →
								<b class="figure">{shown(field, to)}</b>
								<span class="block text-soft">{person}, {moment(at)}</span>
							</li>
						{:else}
							<li class="py-1.5 text-soft">Nothing yet.</li>
						{/each}
					</ul>
				</section>
			</div>
		</div>
	</form>
</main>
