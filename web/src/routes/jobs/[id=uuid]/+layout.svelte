<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { nextOf } from '$lib/frame/phases';
	import PhaseBar from '$lib/frame/PhaseBar.svelte';
	import Rail from '$lib/frame/Rail.svelte';
	import Unsent from '$lib/frame/Unsent.svelte';
	import { Book, setBook } from '$lib/job/book.svelte';
	import { isTyping } from '$lib/keys/keys.svelte';
	import { listenToJob } from '$lib/live/live';
	import { outbox } from '$lib/outbox/outbox.svelte';
	import { offerAfterRestore } from '$lib/outbox/after-restore';

	let { data, children } = $props();

	const book = untrack(() => new Book(data.job, data.revision, data.signed, data.shims));
	setBook(book);

	// Each answer of the server is taken over once: on a step to another page it comes by again, by then old.
	let taken: unknown = untrack(() => data.job);
	$effect.pre(() => {
		if (data.job === taken) return;
		taken = data.job;
		book.load(data.job, data.revision, data.signed, data.shims);
	});

	onMount(() => {
		void outbox.open((jobId, readings) => {
			if (jobId === book.job.id) book.confirm(readings);
		});
	});
	$effect(() => {
		const { id } = data.job;
		return untrack(() =>
			listenToJob(id, {
				readings: (readings) => book.confirm(readings),
				changed: () => void book.refresh(),
				// The line was down: the server may have been restored meanwhile.
				opened: () => void offerAfterRestore()
			})
		);
	});

	/** What is next is one press away, on every page of the job by the same key. */
	function press(event: KeyboardEvent) {
		if (isTyping(event) || event.key !== 'n') return;
		const next = nextOf(book);
		if (next) void goto(next.href);
		event.preventDefault();
	}
</script>

<svelte:window onkeydown={press} />

<div class="flex min-h-0 flex-1 flex-col bench:flex-row">
	<Rail {book} />
	<main id="main" class="flex min-h-0 min-w-0 flex-1 flex-col bg-paper">
		<Unsent jobId={book.job.id} />
		{@render children()}
	</main>
	<PhaseBar {book} />
</div>
