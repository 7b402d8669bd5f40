<script lang="ts">
	/** A job's limits: its own stand open, those of the shop are named as such; and its chamber. */
	import { untrack } from 'svelte';
	import type { Values } from '$lib/forms/flat';
	import Disclosure from '$lib/ui/Disclosure.svelte';
	import FieldColumn from './FieldColumn.svelte';
	import {
		COMPRESSION_FIELDS,
		INSPECTED_FIELDS,
		LIMIT_FIELDS,
		type SetupFieldSpec
	} from './fields';
	import { summaryOf } from './summary';
	import { isSameFigure } from './values';

	interface Props {
		values: Values;
		/** What the shop's jobs start with. */
		shop: Values;
		problems: Readonly<Record<string, string>>;
	}
	let { values = $bindable(), shop, problems }: Props = $props();
	const isOwn = ({ path }: SetupFieldSpec) => !isSameFigure(values[path] ?? '', shop[path] ?? '');
	const [own, ofShop, inspected] = untrack(() => [
		[...LIMIT_FIELDS, ...INSPECTED_FIELDS].filter(isOwn),
		LIMIT_FIELDS.filter((field) => !isOwn(field)),
		INSPECTED_FIELDS.filter((field) => !isOwn(field))
	]);
	const has = (fields: readonly SetupFieldSpec[], texts: Readonly<Record<string, string>>) =>
		fields.some(({ path }) => texts[path]);
	let limits = $state(false);
	let valves = $state(false);
	let chamber = $state(false);
</script>

{#if own.length > 0}
	<FieldColumn title="Limits other than the shop’s" fields={own} bind:values {problems} />
{/if}
<Disclosure
	class="mt-4"
	keep
	title="Limits as in the shop: {ofShop.length}"
	bind:open={() => limits || has(ofShop, problems), (open) => (limits = open)}
>
	<p class="text-[13px] text-soft">
		From the <a class="underline" href="/policies">shop policies</a>; what is changed here holds for
		this job only.
	</p>
	<FieldColumn title="Limits" fields={ofShop} bind:values {problems} />
</Disclosure>
<Disclosure
	class="mt-2"
	keep
	title="Limits of valves and seats as in the shop: {inspected.length}"
	bind:open={() => valves || has(inspected, problems), (open) => (valves = open)}
>
	<FieldColumn title="Valves, seats and chambers" fields={inspected} bind:values {problems} />
</Disclosure>
<Disclosure
	class="mt-2"
	keep
	title="Compression"
	note={summaryOf(COMPRESSION_FIELDS, values)}
	bind:open={() => chamber || has(COMPRESSION_FIELDS, problems), (open) => (chamber = open)}
>
	<FieldColumn title="Chamber and bore" fields={COMPRESSION_FIELDS} bind:values {problems} />
</Disclosure>
