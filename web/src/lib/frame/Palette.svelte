<script lang="ts">
	/** Finds anything: jobs, engines, sets, springs, parts, stations, pages. Opened by Ctrl K. */
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { capital, label } from '@zinc-ledger/words';
	import Commands from '$lib/ui/Commands.svelte';
	import { jobPages } from './phases';
	import { foundHere, type Found } from './found';

	let { open = $bindable() }: { open: boolean } = $props();
	/** So long nothing more is typed before the server is asked. */
	const SETTLED = 25;
	const RECENT = 'zinc-recent';
	const MAX_RECENT = 6;

	let typed = $state('');
	let records = $state.raw<readonly Found[]>([]);
	let recent = $state.raw<readonly Found[]>([]);
	const job = $derived(page.data.job as Parameters<typeof jobPages>[0] | undefined);
	const here = $derived(foundHere(typed, job, job ? jobPages(job) : []));
	const shown = $derived(typed.trim() === '' ? recent : [...here, ...records]);

	const lines = $derived(
		shown.map((found, i) => ({
			key: `${i} ${found.type} ${found.href}`,
			type: label('found', found.type),
			name: found.name,
			detail: capital(found.detail),
			found
		}))
	);

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
		localStorage.setItem(RECENT, JSON.stringify(kept.slice(0, MAX_RECENT)));
		void goto(found.href);
	}
</script>

<Commands
	bind:open
	bind:typed
	title="Find anything"
	placeholder="Job, customer, part, spring tag, 3e, page"
	{lines}
	heading={typed.trim() === '' && recent.length > 0 ? 'Recent' : undefined}
	empty={typed.trim() === '' ? undefined : 'Nothing is called so.'}
	onchoose={({ found }) => choose(found)}
/>
