/**
 * How much lift a head can take: the limit that comes first, and the ladder of
 * single changes, what each buys, what it costs, and which limit comes next
 * (handbook §3). All lengths in millimetres.
 */
import { say, ofLength, type Phrase } from '../units/phrase.ts';
import { mm, type Millimetres } from '../units/quantity.ts';
import type { LibraryPart } from '../part/schema.ts';
import type { Kind } from '../station/layout.ts';
import type { Job } from '../document/schema.ts';
import type { Sheet } from '../evaluation/sheet.ts';
import { partsTried } from './from-library.ts';
import { LIFT_LIMITS, limitsOf, sum, type Change, type LiftLimit, type LimitAt } from './limits.ts';

export interface Rung {
	readonly change: Phrase;
	readonly costs: Phrase;
	/** Lift gained before the next limit is met. */
	readonly buys: Millimetres;
	readonly next: LimitAt;
	/** Done by some, and not advised. */
	readonly discouraged: boolean;
}

export interface LiftRoom {
	/** Valve lift of the cam as set up; null where it is not given. */
	readonly cam: Millimetres | null;
	/** Every limit that is known, the nearest first. */
	readonly limits: readonly LimitAt[];
	/** What is not known yet, and so limits nothing here. */
	readonly unknown: readonly LiftLimit[];
	/** Changes by what they buy, the most first. */
	readonly ladder: readonly Rung[];
}

/** What a lock one step up or down, a shorter seal and a lower bind are tried with. */
const LOCK_STEP = mm(1.27);
const SEAL_STEP = mm(1);
const BIND_STEP = mm(1);
/** What buys less is no rung. */
const LEAST = 0.005;

/**
 * The lift that a kind's stations can take.
 *
 * @param library parts of the shop, of which those that fit and buy the most are rungs of the ladder
 *
 * @example height 46.10, bind 29.97, floor 1.27 mm: coil bind at 14.86 mm of lift
 */
export function liftRoom(
	job: Job,
	sheet: Sheet,
	kind: Kind,
	library: readonly LibraryPart[] = []
): LiftRoom {
	const stations = sheet.stations.filter((station) => station.kind === kind);
	const limits = limitsOf(job, stations);
	const [first] = limits;
	const shims = Math.max(0, ...stations.map(({ stack }) => sum(stack.shims)));
	const changes: { change: Phrase; costs: Phrase; with: Change; discouraged?: boolean }[] = [
		{
			change: say`Plus locks of ${ofLength(LOCK_STEP)}, and a shim as thick to keep the height`,
			costs: say`tip and rocker clearance fall by ${ofLength(LOCK_STEP)}`,
			with: { seal: LOCK_STEP, rocker: mm(-LOCK_STEP) }
		},
		{
			change: say`Plus locks of ${ofLength(LOCK_STEP)} alone`,
			costs: say`loads fall; tip and rocker clearance fall by ${ofLength(LOCK_STEP)}`,
			with: { seal: LOCK_STEP, height: LOCK_STEP, rocker: mm(-LOCK_STEP) }
		},
		{
			change: say`Seals shorter by ${ofLength(SEAL_STEP)}; look first whether all are home`,
			costs: ['other seals'],
			with: { seal: SEAL_STEP }
		},
		...(shims > 0
			? [
					{
						change: ['All shims out'] as Phrase,
						costs: ['seat and open loads fall'] as Phrase,
						with: { noShims: true }
					}
				]
			: []),
		{
			change: say`A spring that binds ${ofLength(BIND_STEP)} lower`,
			costs: ['another set of springs, and another card'],
			with: { height: BIND_STEP, anyCard: true }
		},
		{
			change: say`Retainers ground by ${ofLength(mm(0.5))} underneath`,
			costs: [
				'not recommended: it thins a part under thousands of newtons; maker’s approval needed'
			],
			with: { seal: mm(0.5) },
			discouraged: true
		}
	];
	const standard = changes.map(({ change, costs, with: by, discouraged = false }) => ({
		change,
		costs,
		discouraged,
		limits: limitsOf(job, stations, by)
	}));
	const ladder = [
		...standard,
		...partsTried(job, sheet, kind, library, limits).map((tried) => ({
			...tried,
			discouraged: false
		}))
	].flatMap(({ limits: [next], ...rung }): Rung[] => {
		const buys = first && next ? next.lift - first.lift : 0;
		return next && buys > LEAST ? [{ ...rung, buys: mm(buys), next }] : [];
	});
	return {
		cam: sheet.kinds[kind].lift?.worst ?? null,
		limits,
		unknown: LIFT_LIMITS.filter((limit) => !limits.some((known) => known.limit === limit)),
		ladder: ladder.toSorted(
			(a, b) => Number(a.discouraged) - Number(b.discouraged) || b.buys - a.buys
		)
	};
}
