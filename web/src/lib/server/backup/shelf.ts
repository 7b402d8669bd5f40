/** Which backups a shop keeps: the newest of each of the last days, weeks and months that have one. */
export interface Shelved {
	readonly name: string;
	readonly at: Date;
}

const DAY = 24 * 3600 * 1000;
/** Days from a Monday to the first day that is counted from, a Thursday. */
const FROM_MONDAY = 3;
const dayOf = (at: Date) => Math.floor(at.getTime() / DAY);

/** How many are kept, by what counts as one. */
const KEPT: readonly (readonly [max: number, spanOf: (at: Date) => number])[] = [
	[7, dayOf],
	[5, (at) => Math.floor((dayOf(at) + FROM_MONDAY) / 7)],
	[12, (at) => at.getUTCFullYear() * 12 + at.getUTCMonth()]
];

/** Those that are kept no longer. */
export function spent(backups: readonly Shelved[]): Shelved[] {
	const newestFirst = backups.toSorted((a, b) => b.at.getTime() - a.at.getTime());
	const kept = new Set<Shelved>();
	for (const [max, spanOf] of KEPT) {
		const spans = new Set<number>();
		for (const one of newestFirst) {
			if (spans.size === max) break;
			if (!spans.has(spanOf(one.at))) kept.add(one);
			spans.add(spanOf(one.at));
		}
	}
	return newestFirst.filter((one) => !kept.has(one));
}
