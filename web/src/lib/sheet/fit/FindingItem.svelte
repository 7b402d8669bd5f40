<script lang="ts">
	/** One finding of fit: what is compared, why it matters, what would mend it, and whether it is taken on. */
	import { v7 as uuid } from 'uuid';
	import {
		remediesFor,
		RULES,
		type Finding,
		type FitContext,
		type LibraryPart,
		type Remedy
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { placeOf } from './finding-lines';
	import { label, ruleWords, write } from '@zinc-ledger/words';
	import { capital } from '$lib/ui/words';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Input from '$lib/ui/Input.svelte';

	interface Props {
		finding: Finding;
		context: FitContext | undefined;
		library: readonly LibraryPart[];
		/** False while other parts are being tried: what is not kept cannot be accepted. */
		kept: boolean;
		onmend: (remedy: Remedy) => void;
	}
	let { finding, context, library, kept, onmend }: Props = $props();
	const store = getJobStore();
	const bench = getBench();
	let accepting = $state(false);
	let reason = $state('');
	let name = $state('');
	let problem = $state<string | null>(null);

	const mark = $derived(finding.severity === 'note' ? 'clear' : finding.severity);
	const remedies = $derived.by(() => {
		const rule = RULES.find(({ id }) => id === finding.rule);
		return rule && context ? remediesFor(rule, context, library) : [];
	});

	async function accept(event: SubmitEvent) {
		event.preventDefault();
		if (finding.severity === 'stop' && name.trim() !== bench.person?.name) {
			problem = `Type your name to accept a stop: ${bench.person?.name ?? 'select an operator first'}.`;
			return;
		}
		await say(true, reason.trim());
		if (problem === null) accepting = false;
	}

	async function say(accepted: boolean, because: string) {
		problem = await store.append('acceptances', bench.person, {
			id: uuid(),
			finding: finding.key,
			accepted,
			reason: because,
			at: new Date().toISOString()
		});
	}
</script>

<li class="border-b border-hair py-2.5" data-finding="{finding.rule} {placeOf(finding)}">
	<p class="flex flex-wrap items-baseline gap-x-2">
		{#if finding.severity === 'note'}<span class="text-[13px] font-semibold"
				>{label('severity', 'note')}</span
			>
		{:else}<Mark state={mark} word />{/if}
		<b>{ruleWords(finding.rule).title}</b>
		<span class="text-[13px] text-soft">{placeOf(finding)}</span>
	</p>
	<p class="mt-0.5">{write(finding.compared, bench.units)}</p>
	<p class="mt-0.5 text-[13px] text-soft">{ruleWords(finding.rule).why}</p>
	{#if finding.acceptance}
		<p class="mt-1 text-[13px]">
			Accepted by {store.initials(finding.acceptance.person)}: {finding.acceptance.reason}
			<Button
				onclick={() => say(false, 'withdrawn')}
				aria-label="Withdraw the acceptance of {ruleWords(finding.rule).title}"
				look="quiet"
				class="ml-1">Withdraw</Button
			>
		</p>
	{:else}
		<div class="mt-1.5 flex flex-wrap items-center gap-2">
			{#each remedies as remedy (remedy.part.part.id)}
				<Button onclick={() => onmend(remedy)} small class="text-[13px]">
					{capital(label('slot', remedy.place))}: {remedy.part.part.name}
				</Button>
			{:else}
				{#if finding.severity !== 'note'}
					<span class="text-[13px] text-soft">No single library part fixes this.</span>
				{/if}
			{/each}
			{#if finding.severity !== 'note'}
				<Button
					disabled={!kept}
					onclick={() => (accepting = !accepting)}
					look="quiet"
					class="text-[13px]">Accept it, with a reason</Button
				>
			{/if}
		</div>
		{#if accepting && kept}
			<form class="mt-2 flex flex-wrap items-end gap-2" onsubmit={accept}>
				<Input
					class="flex-1"
					aria-label="Reason for accepting {ruleWords(finding.rule).title}"
					placeholder="Reason"
					bind:value={reason}
					required
					{@attach (input) => input.focus()}
				/>
				{#if finding.severity === 'stop'}
					<Input
						class="!w-40"
						aria-label="Your name, to accept a stop"
						placeholder="Your name"
						bind:value={name}
					/>
				{/if}
				<Button>Accept</Button>
			</form>
		{/if}
	{/if}
	<Alert {problem} class="mt-1 text-[13px]" />
</li>
