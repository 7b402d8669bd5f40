<script lang="ts">
	/** Lash and preload on the engine: the order to set in, how far to turn, hot, drift, shims of followers. */
	import { invalidateAll } from '$app/navigation';
	import {
		camEvents,
		expectedHot,
		followerPicks,
		followerSwaps,
		growthOf,
		KINDS,
		lengthOf,
		perTurn,
		readStock,
		SETTING_ORDERS,
		stopsOf,
		USUAL_FIRING_ORDERS,
		writeStock,
		type SettingOrder
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getBook } from '$lib/job/book.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { capital } from '$lib/ui/words';
	import { label, tell, write } from '@zinc-ledger/words';

	let { data } = $props();
	const book = getBook();
	const bench = getBench();
	const root = $derived(`/jobs/${book.job.id}`);
	const layout = $derived(book.job.engine.layout);
	const solid = $derived(book.job.setup.lifters === 'solid');
	const usual = $derived(USUAL_FIRING_ORDERS[`${layout.arrangement} ${layout.cylinders}`] ?? []);
	const cam = $derived(camEvents(book.job));
	const CAM_WORDS = {
		card: 'Worked out from the events on this cam’s card.',
		duration:
			'Worked out from the durations of this cam, with its lobe centre where it typically is.',
		'long-cam': 'The cam is not known: a long-duration cam is assumed.'
	} as const;
	const growth = $derived(growthOf(book.job));
	const followers = $derived(
		KINDS.some((kind) => book.job.setup.kinds[kind].lifter?.type.endsWith('bucket')) ||
			book.sheet.measured['follower-shim'] > 0
	);
	const shims = $derived(
		data.followerShims.map((shim) => ({ ...shim, taken: data.taken[shim.part.id] ?? 0 }))
	);
	const swaps = $derived(followerSwaps(book.job, book.sheet, shims));
	const picks = $derived(followerPicks(book.job, swaps, shims));
	const toTake = $derived(picks.filter((pick) => pick.take > 0));
	const inHand = $derived(picks.filter((pick) => pick.inHand > 0));
	const moving = $derived(swaps.filter(({ from }) => from.sort !== 'stays'));
	const drifted = $derived(book.sheet.stations.filter(({ lashDrift }) => lashDrift !== null));

	let order = $state<SettingOrder>('firing-order');
	const stops = $derived(stopsOf(book.job, order));
	let firing = $derived(layout.firingOrder?.join('-') ?? '');
	let angles = $derived(layout.firingAngles?.join('-') ?? '');
	let isChanging = $state(false);
	let shelf = $derived(writeStock(book.job.setup.followerStock));
	let problem = $state<string | null>(null);
	const { length } = bench;

	async function keepFiring(event: SubmitEvent) {
		event.preventDefault();
		const numbers = firing
			.split(/[^\d]+/)
			.filter(Boolean)
			.map(Number);
		const degrees = angles
			.split(/[^\d.]+/)
			.filter(Boolean)
			.map(Number);
		problem = await book.setFiringOrder(numbers, degrees.length > 0 ? degrees : undefined);
		if (problem === null) isChanging = false;
	}

	async function keepShelf(event: SubmitEvent) {
		event.preventDefault();
		const read = readStock(shelf, bench.units.length);
		if (!read.ok) {
			problem = `Shims in stock: ${tell(read.problem)} Sizes and counts, such as "2.50 x 4, 2.55 x 2".`;
			return;
		}
		problem = await book.changeSetup({ ...book.job.setup, followerStock: read.stock });
	}

	/** Takes parts off the shop's shelf, or gives them back where the counts are less than 0. */
	async function take(counts: readonly (readonly [part: string, count: number])[]) {
		for (const [part, count] of counts) {
			problem = await book.takeParts(part, count);
			if (problem !== null) break;
		}
		await invalidateAll();
	}

	const words = {
		'firing-order': 'Each cylinder at firing TDC, both valves.',
		'opening-and-closing':
			'As an exhaust starts to open, that cylinder’s intake; as an intake nearly closes, its exhaust.',
		'two-positions': 'As many as are on their base circle, a whole turn, then the rest.'
	} as const;
</script>

<svelte:head><title>Lash · {book.job.number} · Zinc Ledger</title></svelte:head>

{#snippet plainRound()}
	<a class="button" href="{root}/round?of={solid ? 'lash' : 'preload'}">Valve by valve</a>
{/snippet}

<div class="min-h-0 flex-1 overflow-auto px-6 py-4">
	<div class="flex flex-wrap items-end gap-x-6 gap-y-2">
		<h1 class="text-xl font-semibold">{solid ? 'Lash' : 'Preload'} on the engine</h1>
		{#each KINDS as kind (kind)}
			{@const { lash, preload } = book.job.setup.kinds[kind]}
			{@const hot = expectedHot(book.job, book.job.setup.kinds[kind])}
			{@const step = perTurn(book.job, book.job.setup.kinds[kind])}
			<p class="text-[13px]">
				<span class="text-soft">{capital(label('kind', kind))}s</span>
				{#if solid}
					<b class="figure">{lash ? length(lengthOf(lash.setting)) : '·'}</b>
					{lash ? `± ${length(lengthOf(lash.tolerance))} ${lash.engine}` : 'no setting'}{hot ===
					null
						? ''
						: `, about ${length(hot)} hot`}{step === null ? '' : `, ${length(step)} per turn`}
				{:else}
					<b class="figure">{preload ? length(lengthOf(preload)) : 'not given'}</b>
					from zero lash{step === null ? '' : `, ${length(step)} of plunger per turn`}
				{/if}
			</p>
		{/each}
	</div>
	<p class="caution mt-3">
		Ignition off, in neutral, turned by hand one way only. {!solid
			? 'A pumped-up lifter needs time to bleed down before its preload is read.'
			: growth
				? `Growth ${length(growth.growth)} is ${growth.from === 'usual' ? 'usual for these metals' : 'measured'}: always confirm hot. Hot lash burns; sleeves and hair clear of what turns.`
				: 'What lash does as this engine warms is not known: confirm hot. Hot lash burns; sleeves and hair clear of what turns.'}
	</p>
	{#if problem}<p role="alert" class="mt-2 font-semibold text-stop">{problem}</p>{/if}

	<div class="mt-4 grid gap-x-8 gap-y-6 bench:grid-cols-2">
		<section aria-label="Setting order">
			<h2 class="border-b-2 border-ink pb-1 font-semibold">The order to set in</h2>
			{#if layout.firingOrder && !isChanging}
				<fieldset class="mt-2 flex flex-wrap gap-x-5">
					<legend class="sr-only">Order</legend>
					{#each SETTING_ORDERS as one (one)}
						<label class="flex min-h-9 items-center gap-2">
							<input type="radio" value={one} bind:group={order} />
							{capital(label('settingOrder', one))}
						</label>
					{/each}
				</fieldset>
				<p class="text-[13px] text-soft">
					{words[order]} Fires {layout.firingOrder.join('-')}{layout.firingAngles
						? ` at ${layout.firingAngles.join('°, ')}°`
						: ''}. {CAM_WORDS[cam.from]}
					<button class="underline" onclick={() => (isChanging = true)}>Change</button>
				</p>
				<table class="mt-2 w-full text-[14px]" aria-label="Stops of the order">
					<thead>
						<tr class="border-b border-rule text-[12px] text-soft [&>th]:font-medium">
							<th class="text-left">Rotate</th><th class="text-left">To</th>
							<th class="text-left">Set</th>
						</tr>
					</thead>
					<tbody>
						{#each stops as stop, i (i)}
							<tr class="border-b border-hair [&>td]:py-1">
								<td class="figure w-20">{stop.turn > 0 ? `${Math.round(stop.turn)}°` : 'begin'}</td>
								<td>{tell(stop.position)}</td>
								<td class="figure font-semibold">{stop.valves.join(' ')}</td>
							</tr>
						{/each}
					</tbody>
				</table>
				<p class="mt-3 flex gap-2">
					<a
						class="button button-main"
						href="{root}/round?of={solid ? 'lash' : 'preload'}&order={order}"
					>
						{followers ? 'Start reading' : 'Start setting'}
					</a>
					{@render plainRound()}
				</p>
			{:else}
				<form class="mt-3" onsubmit={keepFiring}>
					<TextField
						label="Firing order of this engine"
						hint="from its plate or its maker’s book{usual.length > 0
							? `; often ${usual.map((one) => one.join('-')).join(' or ')}`
							: ''}"
						bind:value={firing}
						figure
					/>
					<TextField
						class="mt-3"
						label="Firing angles, where it fires unevenly"
						hint="crankshaft degrees of each in turn, the first 0: a twin that fires 180° apart is 0-180"
						bind:value={angles}
						figure
					/>
					<button class="button button-main mt-3">Save firing order</button>
					{@render plainRound()}
				</form>
			{/if}
		</section>

		<section aria-label="Followers and drift">
			{#if followers}
				<h2 class="border-b-2 border-ink pb-1 font-semibold">Shims of the followers</h2>
				<form class="mt-2 flex items-end gap-3" onsubmit={keepShelf}>
					<TextField
						class="flex-1"
						label="Counted for this job, {bench.units.length}"
						hint="size x count, with commas: 2.50 mm x 4. Sizes that the library counts come out of its stock."
						bind:value={shelf}
						figure
					/>
					<button class="button mb-6">Save</button>
				</form>
				<p class="mb-2">
					<a class="button" href="{root}/round?of=follower-shim">Measure the shims</a>
				</p>
				{#if toTake.length > 0 || inHand.length > 0}
					<p class="mb-2 flex flex-wrap gap-2">
						{#if toTake.length > 0}
							<button
								class="button"
								onclick={() => take(toTake.map((pick) => [pick.part, pick.take]))}
							>
								Take {toTake.reduce((sum, pick) => sum + pick.take, 0)} from stock
							</button>
						{/if}
						{#if inHand.length > 0}
							<button
								class="button"
								onclick={() => take(inHand.map((pick) => [pick.part, -pick.inHand]))}
							>
								Give back {inHand.reduce((sum, pick) => sum + pick.inHand, 0)}
							</button>
						{/if}
					</p>
				{/if}
				{#if swaps.length > 0}
					<p class="mt-1">
						<b>{moving.length}</b> of {swaps.length} change:
						{swaps.filter(({ from }) => from.sort === 'station').length} swapped,
						{swaps.filter(({ from }) => from.sort === 'stock').length} from stock,
						<span
							class={swaps.some(({ from }) => from.sort === 'order')
								? 'font-semibold text-watch'
								: ''}
						>
							{swaps.filter(({ from }) => from.sort === 'order').length} to order</span
						>. No plan takes fewer new shims.
					</p>
					<table class="mt-2 w-full text-[14px]" aria-label="Swap plan">
						<thead>
							<tr class="border-b border-rule text-[12px] text-soft [&>th]:font-medium">
								<th class="text-left">Valve</th><th class="text-right">Shim</th>
								<th class="pl-4 text-left">From</th><th class="text-right">Resulting lash</th>
							</tr>
						</thead>
						<tbody>
							{#each moving as step (step.label)}
								<tr class="border-b border-hair [&>td]:py-1">
									<th scope="row" class="figure text-left">{step.label}</th>
									<td class="figure text-right">{length(step.shim)}</td>
									<td class="pl-4">
										{step.from.sort === 'station'
											? `out of ${step.from.label}`
											: step.from.sort === 'stock'
												? 'stock'
												: 'to be ordered'}
									</td>
									<td class="figure text-right">
										{#if step.misses > 0}<Mark state="watch" />{/if}
										{length(step.lash)}
										{#if step.misses > 0}
											<span class="block text-[12px] font-semibold text-watch">
												{length(step.misses)} outside the tolerance
											</span>
										{/if}
									</td>
								</tr>
							{/each}
						</tbody>
					</table>
				{:else}
					<p class="mt-2 text-soft">Needs lash and shim of each valve first.</p>
				{/if}
			{/if}
			{#if solid}
				<h2 class="border-b-2 border-ink pb-1 font-semibold not-first:mt-5">Lash drift</h2>
				{#if drifted.length > 0}
					<table class="w-full text-[14px]" aria-label="Drift">
						<tbody>
							{#each drifted as station (station.label)}
								{@const remark = station.remarks.find(({ about }) => about === 'lash-drift')}
								<tr class="border-b border-hair [&>td]:py-1">
									<th scope="row" class="figure text-left">{station.label}</th>
									<td class="figure text-right">
										<Mark state={remark?.state ?? 'clear'} />
										{station.lashDrift! > 0 ? '+' : ''}{length(station.lashDrift!)}
									</td>
									<td class="pl-4 text-soft">
										{station.lashDrift! > 0 ? 'opened up' : 'closed up'}
									</td>
								</tr>
							{/each}
						</tbody>
					</table>
					{#each book.sheet.remarks.filter(({ about }) => about === 'lash-drift') as remark, i (i)}
						<p class="mt-2">
							<Mark state={remark.state} word />
							{write(remark.text, bench.units)}
						</p>
					{/each}
				{:else}
					<p class="mt-2 text-[13px] text-soft">
						Read lash “as found” before anything is turned, and it is compared with what was set
						last.
					</p>
				{/if}
			{/if}
		</section>
	</div>
</div>
