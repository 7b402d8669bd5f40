<script lang="ts">
	/** From when a spring of a set is odd, and from when it has lost load. */
	import { invalidateAll } from '$app/navigation';
	import type { SetLimits } from '@zinc-ledger/core';
	import { send } from '$lib/http/send-json';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Input from '$lib/ui/Input.svelte';

	let { setId, limits: kept }: { setId: string; limits: SetLimits } = $props();
	const LIMITS = [
		['oddWatch', 'From median, watch from'],
		['oddStop', 'stop from'],
		['sagWatch', 'Load loss, watch from'],
		['sagStop', 'stop from ']
	] as const;
	let limits = $derived(
		Object.fromEntries(
			LIMITS.map(([name]) => [name, String(Math.round(kept[name] * 1000) / 10)])
		) as Record<keyof SetLimits, string>
	);
	let problem = $state<string | null>(null);
	async function keepLimits(event: SubmitEvent) {
		event.preventDefault();
		const body = Object.fromEntries(
			LIMITS.map(([name]) => [name, Number(limits[name].replace(',', '.')) / 100])
		);
		problem = await send('PUT', `/api/sets/${setId}/limits`, body);
		if (problem === null) await invalidateAll();
	}
</script>

<form class="mt-3 flex flex-wrap items-end gap-3 text-[13px]" onsubmit={keepLimits}>
	{#each LIMITS as [name, label] (name)}
		<label class="text-soft">
			{label}
			<span class="flex items-center gap-1">
				<Input
					figure
					class="!w-16 text-right"
					inputmode="decimal"
					aria-label={label}
					bind:value={limits[name]}
				/> %
			</span>
		</label>
	{/each}
	<Button>Save limits</Button>
	<Alert {problem} />
</form>
