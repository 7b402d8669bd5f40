<script lang="ts">
	/** A head is back: what is taken over from its last signed sheet, and what happened since. */
	import { untrack } from 'svelte';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Checkbox from '$lib/ui/Checkbox.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { moment } from '$lib/ui/words';
	import { sinceTexts } from '$lib/visits/comparison/since';
	import SinceFields from '$lib/visits/comparison/SinceFields.svelte';

	let { data, form } = $props();
	useKeys([{ keys: ['Enter'], does: 'begin the visit' }]);
	const typed = untrack(() => form?.values as Record<string, string> | undefined);
	let values = $state({ ...sinceTexts(null), ...typed });
	let number = $state(untrack(() => typed?.number ?? data.number));
	let also = $state<Record<string, boolean>>({});
	const problems = $derived<Record<string, string>>(form?.problems ?? {});
</script>

<svelte:head><title>This head is back · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-4 bench:px-8 bench:py-6">
	<form method="POST" use:sendForm={{ reset: false }} class="max-w-5xl">
		<div class="flex flex-wrap items-center gap-3 border-b-2 border-ink pb-2">
			<h1 class="text-2xl font-semibold">This head is back</h1>
			<span class="text-soft">
				{data.head.engine ?? 'on no engine'}, {data.head.place}{data.head.mark
					? `, ${data.head.mark}`
					: ''}
			</span>
			<Button href="/heads/{data.head.id}" class="ml-auto">Cancel</Button>
			{#if data.last}<Button look="main">Begin the visit</Button>{/if}
		</div>
		{#if data.last}
			<p class="mt-3 max-w-3xl text-soft">
				Starts from
				<a class="underline" href="/jobs/{data.last.job}"
					>job <span class="figure">{data.last.number}</span></a
				>, sheet {data.last.revision}, signed {moment(data.last.at)}: set-up, parts, shims and
				tagged springs as they were signed. Nothing is read of this visit yet. What was tested then
				counts as tested before it ran, and clears nothing.
			</p>
			<div class="mt-4 flex flex-wrap items-end gap-x-6 gap-y-3">
				<TextField
					label="Job number"
					name="number"
					figure
					problem={problems.number}
					bind:value={number}
				/>
				{#each data.beside as { id, name, mark } (id)}
					<Checkbox bind:checked={() => also[id] ?? false, (is) => (also[id] = is)}>
						The {name} head came with it {mark ?? ''}
					</Checkbox>
					{#if also[id]}<input type="hidden" name="also.{id}" value="yes" />{/if}
				{/each}
			</div>
			<h2 class="mt-5 mb-2 border-b border-ink pb-1 font-semibold">
				Since then, as far as it is known
			</h2>
			<SinceFields bind:values {problems} />
			<p class="caution mt-5">
				Turn no adjuster before its lash was read as found: once it is turned, nobody can tell what
				moved.
			</p>
		{:else}
			<p class="mt-3">
				Nothing was signed of this head yet, so there is nothing to start from.
				<a class="underline" href="/jobs/new">Take it in as a new job</a>.
			</p>
		{/if}
	</form>
</main>
