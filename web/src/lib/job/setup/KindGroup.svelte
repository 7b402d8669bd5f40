<script lang="ts">
	/** One group of what intake and exhaust each have: a row a field, open or folded with what is set in it. */
	import { KINDS } from '@zinc-ledger/core';
	import FormField from '$lib/forms/FormField.svelte';
	import type { Values } from '$lib/forms/flat';
	import Disclosure from '$lib/ui/Disclosure.svelte';
	import type { Group } from './fields';
	import { summaryOf } from './summary';
	import { isShown } from './values';

	interface Props {
		group: Group;
		values: Values;
		problems: Readonly<Record<string, string>>;
	}
	let { group, values = $bindable(), problems }: Props = $props();
	let opened = $state(false);
	const hasProblem = $derived(
		group.fields.some(({ path }) => KINDS.some((kind) => problems[`kinds.${kind}.${path}`]))
	);
</script>

{#snippet rows()}
	{#each group.fields as field, i (i)}
		{@const shown = KINDS.filter((kind) =>
			isShown({ ...field, path: `kinds.${kind}.${field.path}` }, values)
		)}
		{#if shown.length > 0}
			<div
				class="grid grid-cols-2 items-center gap-x-3 border-b border-hair py-1 tablet:grid-cols-[12rem_1fr_1fr]"
			>
				<span class="col-span-2 text-[13px] text-soft tablet:col-span-1">{field.label}</span>
				{#each KINDS as kind (kind)}
					{@const path = `kinds.${kind}.${field.path}`}
					<div>
						{#if shown.includes(kind)}
							<FormField
								{field}
								{path}
								label="{kind}: {field.label}"
								bind:value={() => values[path] ?? '', (text) => (values[path] = text)}
								problem={problems[path]}
							/>
						{/if}
					</div>
				{/each}
			</div>
		{/if}
	{/each}
{/snippet}

{#if group.isFirst}
	<h3 class="mt-5 border-b border-ink pb-1 font-semibold">{group.title}</h3>
	{@render rows()}
{:else}
	<Disclosure
		class="border-b border-hair"
		keep
		title={group.title}
		note={summaryOf(group.fields, values, KINDS)}
		bind:open={() => opened || hasProblem, (open) => (opened = open)}
	>
		{@render rows()}
	</Disclosure>
{/if}
