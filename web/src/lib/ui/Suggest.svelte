<script lang="ts">
	/** A line of text of one's own, with what is known already offered under it. */
	import { Combobox } from 'bits-ui';
	import { LIST, OPTION } from './looks';
	import { matching, plain } from './options';

	interface Props {
		known: readonly string[];
		value: string;
		name?: string;
		id?: string;
		'aria-label'?: string;
		'aria-invalid'?: 'true' | undefined;
		'aria-describedby'?: string | undefined;
		autofocus?: boolean;
		/** Whether what is typed is offered as a new one; not where it is a figure. */
		takesNew?: boolean;
	}
	let {
		known,
		value = $bindable(),
		name,
		autofocus = false,
		takesNew = true,
		...rest
	}: Props = $props();
	let open = $state(false);
	const isKnown = $derived(known.includes(value));
	const offersTyped = $derived(takesNew && known.length > 0 && value.trim() !== '' && !isKnown);
	/** What is typed stands first where it is one of them, so that Enter keeps it. */
	const shown = $derived(
		matching(plain(known), value).toSorted(
			(a, b) => Number(b.value === value) - Number(a.value === value)
		)
	);

	/** Whoever goes on to the next field is done with this list. Enter on what is typed anyway only closes the list, and the form is sent as from any field. */
	function keepTyped(event: KeyboardEvent & { currentTarget: HTMLInputElement }) {
		if (event.key === 'Tab') open = false;
		if (event.key !== 'Enter') return;
		const lit = event.currentTarget.getAttribute('aria-activedescendant');
		if (!lit || document.getElementById(lit)?.dataset.value === value) open = false;
	}
</script>

<Combobox.Root
	type="single"
	bind:open={() => open && (shown.length > 0 || offersTyped), (now) => (open = now)}
	bind:value={() => (isKnown ? value : ''), (chosen) => chosen && (value = chosen)}
	inputValue={value}
>
	<Combobox.Input
		{...rest}
		{name}
		{autofocus}
		autocomplete="off"
		class="field"
		onclick={() => (open = true)}
		onkeydown={keepTyped}
		oninput={(event) => (value = event.currentTarget.value)}
	/>
	<Combobox.Portal>
		<Combobox.Content class={LIST} sideOffset={2}>
			<Combobox.Viewport>
				<!-- What is typed stands first, so that Enter keeps it as it is. -->
				{#if offersTyped}
					<Combobox.Item {value} label={value} class={OPTION}>
						<span class="flex-1">{value}</span>
						<span class="text-[13px] text-soft">new</span>
					</Combobox.Item>
				{/if}
				{#each shown as option (option.value)}
					<Combobox.Item value={option.value} label={option.label} class={OPTION}>
						{option.label}
					</Combobox.Item>
				{/each}
			</Combobox.Viewport>
		</Combobox.Content>
	</Combobox.Portal>
</Combobox.Root>
