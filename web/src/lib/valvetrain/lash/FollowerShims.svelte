<script lang="ts">
	/** Shims of followers: which are swapped, which come from stock, which are to be ordered. */
	import { invalidateAll } from '$app/navigation';
	import {
		followerPicks,
		followerSwaps,
		readStock,
		writeStock,
		type ShelvedFollowerShim
	} from '@zinc-ledger/core';
	import { tell } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Table from '$lib/ui/Table.svelte';

	interface Props {
		library: readonly Omit<ShelvedFollowerShim, 'taken'>[];
		/** How many of each part the job has taken. */
		taken: Readonly<Record<string, number>>;
	}
	let { library, taken }: Props = $props();
	const store = getJobStore();
	const bench = getBench();
	const root = $derived(`/jobs/${store.job.id}`);
	const shims = $derived(library.map((shim) => ({ ...shim, taken: taken[shim.part.id] ?? 0 })));
	const swaps = $derived(followerSwaps(store.job, store.sheet, shims));
	const picks = $derived(followerPicks(store.job, swaps, shims));
	const toTake = $derived(picks.filter((pick) => pick.take > 0));
	const inHand = $derived(picks.filter((pick) => pick.inHand > 0));
	const moving = $derived(swaps.filter(({ from }) => from.type !== 'stays'));
	let shelf = $derived(writeStock(store.job.setup.followerStock));
	let problem = $state<string | null>(null);
	const { length } = bench;

	async function keepShelf(event: SubmitEvent) {
		event.preventDefault();
		const read = readStock(shelf, bench.units.length);
		if (!read.ok) {
			problem = `Shims in stock: ${tell(read.problem)} Sizes and counts, such as "2.50 x 4, 2.55 x 2".`;
			return;
		}
		problem = await store.changeSetup({ ...store.job.setup, followerStock: read.stock });
	}

	/** Takes parts off the shop's shelf, or gives them back where the counts are less than 0. */
	async function take(counts: readonly (readonly [part: string, count: number])[]) {
		for (const [part, count] of counts) {
			problem = await store.takeParts(part, count);
			if (problem !== null) break;
		}
		await invalidateAll();
	}
</script>

<h2 class="border-b-2 border-ink pb-1 font-semibold">Shims of the followers</h2>
<Alert {problem} class="mt-2" />
<form class="mt-2 flex items-end gap-3" onsubmit={keepShelf}>
	<TextField
		class="flex-1"
		label="Counted for this job, {bench.units.length}"
		hint="size x count, with commas: 2.50 mm x 4. Sizes that the library counts come out of its stock."
		bind:value={shelf}
		figure
	/>
	<Button class="mb-6">Save</Button>
</form>
<p class="mb-2">
	<Button href="{root}/round?of=follower-shim">Measure the shims</Button>
</p>
{#if toTake.length > 0 || inHand.length > 0}
	<p class="mb-2 flex flex-wrap gap-2">
		{#if toTake.length > 0}
			<Button onclick={() => take(toTake.map((pick) => [pick.part, pick.take]))}>
				Take {toTake.reduce((sum, pick) => sum + pick.take, 0)} from stock
			</Button>
		{/if}
		{#if inHand.length > 0}
			<Button onclick={() => take(inHand.map((pick) => [pick.part, -pick.inHand]))}>
				Give back {inHand.reduce((sum, pick) => sum + pick.inHand, 0)}
			</Button>
		{/if}
	</p>
{/if}
{#if swaps.length > 0}
	<p class="mt-1">
		<b>{moving.length}</b> of {swaps.length} change:
		{swaps.filter(({ from }) => from.type === 'station').length} swapped,
		{swaps.filter(({ from }) => from.type === 'stock').length} from stock,
		<span class={swaps.some(({ from }) => from.type === 'order') ? 'font-semibold text-watch' : ''}>
			{swaps.filter(({ from }) => from.type === 'order').length} to order</span
		>. No plan takes fewer new shims.
	</p>
	<Table class="mt-2 text-[14px]" aria-label="Swap plan">
		<thead>
			<tr>
				<th>Valve</th><th class="text-right">Shim</th>
				<th class="pl-4">From</th><th class="text-right">Resulting lash</th>
			</tr>
		</thead>
		<tbody>
			{#each moving as step (step.label)}
				<tr>
					<th scope="row" class="figure text-left">{step.label}</th>
					<td class="figure text-right">{length(step.shim)}</td>
					<td class="pl-4">
						{step.from.type === 'station'
							? `out of ${step.from.label}`
							: step.from.type === 'stock'
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
	</Table>
{:else}
	<p class="mt-2 text-soft">Needs lash and shim of each valve first.</p>
{/if}
