<script lang="ts">
	/** On a phone: the phases at the bottom, what is next in their middle, and a phase's stages from below. */
	import Check from '@lucide/svelte/icons/check';
	import { page } from '$app/state';
	import { write } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import type { JobStore } from '$lib/job/store/job-store.svelte';
	import { isAt, nextOf, phasesOf, type PhaseItems } from './phases';
	import Button from '$lib/ui/Button.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';

	let { store }: { store: JobStore } = $props();
	const bench = getBench();
	const phases = $derived(phasesOf(store));
	const next = $derived(nextOf(store));
	let open = $state(false);
	let shown = $state.raw<PhaseItems | null>(null);
	const isHere = ({ items }: PhaseItems) => items.some((item) => isAt(item, page.url));
	let all = $state(false);
	const shownItems = $derived(
		(shown?.items ?? []).filter((item) => all || !item.isExtra || isAt(item, page.url))
	);
	const half = 3;
</script>

{#snippet phase(own: PhaseItems)}
	<Button
		look="cell"
		class="min-h-12 min-w-0 flex-1 text-center border-t-4 px-0.5 text-[12px] {isHere(own)
			? 'border-chromate font-semibold'
			: 'border-transparent'} {own.blocks ? 'text-stop' : ''}"
		aria-haspopup="dialog"
		onclick={() => {
			shown = own;
			all = false;
			open = true;
		}}
	>
		{own.name}
	</Button>
{/snippet}

<nav
	aria-label="Phases of the job"
	class="sticky bottom-0 z-10 flex flex-none bg-plate tablet:hidden print:hidden"
>
	{#each phases.slice(0, half) as own (own.phase)}{@render phase(own)}{/each}
	{#if next}
		<a
			href={next.href}
			class="flex min-h-12 flex-[1.6] flex-col items-center justify-center bg-ink text-[13px] leading-tight font-semibold text-paper"
		>
			<span class="text-[11px] font-normal">Next</span>
			{next.name}
			{next.station ?? ''}
		</a>
	{/if}
	{#each phases.slice(half) as own (own.phase)}{@render phase(own)}{/each}
</nav>

<Dialog bind:open from="below" title={shown?.name ?? ''}>
	<ul>
		{#each shownItems as item (item.href)}
			<li class="border-b border-hair">
				<a
					href={item.href}
					download={item.isFile}
					aria-current={isAt(item, page.url) ? 'page' : undefined}
					class="flex min-h-12 items-center gap-2 aria-[current=page]:font-semibold"
					onclick={() => (open = false)}
				>
					{item.name}
					{#if item.stage?.done}
						<Check size={16} aria-label="done" class="ml-auto text-soft" />
					{:else if item.stage}
						<span class="ml-auto text-[13px] {item.stage.blocks ? 'text-stop' : 'text-soft'}">
							{item.stage.note ? write(item.stage.note, bench.units) : 'not begun'}
						</span>
					{/if}
				</a>
			</li>
		{/each}
	</ul>
	{#if shown && shownItems.length < shown.items.length}
		<Button look="quiet" class="min-h-12 w-full" onclick={() => (all = true)}>More</Button>
	{/if}
</Dialog>
