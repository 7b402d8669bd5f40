<script lang="ts">
	/** Fields of the whole job: what changes everything else stands open, the rest is folded with what is set in it. */
	import type { Values } from '$lib/forms/flat';
	import Disclosure from '$lib/ui/Disclosure.svelte';
	import FieldColumn from './FieldColumn.svelte';
	import { JOB_GROUPS, type Group } from './fields';
	import { summaryOf } from './summary';

	interface Props {
		values: Values;
		problems: Readonly<Record<string, string>>;
	}
	let { values = $bindable(), problems }: Props = $props();
	let opened = $state<Record<string, boolean>>({});
	const isOpen = ({ title, fields }: Group) =>
		(opened[title] ?? false) || fields.some(({ path }) => problems[path]);
</script>

{#each JOB_GROUPS as group (group.title)}
	{#if group.isFirst}
		<FieldColumn title={group.title} fields={group.fields} bind:values {problems} />
	{:else}
		<Disclosure
			class="border-b border-hair"
			keep
			title={group.title}
			note={summaryOf(group.fields, values)}
			bind:open={() => isOpen(group), (open) => (opened[group.title] = open)}
		>
			<FieldColumn fields={group.fields} bind:values {problems} />
		</Disclosure>
	{/if}
{/each}
