<script lang="ts">
	/** What the signature is to say: how far, of which stations, and what that still needs. */
	import { untrack } from 'svelte';
	import {
		message,
		SCOPES,
		stationsAtHand,
		type Job,
		type Lacking,
		type Scope,
		type ScopeName,
		type ScopeNeed
	} from '@zinc-ledger/core';
	import { label, labelsOf, tell } from '@zinc-ledger/words';
	import Button from '$lib/ui/Button.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import RadioGroup from '$lib/ui/RadioGroup.svelte';
	import ReasonForm from '$lib/ui/ReasonForm.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import { capital } from '$lib/ui/words';

	interface Props {
		job: Job;
		scope: Scope;
		lacking: readonly Lacking[];
		/** Nothing was read at the stations in scope. */
		isEmpty: boolean;
		onleave: (need: ScopeNeed, reason: string) => void;
		onwant: (need: ScopeNeed) => void;
	}
	let { job, scope = $bindable(), lacking, isEmpty, onleave, onwant }: Props = $props();
	let leaving = $state<ScopeNeed | null>(null);
	const root = $derived(`/jobs/${job.id}`);

	/** Where each need is met. */
	const PAGE: Readonly<Record<ScopeNeed, string>> = {
		height: '/round?of=installed-height',
		seatLoad: '/parts',
		openLoad: '/setup',
		bindMargin: '/setup',
		sealClearance: '/round?of=seal-gap',
		assembly: '/assembly',
		built: '/round?of=built-height',
		vacuum: '/checks',
		lash: '/lash',
		piston: '/checks'
	};
	const hand = $derived(stationsAtHand(job).map((one) => one.label));
	const isPart = $derived(hand.length < job.stations.length);
	const groups = $derived([
		...(isPart ? [{ value: 'hand', label: `worked on: ${hand.join(' ')}` }] : []),
		{ value: 'all', label: `all ${job.stations.length} stations` },
		...(job.heads.length > 1
			? job.heads.map(({ id, name }) => ({ value: `head ${id}`, label: name }))
			: []),
		...[...new Set(job.stations.map(({ cylinder }) => cylinder))]
			.toSorted((a, b) => a - b)
			.map((cylinder) => ({ value: `cylinder ${cylinder}`, label: `cylinder ${cylinder}` })),
		...job.stations.map((one) => ({ value: `station ${one.label}`, label: `only ${one.label}` }))
	]);
	let group = $state(untrack(() => (isPart ? 'hand' : 'all')));

	function choose(value: string) {
		group = value;
		const [type, of] = value.split(/ (.*)/);
		const stations = job.stations
			.filter(
				({ label: own, head, cylinder }) =>
					value === 'all' ||
					(value === 'hand' && hand.includes(own)) ||
					(type === 'head' && head === of) ||
					(type === 'cylinder' && cylinder === Number(of)) ||
					(type === 'station' && own === of)
			)
			.map((one) => one.label);
		scope = { ...scope, stations };
	}
</script>

<section aria-label="What the signature says">
	<h2 class="border-b-2 border-ink pb-1 font-semibold">What the signature says</h2>
	<div class="mt-2 flex flex-wrap items-end gap-x-6 gap-y-2">
		<RadioGroup
			label="How far"
			options={SCOPES.map((name) => ({ value: name, label: capital(label('scope', name)) }))}
			bind:value={
				() => scope.name, (name: ScopeName | '' | null) => name && (scope = { ...scope, name })
			}
		/>
		<SelectField label="Of" class="w-44" options={groups} bind:value={() => group, choose} />
	</div>
	{#if isEmpty}
		<p class="mt-2"><Mark state="stop" word /> {tell(message('scope.empty'))}</p>
	{/if}
	<ul class="mt-2" aria-label="What it still needs">
		{#each lacking as { need, stations } (need)}
			<li class="flex flex-wrap items-center gap-x-4 border-b border-hair py-1.5">
				<a
					class="flex min-h-11 items-center font-semibold underline bench:min-h-8"
					href="{root}{PAGE[need]}"
				>
					{capital(label('scopeNeed', need))}
				</a>
				<span class="figure min-w-40 flex-1 text-[13px]">
					{stations.length === job.stations.length ? `all ${stations.length}` : stations.join(' ')}
				</span>
				{#if leaving === need}
					<ReasonForm
						label="Why this job goes without {label('scopeNeed', need)}"
						placeholder="why it is not wanted on this job"
						word="Leave out"
						onreason={(reason) => {
							leaving = null;
							if (reason) onleave(need, reason);
						}}
					/>
				{:else}
					<Button look="quiet" class="text-[13px]" onclick={() => (leaving = need)}>
						Leave it out<span class="sr-only">: {labelsOf('scopeNeed')[need]}</span>
					</Button>
				{/if}
			</li>
		{/each}
		{#each job.setup.leftOut ?? [] as { need, reason } (need)}
			<li
				class="flex flex-wrap items-center gap-x-4 border-b border-hair py-1.5 text-[13px] text-soft"
			>
				<span class="flex-1">Without {label('scopeNeed', need)}: {reason}</span>
				<Button look="quiet" onclick={() => onwant(need)}>Want it after all</Button>
			</li>
		{/each}
	</ul>
</section>
