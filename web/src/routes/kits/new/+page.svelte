<script lang="ts">
	import { useKeys } from '$lib/keys/keys.svelte';
	import KitForm from '$lib/parts/kits/KitForm.svelte';

	let { form } = $props();
	useKeys([{ keys: ['Enter'], does: 'keep the kit' }]);
</script>

<svelte:head><title>New kit · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 pb-10 bench:px-8">
	<KitForm {form} />
</main>
