<script lang="ts">
	/** How much of something is done. */
	import { Progress } from 'bits-ui';
	import type { ClassValue } from 'svelte/elements';

	interface Props {
		label: string;
		value: number;
		max: number;
		class?: ClassValue;
	}
	let { label, value, max, class: extra = '' }: Props = $props();
</script>

<Progress.Root aria-label={label} {value} {max} class={['h-1.5 w-full bg-rule', extra]}>
	<div class="h-full bg-ink" style:width="{max > 0 ? (100 * value) / max : 0}%"></div>
</Progress.Root>
