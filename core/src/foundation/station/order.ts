/** The order in which a machinist walks the stations when measuring. */
import type { StationPlace } from './layout.ts';

export const MEASURING_ORDERS = ['along-the-head', 'by-cylinder', 'intakes-then-exhausts'] as const;
export type MeasuringOrder = (typeof MEASURING_ORDERS)[number];

type Walked = Pick<StationPlace, 'head' | 'cylinder' | 'kind' | 'along' | 'across' | 'label'>;

const kindFirst = (a: Walked, b: Walked) => (a.kind === b.kind ? 0 : a.kind === 'intake' ? -1 : 1);
/** Compares stations by how they lie along their heads, for sorting. */
export const alongHead = (
	a: Pick<Walked, 'head' | 'along' | 'across'>,
	b: Pick<Walked, 'head' | 'along' | 'across'>
): number => a.head.localeCompare(b.head) || a.along - b.along || a.across - b.across;
/** One head after the other, whatever its cylinders are numbered: nobody walks to and fro between two. */
const byHead = (a: Walked, b: Walked) => a.head.localeCompare(b.head);
const byCylinder = (a: Walked, b: Walked) =>
	byHead(a, b) || a.cylinder - b.cylinder || kindFirst(a, b) || a.label.localeCompare(b.label);

const COMPARE: Readonly<Record<MeasuringOrder, (a: Walked, b: Walked) => number>> = {
	'along-the-head': alongHead,
	'by-cylinder': byCylinder,
	'intakes-then-exhausts': (a, b) => byHead(a, b) || kindFirst(a, b) || byCylinder(a, b)
};

/**
 * The stations in walking order; the list given is left as it is.
 *
 * @example walk(job.stations, 'by-cylinder').map(({ label }) => label) // ['1I', '1E', '2I', …]
 */
export function walk<S extends Walked>(stations: readonly S[], order: MeasuringOrder): S[] {
	return stations.toSorted(COMPARE[order]);
}
