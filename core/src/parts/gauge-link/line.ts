/**
 * The line a gauge sends, read by a pattern. A pattern is a regular expression
 * with named groups: `height` and `load`, one of them or both, and `heightUnit`
 * and `loadUnit` where the line names its units.
 */
import { RE2JS } from 're2js';
import {
	mm,
	MM_PER,
	newtons,
	NEWTONS_PER,
	type LengthUnit,
	type LoadUnit,
	type Millimetres,
	type Newtons
} from '../../foundation/units/index.ts';

/** "H 46.212 mm F 612.4 N", and either half of it alone. */
export const LINE_PATTERN =
	'^(?:H\\s*(?<height>-?\\d+(?:\\.\\d+)?)\\s*(?<heightUnit>mm|in)?)?\\s*(?:F\\s*(?<load>-?\\d+(?:\\.\\d+)?)\\s*(?<loadUnit>N|lbf|kgf)?)?\\s*$';

/**
 * A pattern made ready by an engine that looks at each sign of a line once, so that no
 * pattern and no line can hold up the bench: look-around and back-references are unknown to it.
 *
 * @throws where the text is no such pattern
 */
export function linePattern(text: string): RE2JS {
	return RE2JS.compile(text);
}

/** A longer line is no reading. */
export const LONGEST_LINE = 120;

export interface LineReading {
	/** Digits as sent, with the unit: "46.212 mm". */
	readonly heightText?: string;
	readonly loadText?: string;
	readonly height?: Millimetres;
	readonly load?: Newtons;
}

/**
 * What a line says; null for one that is no reading.
 *
 * @param units what a line without units is in
 * @throws where the pattern is none
 *
 * @example lineReader(LINE_PATTERN, …)('H 46.212 mm F 612.4 N') // { height: 46.212, load: 612.4, … }
 */
export function lineReader(
	pattern: string,
	units: { readonly length: LengthUnit; readonly load: LoadUnit }
): (line: string) => LineReading | null {
	const expression = linePattern(pattern);
	const names = Object.keys(expression.namedGroups());
	return (line) => {
		if (line.length > LONGEST_LINE) return null;
		const matcher = expression.matcher(line.trim());
		if (!matcher.find()) return null;
		const groups: Readonly<Record<string, string | undefined>> = Object.fromEntries(
			names.map((name) => [name, matcher.group(name) ?? undefined])
		);
		const { height, load } = groups;
		const lengthUnit = (groups.heightUnit ?? units.length) as LengthUnit;
		const loadUnit = (groups.loadUnit ?? units.load) as LoadUnit;
		const [h, f] = [Number(height), Number(load)];
		const hasHeight = height !== undefined && Number.isFinite(h) && lengthUnit in MM_PER;
		const hasLoad = load !== undefined && Number.isFinite(f) && loadUnit in NEWTONS_PER;
		if (!hasHeight && !hasLoad) return null;
		return {
			...(hasHeight && {
				heightText: `${height} ${lengthUnit}`,
				height: mm(h * MM_PER[lengthUnit])
			}),
			...(hasLoad && { loadText: `${load} ${loadUnit}`, load: newtons(f * NEWTONS_PER[loadUnit]) })
		};
	};
}
