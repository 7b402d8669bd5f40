<script lang="ts">
	/** Ruled rows under their heads: the ledger's own table. Its head is ruled in ink, its rows by a hair. */
	import type { ClassValue, HTMLTableAttributes } from 'svelte/elements';

	interface Props extends Omit<HTMLTableAttributes, 'class'> {
		class?: ClassValue;
	}
	let { class: extra = '', children, ...rest }: Props = $props();
</script>

<table {...rest} class={['ledger', extra]}>{@render children?.()}</table>
