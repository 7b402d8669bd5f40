/**
 * Where a swept spring goes solid: the corner between its working curve and the
 * stack line, where load shoots up as steeply as the tester's own frame gives.
 *
 * Points without load are left out. From the bottom up, the stack is the longest
 * tail that is much steeper than the curve just above it, so that a cone which
 * stiffens turn by turn is not taken for solid; the corner is where the working
 * curve, carried on, meets the tail's first line. One misread figure neither makes
 * a bind nor hides one. Solid means solid for every build: where a conical
 * spring begins to stiffen is reported separately. Source: docs/trade/springs.md.
 */
import { mm, type Millimetres } from '../../foundation/units/index.ts';
import type { Point } from '../spring/index.ts';
import {
	lineThrough,
	medianSlope,
	polynomialThrough,
	withoutMisread,
	type Line
} from './robust.ts';
import { smoothed } from './smooth.ts';
import { loadedPoints } from './slack.ts';
import { USUAL_NOISE, type TesterNoise } from './sweep.ts';

export type BindFound =
	| {
			readonly type: 'bind';
			/** The height to judge margins by. */
			readonly height: Millimetres;
			/** Between these the corner lies, at 95 %. */
			readonly from: Millimetres;
			readonly to: Millimetres;
			/** Sampling step about the corner, which limits how well it can be known. */
			readonly step: Millimetres;
			/** Points on the stack line; three or more make a good answer. */
			readonly stackPoints: number;
			/** A cone or progressive spring stiffens from here on, before it is solid at `solid`. */
			readonly gradual: { readonly from: Millimetres; readonly solid: Millimetres } | null;
	  }
	| {
			readonly type: 'none';
			readonly why: 'too-few-points' | 'not-reached' | 'unclear';
			/** Where it cannot be told: points from here down may be past solid. */
			readonly below?: Millimetres;
	  };

// The constants below were chosen on trials with made-up springs of known bind, so that no bind is
// reported short and as few as possible are missed: `npm run bench:bind` shows what each choice costs.

/** Loaded points below which a sweep cannot show a curve and a corner. */
const MIN_LOADED_POINTS = 8;
/** Points above the corner below which it is not located. */
const MIN_WORKING_POINTS = 4;
/** Slope of a tail over the slope of the curve just above it, from which the tail is a solid stack. */
const STACK_STEEPNESS = 3.2;
/** The same for a tail that is about as stiff as the tester's frame. */
const STACK_STEEPNESS_LIKE_FRAME = 1.7;
/** Slopes, as parts of the frame's stiffness, between which a tail is about as stiff as the frame. */
const FRAME_STIFFNESS_PARTS = { min: 0.5, max: 2.5 };
/** Slope, as a part of the frame's stiffness, that the first coil of a pair adds at least when it goes solid. */
const MIN_FIRST_COIL_PART_OF_FRAME = 0.2;
/** Slope ratio from which two points are enough to call a tail solid. */
const TWO_POINT_STEEPNESS = 4.5;
/** Slope ratio from which a tail bends once more: first one coil went solid, then the whole spring. */
const TAIL_BEND_RATIO = 1.35;
/** Part of the slope that follows, below which a first line is that of the first coil alone. */
const FIRST_COIL_PART_STRADDLED = 0.45;
const FIRST_COIL_PART = 0.5;
/** Sampling step in mm from which two corners cannot be told from one, so both are assumed. */
const COARSE_STEP = 0.8;
/** Part of a step by which a corner may lie below the point where the extended curve meets the line. */
const UNRESOLVED_STEP_PART = 0.4;
/** The same for a spring that stiffens before it is solid: read coarsely, its last turns look like a stack. */
const UNRESOLVED_STEP_PART_STIFFENING = 1.2;
/** Half-width of the reported interval in standard deviations; above 1.96 for what the two lines take for granted. */
const INTERVAL_SIGMAS = 2.4;
/** Standard deviations from the working curve at which a point has left it. */
const DEPARTURE_SIGMAS = 5;

/** How a spring is expected to go solid, by its build. */
export type Solid = 'knee' | 'first-coil' | 'gradually' | 'unknown';

type Why = Extract<BindFound, { type: 'none' }>['why'];
const none = (why: Why, below?: number): BindFound => ({
	type: 'none',
	why,
	...(below !== undefined && { below: mm(below) })
});

/**
 * Finds the bind of a sweep going down.
 *
 * @param points tallest first, one load a height, as the dial shows them
 * @param expected how a spring of this build goes solid
 * @param noise scatter of the tester
 * @param frame newtons that a millimetre of the tester's frame holds, where a pull on a
 * solid block has measured it; the heights told are then those of the spring, without the frame's give
 */
export function findBind(
	points: readonly Point[],
	expected: Solid = 'knee',
	noise: TesterNoise = USUAL_NOISE,
	frame: number | null = null
): BindFound {
	const loaded = loadedPoints(points);
	if (loaded.length < MIN_LOADED_POINTS) return none('too-few-points');
	const sweep: Sweep = { points: merged(loaded), noise, frame };
	const tail = steepTail(sweep);
	if (tail === null) return none('not-reached');
	if (!('line' in tail) || tail.first < MIN_WORKING_POINTS) {
		const at = sweep.points[tail.first]!;
		return none('unclear', at.height + (frame === null ? 0 : at.load / frame));
	}
	return bindFrom(sweep, tail, expected);
}

interface Sweep {
	/** Tallest first, those close together made one. */
	readonly points: readonly Point[];
	readonly noise: TesterNoise;
	readonly frame: number | null;
}

/** Points nearer than this part of the usual step are one: a slope between them would be noise. */
const CLOSE = 0.35;
/** Loads further apart than this part are not one. */
const ALIKE = 0.04;

function merged(points: readonly Point[]): Point[] {
	const gaps = points.slice(1).map(({ height }, i) => points[i]!.height - height);
	const usual = gaps.toSorted((a, b) => a - b)[gaps.length >> 1]!;
	const groups: Point[][] = [];
	for (const point of points) {
		const last = groups.at(-1);
		if (last && last[0]!.height - point.height < CLOSE * usual && isAlike(last[0]!, point))
			last.push(point);
		else groups.push([point]);
	}
	// On a stack, and where one is misread, neighbours in height are far apart in load.
	function isAlike(a: Point, b: Point): boolean {
		return Math.abs(a.load - b.load) < ALIKE * Math.max(a.load, b.load);
	}
	const mean = (group: Point[], of: (point: Point) => number) =>
		group.reduce((sum, point) => sum + of(point), 0) / group.length;
	return groups.map((group) => ({
		height: mm(mean(group, ({ height }) => height)),
		load: mean(group, ({ load }) => load) as Point['load']
	}));
}

interface Tail {
	/** Index of its first point. */
	readonly first: number;
	/** dF/dh of its first line, positive downwards, and the working curve above it. */
	readonly line: Line;
	readonly working: (height: number) => number;
	/** Of the working curve where it meets the tail, positive downwards. */
	readonly slope: number;
	/** Whether its first two points lie on the lines of two coils, so that its first line is neither's. */
	readonly isStraddled: boolean;
	/** Its line further down, where that is steeper still, and the height that it holds from. */
	readonly rest: Line | null;
	readonly restFrom: number;
}

const sigmaOf = ({ noise }: Sweep, load: number, slope: number, max: number) =>
	Math.hypot(noise.load * load, slope * noise.height, 0.0005 * max);

/** The longest tail that is a stack, else where one begins that cannot be told from it; null where there is none. */
function steepTail(sweep: Sweep): Tail | { readonly first: number } | null {
	const last = sweep.points.length - 1;
	let best: Tail | null = null;
	let open: number | null = null;
	for (let first = last - 1; first >= 3; first--) {
		const tail = tailFrom(sweep, first);
		if (tail === 'unclear') open = first;
		else if (tail) best = tail;
		else if (best && best.first - first > 3) break;
	}
	if (best) return best;
	if (open !== null) return { first: open };
	return hasLoneEnd(sweep) ? { first: last } : null;
}

/** Heights over which the working curve is looked at above a corner, in points and in millimetres. */
const WINDOW = { points: 8, max: 16, height: 3.5 };

/** The working points just above an index, by which the curve is carried on. */
function windowAbove({ points }: Sweep, first: number): readonly Point[] {
	let from = Math.max(0, first - WINDOW.points);
	while (
		from > 0 &&
		first - from < WINDOW.max &&
		points[from]!.height - points[first - 1]!.height < WINDOW.height
	)
		from--;
	return points.slice(from, first);
}

/**
 * How many points of a tail have left the working curve: all of them but for one that may be misread,
 * the first among them.
 *
 * @param offs distances of the tail's points from the working curve, in standard deviations
 * @returns null where the tail has not left it
 */
function departed(offs: readonly number[]): number | null {
	const left = offs.filter((off) => off > DEPARTURE_SIGMAS).length;
	// A corner just above the last point but one shows only a little in that point.
	const isJustBegun =
		offs.length === 2 && offs[0]! > DEPARTURE_SIGMAS / 2 && offs[1]! > 2 * DEPARTURE_SIGMAS;
	const hasLeft = left >= 2 && left >= offs.length - 1 && offs[0]! > DEPARTURE_SIGMAS;
	return isJustBegun || hasLeft ? left : null;
}

/**
 * The tail of a sweep that begins at a point, where it is steep enough to be a solid stack.
 *
 * @param first index of the first point of the tail
 * @returns null where it is no stack, 'unclear' where it may be one
 */
function tailFrom(sweep: Sweep, first: number): Tail | 'unclear' | null {
	const { points, frame } = sweep;
	const max = points.at(-1)!.load;
	const above = windowAbove(sweep, first);
	const working = polynomialThrough(above, (load, slope) => sigmaOf(sweep, load, slope, max));
	if (!working) return null;
	const edge = points[first - 1]!.height;
	const slope = Math.max(-working.slope(edge), -medianSlope(above), 1e-6);
	const tail = points.slice(first);
	const left = departed(
		tail.map(
			({ height, load }) => (load - working.value(height)) / sigmaOf(sweep, load, slope, max)
		)
	);
	if (left === null) return null;
	const start = firstLine(tail, sweep.noise);
	const line = lineThrough(start.points, sweep.noise);
	const begins = steepest(tail, sweep.noise);
	const [top, bottom] = [tail[0]!, tail.at(-1)!];
	const overall = (bottom.load - top.load) / (top.height - bottom.height);
	// A stack goes on as steeply as it begins: what flattens out again was a figure misread.
	if (!line || overall < FIRST_COIL_PART * line.slope) return null;
	const ratio = Math.min(line.min, begins) / slope;
	const isFrame =
		frame !== null &&
		line.slope > FRAME_STIFFNESS_PARTS.min * frame &&
		line.slope < FRAME_STIFFNESS_PARTS.max * frame &&
		ratio > STACK_STEEPNESS_LIKE_FRAME;
	const isSteep =
		ratio > STACK_STEEPNESS &&
		(frame === null || line.slope > MIN_FIRST_COIL_PART_OF_FRAME * frame);
	// Two points alone, or two beside a misread one, must be as plain as a stack can be.
	if (left < 3 && !isFrame && ratio < TWO_POINT_STEEPNESS) return 'unclear';
	if (!isFrame && !isSteep)
		return ratio > STACK_STEEPNESS_LIKE_FRAME && frame === null ? 'unclear' : null;
	const after = tail.slice(Math.max(1, start.count - 1));
	const rest = after.length > 1 ? lineThrough(after, sweep.noise) : null;
	const isBent =
		rest !== null && start.count < tail.length && rest.slope > TAIL_BEND_RATIO * line.slope;
	return {
		first,
		line,
		rest: isBent ? rest : null,
		restFrom: (after[1] ?? bottom).height,
		working: working.value,
		slope,
		// Of two points only the slope tells if both lie on the first coil's line or one on each.
		isStraddled: isBent && start.count === 2 && line.slope > FIRST_COIL_PART_STRADDLED * rest.slope
	};
}

/** Standard deviations of a height within which a point lies on a line. */
const ON_LINE = 4;

/**
 * The points of a tail that lie on its first line, and how far down it they go:
 * those after a second corner are left out, and one that is misread.
 */
function firstLine(
	tail: readonly Point[],
	noise: TesterNoise
): { readonly points: readonly Point[]; readonly count: number } {
	const isLine = (points: readonly Point[]) => {
		const line = lineThrough(points, noise);
		return (
			line !== null &&
			points.every(
				({ height, load }) => Math.abs(line.height(load) - height) < ON_LINE * noise.height
			)
		);
	};
	for (let count = Math.min(tail.length, 8); count > 2; count--) {
		const points = tail.slice(0, count);
		if (isLine(points)) return { points, count };
		if (count < 4) continue;
		const without = points.flatMap((left, i) => {
			const others = points.filter((_, k) => k !== i);
			const line = isLine(others) ? lineThrough(others, noise) : null;
			// A first point above the line of the others may be a first coil's: that is no misreading.
			const isCoil = i === 0 && line !== null && left.height > line.height(left.load);
			return line && !isCoil ? [others] : [];
		})[0];
		if (without) return { points: without, count };
	}
	const two = { points: tail.slice(0, 2), count: 2 };
	if (tail.length < 3) return two;
	const [begins, goesOn] = [lineThrough(two.points, noise), lineThrough(tail.slice(1), noise)];
	if (!begins || !goesOn) return two;
	// No stack is steeper where it begins: the first point is misread.
	if (begins.slope > TAIL_BEND_RATIO * goesOn.slope)
		return { points: tail.slice(1, 5), count: tail.length };
	return begins.slope * TAIL_BEND_RATIO > goesOn.slope
		? { points: tail.slice(0, 3), count: 3 }
		: two;
}

/** Least slope with which a tail begins: from its first point to the second, or to the third where that is misread. */
function steepest(tail: readonly Point[], noise: TesterNoise): number {
	const to = (i: number) => (tail[i] ? (lineThrough([tail[0]!, tail[i]], noise)?.min ?? 0) : 0);
	return Math.max(to(1), to(2));
}

/** A last point alone above the curve: a stack just reached, or a figure misread. */
function hasLoneEnd(sweep: Sweep): boolean {
	const { points } = sweep;
	const last = points.at(-1)!;
	const above = windowAbove(sweep, points.length - 1);
	const working = polynomialThrough(above, (load, slope) => sigmaOf(sweep, load, slope, last.load));
	if (!working) return false;
	const sigma = sigmaOf(sweep, last.load, -working.slope(last.height), last.load);
	return last.load - working.value(last.height) > 2 * DEPARTURE_SIGMAS * sigma;
}

function bindFrom(sweep: Sweep, tail: Tail, expected: Solid): BindFound {
	const { points, noise, frame } = sweep;
	const [below, above] = [points[tail.first]!.height, points[tail.first - 1]!.height];
	// The points on either side may be misread in height: the lines say more than one of them.
	const [next, highest] = [points[tail.first + 1]!.height, points[tail.first - 2]!.height];
	// Coarsely read, a smooth curve would run over where a cone stiffens.
	const working = above - below > COARSE_STEP ? tail.working : carriedOn(sweep, tail);
	const meet = (line: Line, min: number = next) => meeting(working, line, highest, min);
	const isExpected = expected === 'first-coil';
	// A build that nobody stated may be a pair, whose first coil hides in the last step.
	const isPair = tail.rest !== null || isExpected || expected === 'unknown';
	// With another coil to follow, the first may have gone solid anywhere from the last working
	// point on. A frame that is known, or a build that stiffens, says which line is the stack.
	const isFirst = tail.isStraddled && (isExpected || (frame === null && expected !== 'gradually'));
	const lines = meet(tail.isStraddled && !isFirst && tail.rest ? tail.rest : tail.line);
	const corner = tail.isStraddled ? lines : likeliest(sweep, tail, working, lines);
	const isTwo = points.length - tail.first === 2;
	const isVague = isFirst || (isExpected && frame === null && above - below > COARSE_STEP);
	const height = isVague ? (corner + above) / 2 : corner;
	// Points far apart on a frame that nobody measured tell less than their lines do.
	const isCoarse = frame === null && above - below > COARSE_STEP;
	const mayStiffen = expected === 'gradually' || expected === 'unknown';
	const untold =
		isCoarse && mayStiffen
			? UNRESOLVED_STEP_PART_STIFFENING
			: isCoarse || tail.rest !== null
				? UNRESOLVED_STEP_PART
				: 0;
	const lowest = Math.min(
		corner,
		lines,
		tail.rest ? meet(tail.rest, tail.restFrom) : corner,
		underFall(points, tail.first) ?? corner
	);
	const unsure =
		INTERVAL_SIGMAS * Math.hypot(tail.line.error(tail.working(corner)), noise.height / 2);
	const give = frame === null ? 0 : tail.working(height) / frame;
	// So far a first coil's line runs before it stands out of the working curve.
	const load = tail.working(above);
	const unseen =
		(DEPARTURE_SIGMAS * sigmaOf(sweep, load, tail.slope, points.at(-1)!.load)) /
		(tail.line.slope - tail.slope);
	const stiff = stiffening(sweep, tail, height);
	return {
		type: 'bind',
		height: mm(height + give),
		from: mm(lowest - unsure - untold * (above - below) + give),
		to: mm(Math.max(Math.max(corner, lines) + unsure, isPair || isTwo ? above + unseen : 0) + give),
		step: mm(above - below),
		stackPoints: points.length - tail.first,
		gradual: stiff === null ? null : { from: mm(stiff + give), solid: mm(height + give) }
	};
}

/** The working curve with the tester's scatter taken off the whole of it, not only the part just above the corner. */
function carriedOn(sweep: Sweep, tail: Tail): Tail['working'] {
	const { points, noise } = sweep;
	const working = smoothed(withoutMisread(points.slice(0, tail.first), noise), noise);
	const last = windowAbove({ ...sweep, points: working }, working.length);
	const max = points.at(-1)!.load;
	const curve = polynomialThrough(last, (load, slope) => sigmaOf(sweep, load, slope, max));
	return curve ? curve.value : tail.working;
}

/** Working points above a corner that are used with its tail to locate it. */
const POINTS_ABOVE_CORNER = 3;
/** How far about where the lines meet a likelier corner is looked for, and how finely, in deviations of a height. */
const CORNER_SEARCH = { reach: 7, step: 0.25 };

/**
 * The likeliest corner: where the working curve turns into the first line, by all points
 * about it, so that one just above or below need not be given to either beforehand.
 *
 * @param meeting where curve and line meet; the answer when nothing near it is likelier
 */
function likeliest(sweep: Sweep, tail: Tail, working: Tail['working'], meeting: number): number {
	const { points, noise } = sweep;
	const above = points.slice(0, tail.first);
	const near = [
		...withoutMisread(above, noise).slice(-POINTS_ABOVE_CORNER),
		...firstLine(points.slice(tail.first), noise).points
	].map(({ height, load }) => ({ height, load, over: load - working(height) }));
	const corners = Array.from(
		{ length: (2 * CORNER_SEARCH.reach) / CORNER_SEARCH.step + 1 },
		(_, i) => meeting + (i * CORNER_SEARCH.step - CORNER_SEARCH.reach) * noise.height
	);
	return corners.reduce(
		(best, corner) => {
			const cost = misfit(sweep, tail, near, corner);
			return cost < best.cost ? { corner, cost } : best;
		},
		{ corner: meeting, cost: misfit(sweep, tail, near, meeting) }
	).corner;
}

/** −2 × log likelihood of points above a curve by `over`, with a line of any slope from a corner down. */
function misfit(
	{ noise }: Sweep,
	tail: Tail,
	near: readonly { readonly height: number; readonly load: number; readonly over: number }[],
	corner: number
): number {
	const parts = near.map(({ height, load, over }) => {
		const below = Math.max(0, corner - height);
		const slope = below > 0 ? tail.line.slope : tail.slope;
		return { below, over, weight: 1 / ((noise.load * load) ** 2 + (slope * noise.height) ** 2) };
	});
	const sum = (of: (part: (typeof parts)[number]) => number) =>
		parts.reduce((all, part) => all + part.weight * of(part), 0);
	const squares = sum(({ below }) => below * below);
	const steep = squares > 0 ? sum(({ below, over }) => below * over) / squares : 0;
	const spread = parts.reduce((all, { weight }) => all - Math.log(weight), 0);
	return sum(({ below, over }) => (over - steep * below) ** 2) + spread;
}

/** Points of a tail among which a load that falls makes its beginning doubtful. */
const BEGINNING = 3;

/** Height of the point below a load that falls where a tail begins: one of the two was misread; null where none falls. */
function underFall(points: readonly Point[], first: number): number | null {
	for (let i = first + 1; i < Math.min(first + BEGINNING, points.length - 1); i++)
		if (points[i]!.load < points[i - 1]!.load) return points[i + 1]!.height;
	return null;
}

/** Where the working curve, carried on, meets a line of the tail, by halving between two heights. */
function meeting(working: Tail['working'], line: Line, highest: number, lowest: number): number {
	let [high, low] = [highest, lowest];
	for (let i = 0; i < 40; i++) {
		const middle = (high + low) / 2;
		if (line.load(middle) < working(middle)) high = middle;
		else low = middle;
	}
	return (high + low) / 2;
}

/** How far above the corner the loads must have left the early curve for a spring to stiffen, in steps. */
const GRADUAL_STEPS = 2.5;
/** Standard deviations, and part of the load, by which a load has left the early line. */
const STIFF = { sigmas: 4, part: 0.06 };

/**
 * Where a spring begins to stiffen: the straight working line of its upper half,
 * and the first height from which all loads down to the corner lie above it.
 */
function stiffening(sweep: Sweep, tail: Tail, corner: number): number | null {
	const working = sweep.points.slice(0, tail.first);
	if (working.length < 8) return null;
	const upper = working.slice(0, Math.ceil(working.length / 2));
	const max = working.at(-1)!.load;
	const straight = polynomialThrough(upper, (load, slope) => sigmaOf(sweep, load, slope, max), 1);
	if (!straight) return null;
	let from: number | null = null;
	for (const { height, load } of working.slice(upper.length).toReversed()) {
		const line = straight.value(height);
		const sigma = sigmaOf(sweep, load, straight.slope(height), 0);
		// A load far above the straight line has left it; a percent or two is any spring's own bow.
		if (load - line < STIFF.sigmas * sigma + STIFF.part * line) break;
		from = height;
	}
	const step = (working[0]!.height - working.at(-1)!.height) / (working.length - 1);
	return from !== null && from - corner > GRADUAL_STEPS * step ? from : null;
}
