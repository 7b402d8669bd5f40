<script lang="ts">
	import Printer from '@lucide/svelte/icons/printer';
	import { useKeys } from '$lib/keys/keys.svelte';
	import Button from '$lib/ui/Button.svelte';

	let { data } = $props();
	useKeys([{ keys: ['Ctrl', 'P'], does: 'print' }]);
</script>

<svelte:head><title>Labels of {data.set.name}</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-plate p-6 print:bg-white print:p-0">
	<div class="mb-4 flex items-center gap-3 print:hidden">
		<Button href="/springs/{data.set.id}">Back to the set</Button>
		<Button onclick={() => window.print()} look="main"><Printer size={17} /> Print</Button>
		<span class="text-soft"
			>{data.access.network
				? 'The code opens the spring’s record.'
				: 'The code says set and tag.'}</span
		>
	</div>
	<ul class="scheme-light grid w-[190mm] max-w-full grid-cols-4 gap-2 bg-white p-3 text-ink">
		{#each data.labels as { tag, code } (tag)}
			<li class="flex break-inside-avoid items-center gap-2 border border-rule p-2">
				<!-- eslint-disable-next-line svelte/no-at-html-tags -- drawn by the server itself -->
				<span class="block size-16 flex-none" aria-hidden="true">{@html code}</span>
				<span class="min-w-0">
					<b class="figure block text-xl">{tag}</b>
					<span class="block text-[11px] leading-tight break-words">{data.set.name}</span>
				</span>
			</li>
		{/each}
	</ul>
</main>
