<script lang="ts">
	import '../app.css';
	import { Moon, Sun } from '@lucide/svelte';
	import { onMount, untrack } from 'svelte';
	import { afterNavigate, goto } from '$app/navigation';
	import { page } from '$app/state';
	import { Bench, setBench } from '$lib/bench/bench.svelte';
	import UnitsSwitch from '$lib/bench/UnitsSwitch.svelte';
	import { unsent } from '$lib/forms/send-form.svelte';
	import { isTyping, Keys, setKeys } from '$lib/keys/keys.svelte';
	import KeysDialog from '$lib/keys/KeysDialog.svelte';
	import Key from '$lib/ui/Key.svelte';

	let { data, children } = $props();

	const bench = new Bench(
		untrack(() => data.person),
		untrack(() => data.units)
	);
	setBench(bench);
	const keys = new Keys();
	setKeys(keys);

	let scheme = $state(untrack(() => data.scheme));

	$effect.pre(() => {
		bench.person = data.person;
		bench.units = data.units;
	});

	// Says that keys and clicks are heard from here on.
	onMount(() => {
		document.documentElement.dataset.ready = 'yes';
	});

	afterNavigate(() => (unsent.why = null));

	function switchScheme() {
		scheme = scheme === 'light' ? 'dark' : 'light';
		void bench.light(scheme);
	}

	function press(event: KeyboardEvent) {
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
	<header class="flex flex-wrap items-center gap-x-5 bg-band px-4 text-on-band print:hidden">
		<a href="/" class="flex min-h-11 items-center text-[15px] font-bold [font-stretch:118%]">
			Zinc<span
				class="mx-px inline-block h-4 w-[3px] skew-x-[-18deg] bg-[#e2b52b]"
				aria-hidden="true"
			></span>Ledger
		</a>
		{#if page.data.title}
			<p class="min-w-0 truncate text-[15px]">
				<b class="figure font-semibold">{page.data.title.number}</b>
				{page.data.title.name}
				<span class="text-on-band-soft">· {page.data.title.detail}</span>
			</p>
		{/if}
		<div class="ml-auto flex items-center gap-4">
			<UnitsSwitch />
			<a
				href="/bench?back={encodeURIComponent(page.url.pathname)}"
				class="flex min-h-11 items-center text-[14px] {bench.person
					? ''
					: 'font-semibold text-[#f0c645]'}"
			>
				{bench.person ? bench.person.initials : 'Who works here?'}
				{#if bench.person}<span class="sr-only">: {bench.person.name}, change</span>{/if}
			</a>
			<button class="min-h-11 min-w-8" onclick={switchScheme} aria-label="Light or dark">
				{#if scheme === 'light'}<Moon size={16} />{:else}<Sun size={16} />{/if}
			</button>
			{#each [['/springs', 'Springs'], ['/gauges', 'Gauges'], ['/parts', 'Parts']] as [href, name] (href)}
				<a {href} class="flex min-h-11 items-center text-[14px]">{name}</a>
			{/each}
			<a href="/?find" class="flex min-h-11 items-center gap-1.5 text-[13px] text-on-band-soft">
				<Key>/</Key> find
			</a>
			<button
				class="flex min-h-11 items-center gap-1.5 text-[13px] text-on-band-soft"
				onclick={() => (keys.open = true)}
			>
				<Key>?</Key> keys
			</button>
		</div>
	</header>
	{#if unsent.why}
		<p role="alert" class="border-l-4 border-stop bg-paper px-6 py-3 font-semibold print:hidden">
			{unsent.why}
		</p>
	{/if}
	{@render children()}
</div>
<KeysDialog {keys} />
