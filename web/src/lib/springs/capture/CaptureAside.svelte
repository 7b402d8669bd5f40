<script lang="ts">
	/** Beside the pull: tester, fixture, what to run the dial to, which springs are left. */
	import { cardLine, lengthOf, storedEnergy } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { DEVICE_WORDS } from '$lib/parts/gauges/device.svelte';
	import { sweepOutbox } from '$lib/outbox/sweeps.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Suggest from '$lib/ui/Suggest.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import type { SpringTest } from './spring-test.svelte';
	import Button from '$lib/ui/Button.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';

	let { test }: { test: SpringTest } = $props();
	const { length } = getBench();
	const { device, springs, targets, fixtureRead } = $derived(test);
	const { card } = $derived(test.set);
	const left = $derived(springs.filter((one) => !test.isTested(one)).length);
	const energy = $derived(card?.bind ? storedEnergy(cardLine(card), lengthOf(card.bind)) : null);
	const dials = $derived(
		targets === null
			? []
			: [
					{ name: 'start, above the tallest valve', dial: targets.start },
					{ name: 'seat', dial: targets.seat },
					{ name: 'half lift', dial: targets.halfLift },
					{ name: 'full lift', dial: targets.fullLift },
					...(targets.solid === null ? [] : [{ name: 'solid, by the card', dial: targets.solid }])
				]
	);
</script>

<aside
	class="min-h-0 space-y-4 overflow-auto border-rule px-4 py-4 text-[13px] bench:border-l"
	aria-label="This test"
>
	<p>
		<span class="figure text-4xl font-semibold">{left}</span>
		<span class="text-soft">of {springs.length} left to test</span>
	</p>
	<SelectField
		label="Tester"
		options={[
			...test.senders.map(({ gauge }) => ({ value: gauge.id, label: gauge.name })),
			{ value: '', label: 'Manual entry' }
		]}
		bind:value={() => test.testerId ?? '', (id) => (test.testerId = id || null)}
	/>
	{#if test.testerId !== null}
		<p role="status" data-link={device.state}>
			{#if device.state !== 'connected' && device.state !== 'connecting'}<Mark state="watch" />{/if}
			{DEVICE_WORDS[device.state]}
			{#if device.malformed > 0}· {device.malformed} unreadable lines{/if}
		</p>
	{/if}
	<TextField
		label="Fixture thickness"
		problem={fixtureRead.ok ? undefined : fixtureRead.problem}
		hint={fixtureRead.ok ? fixtureRead.text : undefined}
		bind:value={test.fixture}
		figure
	/>
	<Field
		label="Retainer in the press"
		hint={test.pressed ? `step ${test.pressed.step}` : undefined}
	>
		{#snippet control(attributes)}
			<Suggest
				known={test.retainers.map(({ part }) => part.name)}
				bind:value={test.retainer}
				{...attributes}
			/>
		{/snippet}
	</Field>
	<section aria-label="Dial targets">
		<h2 class="border-b border-ink pb-1 font-semibold">Run the dial to</h2>
		{#each dials as { name, dial } (name)}
			<p class="flex justify-between border-b border-hair py-1">
				<span>{name}</span><b class="figure">{length(dial)}</b>
			</p>
		{/each}
	</section>
	{#if sweepOutbox.waiting.length > 0}
		<p role="status" class="border-l-4 border-watch pl-3">
			{sweepOutbox.waiting.length} unsent{sweepOutbox.refused ? `: ${sweepOutbox.refused}` : ''}
		</p>
	{:else if test.kept}
		<p role="status" class="text-soft">Saved {test.kept}.</p>
	{/if}
	<ul class="flex flex-wrap gap-1" aria-label="Springs of the set">
		{#each springs as one (one.id)}
			<li>
				<Button
					look="cell"
					class="figure min-w-11 border px-1.5 text-center aria-pressed:border-chromate aria-pressed:bg-chromate-wash {test.isTested(
						one
					)
						? 'border-ink'
						: 'border-dashed border-faint text-soft'}"
					aria-pressed={one.tag === test.tag}
					onclick={() => test.choose(one.tag)}>{one.tag}</Button
				>
			</li>
		{/each}
	</ul>
	<p class="caution">
		Guard closed, eyes covered, fingers out; stop at the knee.
		{#if energy !== null}Pressed solid, this spring holds about <b class="figure"
				>{energy.toFixed(0)} J</b
			>.{/if}
	</p>
</aside>
