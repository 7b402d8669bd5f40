<script lang="ts" module>
	/** One line of a list of commands. */
	export interface CommandLine {
		readonly key: string;
		/** What it is, before its name. */
		readonly type: string;
		readonly name: string;
		readonly detail: string;
	}
</script>

<script lang="ts" generics="Line extends CommandLine">
	/** Something typed, what it may mean under it: arrow keys and Enter, or a press. */
	import { Command, Dialog } from 'bits-ui';
	import { OVERLAY } from './looks';

	interface Props {
		open: boolean;
		title: string;
		placeholder: string;
		typed: string;
		lines: readonly Line[];
		/** Stands over the lines. */
		heading?: string | undefined;
		/** Said where there are none. */
		empty?: string | undefined;
		onchoose: (line: Line) => void;
	}
	let {
		open = $bindable(),
		title,
		placeholder,
		typed = $bindable(),
		lines,
		heading,
		empty,
		onchoose
	}: Props = $props();
	/** Enter goes to the first until another is chosen. */
	let chosen = $derived(lines[0]?.key ?? '');
</script>

<Dialog.Root bind:open>
	<Dialog.Portal>
		<Dialog.Overlay class={[OVERLAY, '!z-40']} />
		<Dialog.Content
			class="fixed inset-x-0 top-0 z-50 mx-auto max-h-[90dvh] w-[38rem] max-w-full border border-rule bg-paper tablet:top-16"
		>
			<Dialog.Title class="sr-only">{title}</Dialog.Title>
			<Command.Root shouldFilter={false} loop bind:value={chosen}>
				<Command.Input
					bind:value={typed}
					{placeholder}
					aria-label={title}
					autocomplete="off"
					class="min-h-14 w-full border-b-2 border-ink bg-paper px-4 text-lg"
				/>
				<Command.List class="max-h-[60dvh] overflow-y-auto">
					<Command.Viewport>
						{#if heading}<p class="px-4 pt-2 text-[13px] text-soft">{heading}</p>{/if}
						{#each lines as line (line.key)}
							<Command.Item
								value={line.key}
								onSelect={() => onchoose(line)}
								class="flex min-h-11 cursor-pointer items-center gap-3 border-b border-hair px-4 data-selected:bg-chromate-wash"
							>
								<span class="w-16 flex-none text-[13px] text-soft">{line.type}</span>
								<span class="truncate font-semibold">{line.name}</span>
								<span class="ml-auto truncate text-[13px] text-soft">{line.detail}</span>
							</Command.Item>
						{/each}
						{#if empty && lines.length === 0}<p class="px-4 py-4 text-soft">{empty}</p>{/if}
					</Command.Viewport>
				</Command.List>
			</Command.Root>
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
