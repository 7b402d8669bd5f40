<script lang="ts">
	/** The name of a quantity: a press on it explains it. */
	import type { HelpTopic } from '@zinc-ledger/words/help';
	import Button from '$lib/ui/Button.svelte';
	import { getHelp } from './help.svelte';

	let { topic, name }: { topic: HelpTopic; name: string } = $props();
	const help = getHelp();
</script>

<Button
	look="quiet"
	type="button"
	class="bench:min-h-0 text-left no-underline decoration-dotted underline-offset-4 hover:underline"
	data-help={topic}
	aria-haspopup="dialog"
	onclick={() => help.show(topic)}>{name}</Button
>
