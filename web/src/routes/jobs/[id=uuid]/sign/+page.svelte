<script lang="ts">
	/** Sign-off: what is open, what was accepted and why, and the sheets signed so far. */
	import { v7 as uuid } from 'uuid';
	import { untrack } from 'svelte';
	import {
		changedSince,
		furthest,
		scopeStatus,
		visitComparison,
		wholeJob,
		type Scope,
		type ScopeNeed
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { paperOf } from '$lib/signing/paper/layout';
	import PaperSheet from '$lib/signing/paper/PaperSheet.svelte';
	import { printedDraft } from '$lib/signing/paper/printed';
	import Notes from '$lib/signing/sign/Notes.svelte';
	import ScopeChoice from '$lib/signing/sign/ScopeChoice.svelte';
	import Shares from '$lib/signing/sign/Shares.svelte';
	import SignedSheets from '$lib/signing/sign/SignedSheets.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { capital } from '$lib/ui/words';
	import { write } from '@zinc-ledger/words';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Disclosure from '$lib/ui/Disclosure.svelte';
	import Input from '$lib/ui/Input.svelte';

	let { data } = $props();
	const store = getJobStore();
	const bench = getBench();
	let scope = $state<Scope>(
		untrack(() => wholeJob(store.job, furthest(store.job, store.sheet) ?? 'measured'))
	);
	const comparison = $derived(data.then ? visitComparison(data.then.signed, store.job) : []);
	const status = $derived(scopeStatus(store.job, store.sheet, scope, comparison));
	const items = $derived(status.items);
	const toResolve = $derived(items.filter(({ severity }) => severity !== 'info'));
	const toNote = $derived(items.filter(({ severity }) => severity === 'info'));
	const ready = $derived(status.maySign);
	const blocking = $derived(toResolve.filter(({ acceptance }) => !acceptance).length);
	const newest = $derived(store.signed[0]);
	const isChanged = $derived(newest !== undefined && changedSince(store.job, newest));
	/** Signed, and nothing added since: there is nothing to sign. */
	const isCurrent = $derived(newest !== undefined && !isChanged);

	/** The paper as it would be signed now. */
	const draft = $derived(paperOf(printedDraft(store.job, bench.units)));

	/** Who may sign; nobody where whoever is here may not. */
	const signer = $derived(bench.may('machinist') ? bench.person : null);

	let reasons = $state<Record<string, string>>({});
	let problem = $state<string | null>(null);
	let busy = $state(false);

	async function accept(key: string) {
		problem = await store.append('acceptances', bench.person, {
			id: uuid(),
			finding: key,
			accepted: true,
			reason: reasons[key] ?? '',
			at: new Date().toISOString()
		});
	}

	/** What the job does without is said once for all of it. */
	async function leaveOut(change: (list: LeftOut) => LeftOut) {
		const setup = { ...store.job.setup };
		const leftOut = change(setup.leftOut ?? []);
		delete setup.leftOut;
		problem = await store.changeSetup({ ...setup, ...(leftOut.length > 0 && { leftOut }) });
	}
	type LeftOut = NonNullable<typeof store.job.setup.leftOut>;
	const without = (need: ScopeNeed) => (list: LeftOut) => list.filter((one) => one.need !== need);

	async function sign() {
		busy = true;
		problem = await store.sign(bench.person, { ...bench.units }, $state.snapshot(scope) as Scope);
		busy = false;
	}
</script>

<svelte:head><title>Sign · {store.job.number} · Zinc Ledger</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-4 bench:px-6 py-4">
	<h1 class="text-xl font-semibold">Sign the sheet</h1>
	<div class="mt-3 grid gap-x-8 gap-y-6 bench:grid-cols-[minmax(0,1fr)_24rem]">
		<div>
			<ScopeChoice
				job={store.job}
				bind:scope
				lacking={status.lacking}
				isEmpty={!status.isRead}
				onleave={(need, reason) => leaveOut((list) => [...without(need)(list), { need, reason }])}
				onwant={(need) => leaveOut(without(need))}
			/>
			<section class="mt-5" aria-label="To resolve">
				<h2 class="border-b-2 border-ink pb-1 font-semibold">
					{blocking > 0
						? `${blocking} to resolve before it can be signed`
						: 'Nothing blocks sign-off'}
				</h2>
				<ul>
					{#each toResolve as point (point.key)}
						<li class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-hair py-2">
							<b class="figure w-14">{capital(point.place)}</b>
							<span class="min-w-60 flex-1">
								{#if !point.acceptance}<Mark state={point.state} word />{/if}
								{write(point.text, bench.units)}
							</span>
							{#if point.acceptance}
								<span class="text-[13px] text-soft">
									accepted by {store.initials(point.acceptance.person)}: {point.acceptance.reason}
								</span>
							{:else if point.severity === 'acceptance' && signer}
								<form
									class="flex items-end gap-2"
									onsubmit={(event) => {
										event.preventDefault();
										void accept(point.key);
									}}
								>
									<Input
										class="w-56"
										aria-label="Reason to accept it at {point.place}"
										placeholder="reason to accept it"
										maxlength={200}
										bind:value={
											() => reasons[point.key] ?? '', (text) => (reasons[point.key] = text)
										}
									/>
									<Button>Accept</Button>
								</form>
							{/if}
						</li>
					{/each}
				</ul>
			</section>
			{#if toNote.length > 0}
				<Disclosure
					class="mt-3 text-[13px]"
					title="{toNote.length} not measured or not recorded; the sheet says so"
				>
					<ul class="columns-2 gap-6">
						{#each toNote as point (point.key)}
							<li>
								<b class="figure">{capital(point.place)}</b>
								{write(point.text, bench.units)}
							</li>
						{/each}
					</ul>
				</Disclosure>
			{/if}
			<p class="mt-5 flex flex-wrap items-center gap-4">
				<Button disabled={!ready || busy || !signer || isCurrent} onclick={sign} look="main">
					{signer
						? `Sign as ${signer.name}`
						: bench.person
							? 'A machinist signs'
							: 'Select an operator first'}
				</Button>
				<span class="text-[13px] text-soft">
					{newest
						? isChanged
							? `Something was added since sheet ${newest.revision}: signing makes sheet ${newest.revision + 1}, which names it.`
							: `Sheet ${newest.revision} is as the job stands.`
						: 'Job and sheet are frozen together; a later change makes a new sheet.'}
				</span>
			</p>
			<Alert {problem} class="mt-2" />
			{#if !isCurrent}
				<section class="mt-6 hidden tablet:block" aria-label="What would be signed">
					<h2 class="border-b-2 border-ink pb-1 font-semibold">What would be signed</h2>
					<div class="mt-2 border border-rule bg-sunk py-3 [zoom:0.76]">
						<PaperSheet paper={draft} size="A4" />
					</div>
				</section>
			{/if}
		</div>
		<aside class="space-y-6 text-[13px]">
			<SignedSheets />
			<Shares />
			<Notes />
		</aside>
	</div>
</div>
