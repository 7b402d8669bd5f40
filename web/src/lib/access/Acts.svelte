<script lang="ts">
	/** Acts of the shop's trail, newest first. */
	import { label } from '@zinc-ledger/words';
	import { moment } from '$lib/ui/words';
	import type { Noted } from './audited';

	interface Props {
		acts: readonly Noted[];
		class?: string;
	}
	let { acts, class: extra = '' }: Props = $props();
</script>

<ul class="{extra} max-w-4xl border-t-2 border-ink text-[13px]">
	{#each acts as act (act.position)}
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
