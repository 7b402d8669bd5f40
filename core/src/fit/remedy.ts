/** What would put a finding right: parts of the library that do fit. */
import type { LibraryPart } from '../part/schema.ts';
import { SORT_OF, type StationPart } from '../part/words.ts';
import type { KindSetup } from '../job/schema.ts';
import type { FitContext, Rule } from './rule.ts';
import { RULES } from './rules/index.ts';

export interface Remedy {
	readonly place: StationPart;
	readonly part: LibraryPart;
}

/** The context with one part exchanged. */
export function withPart(
	context: FitContext,
	place: StationPart,
	part: LibraryPart['part']
): FitContext {
	const parts = { ...context.parts, [place]: part } as KindSetup;
	return { ...context, parts };
}

const stopsOf = (context: FitContext) =>
	new Set(
		RULES.filter((rule) => {
			const check = rule.check(context);
			return check.outcome === 'trips' && (check.severity ?? rule.severity) === 'stop';
		})
	);

/**
 * Parts of the library that put a tripped rule right without tripping another
 * stop, likeliest place first; at most `most`.
 */
export function remediesFor(
	rule: Rule,
	context: FitContext,
	library: readonly LibraryPart[],
	most = 4
): Remedy[] {
	const before = stopsOf(context);
	const found: Remedy[] = [];
	for (const place of rule.mends) {
		for (const part of library) {
			if (part.sort !== SORT_OF[place] || part.retired) continue;
			const after = withPart(context, place, part.part);
			if (rule.check(after).outcome !== 'passes') continue;
			if ([...stopsOf(after)].some((stop) => !before.has(stop))) continue;
			found.push({ place, part });
			if (found.length === most) return found;
		}
	}
	return found;
}
