<script lang="ts">
	/** What comes out for one valve: verdict, shim, figures, section, and the job it may be saved as. */
	import type { OneValve, OneValveAnswer } from '@zinc-ledger/core';
	import { write } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import RoundFigures from '$lib/job/round/RoundFigures.svelte';
	import Section from '$lib/sheet/section/Section.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Disclosure from '$lib/ui/Disclosure.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { capital } from '$lib/ui/words';

	interface Props {
		answer: OneValveAnswer;
		valve: OneValve;
		/** Why it could not be saved. */
		problem: string | null;
		/** Whether the page's own keypad takes half of the screen. */
		isTouch: boolean;
	}
	let { answer, valve, problem, isTouch }: Props = $props();
	const bench = getBench();
	/** What decides the verdict. */
	const why = $derived(answer.station.remarks.find(({ state }) => state === answer.state));
	const outcome = $derived(answer.station.shim?.outcome ?? null);
	const parts = $derived(answer.job.setup.kinds[valve.kind]);
</script>

<section aria-label="Answer" aria-live="polite">
	{#if answer.state === 'not-measured'}
		<p class="py-2 text-soft">
			Enter {answer.needs.map((need) => write(need, bench.units)).join(', ')}.
		</p>
	{:else}
		<p class="flex flex-wrap items-baseline gap-x-3">
			<span class="text-[34px] leading-tight [&_svg]:size-7" data-verdict={answer.state}>
				<Mark state={answer.state} word />
			</span>
			{#if why && answer.state !== 'clear'}
				<span class="text-[15px] tablet:text-[17px]">{write(why.text, bench.units)}</span>
			{/if}
		</p>
	{/if}
	{#if outcome}
		<p class="mt-1 text-[15px]" data-shimmed>
			With <b class="figure">{outcome.shims.map((shim) => bench.length(shim)).join(' + ')}</b>
			under it:
			<span class="figure">{bench.length(outcome.height)}</span>
			high{#if outcome.seatLoad !== null},
				<span class="figure">{bench.load(outcome.seatLoad)}</span>
				{bench.units.load} on the seat{/if}{#if outcome.bindMargin !== null},
				<span class="figure">{bench.length(outcome.bindMargin)}</span> to coil bind{/if}.
		</p>
	{/if}
	{#if valve.height}
		<div class="mt-2">
			<RoundFigures station={answer.station} quantity="installed-height" />
		</div>
	{/if}
	<div class="mt-2 flex flex-wrap gap-x-8">
		{#if valve.height && valve.spring}
			<Disclosure title="Section" class="min-w-[18rem]" open={!isTouch}>
				<Section station={answer.station} kind={answer.station.shared} {parts} plain />
			</Disclosure>
		{/if}
		{#if valve.height}
			<Disclosure title="Save as job" class="min-w-[16rem]">
				<form method="POST" action="?/save" use:sendForm class="flex flex-wrap items-end gap-3">
					<input type="hidden" name="valve" value={JSON.stringify(valve)} />
					<TextField label="Customer" name="customer" value="" />
					<Button look="main">Save as job</Button>
				</form>
				<Alert problem={problem && capital(problem)} class="mt-2" />
			</Disclosure>
		{/if}
	</div>
	<p class="mt-3 max-w-xl text-[13px] text-soft">
		{valve.height && !valve.gap ? 'Seal clearance not checked: no gap read. ' : ''}
		{valve.gauge === null ? 'Told by phone: unverified, so watch at best. ' : ''}On the car: true
		top dead center, crank held, air proved first. The makers’ instructions come first.
	</p>
</section>
