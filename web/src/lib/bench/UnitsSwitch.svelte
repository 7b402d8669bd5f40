<script lang="ts">
	import { ToggleGroup } from 'bits-ui';
	import type { LengthUnit, LoadUnit } from '@zinc-ledger/core';
	import { getBench } from './bench.svelte';

	const bench = getBench();
	const groups = [
		{ name: 'Lengths in', key: 'length', units: ['in', 'mm'] },
		{ name: 'Loads in', key: 'load', units: ['lbf', 'N', 'kgf'] }
	] as const;
</script>

<div class="flex items-center gap-3">
	{#each groups as { name, key, units } (key)}
		<ToggleGroup.Root
			type="single"
			aria-label={name}
			class="flex"
			value={bench.units[key]}
			onValueChange={(unit) => {
				if (unit) void bench.read({ ...bench.units, [key]: unit as LengthUnit & LoadUnit });
			}}
		>
			{#each units as unit (unit)}
				<ToggleGroup.Item
					value={unit}
					class="figure min-h-11 min-w-10 px-1.5 text-[13px] text-on-band-soft underline-offset-4 data-[state=on]:text-on-band data-[state=on]:underline data-[state=on]:decoration-chromate data-[state=on]:decoration-2"
				>
					{unit}
				</ToggleGroup.Item>
			{/each}
		</ToggleGroup.Root>
	{/each}
</div>
