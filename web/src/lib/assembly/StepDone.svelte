<script lang="ts">
	/** A step that is done: when, by whom, and the way back. */
	import type { AssemblyStep } from '@zinc-ledger/core';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { moment } from '$lib/ui/words';
	import Button from '$lib/ui/Button.svelte';

	interface Props {
		ticked: AssemblyStep;
		onundo: () => void;
		onnext: () => void;
	}
	let { ticked, onundo, onnext }: Props = $props();
	const store = getJobStore();
</script>

<p class="text-[15px]">
	Done {moment(ticked.at)} by {store.initials(ticked.person)}{ticked.count === undefined
		? ''
		: `: ${ticked.count}`}{ticked.measured === undefined ? '' : `: ${ticked.measured}`}{ticked.note
		? `. ${ticked.note}`
		: ''}
</p>
<Button type="button" onclick={onundo}>Undo it, and what came after it here</Button>
<Button type="button" onclick={onnext}>To the next step</Button>
