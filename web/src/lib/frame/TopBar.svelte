<script lang="ts">
	/** One row at any width: the brand, the job, what to find, the bench's menu. */
	import Search from '@lucide/svelte/icons/search';
	import { page } from '$app/state';
	import { getBench, type Scheme } from '$lib/bench/bench.svelte';
	import Key from '$lib/ui/Key.svelte';
	import BenchMenu from './BenchMenu.svelte';
	import { PLACES } from './places';
	import Button from '$lib/ui/Button.svelte';

	interface Props {
		scheme: Scheme;
		onkeys: () => void;
		onfind: () => void;
	}
	let { scheme, onkeys, onfind }: Props = $props();
	const bench = getBench();
	/** Nobody is signed in: there is nothing to find or to go to. */
	const signedOut = $derived(bench.access.network && !bench.access.signedIn);
	const title = $derived(page.data.title);
	const rest = $derived(title ? 'hidden tablet:inline' : '');
</script>

<header
	class="flex min-h-11 flex-none items-center gap-x-3 bg-band px-3 text-on-band tablet:gap-x-5 tablet:px-4 print:hidden"
>
	<a href="/" class="flex min-h-11 min-w-11 items-center text-[15px] font-bold [font-stretch:118%]">
		<!-- In a job on a phone the name stands by its letters. -->
		<span class="whitespace-nowrap">
			Z<span class={rest}>inc</span><span
				class="mx-px inline-block h-4 w-[3px] skew-x-[-18deg] bg-[#e2b52b] align-[-2px]"
				aria-hidden="true"
			></span>L<span class={rest}>edger</span>
		</span>
	</a>
	{#if title}
		<p class="min-w-0 truncate text-[15px]">
			<b class="figure font-semibold">{title.number}</b>
			{title.name}
			<span class="hidden text-on-band-soft tablet:inline">· {title.detail}</span>
		</p>
	{/if}
	<div class="ml-auto flex flex-none items-center gap-2 tablet:gap-4">
		{#each signedOut ? [] : PLACES as [href, name] (href)}
			<a {href} class="hidden min-h-11 items-center text-[14px] bench:flex">{name}</a>
		{/each}
		<Button look="band" class={signedOut ? 'hidden' : 'flex'} onclick={onfind}>
			<Search size={17} class="tablet:hidden" aria-label="find" />
			<span class="hidden items-center gap-1.5 tablet:flex"><Key>Ctrl K</Key> find</span>
		</Button>
		<Button look="band" class="hidden bench:flex" onclick={onkeys}>
			<Key>?</Key> keys
		</Button>
		{#if signedOut}
			{#if !/^\/(sign-in|shared\/)/.test(page.url.pathname)}
				<a href="/sign-in" class="flex min-h-11 items-center font-semibold">Sign in</a>
			{/if}
		{:else if !bench.person}
			<a
				href="/bench?back={encodeURIComponent(page.url.pathname)}"
				class="flex min-h-11 items-center text-[14px] font-semibold whitespace-nowrap text-[#f0c645]"
			>
				<span class="tablet:hidden">Who?</span><span class="hidden tablet:inline"
					>Who works here?</span
				>
			</a>
		{/if}
		<BenchMenu {scheme} {onkeys} />
	</div>
</header>
