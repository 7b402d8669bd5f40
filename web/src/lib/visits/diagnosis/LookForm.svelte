<script lang="ts">
	/** One check: what was found, and at which valves. Whatever is left blank was checked and not found. Figures are not checked off by hand. */
	import { untrack } from 'svelte';
	import { v7 as uuid } from 'uuid';
	import {
		COMPUTED,
		EVIDENCE,
		evidenceOf,
		type CheckCode,
		type EvidenceCode,
		type Look
	} from '@zinc-ledger/core';
	import { labelsOf, tell } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Checkbox from '$lib/ui/Checkbox.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { capital } from '$lib/ui/words';
	import { readReference, valvesTyped } from './evidence';

	interface Props {
		check: CheckCode;
		/** What was seen at it before. */
		before?: Look | undefined;
		onkept?: () => void;
	}
	let { check, before, onkept }: Props = $props();
	const store = getJobStore();
	const bench = getBench();
	const findings = labelsOf('finding');
	const codes = $derived(evidenceOf(check).filter((code) => !COMPUTED.has(code)));
	const wasSeen = (code: EvidenceCode) => before?.seen.find(({ evidence }) => evidence === code);
	let seen = $state<Partial<Record<EvidenceCode, boolean>>>({});
	let valves = $state<Partial<Record<EvidenceCode, string>>>({});
	const isReference = $derived(check === 'gauge-reference');
	/** What a reference spring read on the tester of then and of now, as typed. */
	let then = $state(untrack(() => before?.reference?.then ?? ''));
	let now = $state(untrack(() => before?.reference?.now ?? ''));
	let note = $state('');
	let problem = $state<string | null>(null);
	const isSeen = (code: EvidenceCode) => seen[code] ?? wasSeen(code) !== undefined;
	const valvesOf = (code: EvidenceCode) => valves[code] ?? wasSeen(code)?.stations?.join(' ') ?? '';

	async function keep(event: SubmitEvent) {
		event.preventDefault();
		const known = store.job.stations.map(({ label }) => label);
		const here = codes.filter(isSeen).map((evidence) => ({
			evidence,
			...valvesTyped(valvesOf(evidence), known)
		}));
		const unknown = here.flatMap((one) => one.unknown);
		if (unknown.length > 0) {
			problem = `No such valve: ${unknown.join(' ')}`;
			return;
		}
		const reference = readReference(then, now, bench.units.load);
		if (isReference && !reference.ok) {
			problem = tell(reference.problem);
			return;
		}
		problem = await store.append('looks', bench.person, {
			id: uuid(),
			check,
			seen: here.map(({ evidence, stations }) => ({
				evidence,
				...(stations.length > 0 && { stations })
			})),
			...(isReference && reference.ok && reference.loads && { reference: reference.loads }),
			...(note.trim() !== '' && { note: note.trim() }),
			at: new Date().toISOString()
		});
		if (problem === null) onkept?.();
	}
</script>

{#if codes.length === 0}
	<p class="mt-2 text-[14px]">
		The program works this out from the figures. Enter them, and this check is done.
	</p>
{:else}
	<form onsubmit={keep} aria-label="What was found">
		{#each codes as code (code)}
			<div class="flex flex-wrap items-center gap-x-4 border-b border-hair">
				<Checkbox
					class="min-w-72 flex-1"
					bind:checked={() => isSeen(code), (is) => (seen[code] = is)}
				>
					{capital(findings[code]!)}
				</Checkbox>
				{#if isSeen(code) && EVIDENCE[code].type !== 'said'}
					<TextField
						class="w-44"
						label="At valves"
						figure
						bind:value={() => valvesOf(code), (text) => (valves[code] = text)}
					/>
				{/if}
			</div>
		{/each}
		{#if isReference}
			<div class="mt-2 grid max-w-xl grid-cols-2 gap-3">
				<TextField
					label="Reference spring on the earlier tester"
					hint="at one height, in {bench.units.load}"
					figure
					bind:value={then}
				/>
				<TextField label="The same spring on today’s tester" figure bind:value={now} />
			</div>
		{/if}
		<div class="mt-2 flex flex-wrap items-end gap-3">
			<TextField class="min-w-64 flex-1" label="Note" bind:value={note} />
			<Button look="main">Save findings</Button>
		</div>
		<Alert class="mt-1" problem={problem && capital(problem)} />
	</form>
{/if}
