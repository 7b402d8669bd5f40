<script lang="ts">
	/** Asks why something is taken back or left out, and does it with the answer. */
	import { isReason } from '@zinc-ledger/core';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Input from '$lib/ui/Input.svelte';

	interface Props {
		/** What the field is called where it cannot be seen. */
		label: string;
		placeholder?: string;
		word?: string;
		onreason: (reason: string) => void;
	}
	let { label, placeholder = 'Reason', word = 'Withdraw', onreason }: Props = $props();
	let reason = $state('');
	let problem = $state<string | null>(null);

	function submit(event: SubmitEvent) {
		event.preventDefault();
		problem = isReason(reason) ? null : 'Enter a reason of at least one word.';
		if (problem === null) onreason(reason.trim());
	}
</script>

<form class="my-1 flex w-full max-w-xl gap-2" onsubmit={submit}>
	<Input
		aria-label={label}
		{placeholder}
		maxlength={200}
		bind:value={reason}
		required
		{@attach (input) => input.focus()}
	/>
	<Button>{word}</Button>
</form>
<Alert {problem} />
