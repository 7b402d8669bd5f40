<script lang="ts">
	/** A spring beside another of its set at the height at hand, and the way to anything else it may be compared with. */
	import { mm } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import { plain } from '$lib/ui/options';
	import { compareAddress } from './compare';
	import type { Row } from './worked';

	interface Props {
		set: Parameters<typeof compareAddress>[0];
		rows: readonly Row[];
		chosen: string;
		seat: number;
		/** Tag of the other. */
		tag: string;
	}
	let { set, rows, chosen, seat, tag = $bindable() }: Props = $props();
	const bench = getBench();
	const other = $derived(rows.find(({ spring }) => spring.tag === tag));
</script>

<SelectField
	label="Compare with"
	class="mt-3"
	options={[{ value: '', label: 'none' }, ...plain(rows.map(({ spring }) => spring.tag))]}
	bind:value={tag}
/>
{#if other}
	<p class="mt-1">
		At <span class="figure">{bench.length(mm(seat))}</span> and the same lift, {tag} has
		<span class="figure">{bench.load(other.figures.seat, other.resolution)}</span> and
		<span class="figure">{bench.load(other.figures.open, other.resolution)}</span>
	</p>
{/if}
<p>
	<a
		class="flex min-h-11 items-center underline bench:min-h-9"
		href={compareAddress(set, chosen, tag)}>Side by side with {tag || 'its card'}, or any other</a
	>
</p>
