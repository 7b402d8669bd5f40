<script lang="ts">
	/** The shop's trail, newest first. Nothing in it can be changed. */
	import { label } from '@zinc-ledger/words';
	import { useKeys } from '$lib/keys/keys.svelte';
	import Button from '$lib/ui/Button.svelte';
	import { moment } from '$lib/ui/words';

	let { data } = $props();
	useKeys([]);
</script>

<svelte:head><title>What was done · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-6 bench:px-8">
	<h1 class="text-2xl font-semibold">What was done</h1>
	<p class="mt-1 text-[13px] text-soft">
		Sign-ins, roles, what was taken out, shared or restored. Nobody can change it.
	</p>
	<ul class="mt-4 max-w-4xl border-t-2 border-ink text-[13px]">
		{#each data.acts as act (act.position)}
			<li class="grid gap-x-4 border-b border-hair py-1 tablet:grid-cols-[10rem_12rem_1fr_9rem]">
				<span class="figure text-soft">{moment(act.at)}</span>
				<b class="font-semibold">{act.who ?? 'nobody signed in'}</b>
				<span class="min-w-0 break-words">
					{label('audited', act.what)}
					{#if act.whom}<b class="font-semibold">{act.whom}</b>{/if}
					{#if act.about.role}<span class="text-soft">as {label('role', act.about.role)}</span>{/if}
					{#if act.about.path}<span class="figure break-all text-soft">{act.about.path}</span>{/if}
					{#if act.about.until}<span class="text-soft">until {moment(act.about.until)}</span>{/if}
				</span>
				<span class="figure text-soft tablet:text-right">{act.address ?? ''}</span>
			</li>
		{:else}
			<li class="py-2 text-soft">Nothing yet.</li>
		{/each}
	</ul>
	{#if data.more}<Button href="?before={data.more}" class="mt-4">Earlier</Button>{/if}
</main>
