<script lang="ts">
	/** One field of the set-up form: a text or a choice, with its problem under it. */
	import type { FieldSpec } from '$lib/forms/flat';
	import Select from '$lib/ui/Select.svelte';
	import Input from '$lib/ui/Input.svelte';

	interface Props {
		field: FieldSpec;
		path: string;
		value: string;
		problem?: string | undefined;
		label: string;
	}
	let { field, path, value = $bindable(), problem, label }: Props = $props();
	const about = $derived(problem ? `${path}-problem` : undefined);
	const numeric = $derived(field.type !== 'text');
	const choices = $derived(field.type === 'yes-no' ? ['yes', 'no'] : field.choices);
	// A choice that may be left open has an empty one; these stand at their first.
	const always = $derived(
		/(\.type|\.source|\.engine|method|lifters|measuringOrder|chamberOpen)$/.test(path)
	);
</script>

<div data-field={path}>
	{#if choices}
		<Select
			name={path}
			options={[
				...(always ? [] : [{ value: '', label: '' }]),
				...choices.map((choice) => ({ value: choice, label: field.names?.[choice] ?? choice }))
			]}
			bind:value
			aria-label={label}
			aria-invalid={problem ? 'true' : undefined}
			aria-describedby={about}
		/>
	{:else}
		<Input
			figure={numeric}
			class={numeric ? 'text-right' : ''}
			name={path}
			bind:value
			aria-label={label}
			aria-invalid={problem ? 'true' : undefined}
			aria-describedby={about}
		/>
	{/if}
	{#if problem}<p id={about} class="mt-0.5 text-[13px] font-semibold text-stop">{problem}</p>{/if}
</div>
