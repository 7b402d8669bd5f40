<script lang="ts">
	/** Something that is wanted, as a link to its very field, which opens beside the page. */
	import type { Snippet } from 'svelte';
	import type { Kind, Need } from '@zinc-ledger/core';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import { fieldOfNeed, placeOfNeed } from './needs';

	interface Props {
		need: Need;
		/** The kinds of valves that want it. */
		kinds: readonly Kind[];
		title: string;
		class?: string;
		children: Snippet;
	}
	let { need, kinds, title, class: more = '', children }: Props = $props();
	const store = getJobStore();
	let open = $state(false);
	/** A new tab is opened as anywhere else. */
	const isPlain = ({ button, ctrlKey, metaKey, shiftKey }: MouseEvent) =>
		button === 0 && !ctrlKey && !metaKey && !shiftKey;

	function press(event: MouseEvent) {
		if (!isPlain(event) || !fieldOfNeed(need, kinds[0]!, store.job)) return;
		event.preventDefault();
		open = true;
	}
</script>

<a class={['underline', more]} href={placeOfNeed(need, kinds[0]!, store.job)} onclick={press}
	>{@render children()}</a
><Dialog bind:open {title} from="side">
	{#await import('./NeedFields.svelte') then { default: NeedFields }}
		<NeedFields {need} {kinds} ondone={() => (open = false)} />
	{/await}
</Dialog>
