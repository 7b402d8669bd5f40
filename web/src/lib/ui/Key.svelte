<script lang="ts">
	/** A key of the keyboard, as printed on it. */
	let { children }: { children: import('svelte').Snippet } = $props();
</script>

<kbd class="figure rounded-xs border border-current/40 px-1.5 py-px text-xs"
	>{@render children()}</kbd
>
