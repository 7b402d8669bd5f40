<script lang="ts">
	import '../app.css';
	import { onMount, untrack } from 'svelte';
	import type { Units } from '@zinc-ledger/core';
	import { page } from '$app/state';
	import { afterNavigate } from '$app/navigation';
	import { Bench, setBench } from '$lib/bench/bench.svelte';
	import OnlyRead from '$lib/frame/OnlyRead.svelte';
	import TopBar from '$lib/frame/TopBar.svelte';
	import { Help, setHelp } from '$lib/help/help.svelte';
	import { unsent } from '$lib/forms/send-form.svelte';
	import { outbox } from '$lib/outbox/outbox.svelte';
	import { offerAfterRestore } from '$lib/outbox/after-restore';
	import { sweepOutbox } from '$lib/outbox/sweeps.svelte';
	import { isTyping, Keys, setKeys } from '$lib/keys/keys.svelte';
	import Alert from '$lib/ui/Alert.svelte';

	let { data, children } = $props();

	const bench = new Bench(
		untrack(() => data.person),
		untrack(() => page.data.units as Units),
		untrack(() => data.unitsChosen)
	);
	bench.access = untrack(() => data.access);
	setBench(bench);
	const keys = new Keys();
	setKeys(keys);
	const help = new Help();
	setHelp(help);

	// A job that nobody chose units for says in which it was measured.
	$effect.pre(() => {
		const { person, unitsChosen, access } = data;
		const units = page.data.units as Units;
		untrack(() => {
			bench.access = access;
			bench.hear(person, units, unitsChosen);
			const sender = access.network ? { person: person?.id ?? null } : { anybody: true as const };
			outbox.sendAs(sender);
			sweepOutbox.sendAs(sender);
			// Nobody is told of a restore who may not read the shop's jobs.
			if (access.role !== null) void offerAfterRestore();
		});
	});

	// Says that keys and clicks are heard from here on.
	onMount(() => {
		document.documentElement.dataset.ready = 'yes';
	});

	afterNavigate(() => (unsent.why = null));

	let finding = $state(false);

	function press(event: KeyboardEvent) {
		if (event.key === 'k' && (event.ctrlKey || event.metaKey)) {
			finding = true;
			event.preventDefault();
			return;
		}
		if (event.key === 'F1') {
			help.showHere();
			event.preventDefault();
			return;
		}
		if (isTyping(event)) return;
		if (event.key === '?') keys.open = true;
		else if (event.key === '/') finding = true;
		else return;
		event.preventDefault();
	}
</script>

<svelte:window onkeydown={press} />

<a
	href="#main"
	class="sr-only focus:not-sr-only focus:absolute focus:z-10 focus:bg-paper focus:p-3"
>
	To the work
</a>
<div class="flex min-h-dvh flex-col bench:h-dvh print:block print:h-auto">
	<TopBar scheme={data.scheme} onkeys={() => (keys.open = true)} onfind={() => (finding = true)} />
	<OnlyRead />
	<Alert look="stop" problem={unsent.why} class="bg-paper px-6 py-3 font-semibold print:hidden" />
	{@render children()}
</div>
<!-- Fetched once they are asked for: a sheet opens without them. -->
{#if keys.open}
	{#await import('$lib/keys/KeysDialog.svelte') then { default: KeysDialog }}
		<KeysDialog {keys} />
	{/await}
{/if}
{#if help.open}
	{#await import('$lib/help/HelpDialog.svelte') then { default: HelpDialog }}
		<HelpDialog {help} />
	{/await}
{/if}
{#if finding}
	{#await import('$lib/frame/Palette.svelte') then { default: Palette }}
		<Palette bind:open={finding} />
	{/await}
{/if}
