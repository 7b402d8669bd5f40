<script lang="ts">
	/** What is kept of a kit besides its parts: name and maker, or what is in the box, forbidden, written. */
	import { KIT_PLACES } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import type { Values } from '$lib/forms/flat';
	import TextArea from '$lib/ui/TextArea.svelte';
	import Input from '$lib/ui/Input.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { capital } from '$lib/ui/words';

	interface Props {
		part: 'name' | 'rest';
		values: Values;
		problems: Readonly<Record<string, string>>;
	}
	let { part, values = $bindable(), problems }: Props = $props();
	const REFUSED = [
		['refused.seal', 'Seals that must not be used'],
		['refused.locator', 'Locators that must not be used']
	] as const;
</script>

{#snippet text(name: string, title: string, hint?: string)}
	<TextField
		label={title}
		{hint}
		{name}
		problem={problems[name]}
		bind:value={() => values[name] ?? '', (typed) => (values[name] = typed)}
	/>
{/snippet}

{#if part === 'name'}
	<div class="grid grid-cols-2 gap-x-4">
		{@render text('name', 'Name of the kit')}
		{@render text('maker', 'Maker')}
	</div>
{:else}
	<h2 class="border-b border-ink pb-1 font-semibold">In the box</h2>
	<p class="pt-1 text-[13px] text-soft">How many; locks in pairs. None of it in this kit: 0.</p>
	<div class="grid grid-cols-3 gap-x-4 gap-y-2 pt-1">
		{#each KIT_PLACES as place (place)}
			<label class="block text-[13px] text-soft">
				{capital(label('slot', place))}
				<Input
					figure
					class="text-right"
					name="box.{place}"
					aria-invalid={problems[`box.${place}`] ? 'true' : undefined}
					bind:value={
						() => values[`box.${place}`] ?? '', (typed) => (values[`box.${place}`] = typed)
					}
				/>
				{#if problems[`box.${place}`]}
					<span class="font-semibold text-stop">{problems[`box.${place}`]}</span>
				{/if}
			</label>
		{/each}
	</div>
	<h2 class="mt-5 border-b border-ink pb-1 font-semibold">What it asks and forbids</h2>
	<div class="mt-2 space-y-2">
		{#each REFUSED as [name, title] (name)}
			{@render text(name, title, 'names, parted by semicolons')}
		{/each}
		<TextArea
			label="Maker’s instructions"
			name="instructions"
			rows={8}
			maxlength={4000}
			bind:value={() => values.instructions ?? '', (typed) => (values.instructions = typed)}
		/>
	</div>
{/if}
