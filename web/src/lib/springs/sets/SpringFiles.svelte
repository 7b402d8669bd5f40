<script lang="ts">
	/** A spring's sweep out as a file, and in from one; a table whose columns do not say what they are is asked about. */
	import { sendForm } from '$lib/forms/send-form.svelte';
	import type { Columns } from './csv';
	import Button from '$lib/ui/Button.svelte';
	import Select from '$lib/ui/Select.svelte';
	import FileButton from '$lib/ui/FileButton.svelte';
	import { plain } from '$lib/ui/options';

	interface Props {
		setId: string;
		tag: string;
		/** Whether there is a sweep to give out. */
		tested: boolean;
		/** A table that was given in and did not say which column is which. */
		ask:
			| {
					readonly name: string;
					readonly text: string;
					readonly tag: string;
					readonly names: readonly string[];
					readonly guess: Partial<Columns>;
			  }
			| undefined;
	}
	let { setId, tag, tested, ask }: Props = $props();
</script>

<h3 class="mt-4 border-b border-ink pb-1 font-semibold">Files</h3>
{#if tested}
	<p class="flex gap-4">
		<a
			class="flex min-h-11 bench:min-h-9 items-center underline"
			download
			href="/springs/{setId}/file?tag={tag}&as=csv">Sweep as CSV</a
		>
		<a
			class="flex min-h-11 bench:min-h-9 items-center underline"
			download
			href="/springs/{setId}/file?tag={tag}">as JSON</a
		>
	</p>
{/if}
{#if ask}
	<form
		method="POST"
		action="?/import"
		use:sendForm
		class="mt-1 space-y-2 border-l-4 border-watch pl-3"
	>
		<p class="font-semibold">{ask.name}: which column is which?</p>
		<input type="hidden" name="text" value={ask.text} />
		<input type="hidden" name="name" value={ask.name} />
		<input type="hidden" name="tag" value={ask.tag} />
		{#each [['height', 'Heights', ['mm', 'in']], ['load', 'Loads', ['N', 'lbf', 'kgf']]] as const as [name, title, units] (name)}
			<div class="grid grid-cols-[4rem_1fr_5rem] items-center gap-2">
				{title}
				<Select
					{name}
					aria-label="{title} column"
					options={ask.names.map((column, i) => ({ value: String(i), label: column }))}
					value={String(ask.guess[name] ?? (name === 'load' ? 1 : 0))}
				/>
				<Select
					name="{name}Unit"
					aria-label="{title} unit"
					options={plain(units)}
					value={units[0]}
				/>
			</div>
		{/each}
		<Button>Import</Button>
	</form>
{/if}
<form method="POST" action="?/import" enctype="multipart/form-data" use:sendForm class="mt-1">
	<input type="hidden" name="tag" value={tag} />
	<FileButton small name="file" accept=".csv,.json,text/csv,application/json">
		Import sweep for {tag}
	</FileButton>
</form>
