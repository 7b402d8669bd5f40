<script lang="ts">
	/** In which order lash is set: the stops of the crankshaft, or the firing order it needs. */
	import {
		camEvents,
		type CrankPosition,
		SETTING_ORDERS,
		stopsOf,
		USUAL_FIRING_ORDERS,
		type SettingOrder
	} from '@zinc-ledger/core';
	import { label, tell } from '@zinc-ledger/words';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { capital } from '$lib/ui/words';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import RadioGroup from '$lib/ui/RadioGroup.svelte';
	import Table from '$lib/ui/Table.svelte';

	interface Props {
		/** Lash is read there, and not set: shims of followers are changed for it. */
		followers: boolean;
		/** The stop that is looked at. */
		shown?: CrankPosition | null;
	}
	let { followers, shown = $bindable(null) }: Props = $props();
	const store = getJobStore();
	const root = $derived(`/jobs/${store.job.id}`);
	const layout = $derived(store.job.engine.layout);
	const solid = $derived(store.job.setup.lifters === 'solid');
	const usual = $derived(USUAL_FIRING_ORDERS[`${layout.arrangement} ${layout.cylinders}`] ?? []);
	const cam = $derived(camEvents(store.job));
	const CAM_WORDS = {
		card: 'Worked out from the events on this cam’s card.',
		duration:
			'Worked out from the durations of this cam, with its lobe centre where it typically is.',
		'long-cam': 'The cam is not known: a long-duration cam is assumed.'
	} as const;

	let order = $state<SettingOrder>('firing-order');
	const stops = $derived(stopsOf(store.job, order));
	/** Until another is looked at: the first that still has something to set. */
	const first = $derived(
		stops.find(({ valves }) => valves.some((at) => !store.station(at)?.inForce.lash)) ?? stops[0]
	);
	$effect.pre(() => {
		shown = first ?? null;
	});
	let firing = $derived(layout.firingOrder?.join('-') ?? '');
	let angles = $derived(layout.firingAngles?.join('-') ?? '');
	let isChanging = $state(false);
	let problem = $state<string | null>(null);

	async function keepFiring(event: SubmitEvent) {
		event.preventDefault();
		const numbers = firing
			.split(/[^\d]+/)
			.filter(Boolean)
			.map(Number);
		const degrees = angles
			.split(/[^\d.]+/)
			.filter(Boolean)
			.map(Number);
		problem = await store.setFiringOrder(numbers, degrees.length > 0 ? degrees : undefined);
		if (problem === null) isChanging = false;
	}

	const words = {
		'firing-order': 'Each cylinder at firing TDC, both valves.',
		'opening-and-closing':
			'As an exhaust starts to open, that cylinder’s intake; as an intake nearly closes, its exhaust.',
		'two-positions': 'As many as are on their base circle, a whole turn, then the rest.'
	} as const;
</script>

{#snippet plainRound()}
	<Button href="{root}/round?of={solid ? 'lash' : 'preload'}">Valve by valve</Button>
{/snippet}

<section aria-label="Setting order">
	<h2 class="border-b-2 border-ink pb-1 font-semibold">The order to set in</h2>
	<Alert {problem} class="mt-2" />
	{#if layout.firingOrder && !isChanging}
		<RadioGroup
			label="Order"
			class="mt-2"
			options={SETTING_ORDERS.map((value) => ({
				value,
				label: capital(label('settingOrder', value))
			}))}
			bind:value={order}
		/>
		<p class="text-[13px] text-soft">
			{words[order]} Fires {layout.firingOrder.join('-')}{layout.firingAngles
				? ` at ${layout.firingAngles.join('°, ')}°`
				: ''}. {CAM_WORDS[cam.from]}
			<Button onclick={() => (isChanging = true)} look="quiet">Change</Button>
		</p>
		<Table class="mt-2 text-[14px]" aria-label="Stops of the order">
			<thead>
				<tr>
					<th>Rotate</th><th>To</th>
					<th>Set</th>
				</tr>
			</thead>
			<tbody>
				{#each stops as stop, i (i)}
					<tr class={stop === shown ? 'bg-chromate-wash' : ''}>
						<td class="figure w-20 pl-2">{stop.turn > 0 ? `${Math.round(stop.turn)}°` : 'begin'}</td
						>
						<td>
							<Button look="cell" type="button" onclick={() => (shown = stop)}>
								{tell(stop.position)}
							</Button>
						</td>
						<td class="figure font-semibold">{stop.valves.join(' ')}</td>
					</tr>
				{/each}
			</tbody>
		</Table>
		<p class="mt-3 flex gap-2">
			<Button href="{root}/round?of={solid ? 'lash' : 'preload'}&order={order}" look="main">
				{followers ? 'Start reading' : 'Start setting'}
			</Button>
			{@render plainRound()}
		</p>
	{:else}
		<form class="mt-3" onsubmit={keepFiring}>
			<TextField
				label="Firing order of this engine"
				hint="from its plate or its maker’s book{usual.length > 0
					? `; often ${usual.map((one) => one.join('-')).join(' or ')}`
					: ''}"
				bind:value={firing}
				figure
			/>
			<TextField
				class="mt-3"
				label="Firing angles, where it fires unevenly"
				hint="crankshaft degrees of each in turn, the first 0: a twin that fires 180° apart is 0-180"
				bind:value={angles}
				figure
			/>
			<Button look="main" class="mt-3">Save firing order</Button>
			{@render plainRound()}
		</form>
	{/if}
</section>
