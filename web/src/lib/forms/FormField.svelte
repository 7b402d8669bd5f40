<script lang="ts">
	/** One field of the set-up form: a text or a choice, with its problem under it. */
	import type { FieldSpec } from '$lib/forms/flat';

	interface Props {
		field: FieldSpec;
		path: string;
		value: string;
		problem?: string | undefined;
		label: string;
	}
	let { field, path, value = $bindable(), problem, label }: Props = $props();
	const about = $derived(problem ? `${path}-problem` : undefined);
	const numeric = $derived(field.sort !== 'text');
	const choices = $derived(field.sort === 'yes-no' ? ['yes', 'no'] : field.choices);
	// A choice that may be left open has an empty one; these stand at their first.
	const always = $derived(
		/(\.sort|\.source|\.engine|method|lifters|measuringOrder|chamberOpen)$/.test(path)
	);
</script>

<div>
	{#if choices}
		<select
			class="field"
			name={path}
			bind:value
			aria-label={label}
			aria-invalid={problem ? 'true' : undefined}
			aria-describedby={about}
		>
			{#if !always}<option></option>{/if}
			{#each choices as choice (choice)}<option value={choice}
					>{field.names?.[choice] ?? choice}</option
				>{/each}
		</select>
	{:else}
		<input
			class="field {numeric ? 'figure text-right' : ''}"
			name={path}
			bind:value
			aria-label={label}
			aria-invalid={problem ? 'true' : undefined}
			aria-describedby={about}
			autocomplete="off"
		/>
	{/if}
	{#if problem}<p id={about} class="mt-0.5 text-[13px] font-semibold text-stop">{problem}</p>{/if}
</div>
