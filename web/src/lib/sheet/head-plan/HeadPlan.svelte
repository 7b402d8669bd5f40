<script module lang="ts">
	import type { StationSheet } from '@zinc-ledger/core';

	/** What the plan tells of a station, live or signed. */
	export type StationInPlan = Pick<StationSheet, 'label' | 'state' | 'seen' | 'inForce'>;
</script>

<script lang="ts" generics="S extends StationInPlan">
	/**
	 * The heads in plan, as they lie on the bench. Each station carries its
	 * state, and is the way to it.
	 */
	import {
		headPlan,
		type Job,
		type PlanHead,
		type PlanValve,
		type Quantity
	} from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import Mark from '$lib/ui/Mark.svelte';

	interface Props {
		job: Job;
		stations: readonly S[];
		selected?: string | null;
		/** Stations lit though none is selected: those of the cylinder at hand. */
		lit?: (valve: PlanValve) => boolean;
		/** The quantity whose reading makes a station drawn in full line. */
		measured?: Quantity;
		/** Draw a station in full line when its valve was looked at, instead. */
		seen?: boolean;
		/** What makes a station drawn in full line, and what that is called, instead. */
		done?: { is: (sheet: S) => boolean; word: string };
		/** Left out, the plan is a drawing and no way to anywhere. */
		onselect?: (label: string) => void;
	}
	let {
		job,
		stations,
		selected = null,
		lit = () => false,
		measured = 'installed-height',
		seen = false,
		done,
		onselect
	}: Props = $props();

	const byLabel = $derived(new Map(stations.map((station) => [station.label, station])));
	const heads = $derived(headPlan(job));

	/** So far apart neighbours stand, in pixels, that none lies on another. */
	const APART = 46;
	/** The pitch that a head needs for it: the plan scrolls where it has less. */
	function pitchOf({ valves }: PlanHead): number {
		const gaps = valves.flatMap((valve) =>
			valves
				.filter((other) => other.cylinder === valve.cylinder && other.across === valve.across)
				.map((other) => Math.abs(other.aside - valve.aside))
				.filter((gap) => gap > 0)
		);
		return APART / Math.min(1, ...gaps);
	}
	/** Valves stand by their bore's centre, no wider apart than they need, however wide the head is drawn. */
	const leftOf = ({ bore, aside }: PlanValve, pitch: number) =>
		`calc(${bore * 100}% + ${aside * pitch}px)`;

	let frame: HTMLElement;
	// On a narrow screen the station at hand is brought into sight.
	$effect(() => {
		const valve = frame.querySelector<HTMLElement>(`[data-station="${selected}"]`);
		if (!valve || frame.scrollWidth <= frame.clientWidth) return;
		const at = valve.getBoundingClientRect();
		const { left, width } = frame.getBoundingClientRect();
		frame.scrollLeft += at.left + at.width / 2 - left - width / 2;
	});

	/** Arrow keys go along the head from the valve that has the focus. */
	function along(event: KeyboardEvent, label: string) {
		const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
		if (by === undefined) return;
		const labels = heads.flatMap(({ valves }) => valves.map((valve) => valve.label));
		const next = labels[labels.indexOf(label) + by];
		event.preventDefault();
		event.stopPropagation();
		if (next === undefined) return;
		onselect?.(next);
		frame.querySelector<HTMLElement>(`[data-station="${next}"]`)?.focus();
	}

	const isDone = (sheet: S) =>
		done ? done.is(sheet) : seen ? sheet.seen !== null : sheet.inForce[measured] !== undefined;

	function describe(sheet: S): string {
		if (done) return `${sheet.label}, ${done.is(sheet) ? done.word : `not ${done.word}`}`;
		if (seen)
			return `${sheet.label}, ${sheet.seen ? `inspected, ${label('state', sheet.state)}` : 'not inspected'}`;
		const read = sheet.inForce[measured];
		return `${sheet.label}, ${read ? `${read.read}, ${label('state', sheet.state)}` : label('state', 'not-measured')}`;
	}
</script>

<!-- A drawing alone is scrolled by keys; valves that can be chosen bring themselves into sight. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div
	bind:this={frame}
	tabindex={onselect ? undefined : 0}
	class="flex flex-wrap gap-3 overflow-x-auto pt-1"
	role="group"
	aria-label="Head plan"
>
	{#each heads as head (head.id)}
		{@const wide = head.rows === 2}
		{@const pitch = pitchOf(head)}
		<div class="flex-1" style:min-width="{pitch * head.bores.length}px">
			<div
				class="relative rounded-[10px] border border-metal bg-cast {wide
					? 'h-[124px]'
					: 'h-[88px]'}"
			>
				{#each head.bores as bore (bore)}
					<span
						class="absolute top-1/2 aspect-square w-auto -translate-1/2 rounded-full border border-dashed border-metal {wide
							? 'h-[118px]'
							: 'h-[84px]'}"
						style:left="{bore * 100}%"
					></span>
				{/each}
				{#each head.bolts as bolt (bolt)}
					{#each ['8%', '92%'] as top (top)}
						<span
							class="absolute size-2.5 -translate-1/2 rounded-full border border-metal bg-paper"
							style:left="clamp(10px, {bolt * 100}%, 100% - 10px)"
							style:top
						></span>
					{/each}
				{/each}
				{#each head.valves as station (station.label)}
					{@const sheet = byLabel.get(station.label)!}
					<svelte:element
						this={onselect ? 'button' : 'span'}
						type={onselect ? 'button' : undefined}
						role={onselect ? 'button' : 'img'}
						tabindex={!onselect
							? undefined
							: station.label === (selected ?? stations[0]?.label)
								? 0
								: -1}
						aria-pressed={onselect ? station.label === selected : undefined}
						aria-label={describe(sheet)}
						data-station={station.label}
						data-lit={lit(station) ? 'yes' : undefined}
						onclick={() => onselect?.(station.label)}
						onkeydown={onselect && ((event: KeyboardEvent) => along(event, station.label))}
						class="absolute grid size-11 -translate-1/2 place-items-center"
						style:left={leftOf(station, pitch)}
						style:top="{station.across * 100}%"
					>
						<span
							class={[
								'figure grid place-items-center rounded-full border-2 text-[13px] font-semibold',
								station.kind === 'intake' ? 'size-11' : 'size-9',
								station.label === selected
									? 'border-[3px] border-chromate bg-chromate-wash'
									: lit(station)
										? 'border-chromate bg-chromate-wash'
										: sheet.state === 'stop'
											? 'border-stop bg-paper'
											: isDone(sheet)
												? 'border-ink bg-paper'
												: 'border-dashed border-faint text-soft'
							]}
						>
							{station.label}
						</span>
						<span class="absolute -top-0.5 right-0 bg-transparent"
							><Mark state={sheet.state} /></span
						>
					</svelte:element>
				{/each}
			</div>
			{#if heads.length > 1}
				<p class="mt-0.5 text-xs text-soft">{head.name}, seen from above, front of engine left</p>
			{/if}
		</div>
	{/each}
</div>
