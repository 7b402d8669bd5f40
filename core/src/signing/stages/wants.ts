/** How far the sheet has come, figure by figure: what stands everywhere, and what the rest still wants. */
import { INSPECTED_FIGURE } from '../../job/document/index.ts';
import type { Sheet } from '../../sheet/evaluation/index.ts';
import { FIGURE_NAMES, type FigureName } from '../../sheet/figures/index.ts';
import { needsIn, type Need } from '../../foundation/message/index.ts';
import type { Kind } from '../../foundation/station/index.ts';

/** Something that figures want, where, and of which kind of valves. */
export interface Want {
	readonly need: Need;
	/** Figures that cannot be told without it, in the order of the sheet. */
	readonly figures: readonly FigureName[];
	readonly kinds: readonly Kind[];
	readonly stations: readonly string[];
}

export interface Progress {
	/** Figures that are known at every station that has them. */
	readonly ready: readonly FigureName[];
	/** In the order in which figures first want them. */
	readonly wants: readonly Want[];
}

/** The bare height has no reading of its own, and an inspection with figures is nobody's due. */
const NOT_TOLD: readonly FigureName[] = ['bare', ...Object.values(INSPECTED_FIGURE)];

/**
 * What the sheet has, and what it still wants: from the figures' own needs.
 *
 * @example progressOf(evaluate(job)).wants[0] // { need: { code: 'need.seal-gap' }, figures: ['sealClearance'], … }
 */
export function progressOf({ stations }: Sheet): Progress {
	const wants = new Map<
		string,
		{ need: Need; figures: Set<FigureName>; kinds: Set<Kind>; stations: Set<string> }
	>();
	const ready: FigureName[] = [];
	for (const name of FIGURE_NAMES) {
		if (NOT_TOLD.includes(name)) continue;
		const judged = stations.flatMap((station) => {
			const verdict = station.figures[name];
			return verdict ? [{ station, verdict }] : [];
		});
		if (judged.length > 0 && judged.every(({ verdict }) => verdict.figure !== null))
			ready.push(name);
		for (const { station, verdict } of judged) {
			if (verdict.state !== 'not-measured' || !verdict.remedy) continue;
			for (const need of needsIn(verdict.remedy)) {
				const want = wants.get(need.code) ?? {
					need,
					figures: new Set(),
					kinds: new Set(),
					stations: new Set()
				};
				want.figures.add(name);
				want.kinds.add(station.kind);
				want.stations.add(station.label);
				wants.set(need.code, want);
			}
		}
	}
	return {
		ready,
		wants: [...wants.values()].map(({ need, figures, kinds, stations: at }) => ({
			need,
			figures: [...figures],
			kinds: [...kinds],
			stations: [...at]
		}))
	};
}
