<script lang="ts">
	import { untrack } from 'svelte';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import FormField from '$lib/forms/FormField.svelte';
	import type { Values } from '$lib/forms/flat';
	import { GAUGE_FIELDS } from './fields';

	interface Props {
		initial: Values;
		action?: string;
		form: { message?: string; problems?: Record<string, string>; values?: Values } | null;
	}
	let { initial, action, form }: Props = $props();
	let values = $state(untrack(() => ({ ...(form?.values ?? initial) })));
	const problems = $derived(form?.problems ?? {});
</script>

<form method="POST" {action} use:sendForm={{ reset: false }}>
	<input type="hidden" name="revision" value={values.revision ?? ''} />
	{#each GAUGE_FIELDS as field (field.path)}
		<div class="grid grid-cols-[11rem_1fr] items-center gap-x-3 border-b border-hair py-1">
			<span class="text-[13px] text-soft">{field.label}</span>
			<FormField
				{field}
				path={field.path}
				label={field.label}
				bind:value={() => values[field.path] ?? '', (text) => (values[field.path] = text)}
				problem={problems[field.path]}
			/>
		</div>
	{/each}
	{#if form?.message}<p role="alert" class="mt-2 font-semibold text-stop">{form.message}</p>{/if}
	<button class="button button-main mt-3">Save</button>
</form>
