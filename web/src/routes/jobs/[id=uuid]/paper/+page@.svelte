<script lang="ts">
	import Printer from '@lucide/svelte/icons/printer';
	import { goto } from '$app/navigation';
	import { getBench } from '$lib/bench/bench.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import { paperOf } from '$lib/signing/paper/layout';
	import PaperSheet from '$lib/signing/paper/PaperSheet.svelte';
	import { printedDraft } from '$lib/signing/paper/printed';
	import Button from '$lib/ui/Button.svelte';

	let { data } = $props();
	useKeys([
		{ keys: ['p'], does: 'print' },
		{ keys: ['Esc'], does: 'back to the job' }
	]);
	const bench = getBench();
	const paper = $derived(paperOf(printedDraft(data.job, bench.units)));
	const root = $derived(`/jobs/${data.job.id}`);

	function press(event: KeyboardEvent) {
		if (event.key === 'p' && !event.ctrlKey && !event.metaKey) window.print();
		if (event.key === 'Escape') void goto(root);
	}
</script>

<svelte:head>
	<title>{data.job.number} {data.job.engine.name}, sheet</title>
	<svelte:element this={"style"}
		>{`@page { size: ${data.size}; margin: 11mm 12mm; }`}</svelte:element
	>
</svelte:head>
<svelte:window onkeydown={press} />

<div class="flex flex-wrap items-center gap-3 border-b border-rule px-6 py-2 print:hidden">
	<Button href={root}>Back to the job</Button>
	{#each ['A4', 'Letter'] as const as size (size)}
		<a
			class="flex min-h-11 items-center px-2 aria-[current=true]:font-semibold aria-[current=true]:underline aria-[current=true]:decoration-chromate aria-[current=true]:decoration-2 aria-[current=true]:underline-offset-4"
			href="?size={size}"
			aria-current={data.size === size}
		>
			{size}
		</a>
	{/each}
	<Button onclick={() => window.print()} look="main"><Printer size={17} /> Print</Button>
</div>
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<main
	id="main"
	tabindex="0"
	class="min-h-0 flex-1 overflow-auto p-6 print:overflow-visible print:p-0"
>
	<PaperSheet {paper} size={data.size} />
</main>
