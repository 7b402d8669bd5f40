<script lang="ts">
	import { untrack } from 'svelte';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import FormField from '$lib/forms/FormField.svelte';
	import type { Values } from '$lib/forms/flat';
	import { GAUGE_FIELDS } from './fields';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';

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
	<Alert problem={form?.message} class="mt-2" />
	<Button look="main" class="mt-3">Save</Button>
</form>
