<script lang="ts">
	import { untrack } from 'svelte';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import { KINDS } from '@zinc-ledger/core';
	import FormField from '$lib/forms/FormField.svelte';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getBook } from '$lib/job/book.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import {
		COMPRESSION_FIELDS,
		JOB_FIELDS,
		KIND_GROUPS,
		LIMIT_FIELDS,
		SPARE_ROWS
	} from '$lib/setup/fields';
	import { camValues, OWN_CAM } from '$lib/setup/cam';
	import CamChoice from '$lib/setup/CamChoice.svelte';
	import HeadWork from '$lib/setup/HeadWork.svelte';
	import OverrideRows from '$lib/setup/OverrideRows.svelte';
	import ShimRows from '$lib/setup/ShimRows.svelte';
	import TargetMethods from '$lib/setup/TargetMethods.svelte';
	import { isShown, valuesOf } from '$lib/setup/values';
	import { capital } from '$lib/ui/words';
	import { label } from '@zinc-ledger/words';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Input from '$lib/ui/Input.svelte';

	let { data, form } = $props();
	const book = getBook();
	const bench = getBench();
	useKeys([{ keys: ['Enter'], does: 'save the setup' }]);

	let values = $state(withChoices(untrack(() => form?.values ?? valuesOf(book.job.setup))));
	let revision = $state(untrack(() => data.revision));
	const problems = $derived<Record<string, string>>(form?.problems ?? {});
	const shimRows = $derived(book.job.setup.shimStock.length + SPARE_ROWS);
	const overrideRows = $derived((book.job.setup.overrides?.length ?? 0) + SPARE_ROWS);

	/** Selects that must stand at something stand at their first choice; the values must say the same. */
	function withChoices(texts: Record<string, string>): Record<string, string> {
		const chosen = { ...texts };
		for (const kind of KINDS) {
			for (const field of KIND_GROUPS.flatMap((group) => group.fields)) {
				const path = `kinds.${kind}.${field.path}`;
				if (field.choices) chosen[path] ||= defaultOf(field.path, field.choices);
				else chosen[path] ??= '';
			}
		}
		return chosen;
	}

	function defaultOf(path: string, choices: readonly string[]): string {
		return path.endsWith('source') ? 'card' : choices[0]!;
	}

	const ownCam = $derived(book.job.setup.cam);
	/** Lift and lash follow the cam that is chosen; each may still be typed over. */
	function takeCam(id: string) {
		values.cam = id;
		const cam = id === OWN_CAM ? ownCam : data.cams.find((one) => one.id === id);
		if (cam) Object.assign(values, camValues(cam));
	}

	function copyIntake() {
		for (const path of Object.keys(values)) {
			if (path.startsWith('kinds.intake.') && !path.includes('.retainer')) {
				values[path.replace('.intake.', '.exhaust.')] = values[path]!;
			}
		}
	}
</script>

<svelte:head><title>Setup · {book.job.number} · Zinc Ledger</title></svelte:head>

{#snippet entry(path: string, label: string)}
	<div>
		<Input
			figure
			class="text-right"
			name={path}
			bind:value={() => values[path] ?? '', (text) => (values[path] = text)}
			aria-label={label}
			aria-invalid={problems[path] ? 'true' : undefined}
		/>
		{#if problems[path]}
			<p class="text-[13px] font-semibold text-stop">{problems[path]}</p>
		{/if}
	</div>
{/snippet}

{#snippet column(title: string, fields: typeof JOB_FIELDS)}
	<h3 class="mt-5 border-b border-ink pb-1 font-semibold">{title}</h3>
	{#each fields as field (field.path)}
		<div
			class="border-b border-hair py-1 {field.sort === 'text'
				? ''
				: 'grid grid-cols-[1fr_8.5rem] items-center gap-x-3'}"
		>
			<span class="text-[13px] leading-tight text-soft">{field.label}</span>
			<FormField
				{field}
				path={field.path}
				label={field.label}
				bind:value={() => values[field.path] ?? '', (text) => (values[field.path] = text)}
				problem={problems[field.path]}
			/>
		</div>
	{/each}
{/snippet}

<div class="min-h-0 flex-1 px-4 pb-10 bench:overflow-auto bench:px-6">
	<form
		method="POST"
		use:sendForm={{
			reset: false,
			after: (result) => {
				if (result.type === 'failure' && result.status === 409) revision = data.revision;
			}
		}}
	>
		<input type="hidden" name="revision" value={revision} />
		<input type="hidden" name="units" value="{bench.units.length},{bench.units.load}" />
		<div class="sticky top-0 z-[1] flex items-center gap-4 border-b-2 border-ink bg-paper py-3">
			<h1 class="text-xl font-semibold">Setup of {book.job.number}</h1>
			<Alert problem={form?.message} />
			<Button look="main" class="ml-auto">Save setup</Button>
		</div>

		<div class="grid gap-x-10 bench:grid-cols-[minmax(0,1fr)_19rem]">
			<div>
				<div
					class="grid grid-cols-2 items-center gap-x-3 gap-y-2 pt-3 tablet:grid-cols-[12rem_1fr_1fr]"
				>
					<Button type="button" onclick={copyIntake} class="col-span-2 w-max tablet:col-span-1"
						>Copy to exhaust</Button
					>
					{#each KINDS as kind (kind)}<h2 class="font-semibold">
							{capital(label('kind', kind))}
						</h2>{/each}
				</div>
				<CamChoice
					{ownCam}
					cams={data.cams}
					bind:value={() => values.cam ?? (ownCam ? OWN_CAM : ''), takeCam}
				/>
				{#each KIND_GROUPS as group (group.title)}
					<h3 class="mt-5 border-b border-ink pb-1 font-semibold">{group.title}</h3>
					{#each group.fields as field, i (i)}
						{@const shown = KINDS.filter((kind) =>
							isShown({ ...field, path: `kinds.${kind}.${field.path}` }, values)
						)}
						{#if shown.length > 0}
							<div
								class="grid grid-cols-2 items-center gap-x-3 border-b border-hair py-1 tablet:grid-cols-[12rem_1fr_1fr]"
							>
								<span class="col-span-2 text-[13px] text-soft tablet:col-span-1">{field.label}</span
								>
								{#each KINDS as kind (kind)}
									{@const path = `kinds.${kind}.${field.path}`}
									<div>
										{#if shown.includes(kind)}
											<FormField
												{field}
												{path}
												label="{kind}: {field.label}"
												bind:value={() => values[path] ?? '', (text) => (values[path] = text)}
												problem={problems[path]}
											/>
										{/if}
									</div>
								{/each}
							</div>
						{/if}
					{/each}
				{/each}
				{#each KINDS as kind (kind)}
					<input
						type="hidden"
						name="kinds.{kind}.has.retainer"
						value={values[`kinds.${kind}.has.retainer`]}
					/>
				{/each}
				<TargetMethods />

				<OverrideRows rows={overrideRows} bind:values {entry} />
				<ShimRows rows={shimRows} {entry} />
			</div>

			<div>
				{@render column('The job', JOB_FIELDS)}
				{@render column('Limits of this job', LIMIT_FIELDS)}
				{@render column('Compression', COMPRESSION_FIELDS)}
				<p class="caution mt-5">
					Spring maker’s and cam maker’s instructions come first. A figure from the customer or from
					memory is shown as such and clears nothing on its own.
				</p>
			</div>
		</div>
	</form>
	<HeadWork />
</div>
