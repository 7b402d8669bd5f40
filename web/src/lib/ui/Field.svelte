<script lang="ts">
	/** A labelled field with its problem, if any, said right under it. */
	import type { Snippet } from 'svelte';
	import type { Message } from '@zinc-ledger/core';
	import { fieldText } from '@zinc-ledger/words';

	interface Props {
		label: string;
		problem?: string | Message | null | undefined;
		hint?: string | undefined;
		/** The control; give it the id and aria attributes it is handed. */
		control: Snippet<[{ id: string; 'aria-invalid'?: 'true'; 'aria-describedby'?: string }]>;
		class?: string;
	}
	let { label, problem: wrong, hint, control, class: extra = '' }: Props = $props();
	const id = $props.id();
	const problem = $derived(fieldText(wrong));
	const about = $derived(problem || hint ? `${id}-about` : undefined);
</script>

<div class={extra}>
	<label for={id} class="mb-1 block text-[13px] text-soft">{label}</label>
	{@render control({
		id,
		...(problem && { 'aria-invalid': 'true' as const }),
		...(about && { 'aria-describedby': about })
	})}
	{#if problem}
		<p id={about} class="mt-1 text-[13px] font-semibold text-stop">{problem}</p>
	{:else if hint}
		<p id={about} class="mt-1 text-[13px] text-faint">{hint}</p>
	{/if}
</div>
