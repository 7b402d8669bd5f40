/** What a quantity is, how it is measured and what is forgotten: fetched when it is first asked for. */
import { help } from './en/help.ts';
import type { HelpText, HelpTopic } from './help-text.ts';

export type { HelpText, HelpTopic, Level, Mark, Place } from './help-text.ts';

export const HELP_TOPICS = Object.keys(help) as HelpTopic[];

export const helpOf = (topic: HelpTopic): HelpText => help[topic];

const textOf = ({ title, what, how, forgotten }: HelpText) =>
	[title, what, how, forgotten].join(' ');

/** Topics that have every word of a text in any of what they say, those named so first. */
export function helpLike(text: string): HelpTopic[] {
	const words = text.toLowerCase().split(/\s+/).filter(Boolean);
	const has = (within: string) => words.every((word) => within.toLowerCase().includes(word));
	const found = HELP_TOPICS.filter((topic) => has(textOf(help[topic])));
	return found.toSorted((a, b) => Number(has(help[b].title)) - Number(has(help[a].title)));
}
