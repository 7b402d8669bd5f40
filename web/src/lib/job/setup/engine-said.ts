/** How the heads lie, from the name somebody gives an engine: "Inline four, 16 valves". */
import type { ARRANGEMENTS, Layout } from '@zinc-ledger/core';

const NUMBERS: Readonly<Record<string, number>> = {
	single: 1,
	one: 1,
	twin: 2,
	two: 2,
	three: 3,
	four: 4,
	five: 5,
	six: 6,
	eight: 8,
	ten: 10,
	twelve: 12
};
const COUNT = `\\d{1,2}|${Object.keys(NUMBERS).join('|')}`;
/** "inline four", "straight-6", "V8", "flat six", "boxer 4": the arrangement, then how many cylinders. */
const CYLINDERS = new RegExp(`\\b(inline|straight|v|flat|boxer)[ -]?(${COUNT})\\b`, 'i');
const ALL_VALVES = /\b(\d{1,2})[ -]?(?:valves?|v)\b/i;
const EACH = new RegExp(
	`\\b(${COUNT})[ -]valves?(?: per| a| each)(?: cylinder)?|\\b(\\d)v\\/cyl`,
	'i'
);
const ARRANGEMENT: Readonly<Record<string, Layout['arrangement']>> = {
	inline: 'inline',
	straight: 'inline',
	v: 'V',
	flat: 'flat',
	boxer: 'flat'
} satisfies Record<string, (typeof ARRANGEMENTS)[number]>;
const numberOf = (text: string) => NUMBERS[text.toLowerCase()] ?? Number(text);

/**
 * Returns what a name says of the layout; null where it names no arrangement with its cylinders.
 * A count of valves that is no whole number from 2 to 5 a cylinder is left alone.
 *
 * @example layoutSaid('Inline four, 16 valves') // { arrangement: 'inline', cylinders: 4, valvesPerCylinder: 4 }
 */
export function layoutSaid(
	name: string
): (Pick<Layout, 'arrangement' | 'cylinders'> & Partial<Pick<Layout, 'valvesPerCylinder'>>) | null {
	const said = CYLINDERS.exec(name);
	if (!said) return null;
	const cylinders = numberOf(said[2]!);
	if (!(cylinders >= 1 && cylinders <= 16)) return null;
	const each = EACH.exec(name);
	const all = ALL_VALVES.exec(name.replace(CYLINDERS, ''));
	const valves = each
		? numberOf(each[1] ?? each[2]!)
		: all
			? Number(all[1]) / cylinders
			: Number.NaN;
	return {
		arrangement: ARRANGEMENT[said[1]!.toLowerCase()]!,
		cylinders,
		...([2, 3, 4, 5].includes(valves) && {
			valvesPerCylinder: valves as Layout['valvesPerCylinder']
		})
	};
}
