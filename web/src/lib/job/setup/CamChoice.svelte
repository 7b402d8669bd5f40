<script lang="ts">
	/** Which cam the job has: the library's, its own as it stands, or none that is known. */
	import type { Cam } from '@zinc-ledger/core';
	import { OWN_CAM } from './cam';
	import Combobox from '$lib/ui/Combobox.svelte';

	interface Props {
		/** The one on this job. */
		ownCam: Cam | undefined;
		cams: readonly Cam[];
		value: string;
	}
	let { ownCam, cams, value = $bindable() }: Props = $props();
</script>

<div class="mt-3 grid items-center gap-x-3 border-b border-hair py-1 tablet:grid-cols-[12rem_1fr]">
	<label for="cam" class="text-[13px] text-soft">Cam, fills in lift and lash</label>
	<Combobox
		id="cam"
		name="cam"
		remember="cam"
		options={[
			{ value: '', label: 'not known, or typed below' },
			...(ownCam ? [{ value: OWN_CAM, label: ownCam.name, note: 'on this job' }] : []),
			...cams
				.filter(({ id }) => id !== ownCam?.id)
				.map((cam) => ({ value: cam.id!, label: cam.name }))
		]}
		bind:value
	/>
</div>
