<script lang="ts">
	import { useKeys } from '$lib/keys/keys.svelte';
	import { page } from '$app/state';
	import PartForm from '$lib/parts/library/PartForm.svelte';
	import Button from '$lib/ui/Button.svelte';

	let { data, form } = $props();
	useKeys([{ keys: ['Enter'], does: 'keep the part' }]);
</script>

<svelte:head><title>{data.name} · Zinc Ledger</title></svelte:head>

<PartForm type={data.type} title={data.name} initial={data.values} {form}>
	{#if data.type === 'cam'}
		<Button href="{page.url.pathname}/lobes">Lift tables</Button>
	{/if}
</PartForm>
