<script lang="ts">
	import Button from '$lib/ui/Button.svelte';
	import Input from '$lib/ui/Input.svelte';
	/** Asks why something is taken back, and does it with the answer. */
	interface Props {
		/** What the field is called where it cannot be seen. */
		label: string;
		placeholder?: string;
		word?: string;
		onreason: (reason: string) => void;
	}
	let { label, placeholder = 'Reason', word = 'Withdraw', onreason }: Props = $props();
	let reason = $state('');

	function submit(event: SubmitEvent) {
		event.preventDefault();
		onreason(reason.trim());
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
