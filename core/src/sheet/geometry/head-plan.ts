/** The heads in plan, as they lie on the bench: plain values that screen and paper draw. */
import type { Job } from '../../job/document/index.ts';
import { headsOf, type Kind } from '../../foundation/station/index.ts';

/** A valve in plan. Its place stretches with the bores; its distance from the bore's centre does not. */
export interface PlanValve {
	readonly label: string;
	readonly cylinder: number;
	readonly kind: Kind;
	/** Centre of its bore along the head, as a share of the head's length from the left. */
	readonly bore: number;
	/** How far it stands from that centre, in cylinder pitches; drawn no wider than valves need. */
	readonly aside: number;
	/** Across the head, as a share of its width from the far side. */
	readonly across: number;
}

export interface PlanHead {
	readonly id: string;
	readonly name: string;
	/** Rows of valves across the head. */
	readonly rows: 1 | 2;
	/** Centres of the bores along the head, as shares of its length. */
	readonly bores: readonly number[];
	/** Head bolts along either side, as shares of its length. */
	readonly bolts: readonly number[];
	readonly valves: readonly PlanValve[];
}

/** Rows of valves lie this far from the far side, and apart, as shares of the head's width. */
const FIRST_ROW = 0.27;
const BETWEEN_ROWS = 0.46;

/**
 * The plan of every head of a job, front of the engine left.
 *
 * @example headPlan(job)[0]!.valves[0] // { label: '1I', bore: 1 / 12, aside: -0.22, across: 0.5, … }
 */
export function headPlan({
	engine,
	heads,
	stations
}: Pick<Job, 'engine' | 'heads' | 'stations'>): PlanHead[] {
	// Of the engine, not of the job: the other head may be elsewhere.
	const perHead = engine.layout.cylinders / headsOf(engine.layout).length;
	const rows = engine.layout.valvesPerCylinder > 2 ? 2 : 1;
	return heads.map(({ id, name }) => ({
		id,
		name,
		rows,
		bores: Array.from({ length: perHead }, (_, i) => (i + 0.5) / perHead),
		bolts: Array.from({ length: perHead + 1 }, (_, i) => i / perHead),
		valves: stations
			.filter((station) => station.head === id)
			.map(({ label, cylinder, kind, along, across }) => {
				const centre = Math.floor(along) + 0.5;
				return {
					label,
					cylinder,
					kind,
					bore: centre / perHead,
					aside: along - centre,
					across: rows === 2 ? FIRST_ROW + across * BETWEEN_ROWS : 0.5
				};
			})
	}));
}
