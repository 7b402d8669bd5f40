/** What a sweep says of its spring: loads, rates, non-linearity, bind and energy (docs/trade/springs.md). */
import { storedEnergy, testedCurve, type Curve, type Point } from '../spring/index.ts';
import {
	mm,
	newtons,
	newtonsPerMm,
	type Joules,
	type Millimetres,
	type Newtons,
	type NewtonsPerMillimetre
} from '../../foundation/units/index.ts';
import type { SpringBuild } from '../../parts/part/index.ts';
import { findBind, type BindFound, type Solid } from './bind.ts';
import { withoutMisread } from './robust.ts';
import { loadedPoints } from './slack.ts';
import { smoothed } from './smooth.ts';
import {
	hysteresis,
	travelled,
	USUAL_NOISE,
	type Hysteresis,
	type SweepPoint,
	type TesterNoise
} from './sweep.ts';

/** The heights a spring works between. */
export interface Window {
	readonly seat: Millimetres;
	readonly lift: Millimetres;
}

/** What a sweep says whatever the spring is used for. */
export interface WorkedSweep {
	/** Working curve: through the points above the bind, nothing outside them. */
	readonly curve: Curve | null;
	readonly bind: BindFound;
	/** Energy at the greatest compression, which the guard has to hold. */
	readonly energy: Joules | null;
	readonly hysteresis: Hysteresis | null;
	readonly points: number;
}

/** What it says between two heights; null where the sweep did not go. */
export interface WindowFigures {
	readonly seat: Newtons | null;
	readonly open: Newtons | null;
	readonly rate: NewtonsPerMillimetre | null;
	/** Part of the load gained from seat to open by which the curve leaves the straight line. */
	readonly nonLinearity: number | null;
}

export type SweepFigures = WorkedSweep & WindowFigures;

/** Two heights with their loads are a line between them; fewer are nothing. */
const MIN_CURVE_POINTS = 2;

/**
 * How a spring of this build goes solid.
 * Dual and triple springs go solid with the coil that binds first, cones and beehives turn by turn, others in a knee. One whose build nobody stated may do any
 * of these. Source: docs/trade/springs.md.
 */
export function solidOf(build: SpringBuild | undefined): Solid {
	if (build === undefined) return 'unknown';
	if (/dual|triple/.test(build)) return 'first-coil';
	return /conical|beehive/.test(build) ? 'gradually' : 'knee';
}

/**
 * Works a sweep out. Points going down make the curve; a sweep pressed only
 * upwards is read upwards. Points without load, past solid or misread are in no curve.
 *
 * @param points at the spring's own heights, the frame's give taken off where it is known
 * @param build of the spring, by which it is known how it goes solid
 * @param frame newtons that a millimetre of the tester's frame holds; null where it was not measured
 */
export function analyzeSweep(
	points: readonly SweepPoint[],
	build?: SpringBuild,
	noise: TesterNoise = USUAL_NOISE,
	frame: number | null = null
): WorkedSweep {
	const down = travelled(points, 'down');
	const read = down.length >= MIN_CURVE_POINTS ? down : travelled(points, 'up');
	const bind = findBind(onDial(read, frame), solidOf(build), noise, frame);
	const lowest = bind.type === 'bind' ? bind.height : (bind.below ?? Number.NEGATIVE_INFINITY);
	const working = withoutMisread(
		loadedPoints(read).filter(({ height }) =>
			bind.type === 'bind' ? height >= lowest : height > lowest
		),
		noise
	);
	const curve = working.length >= MIN_CURVE_POINTS ? testedCurve(smoothed(working, noise)) : null;
	return {
		curve,
		bind,
		energy: curve ? storedEnergy(curve, curve.lowest) : null,
		hysteresis: hysteresis(points),
		points: read.length
	};
}

/** The points as the dial shows them: the frame gives under load. */
const onDial = (points: readonly Point[], frame: number | null): readonly Point[] =>
	frame === null
		? points
		: points.map(({ height, load }) => ({ height: mm(height - load / frame), load }));

/**
 * Loads, working rate `(F_open − F_seat) / L` and non-linearity between two heights of a curve. Source: docs/trade/springs.md.
 *
 * @returns loads in N, rate in N/mm, non-linearity as a part of the load gained; null where the curve does not reach
 */
export function windowFigures(curve: Curve | null, window: Window | null): WindowFigures {
	if (!curve || !window) return { seat: null, open: null, rate: null, nonLinearity: null };
	const seat = curve.load(window.seat);
	const open = curve.load(mm(window.seat - window.lift));
	return {
		seat,
		open,
		rate: seat === null || open === null ? null : newtonsPerMm((open - seat) / window.lift),
		nonLinearity: curve.points === 2 ? null : nonLinearity(curve, window)
	};
}

/**
 * A sweep worked out, with its figures between two heights.
 *
 * @param window heights in mm; null where the spring has no use yet
 * @param frame newtons that a millimetre of the tester's frame holds; null where nobody measured it
 */
export function sweepFigures(
	points: readonly SweepPoint[],
	window: Window | null,
	build?: SpringBuild,
	noise: TesterNoise = USUAL_NOISE,
	frame: number | null = null
): SweepFigures {
	const worked = analyzeSweep(points, build, noise, frame);
	return { ...worked, ...windowFigures(worked.curve, window) };
}

/** Places along the window at which the curve is held against the straight line. */
const COMPARED_PLACES = 240;

/**
 * Greatest distance from the straight line through the seat and open points ÷
 * `(F_open − F_seat)`, taken on the curve itself.
 *
 * @returns null where the curve does not reach over the window
 */
export function nonLinearity(curve: Curve, { seat, lift }: Window): number | null {
	const [low, high] = [curve.load(seat), curve.load(mm(seat - lift))];
	if (low === null || high === null || high === low) return null;
	let max = 0;
	for (let i = 1; i < COMPARED_PLACES; i++) {
		const part = i / COMPARED_PLACES;
		const load = curve.load(mm(seat - part * lift))!;
		max = Math.max(max, Math.abs(load - (low + part * (high - low))));
	}
	return max / (high - low);
}

/**
 * The pair of an outer and an inner spring tested apart: the inner rides lower
 * by `step + rise`. Known only where both were tested.
 *
 * @example outer 400 N at 46 mm, inner 150 N at 43.3 mm, step 2.7 mm: 550 N at 46 mm
 */
export function combinedCurve(
	outer: Curve,
	inner: Curve,
	retainerStep: Millimetres,
	innerRise: Millimetres
): Curve {
	const lower = retainerStep + innerRise;
	return {
		from: 'tested',
		lowest: mm(Math.max(outer.lowest, inner.lowest + lower)),
		highest: mm(Math.min(outer.highest, inner.highest + lower)),
		load: (height) => {
			const [a, b] = [outer.load(height), inner.load(mm(height - lower))];
			return a === null || b === null ? null : newtons(a + b);
		}
	};
}

/**
 * Returns the dial target of a press: the height plus whatever else is in the press.
 * Source: docs/trade/springs.md.
 *
 * @returns mm on the dial
 */
export const dialTarget = (height: Millimetres, fixture: Millimetres): Millimetres =>
	mm(height + fixture);

/** How far above the tallest height on the job a test starts, in mm: 0.020 in. */
const START_ABOVE_TALLEST = 0.508;

/** Heights that a spring is run to on the tester, from the top, as the dial shows them. */
export interface DialTargets {
	/** A little above the tallest height that a valve on the job may have. */
	readonly start: Millimetres;
	readonly seat: Millimetres;
	readonly halfLift: Millimetres;
	readonly fullLift: Millimetres;
	/** Where the card says that it goes solid; null without a card. */
	readonly solid: Millimetres | null;
}

/**
 * What to run the dial to for a spring that stands at a height and is opened by a lift.
 *
 * @param fixture what stands in the press besides the spring
 * @param bind solid height by the card
 * @param tallest height that a valve of the job may have, where one was measured
 */
export function dialTargets(
	seat: Millimetres,
	lift: Millimetres,
	fixture: Millimetres,
	bind: Millimetres | null,
	tallest: Millimetres = seat
): DialTargets {
	const at = (height: number) => dialTarget(mm(height), fixture);
	return {
		start: at(Math.max(seat, tallest) + START_ABOVE_TALLEST),
		seat: at(seat),
		halfLift: at(seat - lift / 2),
		fullLift: at(seat - lift),
		solid: bind === null ? null : at(bind)
	};
}

/**
 * Points of a curve fit to be kept on a card: even steps, loads growing as the height falls.
 *
 * @returns heights in mm and loads in N, tallest first; at most so many
 */
export function pointsOf(curve: Curve, max = 60): Point[] {
	const points: Point[] = [];
	for (let i = 0; i < max; i++) {
		const height = mm(curve.highest - (i / (max - 1)) * (curve.highest - curve.lowest));
		const load = curve.load(height);
		if (load !== null && load > (points.at(-1)?.load ?? -1)) points.push({ height, load });
	}
	return points;
}
