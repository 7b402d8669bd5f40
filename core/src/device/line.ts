/**
 * The line a gauge sends, read by a pattern. A pattern is a regular expression
 * with named groups: `height` and `load`, one of them or both, and `heightUnit`
 * and `loadUnit` where the line names its units.
 */
import {
	mm,
	MM_PER,
	newtons,
	NEWTONS_PER,
	type LengthUnit,
	type LoadUnit,
	type Millimetres,
	type Newtons
} from '../units/quantity.ts';

/** "H 46.212 mm F 612.4 N", and either half of it alone. */
export const LINE_PATTERN =
	'^(?:H\\s*(?<height>-?\\d+(?:\\.\\d+)?)\\s*(?<heightUnit>mm|in)?)?\\s*(?:F\\s*(?<load>-?\\d+(?:\\.\\d+)?)\\s*(?<loadUnit>N|lbf|kgf)?)?\\s*$';

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
 *
 * @example lineReader(LINE_PATTERN, …)('H 46.212 mm F 612.4 N') // { height: 46.212, load: 612.4, … }
 */
export function lineReader(
	pattern: string,
	units: { readonly length: LengthUnit; readonly load: LoadUnit }
): (line: string) => LineReading | null {
	const expression = new RegExp(pattern);
	return (line) => {
		if (line.length > LONGEST_LINE) return null;
		const groups = expression.exec(line.trim())?.groups;
		if (!groups) return null;
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
