/** What stood at the stations when a head came apart: the newest of each, and all of it counted (docs/trade/assembly.md). */
import type { AsFound, Job } from '../job/document/index.ts';
import { lengthOf, mm, toComparisonStep, type Millimetres } from '../foundation/units/index.ts';

/** Each valve is held by two of them. */
export const LOCK_HALVES = 2;

/** The newest of each station, by its label. */
export const foundAt = ({ asFound }: Pick<Job, 'asFound'>): ReadonlyMap<string, AsFound> =>
	new Map(
		asFound.toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at)).map((one) => [one.station, one])
	);

export interface FoundCounts {
	readonly stations: number;
	/** How many of each size in mm, thickest first. */
	readonly shims: readonly (readonly [size: Millimetres, count: number])[];
	readonly locators: number;
	readonly lockHalves: number;
	readonly caps: number;
	readonly dampers: number;
	readonly seals: number;
}

/** What lies on the bench once so many stations came apart: to be counted, and found again. */
export function foundCounts(job: Pick<Job, 'asFound'>): FoundCounts {
	const all = [...foundAt(job).values()];
	const sizes = new Map<number, number>();
	for (const text of all.flatMap(({ shims }) => shims)) {
		const size = toComparisonStep(lengthOf(text), 'length');
		sizes.set(size, (sizes.get(size) ?? 0) + 1);
	}
	const count = (is: (one: AsFound) => unknown) => all.filter(is).length;
	return {
		stations: all.length,
		shims: [...sizes]
			.toSorted(([a], [b]) => b - a)
			.map(([size, many]) => [mm(size), many] as const),
		locators: count(({ locator }) => locator !== undefined && lengthOf(locator) > 0),
		lockHalves: LOCK_HALVES * all.length,
		caps: count(({ lashCap }) => lashCap),
		dampers: count(({ damper }) => damper),
		seals: count(({ seal }) => seal && seal !== 'none')
	};
}
