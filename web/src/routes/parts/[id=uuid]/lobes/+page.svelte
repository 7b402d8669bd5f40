<script lang="ts">
	/** Lift tables of a cam: what it has, and another read in. */
	import { KINDS, type Kind } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { sendForm } from '$lib/forms/send-form.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import { tableOf } from '$lib/valvetrain/lobes/card';
	import LobeFigures from '$lib/valvetrain/lobes/LobeFigures.svelte';
	import ReadLiftTable from '$lib/valvetrain/lobes/ReadLiftTable.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import ToggleGroup from '$lib/ui/ToggleGroup.svelte';
	import { capital } from '$lib/ui/words';

	let { data, form } = $props();
	useKeys([]);
	let kind = $state<Kind>('intake');
	const kinds = KINDS.map((value) => ({ value, label: capital(label('kind', value)) }));
	const card = $derived(data.cam[kind]);
	const table = $derived(tableOf(card));
</script>

<svelte:head><title>Lift tables of {data.cam.name} · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 pb-10 bench:px-8">
	<div class="flex flex-wrap items-center gap-x-4 gap-y-2 border-b-2 border-ink py-3">
		<h1 class="text-xl font-semibold">Lift tables of {data.cam.name}</h1>
		<ToggleGroup label="Which lobe" options={kinds} bind:value={kind} />
		<Button href="/parts/{data.cam.id}" class="ml-auto">Back to the cam</Button>
	</div>
	<Alert problem={form?.message} class="mt-2" />
	<p class="mt-2 max-w-3xl text-[13px] text-soft">
		Whether a spring holds its valve hangs on the lobe’s acceleration. A table is smoothed before it
		is differentiated; without one the lobe is made up from lift and durations, and told less
		firmly. A job keeps the cam as it was when it was taken: take it again on the set-up for a new
		table.
	</p>
	{#key kind}
		{#if table.length > 0}
			<section class="mt-3" aria-label="Lift table of the {label('kind', kind)} lobe">
				<h2 class="border-b-2 border-ink pb-1 font-semibold">
					{capital(label('kind', kind))} lobe’s table
				</h2>
				<LobeFigures lines={table} {card} />
				<form method="POST" action="?/remove" use:sendForm class="mt-2">
					<input type="hidden" name="kind" value={kind} />
					<input type="hidden" name="revision" value={data.revision} />
					<Button>Take the table off</Button>
				</form>
			</section>
		{:else}
			<p class="mt-3">The {label('kind', kind)} lobe has no lift table.</p>
		{/if}
		<ReadLiftTable {kind} {card} cam={data.cam.id!} revision={data.revision} />
	{/key}
</main>
