<script lang="ts" generics="P extends object">
	/** A component with the bench and the job that it asks for, for tests. */
	import { untrack, type Component } from 'svelte';
	import { setBench, type Bench } from '$lib/bench/bench.svelte';
	import { setJobStore, type JobStore } from '$lib/job/store/job-store.svelte';

	let {
		of: Of,
		given,
		bench,
		store
	}: { of: Component<P>; given: P; bench: Bench; store: JobStore } = $props();
	setBench(untrack(() => bench));
	setJobStore(untrack(() => store));
</script>

<Of {...given} />
