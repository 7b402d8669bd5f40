<script lang="ts">
	/** Which parts of each kind have run before, folded with what is said of it. */
	import { KINDS, REUSABLE, type Kind, type Setup } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import Checkbox from '$lib/ui/Checkbox.svelte';
	import Disclosure from '$lib/ui/Disclosure.svelte';
	import { capital } from '$lib/ui/words';

	interface Props {
		setup: Setup;
		onchange: (kind: Kind, part: (typeof REUSABLE)[number], reused: boolean) => void;
	}
	let { setup, onchange }: Props = $props();
	const note = $derived(
		KINDS.flatMap((kind) => {
			const reused = setup.kinds[kind].reused ?? [];
			const names = reused.map((part) => label('slot', part)).join(', ');
			return names ? [`${label('kind', kind)}: ${names}`] : [];
		}).join('; ')
	);
</script>

<Disclosure class="mt-2 border-b border-hair" keep title="Reused parts" {note}>
	{#each KINDS as kind (kind)}
		<div class="flex flex-wrap items-center gap-x-4">
			<span class="w-20 text-[13px] text-soft">{capital(label('kind', kind))}</span>
			{#each REUSABLE as part (part)}
				<Checkbox
					class="text-[14px]"
					aria-label="{kind}: {part} reused"
					checked={setup.kinds[kind].reused?.includes(part) ?? false}
					onchange={(reused) => onchange(kind, part, reused)}
				>
					{label('slot', part)}
				</Checkbox>
			{/each}
		</div>
	{/each}
</Disclosure>
