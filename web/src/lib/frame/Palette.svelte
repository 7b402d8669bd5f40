<script lang="ts">
	/** Finds anything: jobs, engines, sets, springs, parts, stations, pages. Opened by Ctrl K. */
	import { Command, Dialog } from 'bits-ui';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { capital, label } from '@zinc-ledger/words';
	import { jobPages } from './phases';
	import { foundHere, type Found } from './found';

	let { open = $bindable() }: { open: boolean } = $props();
	/** So long nothing more is typed before the server is asked. */
	const SETTLED = 120;
	const RECENT = 'zinc-recent';
	const MOST_RECENT = 6;

	let typed = $state('');
	let records = $state.raw<readonly Found[]>([]);
	let recent = $state.raw<readonly Found[]>([]);
	const job = $derived(page.data.job as Parameters<typeof jobPages>[0] | undefined);
	const here = $derived(foundHere(typed, job, job ? jobPages(job) : []));
	const shown = $derived(typed.trim() === '' ? recent : [...here, ...records]);

	const keyOf = ({ sort, href }: Found) => `${sort} ${href}`;
	/** Enter goes to the first until another is chosen. */
	let chosen = $derived(shown[0] ? keyOf(shown[0]) : '');

	$effect(() => {
		if (!open) return;
		typed = '';
		records = [];
		try {
			recent = JSON.parse(localStorage.getItem(RECENT) ?? '[]') as Found[];
		} catch {
			recent = [];
		}
	});
	$effect(() => {
		const text = typed.trim();
		if (text === '') {
			records = [];
			return;
		}
		const settled = setTimeout(async () => {
			const answer = await fetch(`/api/find?q=${encodeURIComponent(text)}`).catch(() => null);
			if (answer?.ok && text === typed.trim()) records = (await answer.json()) as Found[];
		}, SETTLED);
		return () => clearTimeout(settled);
	});

	function choose(found: Found) {
		open = false;
		const kept = [found, ...recent.filter(({ href }) => href !== found.href)];
		localStorage.setItem(RECENT, JSON.stringify(kept.slice(0, MOST_RECENT)));
		void goto(found.href);
	}
</script>

<Dialog.Root bind:open>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 z-40 bg-black/40" />
		<Dialog.Content
			class="fixed inset-x-0 top-0 z-50 mx-auto max-h-[90dvh] w-[38rem] max-w-full border border-rule bg-paper tablet:top-16"
		>
			<Dialog.Title class="sr-only">Find anything</Dialog.Title>
			<Command.Root shouldFilter={false} loop bind:value={chosen}>
				<Command.Input
					bind:value={typed}
					placeholder="Job, customer, part, spring tag, 3e, page"
					aria-label="Find anything"
					autocomplete="off"
					class="min-h-14 w-full border-b-2 border-ink bg-paper px-4 text-lg"
				/>
				<Command.List class="max-h-[60dvh] overflow-y-auto">
					<Command.Viewport>
						{#if typed.trim() === '' && recent.length > 0}
							<p class="px-4 pt-2 text-[13px] text-soft">Recent</p>
						{/if}
						{#each shown as found (keyOf(found) + found.name)}
							<Command.Item
								value={keyOf(found)}
								onSelect={() => choose(found)}
								class="flex min-h-11 cursor-pointer items-center gap-3 border-b border-hair px-4 data-selected:bg-chromate-wash"
							>
								<span class="w-16 text-[13px] text-soft">{label('found', found.sort)}</span>
								<span class="truncate font-semibold">{found.name}</span>
								<span class="ml-auto truncate text-[13px] text-soft">{capital(found.detail)}</span>
							</Command.Item>
						{/each}
						{#if typed.trim() !== '' && shown.length === 0}
							<p class="px-4 py-4 text-soft">Nothing is called so.</p>
						{/if}
					</Command.Viewport>
				</Command.List>
			</Command.Root>
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
