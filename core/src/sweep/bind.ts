/**
 * Where a swept spring goes solid. A segmented least-squares fit: a smooth
 * working curve of second degree, continued past a hinge into a much steeper
 * stack line, with errors in both axes; the hinge by profile likelihood, with
 * its interval. Where one curve without a hinge explains the sweep as well, no
 * bind is called. A spring of several coils has a second hinge below the first.
 * Source: handbook §5.
 */
import { mm, type Millimetres } from '../units/quantity.ts';
import type { Point } from '../spring/curve.ts';
import { leastSquares } from './least-squares.ts';
import { USUAL_NOISE, type TesterNoise } from './sweep.ts';

export type BindFound =
	| {
			readonly sort: 'bind';
			/** The height to judge margins by. */
			readonly height: Millimetres;
			/** Between these the hinge lies, at 95 %. */
			readonly from: Millimetres;
			readonly to: Millimetres;
			/** Sampling step about the hinge, which limits how well it can be known. */
			readonly step: Millimetres;
			/** Points on the stack line; three or more make a good answer. */
			readonly stackPoints: number;
			/** A cone or progressive spring has no corner: it stiffens from here on, and is solid at `solid`. */
			readonly gradual: { readonly from: Millimetres; readonly solid: Millimetres } | null;
	  }
	| { readonly sort: 'none'; readonly why: 'too few points' | 'not reached' };

/** Fewer points than this cannot show a curve and a corner in it. */
const FEWEST = 7;
/** A stack line is at least so many times steeper than the working curve; the first coil of a pair adds less. */
const STEEPER = 3.5;
const STEEPER_IN_PAIR = 2.2;
/** The line of both coils against that of the first. */
const STEEPER_THAN_FIRST = 1.3;
/** How much likelier the corner must be than a curve without one: twice the log of the odds. */
const SURE = 18;
/** How much likelier two corners must be than one, to be taken for two. */
const SURE_OF_SECOND = 2;
/** Sampled more coarsely than this, in millimetres, two corners cannot be told from one, and two are taken. */
const COARSE = 0.8;
/** Drop of twice the log likelihood at the ends of a 95 % interval. */
const INTERVAL = 3.84;
const PLACES = 48;
const REWEIGHTED = 3;

interface Fit {
	readonly degree: number;
	readonly hinges: readonly number[];
	readonly coefficients: Float64Array;
	/** −2 × log likelihood, less a constant. */
	readonly cost: number;
}

/** How a spring is expected to go solid, by its build. */
export type Solid = 'at a corner' | 'one coil of several first' | 'gradually';

/**
 * Finds the bind of a sweep going down.
 *
 * @param points tallest first, one load a height
 * @param expected how a spring of this build goes solid
 * @param noise scatter of the tester
 */
export function findBind(
	points: readonly Point[],
	expected: Solid = 'at a corner',
	noise: TesterNoise = USUAL_NOISE
): BindFound {
	if (points.length < FEWEST) return { sort: 'none', why: 'too few points' };
	const sweep = scaled(points, noise);
	const degrees = expected === 'at a corner' ? [2, 3, 4] : [2, 3];
	const smooth = best(degrees.map((degree) => fitted(sweep, degree, [])));
	// A cone's rate grows before its corner, which a curve of third degree can follow.
	const one = bestHinge(sweep, expected === 'gradually' ? 3 : 2);
	if (!one || !smooth) return { sort: 'none', why: 'not reached' };
	const isPair = expected === 'one coil of several first';
	const pair = isPair ? firstOfPair(sweep, one.hinges[0]!) : null;
	const cost = Math.min(
		isCorner(sweep, one, isPair ? STEEPER_IN_PAIR : STEEPER)
			? penalised(one)
			: Number.POSITIVE_INFINITY,
		pair?.cost ?? Number.POSITIVE_INFINITY
	);
	if (penalised(smooth) - cost < SURE) return { sort: 'none', why: 'not reached' };

	const corner = one.hinges[0]!;
	const isCoarse = (2 * sweep.span) / (points.length - 1) > COARSE;
	const isTwo = pair !== null && (isCoarse || penalised(one) - pair.cost > SURE_OF_SECOND);
	const { height, from, to } = isTwo ? pair : interval(sweep, one);
	const heights = points.map((point) => point.height as number);
	const below = Math.max(
		1,
		heights.findIndex((one) => one < height)
	);
	const gradual = expected === 'gradually' ? stiffening(sweep, points, corner) : null;
	return {
		sort: 'bind',
		height: mm(gradual ? Math.max(height, gradual.from) : height),
		from: mm(from),
		to: mm(isPair ? Math.max(to, heights[below - 1]!) : to),
		step: mm(heights[below - 1]! - heights[below]!),
		stackPoints: heights.length - below,
		gradual
	};
}

interface Scaled {
	readonly heights: Float64Array;
	readonly loads: Float64Array;
	readonly middle: number;
	readonly span: number;
	readonly noise: TesterNoise;
	/** Part of the load, and a least scatter where there is hardly any load. */
	readonly loadVariance: Float64Array;
}

function scaled(points: readonly Point[], noise: TesterNoise): Scaled {
	const heights = Float64Array.from(points, ({ height }) => height);
	const loads = Float64Array.from(points, ({ load }) => load);
	const least = 0.0005 * Math.max(...loads);
	return {
		heights,
		loads,
		middle: (heights[0]! + heights.at(-1)!) / 2,
		span: (heights[0]! - heights.at(-1)!) / 2 || 1,
		noise,
		loadVariance: loads.map((load) => (noise.load * load) ** 2 + least ** 2)
	};
}

/** The curve of this degree with corners at these heights, weights settled by going round. */
function fitted(sweep: Scaled, degree: number, hinges: readonly number[]): Fit | null {
	const { heights, loads, middle, span, noise, loadVariance } = sweep;
	const count = degree + 1 + hinges.length;
	if (heights.length <= count) return null;
	const basis = Array.from(heights, (height) => {
		const row = new Float64Array(count);
		const x = (height - middle) / span;
		for (let power = 0, value = 1; power <= degree; power++, value *= x) row[power] = value;
		for (let i = 0; i < hinges.length; i++) {
			row[degree + 1 + i] = Math.max(0, hinges[i]! - height) / span;
		}
		return row;
	});
	const weights = loadVariance.map((variance) => 1 / variance);
	let coefficients: Float64Array | null = null;
	for (let round = 0; round < REWEIGHTED; round++) {
		coefficients = leastSquares(basis, loads, weights);
		if (!coefficients) return null;
		for (let p = 0; p < heights.length; p++) {
			const slope = slopeAt(sweep, degree, hinges, coefficients, heights[p]!);
			weights[p] = 1 / (loadVariance[p]! + (slope * noise.height) ** 2);
		}
	}
	let cost = 0;
	for (let p = 0; p < heights.length; p++) {
		let value = 0;
		for (let i = 0; i < count; i++) value += basis[p]![i]! * coefficients![i]!;
		cost += (loads[p]! - value) ** 2 * weights[p]! - Math.log(weights[p]!);
	}
	return { degree, hinges, coefficients: coefficients!, cost };
}

/** dF/dh, negative for a spring. */
function slopeAt(
	{ middle, span }: Scaled,
	degree: number,
	hinges: readonly number[],
	coefficients: Float64Array,
	height: number
): number {
	const x = (height - middle) / span;
	let slope = 0;
	for (let power = degree; power >= 1; power--) slope = slope * x + power * coefficients[power]!;
	for (let i = 0; i < hinges.length; i++) {
		if (height < hinges[i]!) slope -= coefficients[degree + 1 + i]!;
	}
	return slope / span;
}

const best = (fits: readonly (Fit | null)[]): Fit | null =>
	fits.reduce<Fit | null>((a, b) => (b && (!a || penalised(b) < penalised(a)) ? b : a), null);

/** The cost with what its freedom is worth; a corner is free in place and steepness. */
const penalised = ({ cost, coefficients, hinges }: Fit) =>
	cost + 2 * (coefficients.length + hinges.length);

/** The likeliest place of a single corner. */
function bestHinge(sweep: Scaled, degree: number): Fit | null {
	const { heights } = sweep;
	const last = heights.length - 1;
	const highest = heights[3]!;
	const lowest = (heights[last]! + heights[last - 1]!) / 2;
	let reach = (highest - lowest) / PLACES;
	const attempt = (place: number) =>
		place > lowest - 1e-9 && place < highest + 1e-9 ? fitted(sweep, degree, [place]) : null;
	const likelier = (a: Fit | null, b: Fit | null) =>
		b && b.coefficients.at(-1)! > 0 && (!a || b.cost < a.cost) ? b : a;
	let found: Fit | null = null;
	for (let i = 0; i <= PLACES; i++) found = likelier(found, attempt(highest - i * reach));
	for (let round = 0; found && round < 8; round++) {
		const place = found.hinges[0]!;
		for (const by of [-0.5, 0.5]) found = likelier(found, attempt(place + by * reach));
		reach /= 1.7;
	}
	return found;
}

interface Placed {
	readonly height: number;
	readonly from: number;
	readonly to: number;
}

/** Steps above and below a single corner within which the first of two is looked for. */
const PAIR_REACH = { above: 3.5, below: 1 };
const PAIR_PLACES = 30;
const SECOND_PLACES = 6;
/** What its freedom is worth: three of the curve, two slopes, two places. */
const PAIR_FREEDOM = 2 * 7;

/**
 * The first of two corners. With a point or two between them, anything from the
 * last working point on is nearly as likely: the middle of what is likely is
 * taken, and the interval reaches up to the last working point.
 */
function firstOfPair(sweep: Scaled, single: number): (Placed & { cost: number }) | null {
	const { heights } = sweep;
	const last = heights.length - 1;
	const step = (heights[0]! - heights[last]!) / last;
	const highest = Math.min(heights[3]!, single + PAIR_REACH.above * step);
	const lowest = Math.max(heights[last - 1]!, single - PAIR_REACH.below * step);
	const places = Array.from(
		{ length: PAIR_PLACES + 1 },
		(_, i) => highest - (i * (highest - lowest)) / PAIR_PLACES
	);
	const floor = (heights[last]! + heights[last - 1]!) / 2;
	const profile = places.map((place) => {
		let least = Number.POSITIVE_INFINITY;
		for (let i = 1; i <= SECOND_PLACES; i++) {
			const second = place - (i / SECOND_PLACES) * (place - floor);
			const fit = second < place - 0.02 ? fitted(sweep, 2, [place, second]) : null;
			if (fit && isCorner(sweep, fit, STEEPER_IN_PAIR) && fit.cost < least) least = fit.cost;
		}
		return least;
	});
	const likeliest = Math.min(...profile);
	if (!Number.isFinite(likeliest)) return null;
	const likely = places.filter((_, i) => profile[i]! - likeliest < INTERVAL);
	const [to, from] = [likely[0]!, likely.at(-1)!];
	return { height: (from + to) / 2, from, to, cost: likeliest + PAIR_FREEDOM };
}

/** Whether every corner turns into a line much steeper than the curve above it. */
function isCorner(sweep: Scaled, { degree, hinges, coefficients }: Fit, steeper: number): boolean {
	return hinges.every((hinge) => {
		const above = -slopeAt(sweep, degree, hinges, coefficients, hinge + 1e-6);
		const below = -slopeAt(sweep, degree, hinges, coefficients, hinge - 1e-6);
		const isFirst = hinge === Math.max(...hinges);
		return above > 0 && below > (isFirst ? steeper : STEEPER_THAN_FIRST) * above;
	});
}

/** A single corner, and the heights about it at which the likelihood has dropped by the interval's amount. */
function interval(sweep: Scaled, fit: Fit): Placed {
	const corner = fit.hinges[0]!;
	const freedom = sweep.heights.length - fit.coefficients.length - 1;
	const drop = INTERVAL * residualScale(sweep, fit, freedom);
	const edge = (way: 1 | -1) => {
		const within = (by: number) => {
			const moved = fitted(sweep, fit.degree, [corner + way * by]);
			return moved !== null && moved.cost - fit.cost < drop;
		};
		let near = 0;
		let far = 0.02;
		while (far < sweep.span && within(far)) {
			near = far;
			far *= 2;
		}
		for (let i = 0; i < 12; i++) {
			const middle = (near + far) / 2;
			if (within(middle)) near = middle;
			else far = middle;
		}
		return corner + way * far;
	};
	return { height: corner, from: edge(-1), to: edge(1) };
}

/** How much more the points scatter about the fit than the tester should, never less than it should. */
function residualScale(sweep: Scaled, fit: Fit, freedom: number): number {
	if (freedom <= 0) return 1;
	const { degree, hinges, coefficients } = fit;
	let sum = 0;
	for (let p = 0; p < sweep.heights.length; p++) {
		const height = sweep.heights[p]!;
		const slope = slopeAt(sweep, degree, hinges, coefficients, height);
		sum +=
			(sweep.loads[p]! - valueAt(sweep, fit, height)) ** 2 /
			(sweep.loadVariance[p]! + (slope * sweep.noise.height) ** 2);
	}
	return Math.max(1, sum / freedom);
}

/** Load of a fit at a height. */
function valueAt({ middle, span }: Scaled, { degree, hinges, coefficients }: Fit, height: number) {
	const x = (height - middle) / span;
	let value = 0;
	for (let power = 0; power <= degree; power++) value += coefficients[power]! * x ** power;
	hinges.forEach((hinge, i) => {
		value += (coefficients[degree + 1 + i]! * Math.max(0, hinge - height)) / span;
	});
	return value;
}

/** How far above the corner the loads must have left the early curve for the bind to be gradual, in steps. */
const GRADUAL_STEPS = 2.5;
/** Standard deviations by which a load has left the early curve. */
const LEFT_CURVE = 4;

/**
 * Where a spring without a corner begins to stiffen: the straight working line
 * of its upper half, and the first height from which all loads lie above it.
 */
function stiffening(
	sweep: Scaled,
	points: readonly Point[],
	corner: number
): { from: Millimetres; solid: Millimetres } | null {
	const working = points.filter(({ height }) => height > corner);
	if (working.length < 8) return null;
	const upper = working.slice(0, Math.ceil(working.length / 2));
	const line = fitted(scaled(upper, sweep.noise), 1, []);
	if (!line) return null;
	const own = scaled(upper, sweep.noise);
	let from: number | null = null;
	for (let p = working.length - 1; p >= upper.length; p--) {
		const { height, load } = working[p]!;
		const x = (height - own.middle) / own.span;
		const straight = line.coefficients[0]! + line.coefficients[1]! * x;
		const slope = line.coefficients[1]! / own.span;
		const sigma = Math.sqrt((sweep.noise.load * load) ** 2 + (slope * sweep.noise.height) ** 2);
		// A load far above the straight line has left it; a percent or two is any spring's own bow.
		if (load - straight < LEFT_CURVE * sigma + 0.06 * straight) break;
		from = height;
	}
	if (from === null) return null;
	const step = (working[0]!.height - working.at(-1)!.height) / (working.length - 1);
	return from - corner > GRADUAL_STEPS * step ? { from: mm(from), solid: mm(corner) } : null;
}
