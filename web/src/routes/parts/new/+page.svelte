<script lang="ts">
	import { useKeys } from '$lib/keys/keys.svelte';
	import PartForm from '$lib/parts/library/PartForm.svelte';

	let { data, form } = $props();
	useKeys([{ keys: ['Enter'], does: 'keep the part' }]);
</script>

<svelte:head><title>New {data.type} · Zinc Ledger</title></svelte:head>

{#key data.type}
	<PartForm type={data.type} title="New {data.type}" initial={data.values} {form} />
{/key}
