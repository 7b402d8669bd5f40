<script lang="ts">
	/** A new shop: three places to start, and the way to the first signed sheet. It goes away with that. */
	import Check from '@lucide/svelte/icons/check';

	interface Props {
		done: {
			readonly person: boolean;
			readonly gauge: boolean;
			readonly job: boolean;
			readonly heights: boolean;
		};
	}
	let { done }: Props = $props();
	const STARTS = [
		[
			'/valve',
			'One valve',
			'A question on the phone: loads, clearances and the shim for one height.'
		],
		['/kits', 'A kit sheet', 'Enter the spring kit you use most; jobs are then made from it.'],
		['/jobs/new', 'A job', 'A head is on the bench: measure it and sign its sheet.']
	] as const;
	const steps = $derived([
		{ name: 'Say who works here', href: '/bench', isDone: done.person },
		{ name: 'Add the gauge you read heights with', href: '/gauges', isDone: done.gauge },
		{ name: 'Make a job', href: '/jobs/new', isDone: done.job },
		{ name: 'Measure the heights', href: '/?filter=open', isDone: done.heights },
		{ name: 'Sign the sheet', href: null, isDone: false }
	]);
	/** The first that is not done is the one to do. */
	const next = $derived(steps.findIndex(({ isDone }) => !isDone));
</script>

<section class="mt-4 grid gap-x-12 gap-y-5 bench:grid-cols-2" aria-label="Getting started">
	<div>
		<h2 class="border-b-2 border-ink pb-1 font-semibold">Where to start</h2>
		<ul>
			{#each STARTS as [href, name, about] (href)}
				<li class="border-b border-hair py-2">
					<a class="flex min-h-11 items-center font-semibold underline bench:min-h-0" {href}
						>{name}</a
					>
					<p class="text-[14px] text-soft">{about}</p>
				</li>
			{/each}
		</ul>
	</div>
	<div>
		<h2 class="border-b-2 border-ink pb-1 font-semibold">Five steps to the first signed sheet</h2>
		<ol>
			{#each steps as { name, href, isDone }, i (name)}
				<li
					class="flex min-h-11 items-center gap-3 border-b border-hair {isDone ? 'text-soft' : ''}"
					aria-current={i === next ? 'step' : undefined}
				>
					<span class="figure w-5 text-right">{i + 1}</span>
					{#if href && i === next}
						<a class="font-semibold underline" {href}>{name}</a>
					{:else}
						<span>{name}</span>
					{/if}
					{#if isDone}<Check size={16} aria-label="done" class="ml-auto" />{/if}
				</li>
			{/each}
		</ol>
	</div>
</section>
