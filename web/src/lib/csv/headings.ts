/** Headings of CSV as people write them: what a column is, and the unit of its bare figures. */

const UNITS = [
	...['#', 'lbs?', 'lbf', 'pounds?', 'n', 'newtons?', 'kgf?s?', 'kp'],
	...['(?:lbs?|lbf|#)/in(?:ch)?', 'n/mm', 'kgf?/mm'],
	...['in', 'inch(?:es)?', '["″”]', 'mm', 'thou', 'mils?', 'g', 'grams?', 'cc', 'deg(?:rees)?', '°']
].join('|');
const WITH_UNIT = new RegExp(`^(.+?)[\\s_,]*(?:[(\\[]\\s*|[\\s_])(${UNITS})\\s*[)\\]]?\\s*$`, 'i');

export interface Heading {
	readonly name: string;
	/** As it is written; null where the heading says none. */
	readonly unit: string | null;
}

/** "Seat load (lbs)" → Seat load, lbs. */
export function headingOf(text: string): Heading {
	const [, name, unit] = WITH_UNIT.exec(text.trim()) ?? [];
	return name === undefined ? { name: text.trim(), unit: null } : { name, unit: unit! };
}

const DEGREES = /^(?:deg|°)/i;
const THOUSANDTHS = /^mil/i;
const BARE = /^[-+−]?(?:\d+[.,]?\d*|[.,]\d+)$/;

/** A cell with its column's unit, where it is a bare figure; degrees are bare. */
export function withColumnUnit(cell: string, unit: string | null): string {
	if (unit === null || DEGREES.test(unit) || !BARE.test(cell.trim())) return cell;
	return `${cell.trim()} ${THOUSANDTHS.test(unit) ? 'thou' : unit}`;
}
