<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { Book, setBook } from '$lib/job/book.svelte';
	import Rail from '$lib/job/Rail.svelte';
	import { outbox } from '$lib/outbox/outbox.svelte';

	let { data, children } = $props();

	const book = new Book(untrack(() => data.job));
	setBook(book);

	$effect.pre(() => book.load(data.job));

	onMount(() => {
		void outbox.open((jobId, readings) => {
			if (jobId === book.job.id) book.confirm(readings);
		});
	});
</script>

<div class="flex min-h-0 flex-1 flex-col bench:flex-row">
	<Rail {book} />
	<main id="main" class="flex min-h-0 min-w-0 flex-1 flex-col bg-paper">
		{@render children()}
	</main>
</div>
