<script lang="ts">
	/** One menu for who works here, how they read, and where else to go. */
	import { ChevronDown, Moon, Sun } from '@lucide/svelte';
	import { Popover } from 'bits-ui';
	import { untrack } from 'svelte';
	import { page } from '$app/state';
	import { getBench, type Scheme } from '$lib/bench/bench.svelte';
	import UnitsSwitch from '$lib/bench/UnitsSwitch.svelte';
	import { PLACES } from './places';

	let { scheme: first, onkeys }: { scheme: Scheme; onkeys: () => void } = $props();
	const bench = getBench();
	let open = $state(false);
	let scheme = $state(untrack(() => first));

	function switchScheme() {
		scheme = scheme === 'light' ? 'dark' : 'light';
		void bench.light(scheme);
	}
</script>

<Popover.Root bind:open>
	<Popover.Trigger
		class="flex min-h-11 items-center gap-1.5 text-[14px] whitespace-nowrap"
		data-menu="bench"
	>
		<span class="sr-only">Bench</span>
		<b class="hidden font-semibold tablet:inline">{bench.person?.initials ?? ''}</b>
		<span class="figure text-[13px] text-on-band-soft">
			{bench.units.length}
			{bench.units.load}
		</span>
		<ChevronDown size={15} aria-hidden="true" />
	</Popover.Trigger>
	<Popover.Portal>
		<Popover.Content
			align="end"
			sideOffset={2}
			class="z-30 w-[19rem] max-w-[96vw] border border-rule bg-paper p-4 text-ink shadow-lg"
		>
			<p class="flex items-baseline gap-2 border-b-2 border-ink pb-2">
				<b>{bench.person?.name ?? 'Nobody picked'}</b>
				<a
					class="ml-auto flex min-h-11 items-center underline"
					href="/bench?back={encodeURIComponent(page.url.pathname)}"
					onclick={() => (open = false)}
				>
					Change
				</a>
			</p>
			<UnitsSwitch />
			<button class="button mt-3 w-full justify-center" onclick={switchScheme}>
				{#if scheme === 'light'}<Moon size={16} /> Dark scheme{:else}<Sun size={16} /> Light scheme{/if}
			</button>
			<ul class="mt-3 border-t border-rule bench:hidden">
				{#each PLACES as [href, name] (href)}
					<li>
						<a class="flex min-h-11 items-center" {href} onclick={() => (open = false)}>{name}</a>
					</li>
				{/each}
			</ul>
			<button
				class="mt-2 min-h-11 underline"
				onclick={() => {
					open = false;
					onkeys();
				}}
			>
				Keys of this screen
			</button>
		</Popover.Content>
	</Popover.Portal>
</Popover.Root>
