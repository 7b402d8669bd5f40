<script lang="ts">
	import '../app.css';
	import { onMount, untrack } from 'svelte';
	import { afterNavigate, goto } from '$app/navigation';
	import { Bench, setBench } from '$lib/bench/bench.svelte';
	import Palette from '$lib/frame/Palette.svelte';
	import TopBar from '$lib/frame/TopBar.svelte';
	import { unsent } from '$lib/forms/send-form.svelte';
	import { isTyping, Keys, setKeys } from '$lib/keys/keys.svelte';
	import KeysDialog from '$lib/keys/KeysDialog.svelte';

	let { data, children } = $props();

	const bench = new Bench(
		untrack(() => data.person),
		untrack(() => data.units)
	);
	setBench(bench);
	const keys = new Keys();
	setKeys(keys);

	$effect.pre(() => {
		bench.person = data.person;
		bench.units = data.units;
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
		if (isTyping(event)) return;
		if (event.key === '?') keys.open = true;
		else if (event.key === '/') void goto('/?find');
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
	{#if unsent.why}
		<p role="alert" class="border-l-4 border-stop bg-paper px-6 py-3 font-semibold print:hidden">
			{unsent.why}
		</p>
	{/if}
	{@render children()}
</div>
<KeysDialog {keys} />
<Palette bind:open={finding} />
