<script lang="ts">
	/** One of many things, found by typing; what was used last stands first. */
	import Check from '@lucide/svelte/icons/check';
	import ChevronDown from '@lucide/svelte/icons/chevron-down';
	import { Combobox } from 'bits-ui';
	import type { ClassValue } from 'svelte/elements';
	import { LIST, OPTION } from './looks';
	import { matching, recentlyUsed, used, type Option } from './options';

	interface Props {
		options: readonly Option[];
		value: string;
		name?: string | undefined;
		onchoose?: (value: string) => void;
		/** The list whose last choices this bench remembers; lists of one type share theirs. */
		remember?: string;
		placeholder?: string;
		disabled?: boolean;
		id?: string;
		'aria-label'?: string;
		'aria-invalid'?: 'true' | undefined;
		'aria-describedby'?: string | undefined;
		class?: ClassValue;
	}
	let {
		options,
		value = $bindable(),
		name,
		onchoose,
		remember,
		placeholder,
		disabled = false,
		class: extra = '',
		...rest
	}: Props = $props();

	let open = $state(false);
	/** What is typed to search by; null while nothing is. */
	let typed = $state<string | null>(null);
	let recent = $state.raw<readonly string[]>([]);
	const chosen = $derived(options.find((option) => option.value === value));
	const shown = $derived(matching(options, typed ?? ''));
	const last = $derived(
		typed ? [] : recent.flatMap((kept) => options.filter((option) => option.value === kept))
	);

	function opened(now: boolean) {
		open = now;
		typed = null;
		if (now && remember) recent = recentlyUsed(remember);
	}
	function choose(next: string) {
		value = next;
		if (remember && next) used(remember, next);
		onchoose?.(next);
	}
</script>

{#snippet item(option: Option, key: string)}
	<Combobox.Item
		value={option.value}
		label={option.label}
		disabled={option.disabled ?? false}
		class={OPTION}
		data-group={key}
	>
		<span class="flex-1">{option.label || '–'}</span>
		{#if option.note}<span class="text-[13px] text-soft">{option.note}</span>{/if}
		{#if option.value === value}<Check size={15} aria-hidden="true" />{/if}
	</Combobox.Item>
{/snippet}

<Combobox.Root
	type="single"
	{disabled}
	allowDeselect={false}
	bind:open={() => open, opened}
	bind:value={() => value, choose}
	inputValue={typed ?? chosen?.label ?? ''}
>
	<div class={['relative', extra]}>
		<Combobox.Input
			{...rest}
			{placeholder}
			data-name={name}
			data-searches
			autocomplete="off"
			class="field pr-11"
			onclick={() => !open && opened(true)}
			onfocus={(event) => event.currentTarget.select()}
			oninput={(event) => (typed = event.currentTarget.value)}
		/>
		<Combobox.Trigger
			class="absolute inset-y-0 right-0 grid w-11 place-items-center text-soft"
			tabindex={-1}
			aria-label="List"
		>
			<ChevronDown size={15} aria-hidden="true" />
		</Combobox.Trigger>
	</div>
	<Combobox.Portal>
		<Combobox.Content class={LIST} sideOffset={2}>
			<Combobox.Viewport>
				{#if last.length > 0}
					<Combobox.Group>
						<Combobox.GroupHeading class="px-3 pt-1 text-[13px] text-soft"
							>Used last</Combobox.GroupHeading
						>
						{#each last as option (option.value)}{@render item(option, 'last')}{/each}
					</Combobox.Group>
					<hr class="my-1 border-rule" />
				{/if}
				{#each shown as option (option.value)}{@render item(option, 'all')}{/each}
				{#if shown.length === 0}<p class="px-3 py-2 text-soft">Nothing is called so.</p>{/if}
			</Combobox.Viewport>
		</Combobox.Content>
	</Combobox.Portal>
</Combobox.Root>
{#if name}<input type="hidden" {name} {value} />{/if}
