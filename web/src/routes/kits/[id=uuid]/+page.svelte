<script lang="ts">
	/** One kit: its parts, its box, what it asks and forbids, the paper itself. */
	import { untrack } from 'svelte';
	import { KINDS, KIT_PLACES, lengthOf, loadOf, TYPE_OF } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import type { Values } from '$lib/forms/flat';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import KitTexts from '$lib/parts/kits/KitTexts.svelte';
	import { paperOfKit } from '$lib/parts/kits/of-kit';
	import Photos from '$lib/photos/Photos.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Combobox from '$lib/ui/Combobox.svelte';
	import { capital } from '$lib/ui/words';

	let { data, form } = $props();
	const bench = getBench();
	useKeys([{ keys: ['Enter'], does: 'keep the kit' }]);
	const { length, load } = bench;
	let values = $state<Values>(untrack(() => ({ ...(form?.values ?? data.values) })));
	const problems = $derived<Record<string, string>>(form?.problems ?? {});
	const parts = $derived(new Map(Object.entries(data.parts)));
	const papers = $derived(
		KINDS.map((kind) => ({ kind, paper: paperOfKit(data.kit, parts, kind) }))
	);
	const chosen = (path: string) => {
		const [kind, place] = path.split('.') as ['intake', 'spring'];
		return values[path] ?? data.kit.kinds[kind][place] ?? '';
	};
	const optionsOf = (place: (typeof KIT_PLACES)[number]) => [
		{ value: '', label: 'none' },
		...data.library
			.filter(({ type }) => type === TYPE_OF[place])
			.map(({ part }) => ({ value: part.id, label: part.name }))
	];
	const FIGURES = [
		['Card height', (of: Paper) => length(of.seat && lengthOf(of.seat.height))],
		['Seat load', (of: Paper) => load(of.seat && loadOf(of.seat.load))],
		['Open load', (of: Paper) => load(of.open && loadOf(of.open.load))],
		['at a lift of', (of: Paper) => length(of.openLift)],
		['Coil bind', (of: Paper) => length(of.bind ? lengthOf(of.bind) : null)],
		['Max lift', (of: Paper) => length(of.maxLift ? lengthOf(of.maxLift) : null)]
	] as const;
	type Paper = ReturnType<typeof paperOfKit>;
</script>

<svelte:head><title>{data.kit.name} · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 pb-10 bench:px-8">
	<form
		method="POST"
		use:sendForm={{
			reset: false,
			after: (result) => {
				if (result.type === 'redirect') values = { ...data.values };
			}
		}}
	>
		<input type="hidden" name="revision" value={data.values.revision} />
		<div
			class="sticky top-0 z-[1] flex flex-wrap items-center gap-3 border-b-2 border-ink bg-paper py-3"
		>
			<h1 class="text-xl font-semibold">Kit {data.kit.name}</h1>
			<Alert problem={form?.message} />
			<Button href="/kits" class="ml-auto">Back to kits</Button>
			{#if data.kit.kinds.intake.spring}
				<Button href="/springs/compare?a=card.{data.kit.kinds.intake.spring}">Compare</Button>
			{/if}
			<Button href="/jobs/new?kit={data.kit.id}">New job with it</Button>
			<Button look="main">Save</Button>
		</div>
		<div class="mt-3 grid gap-x-10 gap-y-4 bench:grid-cols-2">
			<div>
				<KitTexts part="name" bind:values {problems} />
				<div class="mt-4 grid grid-cols-[8rem_1fr_1fr] items-center gap-x-3">
					<span class="border-b border-ink pb-1 font-semibold">Paper</span>
					{#each KINDS as kind (kind)}
						<span class="border-b border-ink pb-1 text-right font-semibold">
							{capital(label('kind', kind))}
						</span>
					{/each}
					{#each FIGURES as [name, figure] (name)}
						<span class="border-b border-hair py-1 text-[13px] text-soft">{name}</span>
						{#each papers as { kind, paper } (kind)}
							<span class="figure border-b border-hair py-1 text-right">{figure(paper)}</span>
						{/each}
					{/each}
				</div>
				<div class="mt-4 grid grid-cols-2 tablet:grid-cols-[8rem_1fr_1fr] items-center gap-x-3">
					<span class="col-span-2 border-b border-ink pb-1 font-semibold tablet:col-span-1"
						>Parts</span
					>
					{#each KINDS as kind (kind)}
						<span class="border-b border-ink pb-1 font-semibold">
							{capital(label('kind', kind))}
						</span>
					{/each}
					{#each KIT_PLACES as place (place)}
						<span class="col-span-2 pt-1 text-[13px] text-soft tablet:col-span-1"
							>{capital(label('slot', place))}</span
						>
						{#each KINDS as kind (kind)}
							{@const path = `${kind}.${place}`}
							<div class="min-w-0 py-1">
								<Combobox
									name={path}
									aria-label="{kind}: {capital(label('slot', place))}"
									options={optionsOf(place)}
									bind:value={() => chosen(path), (id) => (values[path] = id)}
								/>
								{#if chosen(path)}
									<a class="text-[12px] text-soft underline" href="/parts/{chosen(path)}"
										>its figures</a
									>
								{/if}
							</div>
						{/each}
					{/each}
				</div>
			</div>
			<div><KitTexts part="rest" bind:values {problems} /></div>
		</div>
	</form>
	<h2 class="mt-5 border-b border-ink pb-1 font-semibold">The paper, photographed</h2>
	<div class="mt-2">
		<Photos
			photos={data.photos}
			to="/api/kits/{data.kit.id}/photos"
			of="the paper of {data.kit.name}"
		/>
	</div>
</main>
