/**
 * How much lift a head can take: the limit that comes first, and the ladder of
 * single changes, what each gain, what it tradeOff, and which limit comes next
 * (docs/trade/sheet.md). All lengths in millimetres.
 */
import { message, type Message } from '../../../foundation/message/index.ts';
import { mm, type Millimetres } from '../../../foundation/units/index.ts';
import type { LibraryPart } from '../../../parts/part/index.ts';
import type { Kind } from '../../../foundation/station/index.ts';
import type { Job } from '../../../job/document/index.ts';
import type { Sheet } from '../../../sheet/evaluation/index.ts';
import { libraryAlternatives } from './from-library.ts';
import type { ChangeStep } from './step.ts';
import { LIFT_LIMITS, limitsOf, sum, type Change, type LiftLimit, type LimitAt } from './limits.ts';

declare module '../../../foundation/message/message.ts' {
	interface Messages {
		'lift.plus-locks-and-shim': { readonly by: Millimetres };
		'lift.tip-falls': { readonly by: Millimetres };
		'lift.plus-locks': { readonly by: Millimetres };
		'lift.loads-and-tip-fall': { readonly by: Millimetres };
		'lift.shorter-seals': { readonly by: Millimetres };
		'lift.other-seals': null;
		'lift.shims-out': null;
		'lift.loads-fall': null;
		'lift.lower-bind': { readonly by: Millimetres };
		'lift.other-springs': null;
		'lift.ground-retainers': { readonly by: Millimetres };
		'lift.ground-thins': null;
	}
}

export interface LiftOption {
	readonly change: Message;
	readonly tradeOff: Message;
	/** Lift gained before the next limit is met. */
	readonly gain: Millimetres;
	readonly next: LimitAt;
	/** Done by some, and not advised. */
	readonly notRecommended: boolean;
	/** The same as a step that others may be laid on; null where it names nothing to do. */
	readonly step: ChangeStep | null;
}

export interface LiftRoom {
	/** Valve lift of the cam as set up; null where it is not given. */
	readonly cam: Millimetres | null;
	/** Every limit that is known, the nearest first. */
	readonly limits: readonly LimitAt[];
	/** What is not known yet, and so limits nothing here. */
	readonly unknown: readonly LiftLimit[];
	/** Changes by what they buy, the most first. */
	readonly ladder: readonly LiftOption[];
}

/** What a lock one step up or down, a shorter seal and a lower bind are tried with. */
const LOCK_STEP = mm(1.27);
const SEAL_STEP = mm(1);
const BIND_STEP = mm(1);
/** What gain less is no rung. */
const MIN = 0.005;

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
	const limits = limitsOf(job, sheet, kind);
	const [first] = limits;
	const shims = Math.max(0, ...stations.map(({ stack }) => sum(stack.shims)));
	const changes: (Pick<LiftOption, 'change' | 'tradeOff' | 'step'> & {
		with: Change;
		notRecommended?: boolean;
	})[] = [
		{
			change: message('lift.plus-locks-and-shim', { by: LOCK_STEP }),
			tradeOff: message('lift.tip-falls', { by: LOCK_STEP }),
			step: { type: 'locks', by: `${LOCK_STEP} mm`, keepsHeight: true },
			with: { seal: LOCK_STEP, rocker: mm(-LOCK_STEP) }
		},
		{
			change: message('lift.plus-locks', { by: LOCK_STEP }),
			tradeOff: message('lift.loads-and-tip-fall', { by: LOCK_STEP }),
			step: { type: 'locks', by: `${LOCK_STEP} mm`, keepsHeight: false },
			with: { seal: LOCK_STEP, height: LOCK_STEP, rocker: mm(-LOCK_STEP) }
		},
		{
			change: message('lift.shorter-seals', { by: SEAL_STEP }),
			tradeOff: message('lift.other-seals'),
			step: { type: 'seal-lower', by: `${SEAL_STEP} mm` },
			with: { seal: SEAL_STEP }
		},
		...(shims > 0
			? [
					{
						change: message('lift.shims-out'),
						tradeOff: message('lift.loads-fall'),
						step: { type: 'shims-out' as const },
						with: { noShims: true }
					}
				]
			: []),
		{
			change: message('lift.lower-bind', { by: BIND_STEP }),
			tradeOff: message('lift.other-springs'),
			step: null,
			with: { height: BIND_STEP, anyCard: true }
		},
		{
			change: message('lift.ground-retainers', { by: mm(0.5) }),
			tradeOff: message('lift.ground-thins'),
			step: null,
			with: { seal: mm(0.5) },
			notRecommended: true
		}
	];
	const standard = changes.map(({ with: by, notRecommended = false, ...rung }) => ({
		...rung,
		notRecommended,
		limits: limitsOf(job, sheet, kind, by)
	}));
	const ladder = [
		...standard,
		...libraryAlternatives(job, sheet, kind, library, limits).map((tried) => ({
			...tried,
			notRecommended: false
		}))
	].flatMap(({ limits: [next], ...rung }): LiftOption[] => {
		const gain = first && next ? next.lift - first.lift : 0;
		return next && gain > MIN ? [{ ...rung, gain: mm(gain), next }] : [];
	});
	return {
		cam: sheet.kinds[kind].lift?.worst ?? null,
		limits,
		unknown: LIFT_LIMITS.filter((limit) => !limits.some((known) => known.limit === limit)),
		ladder: ladder.toSorted(
			(a, b) => Number(a.notRecommended) - Number(b.notRecommended) || b.gain - a.gain
		)
	};
}
