/** A list of figures as somebody writes it: from a spreadsheet, a message, the lid of a box. */
import type { Quantity } from '../document/index.ts';
import { readAs } from '../document/index.ts';
import { message, type Message } from '../../foundation/message/index.ts';
import { readMeasured, type Units } from '../../foundation/units/index.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'paste.no-valve': null;
		'paste.no-figure': { readonly station: string };
		'paste.unknown-valve': { readonly station: string };
		'paste.too-many': { readonly valves: number };
		'paste.not-alone': { readonly typed: string };
	}
}

/** One figure of the list, understood. */
export interface PastedFigure {
	/** Counted from 1. */
	readonly line: number;
	readonly station: string;
	/** Digits and unit. */
	readonly read: string;
}

/** A line, or a part of one, that is not understood. */
export interface PastedProblem {
	readonly line: number;
	/** What stands there. */
	readonly says: string;
	readonly why: Message;
}

export interface Pasted {
	readonly figures: readonly PastedFigure[];
	readonly problems: readonly PastedProblem[];
}

interface Reading {
	readonly quantity: Quantity;
	readonly units: Units;
	/** Stations in the order they are measured in: a list of figures alone is taken to follow it. */
	readonly order: readonly string[];
}

/** "1I", "12 Ea", "3e:"; a figure's own digits are none of it. */
const STATION = /(?<![\d.,])(\d{1,2})\s?([ie])([abc]?)(?![a-z])/gi;
/** What parts figures from one another and from their valves, but is no part of one. */
const AROUND = /[\s:=;,|]/;
/** Digits with or without decimals, and a unit: nothing that could number a line, such as "1." or "1)". */
const FIGURE = /^[-−]?(?:\d*[.,]\d+|\d+)(?:\s?[a-z#"/]+\.?)?$/i;
const HAS_DECIMALS = /[.,]\d/;

/** A text without what only parts it from others; in one walk, however long the blanks are. */
function bare(text: string): string {
	let [start, end] = [0, text.length];
	while (start < end && AROUND.test(text[start]!)) start++;
	while (end > start && AROUND.test(text[end - 1]!)) end--;
	return text.slice(start, end);
}

/**
 * Reads a list of figures: pairs such as "1I 1.812, 1E 1.809", tabs, commas, semicolons or
 * one a line, a point or a comma before the decimals; or figures alone in the measuring order.
 * A line counts only where its valve and its figure are both certain. In a list of figures alone
 * one that is not certain leaves open whose every other figure is: nothing of the list is read.
 *
 * @example readPasted('1I 1,812; 1E 1,809', …).figures // [{ line: 1, station: '1I', read: '1.812 in' }, …]
 */
export function readPasted(text: string, { quantity, units, order }: Reading): Pasted {
	const figures: PastedFigure[] = [];
	const problems: PastedProblem[] = [];
	const lines = text.split(/\r?\n/).map((whole, i) => ({ whole, line: i + 1 }));
	const take = (line: number, station: string, says: string, typed: string) => {
		const entry = readMeasured(typed, readAs(quantity), units);
		if (entry.ok) figures.push({ line, station, read: entry.text });
		else problems.push({ line, says, why: entry.problem });
	};
	if (text.match(STATION) === null) {
		let next = 0;
		const all = lines.flatMap(({ whole }) => figuresIn(whole));
		// Among figures with decimals one without may be the number of its line.
		const wantsDecimals = all.some((typed) => HAS_DECIMALS.test(typed));
		const isAlone = (typed: string) =>
			FIGURE.test(typed) && (!wantsDecimals || HAS_DECIMALS.test(typed));
		for (const { whole, line } of lines)
			for (const typed of figuresIn(whole)) {
				const station = order[next++];
				const why = !isAlone(typed)
					? message('paste.not-alone', { typed })
					: station === undefined
						? message('paste.too-many', { valves: order.length })
						: null;
				if (why) problems.push({ line, says: bare(whole), why });
				else take(line, station!, typed, typed);
			}
		return problems.length > 0 ? { figures: [], problems } : { figures, problems };
	}
	const known = new Map(order.map((label) => [label.toLowerCase(), label]));
	for (const { whole, line } of lines) {
		const says = bare(whole);
		const labels = [...whole.matchAll(STATION)];
		if (says === '') continue;
		// What stands before the first valve belongs to none.
		if (labels.length === 0 || bare(whole.slice(0, labels[0]!.index)) !== '') {
			problems.push({ line, says, why: message('paste.no-valve') });
			continue;
		}
		labels.forEach((label, k) => {
			const end = labels[k + 1]?.index ?? whole.length;
			const part = bare(whole.slice(label.index, end));
			const named = `${Number(label[1])}${label[2]!.toUpperCase()}${label[3]!.toLowerCase()}`;
			const station = known.get(named.toLowerCase());
			const typed = bare(whole.slice(label.index + label[0].length, end));
			if (!station) {
				const why = message('paste.unknown-valve', { station: named });
				problems.push({ line, says: part, why });
			} else if (typed === '')
				problems.push({ line, says: part, why: message('paste.no-figure', { station }) });
			else take(line, station, part, typed);
		});
	}
	return { figures, problems };
}

/** Figures of a line without valves: parted by tabs, semicolons, bars or blanks; a unit stays with its figure. */
const figuresIn = (line: string): string[] =>
	line
		.replace(/[^\S\t]+/g, ' ')
		.split(/[\t;|]|, | (?=[\d.])/)
		.map(bare)
		.filter(Boolean);
