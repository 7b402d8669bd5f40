<script lang="ts">
	/** One field of the set-up form: a text or a choice, with its problem under it. */
	import type { FieldSpec } from './fields';

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
</script>

{#if field.choices}
	<select
		class="field"
		name={path}
		bind:value
		aria-label={label}
		aria-invalid={problem ? 'true' : undefined}
		aria-describedby={about}
	>
		{#each field.choices as choice (choice)}<option>{choice}</option>{/each}
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
