<script lang="ts">
	import { useKeys } from '$lib/keys/keys.svelte';
	import PartForm from '$lib/parts/PartForm.svelte';

	let { data, form } = $props();
	useKeys([{ keys: ['Enter'], does: 'keep the part' }]);
</script>

<svelte:head><title>{data.name} · Zinc Ledger</title></svelte:head>

<PartForm sort={data.sort} title={data.name} initial={data.values} {form} />
