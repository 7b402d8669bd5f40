<script lang="ts">
	/** A new kit from its paper, on one page: figures in the paper's order, the rest where it is known. */
	import { untrack } from 'svelte';
	import FormField from '$lib/forms/FormField.svelte';
	import type { Values } from '$lib/forms/flat';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Disclosure from '$lib/ui/Disclosure.svelte';
	import Switch from '$lib/ui/Switch.svelte';
	import { MORE_OF_IT, ON_THE_PAPER, type PaperField } from './fields';
	import KitTexts from './KitTexts.svelte';
	import { EXHAUST } from './paper';

	interface Props {
		form: { message?: string; problems?: Record<string, string>; values?: Values } | null;
	}
	let { form }: Props = $props();
	let values = $state<Values>(untrack(() => ({ ...form?.values })));
	const problems = $derived(form?.problems ?? {});
	let twoKinds = $state(
		untrack(() => Object.keys(form?.values ?? {}).some((path) => path.startsWith(EXHAUST)))
	);
	const columns = $derived(twoKinds ? ['', EXHAUST] : ['']);
	let opened = $state(
		untrack(() => MORE_OF_IT.some(({ path }) => problems[path] ?? problems[EXHAUST + path]))
	);
</script>

{#snippet row(field: PaperField)}
	<div
		class="grid items-center gap-x-3 border-b border-hair py-1 {twoKinds
			? 'grid-cols-[8rem_1fr_1fr] tablet:grid-cols-[13rem_1fr_1fr]'
			: 'grid-cols-[9rem_1fr] tablet:grid-cols-[13rem_1fr]'}"
	>
		<span class="text-[13px] leading-tight text-soft">{field.label}</span>
		{#each columns as prefix (prefix)}
			<FormField
				{field}
				path={prefix + field.path}
				label={prefix ? `exhaust: ${field.label}` : field.label}
				bind:value={
					() => values[prefix + field.path] ?? '', (text) => (values[prefix + field.path] = text)
				}
				problem={problems[prefix + field.path]}
			/>
		{/each}
	</div>
{/snippet}

<form method="POST" use:sendForm={{ reset: false }}>
	<div
		class="sticky top-0 z-[1] flex flex-wrap items-center gap-3 border-b-2 border-ink bg-paper py-3"
	>
		<h1 class="text-xl font-semibold">A kit from its paper</h1>
		<Alert problem={form?.message} />
		<Button href="/kits" class="ml-auto">Cancel</Button>
		<Button look="main">Save the kit</Button>
	</div>
	<div class="mt-3 grid gap-x-10 gap-y-4 bench:grid-cols-2">
		<div>
			<KitTexts part="name" bind:values {problems} />
			<div class="mt-4 flex items-end justify-between gap-4 border-b border-ink pb-1">
				<h2 class="font-semibold">The paper</h2>
				<Switch checked={twoKinds} onchange={(both) => (twoKinds = both)}>
					Exhaust has its own
				</Switch>
			</div>
			{#if twoKinds}
				<p class="pt-1 text-[13px] text-soft">
					Left: both, or the intake’s. Right: the exhaust’s where it differs; empty is as the left.
				</p>
			{/if}
			{#each ON_THE_PAPER as field (field.path)}{@render row(field)}{/each}
			<Disclosure class="mt-3" keep title="More, where the paper has it" bind:open={opened}>
				{#each MORE_OF_IT as field (field.path)}{@render row(field)}{/each}
			</Disclosure>
			<p class="mt-3 max-w-prose text-[13px] text-soft">
				What is left empty is not known yet: it keeps no height and no load back, and is asked for
				where a check of the parts needs it. A part whose name the library has is that part.
			</p>
		</div>
		<div>
			<KitTexts part="rest" bind:values {problems} />
			<p class="caution mt-5">
				The spring maker’s own instructions come first. A kit is no promise: every station is still
				measured.
			</p>
		</div>
	</div>
</form>
