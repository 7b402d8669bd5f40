<script lang="ts">
	/**
	 * The phases of the job in the order of the work, always in this place: a column at the bench,
	 * a strip with the stages of one phase on a tablet. A phone has a bar of its own.
	 */
	import Check from '@lucide/svelte/icons/check';
	import { page } from '$app/state';
	import type { Phase } from '@zinc-ledger/core';
	import { write } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import type { JobStore } from '$lib/job/store/job-store.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Key from '$lib/ui/Key.svelte';
	import { openedExtras } from './extras.svelte';
	import { isAt, nextOf, phasesOf, type Item, type PhaseItems } from './phases';

	let { store }: { store: JobStore } = $props();
	const bench = getBench();
	const extras = openedExtras();
	const phases = $derived(phasesOf(store));
	const next = $derived(nextOf(store));
	const isShownIn = (phase: Phase) => (item: Item) =>
		!item.isExtra || extras.isOpen(phase) || isHere(item);
	const isHere = (item: Item) => isAt(item, page.url);
	const here = $derived(phases.find(({ items }) => items.some(isHere)) ?? phases[0]!);
	const note = ({ stage }: Item) => (stage?.note ? write(stage.note, bench.units) : '');
</script>

{#snippet state({ done: [done, of], blocks }: PhaseItems)}
	<span class="ml-auto text-xs {blocks ? 'font-semibold text-stop' : 'text-soft'}">
		{done} of {of}
	</span>
{/snippet}

<nav
	aria-label="Stages of the job"
	class="hidden flex-none bg-plate tablet:grid tablet:grid-cols-5 bench:flex bench:w-[176px] bench:flex-col bench:overflow-y-auto bench:pt-1"
>
	{#each phases as own (own.phase)}
		<section class="contents bench:block" aria-labelledby="phase-{own.phase}">
			<h2
				id="phase-{own.phase}"
				class="text-[13px] font-semibold bench:flex bench:items-baseline bench:pr-2 bench:pl-[14px] bench:text-xs bench:text-soft"
			>
				<a
					href={own.items[0]!.href}
					class="flex min-h-11 items-center gap-1 border-b-2 px-2 bench:hidden {own === here
						? 'border-chromate bg-paper'
						: 'border-transparent'}"
				>
					{own.name}{@render state(own)}
				</a>
				<span class="hidden bench:inline">{own.name}</span>
				<span class="hidden bench:inline bench:ml-auto">{@render state(own)}</span>
			</h2>
			<ul
				class="col-span-5 row-start-2 bg-paper bench:mb-1 bench:block bench:bg-transparent {own ===
				here
					? 'flex'
					: 'hidden'}"
			>
				{#each own.items.filter(isShownIn(own.phase)) as item (item.href)}
					<li class="min-w-0 flex-1">
						<a
							href={item.href}
							download={item.isFile}
							aria-current={isHere(item) ? 'page' : undefined}
							class="relative flex min-h-11 flex-wrap items-center gap-x-1.5 px-2 py-0.5 leading-tight before:absolute before:inset-x-0 before:bottom-0 before:h-1 aria-[current=page]:before:bg-chromate bench:min-h-[29px] bench:flex-nowrap bench:pl-[14px] bench:before:inset-y-0 bench:before:right-auto bench:before:left-0 bench:before:h-auto bench:before:w-[5px] bench:aria-[current=page]:bg-paper {item.stage
								? 'font-semibold'
								: 'text-[13px] text-soft'}"
						>
							<span class="whitespace-nowrap">{item.name}</span>
							{#if item.stage?.done}
								<Check size={14} aria-label="done" class="text-soft bench:ml-auto" />
							{/if}
							<!-- An accepted plan and a signed sheet say so; other stages that are done say no more. -->
							{#if item.stage && (!item.stage.done || ['plan', 'sign'].includes(item.stage.name))}
								<span
									class="text-right text-xs leading-tight font-normal bench:ml-auto {item.stage
										.blocks
										? 'font-semibold text-stop'
										: 'text-soft'}"
									title={note(item)}>{note(item)}</span
								>
							{/if}
						</a>
					</li>
				{/each}
				{#if own.items.some(({ isExtra }) => isExtra)}
					<li class="min-w-0 flex-1">
						<Button
							look="cell"
							type="button"
							aria-expanded={extras.isOpen(own.phase)}
							aria-label="More of {own.name}"
							class="flex min-h-11 w-full items-center px-2 text-[13px] text-soft bench:min-h-[26px] bench:pl-[14px]"
							onclick={() => extras.toggle(own.phase)}
						>
							{extras.isOpen(own.phase) ? 'Less' : 'More'}
						</Button>
					</li>
				{/if}
			</ul>
		</section>
	{/each}
	{#if next}
		<a
			href={next.href}
			class="col-span-5 mx-2 my-1 hidden min-h-11 items-center gap-1.5 bg-ink px-2.5 text-[14px] font-semibold text-paper bench:mt-auto bench:mb-2 bench:flex"
		>
			Next: {next.name}
			{#if next.station}<span class="figure">{next.station}</span>{/if}
			<span class="ml-auto"><Key>n</Key></span>
		</a>
	{/if}
</nav>
