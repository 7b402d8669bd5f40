<script lang="ts">
	/** One part's fields; what is typed stays when the server will not have it. */
	import { untrack, type Snippet } from 'svelte';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import type { PartType } from '@zinc-ledger/core';
	import FormField from '$lib/forms/FormField.svelte';
	import type { Values } from '$lib/forms/flat';
	import { focusNamed } from '$lib/forms/focus';
	import { fieldsOf } from './fields';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';

	interface Props {
		type: PartType;
		title: string;
		initial: Values;
		form: { message?: string; problems?: Record<string, string>; values?: Values } | null;
		/** What else there is to do with this part. */
		children?: Snippet;
	}
	let { type, title, initial, form, children }: Props = $props();
	let values = $state(untrack(() => ({ ...(form?.values ?? initial) })));
	const problems = $derived(form?.problems ?? {});
</script>

<main id="main" class="flex-1 overflow-auto bg-paper px-8 pb-10">
	<form method="POST" {@attach focusNamed} use:sendForm={{ reset: false }}>
		<input type="hidden" name="revision" value={values.revision ?? ''} />
		<div class="sticky top-0 z-[1] flex items-center gap-4 border-b-2 border-ink bg-paper py-3">
			<h1 class="text-xl font-semibold">{title}</h1>
			<Alert problem={form?.message} />
			<span class="ml-auto">{@render children?.()}</span>
			<Button href="/parts?type={type}">Cancel</Button>
			<Button look="main">Save</Button>
		</div>
		<div class="mt-3 grid max-w-5xl gap-x-10 bench:grid-cols-2">
			{#each fieldsOf(type) as field (field.path)}
				<div class="grid grid-cols-[12rem_1fr] items-center gap-x-3 border-b border-hair py-1">
					<span class="text-[13px] text-soft">{field.label}</span>
					<div>
						<FormField
							{field}
							path={field.path}
							label={field.label}
							bind:value={() => values[field.path] ?? '', (text) => (values[field.path] = text)}
							problem={problems[field.path]}
						/>
					</div>
				</div>
			{/each}
		</div>
		<p class="mt-4 max-w-prose text-[13px] text-soft">
			Leave empty what is not known: a rule that needs it will say so, and not pass. Several lengths
			in one field are separated by semicolons.
		</p>
	</form>
</main>
