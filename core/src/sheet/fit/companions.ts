/** What has to come with a part so that all of it fits: a spring brings its retainer, that its locks. */
import { TYPE_OF, type LibraryPart, type StationPart } from '../../parts/part/index.ts';
import type { PartAt } from '../../job/document/index.ts';
import { failingIn, withParts } from './remedy.ts';
import type { FitContext } from './rule.ts';

/** What may come with what: a spring brings the parts about it; nobody buys springs for a seal. */
const MAY_BRING: Partial<Record<StationPart, readonly StationPart[]>> = {
	spring: ['retainer', 'locks', 'locator', 'seal'],
	retainer: ['locks'],
	locks: ['retainer'],
	locator: ['seal']
};

/**
 * Parts of the library that have to be exchanged with others so that no rule fails at stop that
 * did not fail before: one after another, each the one that leaves the fewest stops, then the
 * fewest watches, in the places where the failing rules can be mended. Source: docs/trade/parts.md#compatibility.
 *
 * @param others what is to stand there whatever comes with it
 * @returns in the order they are chosen, none where nothing has to come along; null where
 *   the library has nothing that makes it fit
 */
export function companionsOf(
	context: FitContext,
	others: readonly PartAt[],
	library: readonly LibraryPart[]
): PartAt[] | null {
	const before = failingIn(context, 'stop');
	const companions: PartAt[] = [];
	const fixed = new Set<string>(others.map(({ place }) => place));
	const newStops = (tried: readonly PartAt[]) =>
		[...failingIn(withParts(context, tried), 'stop')].filter((rule) => !before.has(rule));
	let stops = newStops(others);
	const mayCome = new Set(others.flatMap(({ place }) => MAY_BRING[place] ?? []));
	while (stops.length > 0) {
		const places = new Set(
			stops.flatMap(({ fixableBy }) =>
				fixableBy.filter((place) => mayCome.has(place) && !fixed.has(place))
			)
		);
		const best = [...places]
			.flatMap((place) =>
				library.flatMap((one) => {
					if (one.type !== TYPE_OF[place] || one.retired) return [];
					const next = { place, part: one.part };
					const tried = [...others, ...companions, next];
					const left = newStops(tried);
					// One more stop than before may be mended by the next: a retainer of another taper by its locks.
					if (left.length > stops.length) return [];
					// A part of which nothing is known mends nothing.
					const after = withParts(context, tried);
					const mends = stops.some((rule) => rule.check(after).outcome === 'passes');
					if (!mends) return [];
					const watches = failingIn(after, 'watch').size;
					return [{ next, left, watches }];
				})
			)
			.toSorted((a, b) => a.left.length - b.left.length || a.watches - b.watches)[0];
		if (!best) return null;
		companions.push(best.next);
		fixed.add(best.next.place);
		stops = best.left;
	}
	return stops.length === 0 ? companions : null;
}
