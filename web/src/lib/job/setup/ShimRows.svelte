<script lang="ts">
	/** Shims that the job has, and the shop does not count. */
	import type { Snippet } from 'svelte';

	const SHIM_PARTS = ['thickness', 'count', 'inside', 'outside'] as const;
	interface Props {
		rows: number;
		entry: Snippet<[path: string, label: string]>;
	}
	let { rows, entry }: Props = $props();
</script>

<p class="pt-1 text-[13px] text-soft">
	A size that the shop’s library counts is taken from that stock. Enter a count only for sizes it
	does not have; left empty, they are not counted.
</p>
<div class="grid grid-cols-4 gap-x-3 pt-1 text-[13px] text-soft">
	<span>Thickness</span><span>Count</span><span>ID</span><span>OD</span>
</div>
{#each { length: rows }, row (row)}
	<div class="grid grid-cols-4 gap-x-3 border-b border-hair py-1">
		{#each SHIM_PARTS as part (part)}
			{@render entry(`shimStock.${row}.${part}`, `Shim size ${row + 1}, ${part}`)}
		{/each}
	</div>
{/each}
