<script lang="ts">
	/** What a customer sees who was given a link: which sheet it is, and the paper. */
	import { page } from '$app/state';
	import { useKeys } from '$lib/keys/keys.svelte';
	import Button from '$lib/ui/Button.svelte';
	import { moment } from '$lib/ui/words';

	let { data } = $props();
	useKeys([]);
	const paper = $derived(`${page.url.pathname}/sheet.pdf`);
</script>

<svelte:head>
	<title>Sheet of job {data.number}</title>
	<meta name="robots" content="noindex" />
</svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-8 tablet:px-10">
	<p class="figure text-soft">Job {data.number}, sheet {data.revision}</p>
	<h1 class="mt-1 text-2xl font-semibold">{data.engine}</h1>
	<p class="mt-1">{data.customer}</p>
	<p class="mt-4 text-soft">Measured and signed by {data.by}, {moment(data.at)}.</p>
	<p class="mt-6 flex flex-wrap gap-3">
		<Button look="main" href="{paper}?size=A4">Open the sheet, A4</Button>
		<Button href="{paper}?size=Letter">Letter</Button>
	</p>
	<p class="mt-6 text-[13px] text-soft">
		This link opens your copy until {moment(data.until)}. The shop can end it before then.
	</p>
</main>
