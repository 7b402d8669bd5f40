import { getContext, setContext } from 'svelte';
import { INSPECTED_FIGURE, type FigureName, type Quantity } from '@zinc-ledger/core';
import type { HelpTopic } from '@zinc-ledger/words/help';

/** The figure that a quantity is read for, and that explains it. */
export const HELP_OF: Readonly<Record<Quantity, FigureName>> = {
	'installed-height': 'height',
	'seal-gap': 'sealClearance',
	'seal-gap-at-lift': 'sealClearance',
	'tip-height': 'tipHeight',
	'rocker-closed': 'rocker',
	'rocker-half-lift': 'rocker',
	'rocker-full-lift': 'rocker',
	'on-head-load': 'headLoad',
	lash: 'lash',
	preload: 'preload',
	'built-height': 'built',
	'follower-shim': 'lash',
	...INSPECTED_FIGURE
};

/** What is being explained; asked for by F1, or by a press on a quantity's name. */
export class Help {
	open = $state(false);
	topic = $state<HelpTopic>('height');

	show(topic: HelpTopic): void {
		this.topic = topic;
		this.open = true;
	}

	/** Explains what has the focus, else what the page is about. */
	showHere(): void {
		const near =
			document.activeElement?.closest<HTMLElement>('[data-help]') ??
			document.querySelector<HTMLElement>('main [data-help]');
		this.show((near?.dataset.help as HelpTopic | undefined) ?? this.topic);
	}
}

const KEY = Symbol('help');
export const setHelp = (help: Help) => setContext(KEY, help);
export const getHelp = (): Help => getContext(KEY);
