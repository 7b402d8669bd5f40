<script lang="ts">
	/** What keeps a cam lobe from being used, kind by kind, and what to do about it. */
	import { KINDS, lobeOf, message, type Kind } from '@zinc-ledger/core';
	import { label, write } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { capital } from '$lib/ui/words';

	const store = getJobStore();
	const bench = getBench();
	const cam = $derived(store.job.setup.cam);
	const faults = $derived(
		KINDS.flatMap((kind) => {
			const found = lobeOf(store.job.setup, kind);
			return found?.fault ? [{ kind, ...found }] : [];
		})
	);
	let problem = $state<string | null>(null);

	async function confirm(kind: Kind, confirmedDuration: number) {
		const { setup } = store.job;
		const lobe = { ...setup.cam![kind], confirmedDuration };
		problem = await store.changeSetup({ ...setup, cam: { ...setup.cam!, [kind]: lobe } });
	}
</script>

{#if faults.length > 0}
	<section class="mt-3" aria-label="Problems with the cam lobes">
		{#each faults as { kind, fault, duration } (kind)}
			<p class="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-hair py-1.5">
				<Mark state="watch" />
				<b class="w-20">{capital(label('kind', kind))}s</b>
				<span class="max-w-3xl">{write(message('lobe.fault', { fault }), bench.units)}.</span>
				{#if duration !== undefined}
					<Button onclick={() => confirm(kind, Math.round(duration))}>
						<span class="figure">{Math.round(duration)}°</span> is right
					</Button>
				{/if}
				{#if cam?.id}
					<a
						class="flex min-h-11 items-center underline bench:min-h-8"
						href="/parts/{cam.id}{fault === 'no-such-lobe' ? '' : '/lobes'}">Correct the cam</a
					>
				{/if}
			</p>
		{/each}
		<Alert {problem} class="mt-2" />
	</section>
{/if}
