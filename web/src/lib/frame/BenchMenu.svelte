<script lang="ts">
	/** One menu for who works here, how they read, and where else to go. */
	import ChevronDown from '@lucide/svelte/icons/chevron-down';
	import Moon from '@lucide/svelte/icons/moon';
	import Sun from '@lucide/svelte/icons/sun';
	import { untrack } from 'svelte';
	import { page } from '$app/state';
	import { label } from '@zinc-ledger/words';
	import { getBench, type Scheme } from '$lib/bench/bench.svelte';
	import { PLACES } from './places';
	import Button from '$lib/ui/Button.svelte';
	import Popover from '$lib/ui/Popover.svelte';

	let { scheme: first, onkeys }: { scheme: Scheme; onkeys: () => void } = $props();
	const bench = getBench();
	const access = $derived(bench.access);
	const LINK = 'flex min-h-11 items-center underline';
	let open = $state(false);
	let scheme = $state(untrack(() => first));

	function switchScheme() {
		scheme = scheme === 'light' ? 'dark' : 'light';
		void bench.light(scheme);
	}
</script>

<Popover bind:open look="band" align="end" menu="bench" class="w-[19rem]">
	{#snippet trigger()}
		<span class="sr-only">Bench</span>
		<b class="hidden font-semibold tablet:inline">{bench.person?.initials ?? ''}</b>
		<span class="figure text-[13px] text-on-band-soft">
			{bench.units.length}
			{bench.units.load}
		</span>
		<ChevronDown size={15} aria-hidden="true" />
	{/snippet}
	<p class="flex items-baseline gap-2 border-b-2 border-ink pb-2">
		<b>{bench.person?.name ?? 'Nobody picked'}</b>
		{#if !access.network || access.atBench}
			<a
				class="ml-auto flex min-h-11 items-center underline"
				href="/bench?back={encodeURIComponent(page.url.pathname)}"
				onclick={() => (open = false)}
			>
				Change
			</a>
		{/if}
	</p>
	{#if access.network && access.role}
		<p class="flex flex-wrap items-baseline gap-x-4 border-b border-hair text-[13px] text-soft">
			{label('role', access.role)}
			<a class={LINK} href="/account" onclick={() => (open = false)}>Your sign-in</a>
			{#if access.role === 'owner'}
				<a class={LINK} href="/people" onclick={() => (open = false)}>People</a>
			{/if}
		</p>
	{/if}
	<!-- Fetched once the menu is opened. -->
	{#await import('$lib/bench/UnitsSwitch.svelte') then { default: UnitsSwitch }}
		<UnitsSwitch />
	{/await}
	<Button onclick={switchScheme} class="mt-3 w-full justify-center">
		{#if scheme === 'light'}<Moon size={16} /> Dark scheme{:else}<Sun size={16} /> Light scheme{/if}
	</Button>
	<ul class="mt-3 border-t border-rule bench:hidden">
		{#each PLACES as [href, name] (href)}
			<li>
				<a class="flex min-h-11 items-center" {href} onclick={() => (open = false)}>{name}</a>
			</li>
		{/each}
	</ul>
	<Button
		onclick={() => {
			open = false;
			onkeys();
		}}
		look="quiet"
		class="mt-2"
	>
		Keys of this screen
	</Button>
</Popover>
