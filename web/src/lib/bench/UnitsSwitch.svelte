<script lang="ts">
	import type { LengthUnit, LoadUnit } from '@zinc-ledger/core';
	import { getBench } from './bench.svelte';
	import { invalidateAll } from '$app/navigation';
	import Switch from '$lib/ui/Switch.svelte';
	import ToggleGroup from '$lib/ui/ToggleGroup.svelte';
	import { plain } from '$lib/ui/options';

	const bench = getBench();
	const groups = [
		{ name: 'Lengths in', key: 'length', units: ['in', 'mm'] },
		{ name: 'Loads in', key: 'load', units: ['lbf', 'N', 'kgf'] }
	] as const;
</script>

<div class="mt-3 space-y-2">
	<Switch
		checked={!bench.unitsChosen}
		onchange={async (asMeasured) => {
			if (asMeasured) await bench.readAsMeasured();
			else await bench.read(bench.units);
			await invalidateAll();
		}}
	>
		Each job as it was measured
	</Switch>
	{#each groups as { name, key, units } (key)}
		<div class="flex items-center">
			<span class="w-24 text-[13px] text-soft" aria-hidden="true">{name}</span>
			<ToggleGroup
				label={name}
				figure
				options={plain<string>(units)}
				value={bench.units[key]}
				onchoose={(unit) =>
					void bench.read({ ...bench.units, [key]: unit as LengthUnit & LoadUnit })}
			/>
		</div>
	{/each}
</div>
