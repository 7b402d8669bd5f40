<script module lang="ts">
	import type { FoundTexts } from './as-found';

	/** What was typed and not saved, by job and station: a leak stops the list, and the form with it. */
	const drafts = new Map<string, FoundTexts>();
</script>

<script lang="ts">
	/** What lay under and on one spring when it came apart; entered where it is seen. */
	import { onMount, untrack } from 'svelte';
	import { v7 as uuid } from 'uuid';
	import { foundAt } from '@zinc-ledger/core';
	import { labelsOf } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import RadioGroup from '$lib/ui/RadioGroup.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { NOTHING, readFound, textsOf } from './as-found';

	interface Props {
		station: string;
		/** What the button says. */
		keep: string;
		onkept: () => void;
	}
	let { station, keep, onkept }: Props = $props();
	const store = getJobStore();
	const bench = getBench();
	const found = $derived(foundAt(store.job));
	/** The one entered last, which the next is often like. */
	const before = $derived(store.job.asFound.findLast((one) => one.station !== station));
	const key = untrack(() => `${store.job.id} ${station}`);
	let kept = false;
	let texts = $state(
		untrack(() => {
			const own = found.get(station);
			return drafts.get(key) ?? (own ? textsOf(own) : { ...NOTHING });
		})
	);
	onMount(() => () => {
		if (kept) drafts.delete(key);
		else drafts.set(key, $state.snapshot(texts));
	});
	let asked = $state(false);
	let problem = $state<string | null>(null);
	const read = $derived(readFound(texts, bench.units.length));
	const wrong = $derived(asked && !read.ok ? read.problems : {});
	const YES_NO = [
		{ value: 'yes', label: 'Yes' },
		{ value: 'no', label: 'No' }
	] as const;
	const SEALS = Object.entries(labelsOf('sealFound')).map(([value, label]) => ({
		value: value as NonNullable<typeof texts.seal>,
		label
	}));

	async function save(event: SubmitEvent) {
		event.preventDefault();
		asked = true;
		if (!read.ok) return;
		problem = await store.append('asFound', bench.person, {
			id: uuid(),
			station,
			...read.found,
			at: new Date().toISOString()
		});
		if (problem !== null) return;
		kept = true;
		onkept();
	}
</script>

{#snippet choice(name: string, key: 'lashCap' | 'damper')}
	<RadioGroup
		label={name}
		class="min-h-12 border-b border-hair"
		options={YES_NO}
		bind:value={texts[key]}
	>
		{#snippet lead()}<span class="w-28 text-[13px] text-soft">{name}</span>{/snippet}
	</RadioGroup>
{/snippet}

<form class="max-w-2xl" onsubmit={save} aria-label="As found at {station}">
	{#if before}
		<Button
			type="button"
			onclick={() => (texts = { ...textsOf(before), put: '', note: '' })}
			class="mb-2">As at {before.station}</Button
		>
	{/if}
	<div class="grid grid-cols-2 gap-x-4 gap-y-2 tablet:grid-cols-3">
		<TextField
			label="Shims under it, {bench.units.length}"
			hint="0.015 + 0.030; empty: none"
			figure
			problem={wrong.shims}
			bind:value={texts.shims}
		/>
		<TextField
			label="Locator, {bench.units.length}"
			hint="0: there was none"
			figure
			problem={wrong.locator}
			bind:value={texts.locator}
		/>
		<TextField
			label="Lock offset, {bench.units.length}"
			hint="as marked, + or −"
			figure
			problem={wrong.lockOffset}
			bind:value={texts.lockOffset}
		/>
	</div>
	{@render choice('Lash cap', 'lashCap')}
	{@render choice('Damper', 'damper')}
	<RadioGroup
		label="Seal"
		class="min-h-12 border-b border-hair"
		options={SEALS}
		bind:value={texts.seal}
	>
		{#snippet lead()}<span class="w-28 text-[13px] text-soft">Seal</span>{/snippet}
	</RadioGroup>
	<div class="mt-2 grid gap-x-4 gap-y-2 tablet:grid-cols-2">
		<TextField
			label="Put where"
			hint="lifter, hydraulic element, cap: tray, row, bag"
			maxlength={200}
			bind:value={texts.put}
		/>
		<TextField label="Note, if any" maxlength={200} bind:value={texts.note} />
	</div>
	<Alert {problem} class="mt-2" />
	<Button look="main" class="mt-3">{keep}</Button>
</form>
