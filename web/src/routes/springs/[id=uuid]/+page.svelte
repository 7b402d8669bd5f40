<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import {
		identify,
		lengthOf,
		lengthText,
		localRate,
		mm,
		newtons,
		newtonsPerMm,
		rateUnit,
		readEntry,
		sagAt,
		setFigures,
		showLength,
		showLoad,
		showRate,
		sweepPoints,
		type LibraryPart
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { isTyping, useKeys } from '$lib/keys/keys.svelte';
	import { cardLine } from '$lib/springs/card-line';
	import SweepChart from '$lib/springs/SweepChart.svelte';
	import { sweepOutbox } from '$lib/springs/sweeps.svelte';
	import { rowsOf, worked } from '$lib/springs/worked';
	import Mark from '$lib/ui/Mark.svelte';
	import { stateClass } from '$lib/ui/state';
	import { moment } from '$lib/ui/words';

	let { data, form } = $props();
	const bench = getBench();
	useKeys([
		{ keys: ['↑', '↓'], does: 'spring above, spring below' },
		{ keys: ['t'], does: 'test springs' }
	]);

	let seat = $state(untrack(() => lengthOf(data.set.seat) as number));
	const lift = $derived(lengthOf(data.set.lift) as number);
	const build = $derived(data.set.card?.build);
	const rows = $derived(rowsOf(data.springs, build, seat, lift));
	const set = $derived(
		setFigures(rows.map(({ spring, figures }) => ({ tag: spring.tag, seat: figures.seat })))
	);
	let chosenTag = $state(untrack(() => page.url.searchParams.get('tag')));
	const chosen = $derived(rows.find(({ spring }) => spring.tag === chosenTag) ?? rows[0]);
	let besideTag = $state('');
	const beside = $derived(rows.find(({ spring }) => spring.tag === besideTag));
	let placing = $state<number | null>(null);
	let problem = $state<string | null>(null);

	const length = (value: number | null | undefined) =>
		value == null ? '·' : showLength(mm(value), bench.units);
	const load = (value: number | null | undefined) =>
		value == null ? '·' : showLoad(newtons(value), bench.units);
	const rate = (value: number | null | undefined) =>
		value == null ? '·' : showRate(newtonsPerMm(value), bench.units);
	const percent = (part: number) =>
		`${part > 0 ? '+' : ''}${(part * 100).toFixed(1).replace('-', '−')} %`;

	const cards = $derived(data.library.map((part) => (part as LibraryPart<'spring'>).part));
	const matches = $derived.by(() => {
		const done = chosen?.worked;
		if (!chosen || !done?.curve) return [];
		const { freeHeight, outside, wire } = chosen.spring.measured;
		return identify(
			{
				curve: done.curve,
				bind: done.bind,
				freeHeight: freeHeight ? lengthOf(freeHeight) : undefined,
				outside: outside ? lengthOf(outside) : undefined,
				wire: wire ? lengthOf(wire) : undefined
			},
			cards
		).slice(0, 4);
	});
	const own = $derived(
		data.set.card && chosen?.worked?.curve
			? identify({ curve: chosen.worked.curve, bind: chosen.worked.bind }, [data.set.card])[0]
			: undefined
	);
	const sag = $derived.by(() => {
		const [newest, before] = chosen?.spring.sweeps ?? [];
		if (!newest || !before) return null;
		const [now, then] = [worked(newest, build).curve, worked(before, build).curve];
		return now && then ? sagAt(then, now, mm(seat)) : null;
	});
	const lines = $derived(
		rows.flatMap(({ spring, sweep }) => {
			if (!sweep) return [];
			const isChosen = spring.tag === chosen?.spring.tag || spring.tag === besideTag;
			const points = sweepPoints(sweep)
				.filter(({ travel }) => travel === 'down')
				.map(({ height, load: force }) => [height, force] as const);
			return [{ name: spring.tag, points, chosen: isChosen }];
		})
	);
	const bindShown = $derived.by(() => {
		const done = chosen?.worked;
		if (!chosen || chosen.bind === null) return null;
		const height = placing ?? chosen.bind;
		const found = done?.bind.sort === 'bind' && !chosen.spring.measured.bind && placing === null;
		return found && done.bind.sort === 'bind'
			? { height, from: done.bind.from, to: done.bind.to }
			: { height, from: height, to: height };
	});

	// Sweeps that were still on their way when this page was loaded.
	onMount(() => void sweepOutbox.open());
	$effect(() => {
		if (sweepOutbox.sent === 0) return;
		sweepOutbox.sent = 0;
		void invalidateAll();
	});

	function step(by: number) {
		const at = rows.findIndex(({ spring }) => spring.tag === chosen?.spring.tag);
		chosenTag = rows[Math.min(rows.length - 1, Math.max(0, at + by))]?.spring.tag ?? null;
		placing = null;
	}
	function press(event: KeyboardEvent) {
		if (isTyping(event) || (event.target as HTMLElement).matches('[type=range]')) return;
		if (event.key === 'ArrowDown') step(1);
		else if (event.key === 'ArrowUp') step(-1);
		else return;
		event.preventDefault();
	}

	async function measure(change: Record<string, string>) {
		if (!chosen) return;
		const { bind, ...before } = chosen.spring.measured;
		const kept = { ...before, ...(bind && { bind: bind.height }), ...change };
		const body = Object.fromEntries(Object.entries(kept).filter(([, text]) => text));
		const response = await fetch(`/api/sets/${data.set.id}/springs/${chosen.spring.tag}`, {
			method: 'PUT',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify(body)
		}).catch(() => null);
		if (response?.ok) {
			problem = null;
			placing = null;
			await invalidateAll();
		} else {
			const answer = (await response?.json().catch(() => null)) as { message?: string } | null;
			problem = answer?.message ?? 'The server cannot be reached: nothing was changed.';
		}
	}
	function typed(name: string, text: string) {
		if (text.trim() === '') return void measure({ [name]: '' });
		const entry = readEntry(text, bench.units.length);
		if (entry.ok) void measure({ [name]: entry.text });
		else problem = entry.problem;
	}
</script>

<svelte:head><title>{data.set.name} · Zinc Ledger</title></svelte:head>
<svelte:window onkeydown={press} />

<main id="main" class="grid min-h-0 flex-1 bg-paper bench:grid-cols-[minmax(0,1fr)_23rem]">
	<div class="min-h-0 overflow-auto px-6 py-4">
		<div class="flex flex-wrap items-center gap-x-4 gap-y-2 border-b-2 border-ink pb-2">
			<h1 class="text-xl font-semibold">{data.set.name}</h1>
			<p class="text-[14px] text-soft">
				{data.set.card?.name ?? 'no card'}
				{#if data.set.jobId}· <a class="underline" href="/jobs/{data.set.jobId}"
						>job {data.set.jobNumber}</a
					>{/if}
			</p>
			<a class="button ml-auto" href="/springs/{data.set.id}/labels">Labels</a>
			<a class="button button-main" href="/springs/{data.set.id}/capture">Test springs</a>
		</div>
		{#if form && 'problems' in form && form.problems}
			<section role="alert" class="mt-2 border-l-4 border-stop pl-3">
				<h2 class="font-semibold">
					{'file' in form ? form.file : 'It'} was not taken; nothing was changed
				</h2>
				{#each form.problems as one, i (i)}
					<p class="text-[13px]"><span class="figure">{one.path}</span>: {one.message}</p>
				{/each}
			</section>
		{:else if form && 'taken' in form}<p role="status" class="mt-2">{form.taken}</p>
		{:else if form && 'used' in form}<p role="status" class="mt-2">{form.used}</p>{/if}

		{#if lines.length > 0 && chosen}
			<div class="mt-2">
				<SweepChart
					{lines}
					card={data.set.card ? cardLine(data.set.card) : []}
					curve={chosen.worked?.curve ?? null}
					{seat}
					{lift}
					bind={bindShown}
					name="{data.set.name} {chosen.spring.tag}"
					onseat={(at) => (seat = at)}
					onbind={(at) => (placing = at)}
				/>
			</div>
			<div class="mt-1 flex flex-wrap items-center gap-x-4 text-[13px]">
				<label class="flex items-center gap-2">
					Height
					<input
						type="range"
						class="w-52"
						min={lengthOf(data.set.seat) - 3}
						max={lengthOf(data.set.seat) + 3}
						step="0.01"
						bind:value={seat}
						aria-label="Working height"
					/>
					<b class="figure">{length(seat)}</b>
				</label>
				{#if seat !== lengthOf(data.set.seat)}
					<button class="min-h-9 underline" onclick={() => (seat = lengthOf(data.set.seat))}>
						Back to {data.set.seat}
					</button>
				{/if}
				{#if placing !== null}
					<span class="ml-auto">Bind at <b class="figure">{length(placing)}</b>?</span>
					<button
						class="button !min-h-9"
						onclick={() => measure({ bind: lengthText(mm(placing!), bench.units.length) })}
					>
						Place it there
					</button>
					<button class="min-h-9 underline" onclick={() => (placing = null)}>Leave it</button>
				{/if}
			</div>
		{/if}

		<table class="mt-2 w-full border-collapse">
			<thead>
				<tr class="border-b-2 border-ink text-right text-[12px] text-soft">
					<th class="py-1 pl-2 text-left font-medium">Spring</th>
					<th class="py-1 font-medium">Seat <span class="figure">{bench.units.load}</span></th>
					<th class="py-1 font-medium">Open <span class="figure">{bench.units.load}</span></th>
					<th class="py-1 font-medium">Rate <span class="figure">{rateUnit(bench.units)}</span></th>
					<th class="py-1 font-medium">Bends by</th>
					<th class="py-1 font-medium">Bind <span class="figure">{bench.units.length}</span></th>
					<th class="py-1 font-medium">Off the middle</th>
					<th class="py-1 pr-2 text-left font-medium"><span class="sr-only">State</span></th>
				</tr>
			</thead>
			<tbody>
				{#each rows as { spring, worked: done, figures, bind } (spring.tag)}
					{@const member = set.members.get(spring.tag)}
					{@const isChosen = spring.tag === chosen?.spring.tag}
					<tr
						class="figure cursor-pointer border-b border-hair text-right text-[15px] {isChosen
							? 'bg-chromate-wash'
							: 'hover:bg-sunk'}"
						data-tag={spring.tag}
						onclick={() => ((chosenTag = spring.tag), (placing = null))}
					>
						<th
							scope="row"
							class="h-8 border-l-[5px] pl-2 text-left font-medium {isChosen
								? 'border-chromate'
								: 'border-transparent'}"
						>
							<button onclick={() => (chosenTag = spring.tag)}>{spring.tag}</button>
						</th>
						<td class={member ? stateClass(member.state) : ''}>{load(figures.seat)}</td>
						<td>{load(figures.open)}</td>
						<td>{rate(figures.rate)}</td>
						<td
							>{figures.nonLinearity === null
								? '·'
								: `${(figures.nonLinearity * 100).toFixed(1)} %`}</td
						>
						<td>{length(bind)}{spring.measured.bind ? '*' : ''}</td>
						<td class={member ? stateClass(member.state) : ''}
							>{member ? percent(member.off) : '·'}</td
						>
						<td class="pr-2 pl-3 text-left font-sans text-[13px]">
							{#if member && member.state !== 'clear'}<Mark state={member.state} word />{/if}
							{#if done === null}<span class="text-faint">not tested</span>
							{:else if done.curve === null}too few points
							{:else if done.bind.sort === 'none'}bind not reached{/if}
						</td>
					</tr>
				{/each}
			</tbody>
		</table>
		<p class="mt-2 text-[13px] text-soft">
			{#if set.median !== null}
				Seat loads <b class="figure text-ink">{load(set.least)}–{load(set.most)}</b>, middle
				<b class="figure text-ink">{load(set.median)}</b>. Go together:
				<span class="figure text-ink">{set.pairs.map((pair) => pair.join('+')).join('  ')}</span>
			{:else}
				Nothing is tested yet.
			{/if}
		</p>
	</div>

	<aside
		class="min-h-0 overflow-auto border-rule px-4 py-4 text-[13px] bench:border-l"
		aria-label="Chosen spring"
	>
		{#if chosen}
			<h2 class="flex items-baseline gap-3 border-b-2 border-ink pb-1">
				<span class="figure text-xl font-semibold">{chosen.spring.tag}</span>
				{#if chosen.sweep}
					<span class="text-soft"
						>{moment(chosen.sweep.at)}, {chosen.sweep.person}, {chosen.sweep.tester}</span
					>
				{/if}
			</h2>
			{#if own?.fits === 'is not it'}
				<p role="alert" class="mt-2">
					<Mark state="stop" word /> This is not the {data.set.card?.name} that the set says.
				</p>
			{/if}
			<dl class="mt-2 grid grid-cols-[1fr_auto] gap-y-0.5">
				{#if chosen.worked}
					{@const { bind, energy, hysteresis } = chosen.worked}
					<dt class="text-soft">Bind</dt>
					<dd class="text-right">
						{#if chosen.spring.measured.bind}
							<span class="figure">{length(chosen.bind)}</span>, placed by {chosen.spring.measured
								.bind.person}
						{:else if bind.sort === 'bind'}
							<span class="figure">{length(bind.height)}</span>
							within <span class="figure">{length(bind.from)}–{length(bind.to)}</span>
						{:else}{bind.why}{/if}
					</dd>
					{#if bind.sort === 'bind'}
						<dt class="text-soft">Sampled every</dt>
						<dd class="figure text-right">{length(bind.step)}</dd>
						{#if bind.gradual}
							<dt class="text-soft">Stiffens from</dt>
							<dd class="text-right">
								<span class="figure">{length(bind.gradual.from)}</span> on, solid at
								<span class="figure">{length(bind.gradual.solid)}</span>
							</dd>
						{/if}
						{#if bind.stackPoints < 3}
							<dt class="col-span-2">
								<Mark state="watch" /> Ended with {bind.stackPoints} on the stack line: three or more
								tell it better
							</dt>
						{/if}
					{/if}
					<dt class="text-soft">Margin at lift {data.set.lift}</dt>
					<dd class="figure text-right">
						{chosen.bind === null ? '·' : length(seat - lift - chosen.bind)}
					</dd>
					<dt class="text-soft">Rate at this height, and at full lift</dt>
					<dd class="figure text-right">
						{chosen.worked.curve ? rate(localRate(chosen.worked.curve, mm(seat))) : '·'}, {chosen
							.worked.curve
							? rate(localRate(chosen.worked.curve, mm(seat - lift)))
							: '·'}
					</dd>
					<dt class="text-soft">Energy, pressed as far as it was</dt>
					<dd class="figure text-right">{energy === null ? '·' : `${energy.toFixed(1)} J`}</dd>
					{#if hysteresis}
						<dt class="text-soft">Less coming back, at most</dt>
						<dd class="figure text-right">{load(hysteresis.load)}</dd>
					{/if}
					{#if sag}
						<dt class="text-soft">Lost since the sweep before</dt>
						<dd class="text-right">
							{#if sag.state !== 'clear'}<Mark state={sag.state} word />{/if}
							<span class="figure">{(sag.part * 100).toFixed(1)} %</span>
						</dd>
					{/if}
				{/if}
			</dl>
			<label class="mt-3 flex items-center gap-2">
				<span class="flex-none text-soft">Beside it</span>
				<select class="field" bind:value={besideTag} aria-label="Compare with">
					<option value="">none</option>
					{#each rows as { spring } (spring.tag)}<option>{spring.tag}</option>{/each}
				</select>
			</label>
			{#if beside}
				<p class="mt-1">
					At <span class="figure">{length(seat)}</span> and the same lift, {beside.spring.tag} has
					<span class="figure">{load(beside.figures.seat)}</span> and
					<span class="figure">{load(beside.figures.open)}</span>
				</p>
			{/if}

			<h3 class="mt-4 border-b border-ink pb-1 font-semibold">Which spring is it?</h3>
			{#each matches as match (match.card.id)}
				<div class="border-b border-hair py-1.5">
					<p class="flex gap-2">
						<b>{match.card.name}</b>
						<span class="ml-auto">{match.fits}</span>
					</p>
					<p class="text-soft">
						{match.evidence
							.map(
								({ what, off }) =>
									`${what} ${Math.abs(off) < 0.5 ? 'alike' : `${Math.abs(off).toFixed(1)} × off`}`
							)
							.join(', ')}
					</p>
				</div>
			{:else}
				<p class="py-1 text-soft">Test it first.</p>
			{/each}

			<h3 class="mt-4 border-b border-ink pb-1 font-semibold">Measured by hand</h3>
			<div class="mt-1 grid grid-cols-3 gap-2">
				{#each [['freeHeight', 'Free height'], ['outside', 'Outside'], ['wire', 'Wire']] as const as [name, title] (name)}
					<label class="text-soft">
						{title}
						{#key chosen.spring.tag}
							<input
								class="field figure text-right"
								value={chosen.spring.measured[name] ?? ''}
								aria-label={title}
								onchange={(event) => typed(name, event.currentTarget.value)}
							/>
						{/key}
					</label>
				{/each}
			</div>
			{#if problem}<p role="alert" class="mt-1 font-semibold text-stop">{problem}</p>{/if}

			<h3 class="mt-4 border-b border-ink pb-1 font-semibold">Files</h3>
			{#if chosen.sweep}
				<p class="flex gap-4">
					<a
						class="flex min-h-9 items-center underline"
						download
						href="/springs/{data.set.id}/file?tag={chosen.spring.tag}&as=csv">Sweep as CSV</a
					>
					<a
						class="flex min-h-9 items-center underline"
						download
						href="/springs/{data.set.id}/file?tag={chosen.spring.tag}">as JSON</a
					>
				</p>
			{/if}
			{#if form && 'ask' in form && form.ask}
				<form
					method="POST"
					action="?/import"
					use:enhance
					class="mt-1 space-y-2 border-l-4 border-watch pl-3"
				>
					<p class="font-semibold">{form.ask.name}: which column is which?</p>
					<input type="hidden" name="text" value={form.ask.text} />
					<input type="hidden" name="name" value={form.ask.name} />
					<input type="hidden" name="tag" value={form.ask.tag} />
					{#each [['height', 'Heights', ['mm', 'in']], ['load', 'Loads', ['N', 'lbf', 'kgf']]] as const as [name, title, units] (name)}
						<div class="grid grid-cols-[4rem_1fr_5rem] items-center gap-2">
							{title}
							<select class="field" {name} aria-label="{title} column">
								{#each form.ask.names as column, i (i)}
									<option
										value={i}
										selected={form.ask.guess[name] === i ||
											(form.ask.guess[name] === undefined && i === (name === 'load' ? 1 : 0))}
										>{column}</option
									>
								{/each}
							</select>
							<select class="field" name="{name}Unit" aria-label="{title} unit">
								{#each units as unit (unit)}<option>{unit}</option>{/each}
							</select>
						</div>
					{/each}
					<button class="button">Take it in so</button>
				</form>
			{/if}
			<form method="POST" action="?/import" enctype="multipart/form-data" use:enhance class="mt-1">
				<input type="hidden" name="tag" value={chosen.spring.tag} />
				<label class="button !min-h-9">
					Take a sweep in for {chosen.spring.tag}
					<input
						type="file"
						name="file"
						accept=".csv,.json,text/csv,application/json"
						class="sr-only"
						onchange={(event) => event.currentTarget.form?.requestSubmit()}
					/>
				</label>
			</form>
			{#if data.set.jobId}
				<form method="POST" action="?/use" use:enhance class="mt-3">
					<button class="button">Put the set’s curve on job {data.set.jobNumber}</button>
				</form>
			{/if}
		{/if}
	</aside>
</main>
