<script lang="ts">
	/** Cylinders whose lift or lash is their own. */
	import type { Snippet } from 'svelte';
	import { KINDS } from '@zinc-ledger/core';
	import type { Values } from '$lib/forms/flat';
	import Select from '$lib/ui/Select.svelte';
	import { plain } from '$lib/ui/options';

	interface Props {
		rows: number;
		values: Values;
		entry: Snippet<[path: string, label: string]>;
	}
	let { rows, values = $bindable(), entry }: Props = $props();
</script>

<div class="grid grid-cols-[5rem_1fr_1fr_1fr_1fr] gap-x-3 pt-1 text-[13px] text-soft">
	<span>Cylinder</span><span>Valve</span><span>Lift given at</span><span>Lift</span><span>Lash</span
	>
</div>
{#each { length: rows }, row (row)}
	<div class="grid grid-cols-[5rem_1fr_1fr_1fr_1fr] gap-x-3 border-b border-hair py-1">
		{@render entry(`overrides.${row}.cylinder`, `Override ${row + 1}, cylinder`)}
		{#each [['kind', KINDS], ['type', ['valve', 'lobe']]] as const as [part, choices] (part)}
			{@const path = `overrides.${row}.${part}`}
			<Select
				name={path}
				aria-label="Override {row + 1}, {part === 'kind' ? 'valve' : 'lift given at'}"
				options={plain<string>(choices)}
				bind:value={() => values[path] ?? choices[0], (text) => (values[path] = text)}
			/>
		{/each}
		{@render entry(`overrides.${row}.lift`, `Override ${row + 1}, lift`)}
		{@render entry(`overrides.${row}.lash`, `Override ${row + 1}, lash`)}
	</div>
{/each}
