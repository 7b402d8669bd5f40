<script lang="ts">
	import {
		alikeFindings,
		contextOf,
		evaluate,
		KINDS,
		type REUSABLE,
		TYPE_OF,
		STATION_PARTS,
		type Finding,
		type Kind,
		type Remedy,
		type Setup,
		type StationPart,
		message
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import QuietFindings from '$lib/sheet/fit/QuietFindings.svelte';
	import KitChoice from '$lib/parts/kits/KitChoice.svelte';
	import FindingItem from '$lib/sheet/fit/FindingItem.svelte';
	import MassTable from '$lib/sheet/fit/MassTable.svelte';
	import OwnParts from '$lib/sheet/fit/OwnParts.svelte';
	import ReusedParts from '$lib/sheet/fit/ReusedParts.svelte';
	import ShelfTable from '$lib/sheet/fit/ShelfTable.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import { capital } from '$lib/ui/words';
	import { label, tell } from '@zinc-ledger/words';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Combobox from '$lib/ui/Combobox.svelte';
	import Disclosure from '$lib/ui/Disclosure.svelte';

	let { data } = $props();
	const store = getJobStore();
	const bench = getBench();
	useKeys([{ keys: ['Tab'], does: 'next part' }]);

	/** Parts being tried; null while the job stands as it is kept. */
	let tried = $state.raw<Setup | null>(null);
	let problem = $state<string | null>(null);
	const setup = $derived(tried ?? store.job.setup);
	const sheet = $derived(tried ? evaluate({ ...store.job, setup: tried }) : store.sheet);

	const rank = (finding: Finding) => ['stop', 'watch', 'note'].indexOf(finding.severity);
	const fit = $derived(alikeFindings(sheet.fit, store.job.stations));
	const failing = $derived(
		fit.filter(({ outcome }) => outcome === 'fails').toSorted((a, b) => rank(a) - rank(b))
	);
	const unknown = $derived(fit.filter(({ outcome }) => outcome === 'missing'));
	const passing = $derived(fit.filter(({ outcome }) => outcome === 'passes'));
	const choicesFor = (place: StationPart) =>
		data.library.filter((part) => part.type === TYPE_OF[place] && !part.retired);
	const isInLibrary = (kind: Kind, place: StationPart) =>
		choicesFor(place).some(({ part }) => part.id === setup.kinds[kind][place]?.id);

	function change(kind: Kind, change: Partial<Setup['kinds'][Kind]>) {
		const kinds = { ...setup.kinds, [kind]: { ...setup.kinds[kind], ...change } };
		const changed = { ...setup, kinds };
		tried = JSON.stringify(changed) === JSON.stringify(store.job.setup) ? null : changed;
	}

	function choose(kind: Kind, place: StationPart, id: string) {
		const part = choicesFor(place).find((choice) => choice.part.id === id)?.part;
		// What was ground off belongs to the retainer that was ground.
		const chosen = part && place === 'retainer' ? { ...part, groundOff: '0 mm' } : part;
		change(kind, { [place]: chosen });
	}

	function toggleReused(kind: Kind, part: (typeof REUSABLE)[number], reused: boolean) {
		const others = (setup.kinds[kind].reused ?? []).filter((one) => one !== part);
		change(kind, { reused: reused ? [...others, part] : others });
	}

	/** Valves whose parts are their own. */
	const ownNote = $derived(
		store.job.stations
			.filter(({ parts }) => parts && Object.keys(parts).length > 0)
			.map((entry) => entry.label)
			.join(' ')
	);
	let ownOpen = $state<boolean | null>(null);

	async function mend(finding: Finding, { place, part }: Remedy) {
		if (finding.stations.length === 0) return choose(finding.kind, place, part.part.id);
		for (const label of finding.stations) {
			const entry = store.job.stations.find((station) => station.label === label);
			problem = await store.setParts(label, { ...entry?.parts, [place]: part.part });
		}
	}

	async function keep() {
		if (!tried) return;
		if (!bench.person) {
			problem = tell(message('server.operator-required'));
			return;
		}
		problem = await store.changeSetup(JSON.parse(JSON.stringify(tried)) as Setup);
		if (problem === null) tried = null;
	}
</script>

<svelte:head><title>Parts · {store.job.number} · Zinc Ledger</title></svelte:head>

<div class="grid min-h-0 flex-1 bench:grid-cols-[minmax(0,1fr)_27rem]">
	<div class="min-h-0 overflow-auto px-4 bench:px-5 pb-8">
		<div class="sticky top-0 z-[1] flex min-h-16 items-center gap-3 border-b-2 border-ink bg-paper">
			<h1 class="text-xl font-semibold">Parts of {store.job.number}</h1>
			{#if tried}
				<span class="ml-auto text-[13px] font-semibold">Unsaved</span>
				<Button onclick={() => (tried = null)}>Discard</Button>
				<Button onclick={keep} look="main">Save</Button>
			{:else}
				<Button href="/jobs/{store.job.id}/springs" class="ml-auto">Find a spring</Button>
			{/if}
		</div>
		<Alert {problem} class="mt-2" />
		<KitChoice
			kits={data.kits}
			library={data.library}
			{setup}
			stations={store.job.stations}
			ontake={(taken) => (tried = taken)}
		/>
		<div
			class="grid grid-cols-2 items-center gap-x-3 pt-2 tablet:grid-cols-[6rem_minmax(0,1fr)_minmax(0,1fr)]"
		>
			<span class="hidden tablet:block"></span>
			{#each KINDS as kind (kind)}<h2 class="pb-1 font-semibold">
					{capital(label('kind', kind))}
				</h2>{/each}
			{#each STATION_PARTS as place (place)}
				<span class="col-span-2 text-[13px] text-soft tablet:col-span-1">
					{capital(label('slot', place))}
				</span>
				{#each KINDS as kind (kind)}
					{@const present = setup.kinds[kind][place]}
					<div class="min-w-0 py-1">
						<Combobox
							aria-label="{kind}: {capital(label('slot', place))}"
							remember={TYPE_OF[place]}
							options={[
								{ value: '', label: 'none' },
								...(present && !isInLibrary(kind, place)
									? [
											{
												value: present.id ?? 'own',
												label: present.name,
												note: 'on this job only'
											}
										]
									: []),
								...choicesFor(place).map(({ part, stock }) => ({
									value: part.id!,
									label: part.name,
									note: stock === 0 ? 'none in stock' : undefined
								}))
							]}
							bind:value={
								() => (present ? (present.id ?? 'own') : ''), (id) => choose(kind, place, id)
							}
						/>
					</div>
				{/each}
			{/each}
		</div>
		<ReusedParts {setup} onchange={toggleReused} />
		<div class="mt-4"><ShelfTable library={data.library} taken={data.taken} /></div>
		<Disclosure class="mt-2 border-b border-hair" title="Moving mass">
			<MassTable before={store.job.setup} after={setup} />
		</Disclosure>
		<Disclosure
			class="border-b border-hair"
			title="Valves with parts of their own"
			note={ownNote}
			bind:open={() => ownOpen ?? ownNote !== '', (open) => (ownOpen = open)}
		>
			<OwnParts library={data.library} />
		</Disclosure>
		<p class="caution mt-5">
			The makers’ own fitting instructions come first. A part that is not here: add it under
			<a class="underline" href="/parts">Parts</a>.
		</p>
	</div>

	<aside
		class="min-h-0 overflow-auto border-rule px-4 pb-8 bench:border-l"
		aria-label="Compatibility of the parts"
	>
		<h2 class="flex min-h-16 items-center border-b-2 border-ink text-lg font-semibold">
			Compatibility
		</h2>
		<ul>
			{#each failing as finding (finding.key)}
				<FindingItem
					{finding}
					context={contextOf(sheet.fitContexts, finding)}
					library={data.library}
					kept={tried === null}
					onmend={(remedy) => mend(finding, remedy)}
				/>
			{:else}
				<li class="border-b border-hair py-2.5">No check fails.</li>
			{/each}
		</ul>
		<QuietFindings {unknown} {passing} />
	</aside>
</div>
