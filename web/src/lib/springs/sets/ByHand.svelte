<script lang="ts">
	/** What is measured of a spring by hand. */
	import type { TaggedSpring } from './worked';
	import Input from '$lib/ui/Input.svelte';

	interface Props {
		spring: TaggedSpring;
		onmeasure: (name: string, text: string) => void;
	}
	let { spring, onmeasure }: Props = $props();
</script>

<h3 class="mt-4 border-b border-ink pb-1 font-semibold">Measured by hand</h3>
<div class="mt-1 grid grid-cols-2 gap-2">
	{#each [['freeHeight', 'Free height'], ['outside', 'Outside'], ['wire', 'Wire'], ['serial', 'Serial number']] as const as [name, title] (name)}
		<label class="text-soft">
			{title}
			{#key spring.tag}
				<Input
					figure
					class="text-right"
					value={spring.measured[name] ?? ''}
					aria-label={title}
					onchange={(event) => onmeasure(name, event.currentTarget.value)}
				/>
			{/key}
		</label>
	{/each}
</div>
