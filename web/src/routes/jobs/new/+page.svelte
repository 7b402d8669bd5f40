<script lang="ts">
	/** A head is taken in by five answers; everything else waits until a figure needs it. */
	import { untrack } from 'svelte';
	import { defaultSetup, evaluate, layoutProblem, newJob, type Job } from '@zinc-ledger/core';
	import { useKeys } from '$lib/keys/keys.svelte';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import LayoutPreview from '$lib/sheet/head-plan/LayoutPreview.svelte';
	import BegunFrom from '$lib/job/setup/BegunFrom.svelte';
	import BoxCheck from '$lib/parts/kits/BoxCheck.svelte';
	import HeadFields from '$lib/job/setup/HeadFields.svelte';
	import MoreOfJob from '$lib/job/setup/MoreOfJob.svelte';
	import { layoutSaid } from '$lib/job/setup/engine-said';
	import {
		layoutOf,
		layoutTexts,
		onlyHead,
		USUAL_ENGINES,
		type TakeIn
	} from '$lib/job/setup/take-in';
	import Button from '$lib/ui/Button.svelte';
	import Combobox from '$lib/ui/Combobox.svelte';
	import Disclosure from '$lib/ui/Disclosure.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Suggest from '$lib/ui/Suggest.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	let { data, form: answer } = $props();
	useKeys([{ keys: ['Enter'], does: 'create the job' }]);
	let form = $state(untrack(() => ({ ...data.values, ...answer?.values }) as TakeIn));
	const problems = $derived<Readonly<Record<string, string>>>(answer?.problems ?? {});

	/** The heads as the form would have them; null while that makes no sense yet. */
	const preview = $derived.by(() => {
		const layout = layoutOf(form) as Job['engine']['layout'];
		if (!(layout.cylinders >= 1 && layout.cylinders <= 16) || layoutProblem(layout)) return null;
		const job = newJob({
			id: '',
			number: '',
			takenIn: '',
			customer: { id: '', name: '' },
			engine: { id: '', name: '', layout },
			setup: defaultSetup('in', ''),
			onlyHead: onlyHead(form)
		});
		return { job, sheet: evaluate(job) };
	});
	const first = $derived(preview?.job.stations[0]?.label);

	/** Engines by name: this customer's own, the shop's templates, the usual arrangements. */
	const engines = $derived([
		...data.engines.filter(({ customer }) => customer === form.customer.trim()),
		...data.templates,
		...USUAL_ENGINES
	]);
	const names = $derived([...new Set(engines.map(({ name }) => name))]);

	/** The heads lie as those of the engine that is named, where it is known. */
	function nameEngine(name: string) {
		form.engine = name;
		const known = engines.find((engine) => engine.name === name);
		if (!known) {
			const said = layoutSaid(name);
			if (said) {
				const { valvesPerCylinder, ...rest } = said;
				Object.assign(
					form,
					rest,
					valvesPerCylinder && { valvesPerCylinder: String(valvesPerCylinder) }
				);
			}
			return;
		}
		const template = data.templates.find((one) => one === known);
		Object.assign(form, layoutTexts(known.layout));
		form.template = template?.id ?? '';
		if (template) form.lifters = template.lifters;
	}

	const kit = $derived(data.kits.find(({ id }) => form.kit === `kit:${id}`));
	const SETS = $derived([
		{ value: '', label: 'not known yet' },
		...data.kits.map(({ id, name, maker }) => ({ value: `kit:${id}`, label: name, note: maker })),
		...data.springs.map(({ id, name }) => ({
			value: `spring:${id}`,
			label: name,
			note: 'spring alone'
		}))
	]);
	const LAYOUT = [
		'arrangement',
		'cylinders',
		'valvesPerCylinder',
		'numbering',
		'ownNumbers',
		'pairing',
		'firingOrder'
	] as const;
	let heads = $state(false);
	// A problem in what is closed opens it.
	const headsOpen = $derived(heads || LAYOUT.some((name) => problems[name]));
</script>

<svelte:head><title>New job · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-4 bench:px-8 bench:py-6">
	<form method="POST" use:sendForm={{ reset: false }} class="max-w-6xl">
		<div class="flex flex-wrap items-center gap-3 border-b-2 border-ink pb-2">
			<h1 class="text-2xl font-semibold">New job</h1>
			<Button href="/" class="ml-auto">Cancel</Button>
			<Button look="main">Create job</Button>
		</div>
		<input type="hidden" name="template" value={form.template} />
		<div
			class="mt-4 grid gap-x-5 gap-y-3 tablet:grid-cols-2 bench:grid-cols-[1fr_1.2fr_1.2fr_1fr_1fr]"
		>
			<Field label="Customer" problem={problems.customer}>
				{#snippet control(attributes)}
					<Suggest
						name="customer"
						known={data.customers}
						autofocus
						bind:value={form.customer}
						{...attributes}
					/>
				{/snippet}
			</Field>
			<Field
				label="Engine"
				problem={problems.engine}
				hint="its name, a template or V8, inline six …"
			>
				{#snippet control(attributes)}
					<Suggest
						name="engine"
						known={names}
						bind:value={() => form.engine, nameEngine}
						{...attributes}
					/>
				{/snippet}
			</Field>
			<Field label="Kit or spring" problem={problems.kit}>
				{#snippet control(attributes)}
					<Combobox name="kit" options={SETS} bind:value={form.kit} {...attributes} />
				{/snippet}
			</Field>
			<Field label="Lift" problem={problems.lift} hint="at the valve; or lobe × ratio; or a cam">
				{#snippet control(attributes)}
					<Suggest
						name="lift"
						takesNew={false}
						known={data.cams}
						bind:value={form.lift}
						{...attributes}
					/>
				{/snippet}
			</Field>
			<TextField
				label="Application"
				hint="what it is for"
				problem={problems.duty}
				name="duty"
				bind:value={form.duty}
			/>
		</div>
		{#if kit && preview}<BoxCheck {kit} stations={preview.job.stations} />{/if}
		<BegunFrom cushion={form.cushion} like={form.like} job={data.like} />
		<LayoutPreview {preview} {first} />
		<Disclosure
			class="mt-3"
			keep
			title="How the heads lie, when they are none of the known"
			bind:open={() => headsOpen, (now) => (heads = now)}
		>
			<HeadFields bind:form {problems} here />
		</Disclosure>
		<MoreOfJob bind:form {problems} />
	</form>
</main>
