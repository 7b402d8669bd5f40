<script lang="ts">
	/** The stages of the job, in the order of the work, always in this place. */
	import { Check } from '@lucide/svelte';
	import type { StageName } from '@zinc-ledger/core';
	import { page } from '$app/state';
	import { outbox } from '$lib/outbox/outbox.svelte';
	import { capital, moment } from '$lib/ui/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import type { Book } from './book.svelte';
	import { label, write } from '@zinc-ledger/words';

	const bench = getBench();
	let { book }: { book: Book } = $props();

	const root = $derived(`/jobs/${book.job.id}`);
	const link = $derived<Record<StageName, string>>({
		'check-in': `${root}/setup`,
		setup: `${root}/setup`,
		parts: `${root}/parts`,
		inspect: `${root}/inspect`,
		heights: `${root}/round?of=installed-height`,
		'seal-gaps': `${root}/round?of=seal-gap`,
		plan: `${root}/plan`,
		shims: `${root}?show=shims`,
		assembly: `${root}/assembly`,
		'as-built': `${root}/round?of=built-height`,
		checks: `${root}/checks`,
		lash: `${root}/lash`,
		sheet: root,
		sign: `${root}/sign`
	});
	const here = $derived(page.url.pathname + page.url.search);
	const isHere = (stage: StageName) =>
		link[stage] === here ||
		(['setup', 'parts', 'inspect', 'plan', 'assembly', 'checks', 'lash', 'sign'].includes(stage) &&
			page.url.pathname === link[stage]);

	const last = $derived(
		book.job.readings.toSorted((a, b) => Date.parse(b.at) - Date.parse(a.at)).slice(0, 4)
	);
	const initials = (id: string) =>
		book.job.people.find((person) => person.id === id)?.initials ?? '';
	const waiting = $derived(outbox.waiting.filter((item) => item.jobId === book.job.id));
</script>

<nav
	aria-label="Stages of the job"
	class="flex flex-none overflow-x-auto bg-plate bench:w-[164px] bench:flex-col bench:overflow-y-auto"
>
	<ol class="flex bench:block">
		{#each book.stages as stage (stage.name)}
			{#if stage.name !== 'check-in'}
				<li>
					<a
						href={link[stage.name]}
						aria-current={isHere(stage.name) ? 'page' : undefined}
						class="relative block min-h-11 border-b border-rule py-1 pr-3 pl-[18px] leading-tight before:absolute before:inset-y-0 before:left-0 before:w-[5px] aria-[current=page]:bg-paper aria-[current=page]:before:bg-chromate"
					>
						<span class="flex items-center gap-1.5 font-semibold">
							{capital(label('stage', stage.name))}
							{#if stage.done}<Check size={15} aria-label="done" class="text-soft" />{/if}
						</span>
						<span class="block text-xs {stage.blocks ? 'font-semibold text-stop' : 'text-soft'}">
							{stage.note ? write(stage.note, bench.units) : 'not begun'}
						</span>
					</a>
				</li>
			{/if}
		{/each}
	</ol>
	<div class="mt-auto hidden space-y-4 px-[18px] py-4 text-xs text-soft bench:block">
		{#if waiting.length > 0}
			<section role="status" class="text-ink">
				{#each waiting.filter((item) => item.refused) as item (item.reading.id)}
					<p class="mb-2 border-l-4 border-stop pl-2">
						<b>{item.reading.station} {item.reading.read}</b> Rejected: {item.refused}
						<button class="min-h-8 underline" onclick={() => outbox.dismiss(item.reading.id)}>
							Dismiss
						</button>
					</p>
				{/each}
				{#if waiting.some((item) => !item.refused)}
					<p class="border-l-4 border-watch pl-2">
						{waiting.filter((item) => !item.refused).length} unsent
					</p>
				{/if}
			</section>
		{/if}
		{#if last.length > 0}
			<section>
				<h2 class="mb-1 font-semibold">Recent readings</h2>
				<ul class="figure space-y-0.5">
					{#each last as reading (reading.id)}
						<li class="flex justify-between gap-2" title={moment(reading.at)}>
							<span>{reading.station}</span>
							<span>{reading.read.split(' ')[0]}</span>
							<span>{initials(reading.person)}</span>
						</li>
					{/each}
				</ul>
			</section>
		{/if}
		<p class="flex flex-col gap-1">
			<a class="min-h-6 underline" href="{root}/bare">Bare heights</a>
			<a class="min-h-6 underline" href="{root}/lift">Max lift</a>
			<a class="min-h-6 underline" href="{root}/what-if">What if</a>
			<a class="min-h-6 underline" href="{root}/paper">Print the sheet</a>
			<a class="min-h-6 underline" href="{root}/file" download>Save as a file</a>
			<a class="min-h-6 underline" href="/engines/{book.job.engine.id}">This engine’s jobs</a>
		</p>
	</div>
</nav>
