<script lang="ts">
	/** Does something where only a component may, for tests of what belongs to one. */
	import { untrack } from 'svelte';

	let { act }: { act: () => void } = $props();
	untrack(() => act());
</script>
