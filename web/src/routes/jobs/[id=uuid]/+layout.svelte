<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { Book, setBook } from '$lib/job/book.svelte';
	import Rail from '$lib/job/Rail.svelte';
	import { outbox } from '$lib/outbox/outbox.svelte';

	let { data, children } = $props();

	const book = untrack(() => new Book(data.job, data.revision));
	setBook(book);

	$effect.pre(() => book.load(data.job, data.revision));

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
