<script lang="ts">
	/** Every part of the kit in both schemes and its states; seen in development only. */
	import type { State } from '@zinc-ledger/core';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Checkbox from '$lib/ui/Checkbox.svelte';
	import Combobox from '$lib/ui/Combobox.svelte';
	import Commands from '$lib/ui/Commands.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import Disclosure from '$lib/ui/Disclosure.svelte';
	import Field from '$lib/ui/Field.svelte';
	import FileButton from '$lib/ui/FileButton.svelte';
	import Key from '$lib/ui/Key.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import Popover from '$lib/ui/Popover.svelte';
	import Progress from '$lib/ui/Progress.svelte';
	import RadioGroup from '$lib/ui/RadioGroup.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import Slider from '$lib/ui/Slider.svelte';
	import Suggest from '$lib/ui/Suggest.svelte';
	import Switch from '$lib/ui/Switch.svelte';
	import Table from '$lib/ui/Table.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import ToggleGroup from '$lib/ui/ToggleGroup.svelte';
	import { plain } from '$lib/ui/options';

	const STATES: readonly State[] = ['stop', 'watch', 'inconclusive'];
	const heads = plain(['left', 'right', 'both']);
	const parts = ['Tarn dual 1.550', 'Tarn beehive', 'Osk single'].map((label, i) => ({
		value: String(i),
		label,
		note: i === 1 ? 'none in stock' : undefined
	}));
	let head = $state('left');
	let part = $state('1');
	let customer = $state('Brann');
	let on = $state(true);
	let share = $state(0.4);
	let middle = $state(false);
	let below = $state(false);
	let commands = $state(false);
	let typed = $state('');
</script>

<svelte:head><title>Sampler · Zinc Ledger</title></svelte:head>

<main id="main" class="grid flex-1 overflow-auto bench:grid-cols-2">
	{#each ['light', 'dark'] as scheme (scheme)}
		<section
			aria-label={scheme}
			class="space-y-5 bg-paper p-6 text-ink"
			style="color-scheme: {scheme}"
		>
			<h1 class="text-xl font-semibold">{scheme}</h1>
			<p class="flex flex-wrap items-center gap-3">
				<Button look="main">Main</Button>
				<Button>Plain</Button>
				<Button disabled>Disabled</Button>
				<Button small>Small</Button>
				<Button look="quiet">Quiet</Button>
				<FileButton>A file</FileButton>
				<Key>Enter</Key>
			</p>
			<div class="grid grid-cols-2 gap-4">
				<TextField label="A figure" figure value="1.820" hint="1.820 in" />
				<TextField label="With its problem" value="1.82x" problem="Not a length." />
				<SelectField label="One of a few" options={heads} bind:value={head} />
				<Field label="One of many">
					{#snippet control(attributes)}
						<Combobox options={parts} bind:value={part} remember="sampler" {...attributes} />
					{/snippet}
				</Field>
				<Field label="One's own, or known">
					{#snippet control(attributes)}
						<Suggest known={['Brann Osk', 'Runa Tarn']} bind:value={customer} {...attributes} />
					{/snippet}
				</Field>
				<ToggleGroup label="Head" options={heads} bind:value={head} />
			</div>
			<RadioGroup label="Which head" options={heads} bind:value={head} />
			<div class="flex flex-wrap gap-6">
				<Checkbox bind:checked={on}>So</Checkbox>
				<Checkbox checked={false}>Not so</Checkbox>
				<Checkbox checked disabled>Cannot be changed</Checkbox>
				<div class="w-56"><Switch bind:checked={on}>Works at once</Switch></div>
			</div>
			<Slider label="Lift" min={0} max={1} step={0.01} bind:value={share} />
			<Progress label="Done" value={share} max={1} />
			<Table>
				<thead><tr><th>Valve</th><th class="text-right">Seat</th></tr></thead>
				<tbody>
					<tr><td>1I</td><td class="figure text-right">130</td></tr>
					<tr><td>1E</td><td class="figure text-right">128</td></tr>
				</tbody>
			</Table>
			<p class="flex gap-4">
				{#each STATES as state (state)}<Mark {state} word />{/each}
			</p>
			<Alert problem="The server cannot be reached." />
			<Alert look="watch">Somebody else changed this job.</Alert>
			<Disclosure title="12 pass">All of them.</Disclosure>
			<p class="flex gap-3">
				<Popover>{#snippet trigger()}Popover{/snippet}Hangs from it.</Popover>
				<Button onclick={() => (middle = true)}>Dialog</Button>
				<Button onclick={() => (below = true)}>From below</Button>
				<Button onclick={() => (commands = true)}>Commands</Button>
			</p>
		</section>
	{/each}
</main>
<Dialog bind:open={middle} title="In the middle">Words.</Dialog>
<Dialog bind:open={below} from="below" title="From below">Words.</Dialog>
<Commands
	bind:open={commands}
	bind:typed
	title="Find"
	placeholder="Type"
	lines={parts.map(({ value, label }) => ({ key: value, type: 'spring', name: label, detail: '' }))}
	onchoose={() => (commands = false)}
/>
