<script lang="ts">
	import { untrack } from 'svelte';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import { KINDS } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { focusNamed } from '$lib/forms/focus';
	import { useKeys } from '$lib/keys/keys.svelte';
	import { KIND_GROUPS, SPARE_ROWS } from '$lib/job/setup/fields';
	import { camValues, OWN_CAM } from '$lib/job/setup/cam';
	import CamChoice from '$lib/job/setup/CamChoice.svelte';
	import HeadWork from '$lib/job/setup/HeadWork.svelte';
	import JobGroups from '$lib/job/setup/JobGroups.svelte';
	import KindGroup from '$lib/job/setup/KindGroup.svelte';
	import LimitSections from '$lib/job/setup/LimitSections.svelte';
	import OverrideRows from '$lib/job/setup/OverrideRows.svelte';
	import ShimRows from '$lib/job/setup/ShimRows.svelte';
	import TargetMethods from '$lib/job/setup/TargetMethods.svelte';
	import { valuesOf, withChoices } from '$lib/job/setup/values';
	import { capital } from '$lib/ui/words';
	import { label } from '@zinc-ledger/words';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Disclosure from '$lib/ui/Disclosure.svelte';
	import Input from '$lib/ui/Input.svelte';

	let { data, form } = $props();
	const store = getJobStore();
	const bench = getBench();
	useKeys([{ keys: ['Enter'], does: 'save the setup' }]);

	let values = $state(withChoices(untrack(() => form?.values ?? valuesOf(store.job.setup))));
	let revision = $state(untrack(() => data.revision));
	const problems = $derived<Record<string, string>>(form?.problems ?? {});
	const hasProblem = (start: string) =>
		Object.keys(problems).some((path) => path.startsWith(start));
	let overridesOpen = $state(false);
	let shimsOpen = $state(false);
	const shimRows = $derived(store.job.setup.shimStock.length + SPARE_ROWS);
	const overrideRows = $derived((store.job.setup.overrides?.length ?? 0) + SPARE_ROWS);

	const ownCam = $derived(store.job.setup.cam);
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

<svelte:head><title>Setup · {store.job.number} · Zinc Ledger</title></svelte:head>

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

<div class="min-h-0 flex-1 px-4 pb-10 bench:overflow-auto bench:px-6">
	<form
		method="POST"
		{@attach focusNamed}
		use:sendForm={{
			reset: false,
			after: (result) => {
				if (result.type === 'success') values = withChoices(valuesOf(store.job.setup));
				if (result.type === 'success' || (result.type === 'failure' && result.status === 409))
					revision = data.revision;
			}
		}}
	>
		<input type="hidden" name="revision" value={revision} />
		<input type="hidden" name="units" value="{bench.units.length},{bench.units.load}" />
		<div
			class="sticky top-0 z-[1] flex flex-wrap items-center gap-x-4 gap-y-2 border-b-2 border-ink bg-paper py-3"
		>
			<h1 class="text-xl font-semibold">Setup of {store.job.number}</h1>
			<Alert problem={form?.message} />
			{#if form?.saved}
				<p role="status" class="text-[13px]">
					Setup saved. <a class="underline" href="/jobs/{store.job.id}">To the sheet</a>
				</p>
			{/if}
			<Button href="/templates/new?from={store.job.id}" class="ml-auto">Keep as a template</Button>
			<Button look="main">Save setup</Button>
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
				{#each KIND_GROUPS as group (group.title)}<KindGroup
						{group}
						bind:values
						{problems}
					/>{/each}
				{#each KINDS as kind (kind)}
					<input
						type="hidden"
						name="kinds.{kind}.has.retainer"
						value={values[`kinds.${kind}.has.retainer`]}
					/>
				{/each}
				<Disclosure class="border-b border-hair" title="Target height by method">
					<TargetMethods />
				</Disclosure>
				<Disclosure
					class="border-b border-hair"
					keep
					title="Per-cylinder overrides"
					note={store.job.setup.overrides?.length ? `${store.job.setup.overrides.length} set` : ''}
					bind:open={
						() => overridesOpen || hasProblem('overrides.'), (open) => (overridesOpen = open)
					}
				>
					<OverrideRows rows={overrideRows} bind:values {entry} />
				</Disclosure>
				<Disclosure
					class="border-b border-hair"
					keep
					title="Shims for this job"
					note={store.job.setup.shimStock.map(({ thickness }) => thickness).join(', ')}
					bind:open={() => shimsOpen || hasProblem('shimStock.'), (open) => (shimsOpen = open)}
				>
					<ShimRows rows={shimRows} {entry} />
				</Disclosure>
			</div>

			<div>
				<JobGroups bind:values {problems} />
				<LimitSections bind:values shop={data.shop} {problems} />
				<p class="caution mt-5">
					Spring maker’s and cam maker’s instructions come first. A figure from the customer or from
					memory is shown as such and clears nothing on its own.
				</p>
			</div>
		</div>
	</form>
	<HeadWork />
</div>
