<script lang="ts" generics="P extends object">
	/** A component with the bench and the job that it asks for, for tests. */
	import { untrack, type Component } from 'svelte';
	import { setBench, type Bench } from '$lib/bench/bench.svelte';
	import { setBook, type Book } from '$lib/job/book.svelte';

	let {
		of: Of,
		given,
		bench,
		book
	}: { of: Component<P>; given: P; bench: Bench; book: Book } = $props();
	setBench(untrack(() => bench));
	setBook(untrack(() => book));
</script>

<Of {...given} />
