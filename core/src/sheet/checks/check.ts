/** What is tried on the built head: piston to valve, passages, vacuum (docs/trade/job.md#head-work, docs/trade/assembly.md). */
import {
	concerns,
	lengthDefault,
	madeStaleBy,
	roomWithGasket,
	PASSAGES,
	worksDone,
	type Check,
	type HeadWork,
	type Job,
	type Passage,
	type Setup,
	type Work
} from '../../job/document/index.ts';
import { message } from '../../foundation/message/index.ts';
import { lengthOf, mm, type Millimetres } from '../../foundation/units/index.ts';
import { judge, NORMAL, type Verdict } from '../../foundation/verdict/index.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'piston.inconclusive': null;
		'piston.too-near': { readonly by: Millimetres; readonly angle: number };
	}
}
declare module '../../foundation/verdict/verdict.ts' {
	interface LimitCodes {
		'piston-floor': true;
	}
}

export type CheckOf<S extends Check['type']> = Extract<Check, { type: S }>;

/** The newest check of each type at a station. */
export interface StationChecks {
	readonly piston: CheckOf<'piston-to-valve'> | null;
	readonly vacuum: CheckOf<'vacuum'> | null;
	/** In the car, where air stands for the vacuum. */
	readonly leakDown?: CheckOf<'leak-down'>;
	readonly passages: Readonly<Partial<Record<Passage, CheckOf<'passage'>>>>;
	/** What was tried, and then something was done to the head. */
	readonly stale?: readonly (readonly ['piston-to-valve' | 'vacuum' | Passage, Work])[];
}

export const NO_CHECKS: StationChecks = { piston: null, vacuum: null, passages: {} };

/** The newest checks of a job by station, without those that work on the head has made stale since. */
export function checksInForceOf(job: Job): ReadonlyMap<string, StationChecks> {
	const works = worksDone(job.headWork);
	const by = newestChecks(job.checks);
	if (works.length === 0 || by.size === 0) return by;
	return new Map(
		job.stations.flatMap((station) => {
			const checks = by.get(station.label);
			if (!checks) return [];
			const own = works.filter((work) => concerns(work, station));
			return [[station.label, withoutStale(checks, own)] as const];
		})
	);
}

function withoutStale(checks: StationChecks, works: readonly HeadWork[]): StationChecks {
	const stale: (readonly ['piston-to-valve' | 'vacuum' | Passage, Work])[] = [];
	const fresh = <C extends Check>(check: C | null | undefined): C | null => {
		if (!check) return null;
		// What makes a vacuum worthless makes a leak-down so.
		const type = check.type === 'leak-down' ? 'vacuum' : check.type;
		const what = check.type === 'passage' ? check.passage : (type as 'piston-to-valve' | 'vacuum');
		const work = madeStaleBy(works, what, Date.parse(check.at));
		if (work) stale.push([what, work.work]);
		return work ? null : check;
	};
	const leakDown = fresh(checks.leakDown);
	return {
		piston: fresh(checks.piston),
		vacuum: fresh(checks.vacuum),
		...(leakDown && { leakDown }),
		passages: Object.fromEntries(
			PASSAGES.flatMap((passage) => {
				const check = fresh(checks.passages[passage]);
				return check ? [[passage, check]] : [];
			})
		),
		...(stale.length > 0 && { stale })
	};
}

/** The newest checks by station. */
export function newestChecks(checks: readonly Check[]): ReadonlyMap<string, StationChecks> {
	const by = new Map<string, StationChecks>();
	for (const check of checks.toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at))) {
		const now = by.get(check.station) ?? NO_CHECKS;
		by.set(
			check.station,
			check.type === 'piston-to-valve'
				? { ...now, piston: check }
				: check.type === 'vacuum'
					? { ...now, vacuum: check }
					: check.type === 'leak-down'
						? { ...now, leakDown: check }
						: { ...now, passages: { ...now.passages, [check.passage]: check } }
		);
	}
	return by;
}

/**
 * The least room between piston and valve, and the crankshaft angle of it.
 *
 * @returns angle in crankshaft degrees from the top dead centre of the gas exchange, room in mm
 */
export function minRoom({ points }: CheckOf<'piston-to-valve'>): {
	readonly angle: number;
	readonly room: Millimetres;
} {
	return points
		.map(({ angle, room }) => ({ angle, room: lengthOf(room) }))
		.reduce((min, point) => (point.room < min.room ? point : min));
}

/** What a clearance to the piston is judged by besides its floor. */
type PistonSetup = Partial<Pick<Setup, 'gasketThickness' | 'valveAngle' | 'limits'>>;

/**
 * The verdict on the least room between piston and valve.
 *
 * @param pumpUp what a pumped-up hydraulic lifter holds the valve open by; 0 for solid ones
 * @param setup with the gasket that will run, where another stood there for the trial
 */
export function pistonVerdict(
	check: CheckOf<'piston-to-valve'>,
	pumpUp: Millimetres,
	floor: Millimetres,
	{ gasketThickness, valveAngle = 0, limits }: PistonSetup = {}
): Verdict<Millimetres> {
	const { angle, room: tried } = minRoom(check);
	const room =
		check.gasket === undefined || gasketThickness === undefined
			? tried
			: roomWithGasket(tried, lengthOf(check.gasket), lengthOf(gasketThickness), valveAngle);
	const left = mm(room - pumpUp);
	return judge(left, {
		dimension: 'length',
		limits: [{ code: 'piston-floor', side: 'floor', at: floor, severity: 'stop' }],
		sources: ['measured'],
		uncertainty: NORMAL * lengthDefault(check.method, limits),
		remedy: (limit, state) =>
			state === 'inconclusive'
				? message('piston.inconclusive')
				: message('piston.too-near', { by: mm(limit.at - left), angle })
	});
}

/** Whether a cylinder kept as much of its air as was asked. */
export const holdsAir = ({ loss, max }: CheckOf<'leak-down'>): boolean => loss <= max + 1e-9;

/** Passages that did not pass, the newest word of each. */
export const passagesAtFault = ({ passages }: StationChecks): Passage[] =>
	PASSAGES.filter((passage) => passages[passage]?.passes === false);
