/** The section of a valve laid out in a frame: shapes and dimensions that screen and paper draw. */
import type { DimensionLine, Picture, PlanePoint, Role, Shape } from './shape.ts';
import type { Drawing, Half } from './section.ts';

/** Size of the picture, and what is left free above and on either side for words. */
export interface Frame {
	readonly width: number;
	readonly height: number;
	readonly above: number;
	readonly aside: number;
}

export interface SectionPicture extends Picture {
	/** The stem's axis, from its top to its foot. */
	readonly axis: readonly [PlanePoint, PlanePoint];
	/** From the seat of the stack to the landing, valve closed, at the left end of the picture. */
	readonly installed: DimensionLine;
	/** From the landing at this lift to where the coils bind, at the right end; null where that is not known. */
	readonly toBind: DimensionLine | null;
	/** From the underside of the retainer at this lift to the seal; null where the gap is not known. */
	readonly toSeal: DimensionLine | null;
	/** Half the width of the stack: how near a witness line comes to it. */
	readonly edges: readonly [left: number, right: number];
}

/** How much of the casting is drawn below the pocket, in mm. */
const BELOW = 9;
/** Metal left between stem and shims, in mm. */
const STEM_ROOM = 4;
/** Guide and seal stand this far out from the stem, in mm; the seal's lip is so high. */
const GUIDE = 2.6;
const SEAL = { out: 3.6, height: 7, lip: 2.5 };
/** Dimension lines stand this far in from the picture's ends. */
const INSET = 18;

/** Where a point of the stack lies in the picture. */
interface Place {
	readonly scale: number;
	readonly x: (out: number) => number;
	readonly y: (up: number) => number;
}

function placeIn(drawing: Drawing, { width, height, above, aside }: Frame): Place {
	const scale = Math.min(
		(height - above) / (drawing.top + BELOW),
		(width / 2 - aside) / drawing.outside
	);
	return {
		scale,
		x: (out) => width / 2 + out * scale,
		y: (up) => height - (up + BELOW) * scale
	};
}

/**
 * Lays a section out in a frame, as large as it fits: the left half closed, the right at its lift.
 *
 * @param drawing in mm, x from the stem's axis and y up from the pocket floor
 * @param frame in the units of the picture; dimensions keep their length in mm
 */
export function sectionPicture(drawing: Drawing, frame: Frame): SectionPicture {
	const { width, height } = frame;
	const place = placeIn(drawing, frame);
	const { x, y } = place;
	const { stem, outside, floor, sealTop, closed, open } = drawing;
	const dimension = (at: number, high: number, low: number): DimensionLine => ({
		length: high - low,
		from: [at, y(high)],
		to: [at, y(low)]
	});
	return {
		width,
		height,
		shapes: [
			{
				type: 'outline',
				role: 'pocket',
				points: [
					[0, y(0)],
					[width, y(0)],
					[width, height],
					[0, height]
				]
			},
			...[-1, 1].flatMap((side) => floorOf(drawing, side, place)),
			...halfOf(drawing, closed, -1, place),
			...halfOf(drawing, open, 1, place)
		],
		axis: [
			[width / 2, frame.above / 2],
			[width / 2, height]
		],
		installed: dimension(INSET, closed.landing, floor.seat),
		toBind: drawing.bind === null ? null : dimension(width - INSET, open.landing, drawing.bind),
		toSeal: sealTop === null ? null : dimension(x(stem) + 5, open.underside, sealTop),
		edges: [x(-outside), x(outside)]
	};
}

const outline = (role: Role, points: readonly PlanePoint[], { x, y }: Place): Shape => ({
	type: 'outline',
	role,
	points: points.map(([out, up]): PlanePoint => [x(out), y(up)])
});

/** A box on one side of the stem, from one distance out to another, between two heights. */
const box = (role: Role, side: number, [a, b]: PlanePoint, [low, high]: PlanePoint, place: Place) =>
	outline(
		role,
		[
			[a * side, low],
			[b * side, low],
			[b * side, high],
			[a * side, high]
		],
		place
	);

/** Shims, locator, guide and seal of one side. */
function floorOf({ stem, outside, floor, sealTop }: Drawing, side: number, place: Place): Shape[] {
	const shimTop = floor.shims.at(-1)?.to ?? 0;
	const inside = stem + STEM_ROOM;
	const shapes = floor.shims.map(({ from, to }) =>
		box('shim', side, [inside, outside], [from, to], place)
	);
	if (floor.seat > shimTop)
		shapes.push(box('locator', side, [inside, outside + 0.8], [shimTop, floor.seat], place));
	if (sealTop !== null)
		shapes.push(
			box('guide', side, [stem, stem + GUIDE], [-BELOW, sealTop - SEAL.lip], place),
			box('seal', side, [stem, stem + SEAL.out], [sealTop - SEAL.height, sealTop], place)
		);
	return shapes;
}

/** Coils, retainer, lock and stem of one side, at its opening. */
function halfOf({ stem, retainer, lock }: Drawing, half: Half, side: number, place: Place) {
	const { scale, x, y } = place;
	const hung = (points: Drawing['lock']) =>
		points.map(([out, up]): PlanePoint => [out * side, half.landing + up]);
	return [
		...half.coils.flatMap((coil) =>
			coil.heights.map((up): Shape => ({
				type: 'circle',
				role: coil.inner ? 'inner-coil' : 'coil',
				at: [x(coil.at * side), y(up)],
				radius: coil.radius * scale
			}))
		),
		outline('retainer', hung(retainer), place),
		outline('lock', hung(lock), place),
		box('stem', side, [0, stem], [-BELOW, half.tip], place)
	];
}
