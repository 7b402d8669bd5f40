<script lang="ts">
	/** Beside the figure: how many are left, what is in place, what the keys do. */
	import { isByCylinder, message, partsOf, type Quantity } from '@zinc-ledger/core';
	import { tell } from '@zinc-ledger/words';
	import { DEVICE_WORDS, type Device } from '$lib/parts/gauges/device.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { outbox } from '$lib/outbox/outbox.svelte';
	import CrankDial from '$lib/valvetrain/lash/CrankDial.svelte';
	import Section from '$lib/sheet/section/Section.svelte';
	import Key from '$lib/ui/Key.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import type { Round } from './round.svelte';
	import { ROUND_WORDS } from './words';
	import Button from '$lib/ui/Button.svelte';

	interface Props {
		quantity: Quantity;
		round: Round;
		/** The gauge that sends; null when figures are typed. */
		device: Device | null;
	}
	let { quantity, round, device }: Props = $props();
	const store = getJobStore();
	/** The station at hand, with the figure typed so far. */
	const shown = $derived(round.preview ?? round.station);
	const parts = $derived(partsOf(store.job.setup, round.entry));
	const total = $derived(round.order.length);
	const next = $derived(round.order[(round.at + 1) % total]);
	const nextLabel = $derived(isByCylinder(quantity) ? next?.cylinder : next?.label);
</script>

<aside class="space-y-5 text-[13px]" aria-label="This round">
	<p class="flex items-baseline gap-2">
		<span class="figure text-5xl font-semibold">{round.left}</span>
		<span class="text-soft">
			of {total} left{round.finished ? '' : `; then ${nextLabel}`}{round.minutesLeft === null ||
			round.finished
				? ''
				: `, about ${round.minutesLeft} min`}
		</span>
	</p>
	{#if !round.finished}
		{#if round.stop}
			<CrankDial stop={round.stop} />
		{:else}
			<div class="hidden bench:block">
				<Section station={shown} kind={shown.shared} {parts} plain />
			</div>
		{/if}
	{/if}
	{#if !outbox.reachable}
		<p role="status" class="border-l-4 border-watch pl-3">
			<b>{outbox.trouble ?? tell(message('server.not-reached'))}</b> Go on measuring: {outbox
				.waiting.length} figure{outbox.waiting.length === 1 ? ' waits' : 's wait'} in this browser and
			will be sent.
		</p>
	{/if}
	<section>
		<h2 class="border-b border-ink pb-1 font-semibold">In place</h2>
		<ul class="mt-1 space-y-1">
			{#if quantity === 'installed-height'}
				<li class={round.parts?.locator ? '' : 'font-semibold text-watch'}>
					{round.parts?.locator ? 'Locator' : 'No locator'}
				</li>
				<li>{round.parts?.shims ? 'Shims of the build' : 'No shims'}</li>
				<li>Recess <span class="figure">{round.parts?.recess}</span></li>
			{:else if quantity === 'seal-gap'}
				<li class={round.parts?.sealHome ? '' : 'font-semibold text-watch'}>
					{round.parts?.sealHome ? 'Seals fully seated' : 'Seals not seated'}
				</li>
			{:else if quantity === 'lash'}
				<li>Engine {round.engine}</li>
			{/if}
			{#if round.repeats > 1}<li>{round.repeats} readings per valve</li>{/if}
			<li>
				{round.gauge.name}, resolution <span class="figure">{round.gauge.resolution}</span>
				{#if device}
					<span class="block" data-link={device.state}>
						{#if device.state !== 'connected'}<Mark state="watch" />{/if}
						{DEVICE_WORDS[device.state]}{device.state === 'connected' ? ': its button saves' : ''}
					</span>
				{/if}
			</li>
		</ul>
		<Button onclick={() => (round.parts = null)} look="quiet" class="mt-1">Change</Button>
	</section>
	<p class="hidden gap-x-4 gap-y-1.5 text-soft bench:flex bench:flex-wrap">
		<span class="flex items-center gap-2"><Key>Enter</Key> save</span>
		<span class="flex items-center gap-2"><Key>⌫</Key> on empty: back</span>
		<span class="flex items-center gap-2"><Key>+</Key> skip</span>
		<span class="flex items-center gap-2"><Key>Esc</Key> sheet</span>
	</p>
	<p class="caution">{ROUND_WORDS[quantity].caution}</p>
</aside>
