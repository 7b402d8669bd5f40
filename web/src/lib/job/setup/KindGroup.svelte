<script lang="ts">
	/** One group of what intake and exhaust each have: a row a field, open or folded with what is set in it. */
	import { KINDS } from '@zinc-ledger/core';
	import type { Values } from '$lib/forms/flat';
	import Disclosure from '$lib/ui/Disclosure.svelte';
	import type { Group } from './fields';
	import KindRow from './KindRow.svelte';
	import { summaryOf } from './summary';

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
		<KindRow
			{field}
			bind:values
			{problems}
			class="grid-cols-2 tablet:grid-cols-[12rem_1fr_1fr]"
			named="col-span-2 tablet:col-span-1"
		/>
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
