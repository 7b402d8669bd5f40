<script lang="ts">
	/** Points of a sweep typed off the dial: a line each, or a whole list pasted. */
	import { lengthOf, mm, readEntry, type Millimetres } from '@zinc-ledger/core';
	import { tell } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import Button from '$lib/ui/Button.svelte';
	import TextArea from '$lib/ui/TextArea.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import type { SpringTest } from './spring-test.svelte';
	import { nextDial, readTypedPoints } from './typed';

	let { test }: { test: SpringTest } = $props();
	const bench = getBench();
	const USUAL_STEP = { in: '0.050', mm: '1' } as const;
	let text = $state('');
	let step = $derived(USUAL_STEP[bench.units.length] as string);
	let wrong = $state<string | null>(null);

	const stepRead = $derived(readEntry(step, bench.units.length));
	const due = $derived.by(() => {
		const { targets } = test;
		if (!targets || !stepRead.ok || stepRead.length <= 0) return null;
		const { start, seat, fullLift } = targets;
		return { first: start, step: stepRead.length, stops: [seat, fullLift] };
	});
	const last = $derived.by<Millimetres | null>(() => {
		const [height] = test.capture.points.at(-1) ?? [];
		return height === undefined ? null : mm(lengthOf(`${height} ${test.capture.heightUnit}`));
	});
	const next = $derived(due ? bench.length(nextDial(due, last)) : null);

	function add(event: SubmitEvent) {
		event.preventDefault();
		const read = readTypedPoints(text, bench.units, due, last);
		wrong = read.ok ? null : `Line ${read.line}: ${tell(read.problem)}`;
		if (!read.ok) return;
		for (const { dial, load } of read.points) test.capture.type(dial, load);
		text = '';
	}
	function press(event: KeyboardEvent & { currentTarget: HTMLTextAreaElement }) {
		if (event.key !== 'Enter' || event.shiftKey) return;
		event.preventDefault();
		event.currentTarget.form?.requestSubmit();
	}
</script>

<form class="mt-3 grid max-w-2xl grid-cols-[minmax(0,1fr)_6rem] items-start gap-3" onsubmit={add}>
	<TextArea
		label="Dial and load"
		rows={2}
		bind:value={text}
		problem={wrong}
		hint={next
			? `The load alone is taken at the next dial, ${next}. A list may be pasted.`
			: 'One point a line; a list may be pasted.'}
		onkeydown={press}
	/>
	<TextField
		label="Step"
		bind:value={step}
		figure
		problem={stepRead.ok ? undefined : stepRead.problem}
	/>
	<p class="col-span-2 flex gap-3">
		<Button>Add</Button>
		<Button type="button" onclick={() => test.capture.end()}>Finish</Button>
	</p>
</form>
