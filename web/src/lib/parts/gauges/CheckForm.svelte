<script lang="ts">
	/** A check of a gauge against something known: a standard, a weight, a spring, a solid block. */
	import { sendForm } from '$lib/forms/send-form.svelte';
	import { plain } from '$lib/ui/options';
	import Button from '$lib/ui/Button.svelte';
	import Select from '$lib/ui/Select.svelte';
	import Input from '$lib/ui/Input.svelte';

	interface Props {
		/** What the gauge reads. */
		reads: readonly string[];
		/** What was typed and not taken. */
		typed: Readonly<Record<string, string>> | null;
	}
	let { reads, typed }: Props = $props();
	/** What is being checked: the last that the gauge reads, until another is picked. */
	let checked = $derived<string>(reads.at(-1)!);
	const fields = $derived(
		checked === 'frame'
			? [
					['against', 'Solid block'],
					['reference', 'Load on it'],
					['read', 'Dial moved']
				]
			: [
					['against', 'Standard: height standard, weight or spring'],
					['reference', 'Reference'],
					['read', 'Reading']
				]
	);
</script>

<form
	method="POST"
	action="?/check"
	class="mt-3 grid grid-cols-[1fr_8rem_8rem_auto] items-end gap-3"
	use:sendForm
>
	{#if reads.length > 1}
		<div class="col-span-4 flex items-center gap-2 text-[13px] text-soft">
			Checked
			<Select
				class="!w-56"
				name="dimension"
				aria-label="Length or load"
				options={[...plain<string>(reads), { value: 'frame', label: 'frame, on a solid block' }]}
				bind:value={checked}
			/>
		</div>
	{:else}
		<input type="hidden" name="dimension" value={reads[0]} />
	{/if}
	{#each fields as [name, title] (name)}
		<label class="text-[13px] text-soft">
			{title}
			<Input
				figure={name !== 'against'}
				class={name === 'against' ? '' : 'text-right'}
				{name}
				aria-label={title}
				value={typed?.[name!] ?? ''}
			/>
		</label>
	{/each}
	<Button>Save check</Button>
</form>
