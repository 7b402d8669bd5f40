<script lang="ts">
	import { useKeys } from '$lib/keys/keys.svelte';
	import TemplateForm from '$lib/job/templates/TemplateForm.svelte';

	let { data, form } = $props();
	useKeys([{ keys: ['Enter'], does: 'keep the template' }]);
</script>

<svelte:head><title>New template · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 pb-10 bench:px-8">
	<TemplateForm title="Template of an engine" initial={data.values} {form} />
</main>
