<script lang="ts">
	/** What is said of a set, to be said otherwise: its sweeps are worked out by it. */
	import type { LibraryPart } from '@zinc-ledger/core';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Disclosure from '$lib/ui/Disclosure.svelte';
	import SetFields from './SetFields.svelte';

	interface Props {
		set: {
			readonly name: string;
			readonly card: { readonly id?: string | undefined } | null;
			readonly build: string | undefined;
			readonly jobNumber: string | null;
			readonly seat: string;
			readonly lift: string;
		};
		cards: readonly LibraryPart[];
		/** What was typed and refused, with what is wrong. */
		refused: {
			readonly typed: Readonly<Record<string, string>>;
			readonly problems: Readonly<Record<string, string>>;
		} | null;
	}
	let { set, cards, refused }: Props = $props();
	const kept = $derived({
		name: set.name,
		card: set.card?.id ?? '',
		build: set.build ?? '',
		job: set.jobNumber ?? '',
		seat: set.seat,
		lift: set.lift
	});
	let open = $derived(refused !== null);
</script>

<Disclosure title="Edit the set" bind:open class="mt-3">
	<form
		method="POST"
		action="?/edit"
		use:sendForm={{ reset: false, after: ({ type }) => (open = type === 'failure') }}
		class="max-w-md space-y-3 text-[13px]"
	>
		<SetFields {cards} values={refused?.typed ?? kept} problems={refused?.problems ?? {}} />
		<Button look="main">Save the set</Button>
	</form>
</Disclosure>
