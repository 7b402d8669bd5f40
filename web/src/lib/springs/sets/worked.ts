/** Tagged springs with their sweeps worked out, each sweep once. */
import {
	frameOf,
	lengthOf,
	loadResolution,
	MANUAL_TESTER,
	mm,
	sweepPoints,
	USUAL_NOISE,
	windowFigures,
	analyzeSweep,
	type BindFound,
	type Millimetres,
	type Newtons,
	type SpringCard,
	type Sweep,
	type TestedSpring,
	type WindowFigures,
	type WorkedSweep
} from '@zinc-ledger/core';
import { label } from '@zinc-ledger/words';
import type { BindBand } from './sweep-chart';

const known = new Map<string, WorkedSweep>();

/** A sweep worked out; the same sweep is worked out once for as long as the page lives. */
export function worked(sweep: Sweep, build: SpringCard['build']): WorkedSweep {
	const key = `${sweep.id} ${build ?? ''}`;
	const before = known.get(key);
	if (before) return before;
	const now = analyzeSweep(sweepPoints(sweep), build, USUAL_NOISE, frameOf(sweep));
	known.set(key, now);
	return now;
}

export interface TaggedSpring {
	readonly id: string;
	readonly tag: string;
	readonly measured: {
		readonly freeHeight?: string | undefined;
		readonly outside?: string | undefined;
		readonly wire?: string | undefined;
		readonly serial?: string | undefined;
		readonly bind?: { readonly height: string; readonly person: string } | undefined;
	};
	readonly sweeps: readonly Sweep[];
}

/** Who pressed a spring: a gauge's name, or that its points were typed. */
export const testerName = ({ tester }: Pick<Sweep, 'tester'>): string =>
	tester === MANUAL_TESTER ? label('tester', tester) : tester;

/** The bind of a spring: placed by hand on the chart, else the one found. */
export const bindOf = (found: BindFound, placed: string | undefined): BindFound =>
	placed === undefined
		? found
		: {
				type: 'bind',
				height: lengthOf(placed),
				from: lengthOf(placed),
				to: lengthOf(placed),
				step: mm(0),
				stackPoints: 0,
				gradual: null
			};

/** The springs of a set that were tested far enough to have a curve, each by its newest sweep. */
export const testedOf = (
	springs: readonly Pick<TaggedSpring, 'tag' | 'sweeps' | 'measured'>[],
	build: SpringCard['build']
): TestedSpring[] =>
	springs.flatMap(({ tag, sweeps: [sweep], measured }) => {
		const done = sweep && worked(sweep, build);
		const bind = done && bindOf(done.bind, measured.bind?.height);
		if (!done?.curve || !bind) return [];
		const loadDeviation = sweep.correction?.load.deviation;
		return [{ tag, curve: done.curve, bind, loadDeviation, tester: testerName(sweep) }];
	});

export interface Row {
	readonly spring: TaggedSpring;
	readonly sweep: Sweep | null;
	readonly worked: WorkedSweep | null;
	readonly figures: WindowFigures;
	/** What its tester tells apart; undefined before it was tested. */
	readonly resolution: Newtons | undefined;
	/** Bind placed by hand, else the one found; null where there is none. */
	readonly bind: Millimetres | null;
}

export function rowsOf(
	springs: readonly TaggedSpring[],
	build: SpringCard['build'],
	seat: number,
	lift: number
): Row[] {
	return springs.map((spring) => {
		const sweep = spring.sweeps[0] ?? null;
		const done = sweep ? worked(sweep, build) : null;
		const placed = spring.measured.bind;
		return {
			spring,
			sweep,
			worked: done,
			resolution: sweep ? loadResolution(sweep) : undefined,
			figures: windowFigures(done?.curve ?? null, { seat: mm(seat), lift: mm(lift) }),
			bind: placed ? lengthOf(placed.height) : done?.bind.type === 'bind' ? done.bind.height : null
		};
	});
}

/** The bind of a spring as the chart shows it; one that is being placed has no band. */
export function bindBand({ spring, worked, bind }: Row, placing: number | null): BindBand | null {
	if (bind === null) return null;
	const height = placing ?? bind;
	const isFound = worked?.bind.type === 'bind' && !spring.measured.bind && placing === null;
	return isFound && worked.bind.type === 'bind'
		? { height, from: worked.bind.from, to: worked.bind.to }
		: { height, from: height, to: height };
}
