<script lang="ts">
	/** Does something where only a component may, for tests of what belongs to one. */
	let { act }: { act: () => void } = $props();
	act();
</script>
