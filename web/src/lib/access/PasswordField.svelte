<script lang="ts">
	/** A password, to be looked at while it is typed; a new one says how hard it is to guess. */
	import { label as worded } from '@zinc-ledger/words';
	import type { Message } from '@zinc-ledger/core';
	import Button from '$lib/ui/Button.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Input from '$lib/ui/Input.svelte';
	import { PASSWORD_MIN } from './roles';
	import { stepOf, strengthOf } from './strength';

	interface Props {
		label: string;
		name: string;
		problem?: string | Message | null | undefined;
		/** Whether one is chosen here, and not told. */
		isNew?: boolean;
		/** What is known of whoever chooses, and guessed first. */
		names?: readonly string[];
	}
	let { label, name, problem, isNew = false, names = [] }: Props = $props();

	let value = $state('');
	let shown = $state(false);
	const turn = $derived(shown ? 'Hide' : 'Show');
</script>

<div>
	<Field
		{label}
		{problem}
		hint={isNew ? `${PASSWORD_MIN} characters or more; spaces and any letters do` : undefined}
	>
		{#snippet control(attributes)}
			<div class="flex items-center gap-3">
				<Input
					{name}
					type={shown ? 'text' : 'password'}
					bind:value
					autocomplete={isNew ? 'new-password' : 'current-password'}
					autocapitalize="none"
					spellcheck="false"
					class="min-w-0"
					{...attributes}
				/>
				<Button
					type="button"
					look="quiet"
					aria-label="{turn} {label.toLowerCase()}"
					onclick={() => (shown = !shown)}>{turn}</Button
				>
			</div>
		{/snippet}
	</Field>
	{#if isNew}
		<p class="mt-1 flex min-h-5 items-center gap-3 text-[13px]" role="status">
			{#await value === '' ? null : strengthOf(value, names) then strength}
				{#if strength}
					<span class="flex gap-px" aria-hidden="true">
						{#each { length: 5 }, step (step)}
							<span class="h-1.5 w-5 {step < stepOf(strength) ? 'bg-ink' : 'bg-rule'}"></span>
						{/each}
					</span>
					{worded('strength', strength)}
				{/if}
			{:catch}
				<!-- Cut off from its lists it says nothing. -->
			{/await}
		</p>
	{/if}
</div>
