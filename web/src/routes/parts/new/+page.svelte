<script lang="ts">
	import { useKeys } from '$lib/keys/keys.svelte';
	import PartForm from '$lib/parts/PartForm.svelte';

	let { data, form } = $props();
	useKeys([{ keys: ['Enter'], does: 'keep the part' }]);
</script>

<svelte:head><title>New {data.sort} · Zinc Ledger</title></svelte:head>

{#key data.sort}
	<PartForm sort={data.sort} title="New {data.sort}" initial={data.values} {form} />
{/key}
