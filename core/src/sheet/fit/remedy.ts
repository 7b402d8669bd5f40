/** What would put a finding right: parts of the library that do fit. */
import { TYPE_OF, type LibraryPart, type StationPart } from '../../parts/part/index.ts';
import { kindWithParts, type PartAt } from '../../job/document/index.ts';
import type { FitContext, Rule, Severity } from './rule.ts';
import { RULES } from './rules/index.ts';

export interface Remedy {
	readonly place: StationPart;
	readonly part: LibraryPart;
}

/** The context with parts exchanged. */
export const withParts = (context: FitContext, others: readonly PartAt[]): FitContext => ({
	...context,
	parts: kindWithParts(context.parts, others)
});

/** The rules that fail at this severity. */
export function failingIn(context: FitContext, severity: Severity): ReadonlySet<Rule> {
	return new Set(
		RULES.filter((rule) => {
			const check = rule.check(context);
			return check.outcome === 'fails' && (check.severity ?? rule.severity) === severity;
		})
	);
}

/** Whether parts in place of others fail no rule, at stop, that did not fail before. */
export function addNoNewStop(context: FitContext, others: readonly PartAt[]): boolean {
	const before = failingIn(context, 'stop');
	return [...failingIn(withParts(context, others), 'stop')].every((rule) => before.has(rule));
}

/**
 * Parts of the library that put a failing rule right without another stop
 * failing: those first that leave the fewest stops, then the fewest watches, then
 * likeliest place first; at most `max`.
 */
export function remediesFor(
	rule: Rule,
	context: FitContext,
	library: readonly LibraryPart[],
	max = 4
): Remedy[] {
	const found = rule.fixableBy.flatMap((place) =>
		library.flatMap((part) => {
			if (part.type !== TYPE_OF[place] || part.retired) return [];
			const swap = [{ place, part: part.part }];
			const after = withParts(context, swap);
			if (rule.check(after).outcome !== 'passes') return [];
			if (!addNoNewStop(context, swap)) return [];
			const stops = failingIn(after, 'stop');
			return [{ place, part, stops: stops.size, watches: failingIn(after, 'watch').size }];
		})
	);
	return found
		.toSorted((a, b) => a.stops - b.stops || a.watches - b.watches)
		.slice(0, max)
		.map(({ place, part }) => ({ place, part }));
}
