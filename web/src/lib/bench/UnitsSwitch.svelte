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

<div class="mt-3 space-y-2">
	{#each groups as { name, key, units } (key)}
		<ToggleGroup.Root
			type="single"
			aria-label={name}
			class="flex items-center"
			value={bench.units[key]}
			onValueChange={(unit) => {
				if (unit) void bench.read({ ...bench.units, [key]: unit as LengthUnit & LoadUnit });
			}}
		>
			<span class="w-24 text-[13px] text-soft" aria-hidden="true">{name}</span>
			{#each units as unit (unit)}
				<ToggleGroup.Item
					value={unit}
					class="figure min-h-11 min-w-12 border border-rule px-2 data-[state=on]:border-ink data-[state=on]:bg-chromate-wash data-[state=on]:font-semibold"
				>
					{unit}
				</ToggleGroup.Item>
			{/each}
		</ToggleGroup.Root>
	{/each}
</div>
