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
	/** Each shim by itself, at the left edge of the stack. */
	readonly shims: readonly DimensionLine[];
	/** Half the width of the stack: how near a witness line comes to it. */
	readonly edges: readonly [left: number, right: number];
	/** What another state of the same stack differs by, to the same scale: its outlines are drawn behind. */
	readonly before: readonly Shape[];
}

/** How much is drawn below the pocket in mm where no port is. */
const BELOW = 9;
/** Metal left between stem and shims, in mm. */
const STEM_ROOM = 4;
/** Guide and seal stand this far out from the stem, in mm; the seal's lip is so high. */
const GUIDE = 2.6;
const SEAL = { out: 3.6, height: 7, lip: 2.5, garter: 0.8 };
/** The valve's head in mm: how thick its edge is, how high its neck ends, and the seat insert. */
const HEAD = { edge: 1.8, neck: 11, insert: 3 };
/** Dimension lines stand this far in from the picture's ends. */
const INSET = 18;

/** Where a point of the stack lies in the picture. */
interface Place {
	readonly scale: number;
	/** What lies lowest in the picture, in mm below the pocket. */
	readonly below: number;
	readonly x: (out: number) => number;
	readonly y: (up: number) => number;
	readonly isAssumed: (role: Role) => boolean;
}

function placeIn(
	drawing: Drawing,
	{ width, height, above, aside }: Frame,
	before: Drawing | null
): Place {
	const { port, assumedParts = [] } = drawing;
	const top = Math.max(drawing.top, before?.top ?? 0);
	const outside = Math.max(drawing.outside, before?.outside ?? 0);
	const below = port ? port.depth + HEAD.edge + port.lift + 1 : BELOW;
	const widest = Math.max(outside, port ? port.head + 2 : 0);
	const scale = Math.min((height - above) / (top + below), (width / 2 - aside) / widest);
	return {
		scale,
		below,
		x: (out) => width / 2 + out * scale,
		y: (up) => height - (up + below) * scale,
		isAssumed: (role) => assumedParts.includes(role)
	};
}

/**
 * Lays a section out in a frame, as large as it fits: the left half closed, the right at its lift.
 *
 * @param drawing in mm, x from the stem's axis and y up from the pocket floor
 * @param frame in the units of the picture; dimensions keep their length in mm
 * @param before the same station's stack in another state, whose outlines go with it
 */
export function sectionPicture(
	drawing: Drawing,
	frame: Frame,
	before: Drawing | null = null
): SectionPicture {
	const { width, height } = frame;
	const place = placeIn(drawing, frame, before);
	const { x, y } = place;
	const { stem, outside, floor, sealTop, closed, open } = drawing;
	const dimension = (at: number, high: number, low: number): DimensionLine => ({
		length: high - low,
		from: [at, y(high)],
		to: [at, y(low)]
	});
	const sides = [
		{ side: -1, half: closed, lift: 0 },
		{ side: 1, half: open, lift: drawing.port?.lift ?? 0 }
	] as const;
	return {
		width,
		height,
		shapes: [
			...(drawing.port ? [] : [pocket(frame, place)]),
			...sides.flatMap(({ side }) => castingOf(drawing, side, place)),
			...sides.flatMap(({ side }) => floorOf(drawing, side, place)),
			...sides.flatMap(({ side, half, lift }) => halfOf(drawing, half, { side, lift }, place))
		],
		axis: [
			[width / 2, frame.above / 2],
			[width / 2, height]
		],
		installed: dimension(INSET, closed.landing, floor.seat),
		toBind: drawing.bind === null ? null : dimension(width - INSET, open.landing, drawing.bind),
		toSeal: sealTop === null ? null : dimension(x(stem) + 5, open.underside, sealTop),
		shims: floor.shims.map(({ from, to }) => ({
			length: to - from,
			from: [x(-outside), y(to)],
			to: [x(-outside), y(from)]
		})),
		edges: [x(-outside), x(outside)],
		before: before ? outlinesOf(before, place) : []
	};
}

/** What of a stack moves when it is built otherwise: its floor, retainers and tip. */
const outlinesOf = ({ outside, stem, floor, retainer, closed, open }: Drawing, place: Place) =>
	[
		{ side: -1, half: closed },
		{ side: 1, half: open }
	].flatMap(({ side, half }) => [
		box('before', side, [stem + STEM_ROOM, outside + 0.8], [0, floor.seat], place),
		outline(
			'before',
			retainer.map(([out, up]): PlanePoint => [out * side, half.landing + up]),
			place
		)
	]);

/** The casting below the pocket, where no port is drawn. */
const pocket = ({ width, height }: Frame, { y }: Place): Shape => ({
	type: 'outline',
	role: 'pocket',
	points: [
		[0, y(0)],
		[width, y(0)],
		[width, height],
		[0, height]
	]
});

const outline = (role: Role, points: readonly PlanePoint[], { x, y, isAssumed }: Place): Shape => ({
	type: 'outline',
	role,
	points: points.map(([out, up]): PlanePoint => [x(out), y(up)]),
	...(isAssumed(role) && { isAssumed: true })
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

/** Casting, port, seat and guide of one side: a hint of what lies below the pocket. */
function castingOf({ stem, outside, port }: Drawing, side: number, place: Place): Shape[] {
	if (!port) return [];
	const { depth, head, guide } = port;
	const edge = Math.max(outside, head) + 4;
	const at = (points: readonly PlanePoint[]) =>
		points.map(([out, up]): PlanePoint => [out * side, up]);
	return [
		outline(
			'casting',
			at([
				[stem, 0],
				[edge, 0],
				[edge, -depth],
				[stem, -depth]
			]),
			place
		),
		outline(
			'port',
			at([
				[stem, -guide + 5],
				[stem + GUIDE, -guide + 4],
				[head - 1.5, -guide - 2],
				[head - 0.6, -depth + HEAD.insert],
				[head - 0.6, -depth],
				[stem, -depth]
			]),
			place
		),
		outline(
			'seat-insert',
			at([
				[head - 0.8, -depth + HEAD.insert],
				[head + 2, -depth + HEAD.insert],
				[head + 2, -depth],
				[head, -depth]
			]),
			place
		),
		box('guide', side, [stem, stem + GUIDE], [-guide, 0], place)
	];
}

/** Shims, locator, guide and seal of one side. */
function floorOf(drawing: Drawing, side: number, place: Place): Shape[] {
	const { stem, outside, floor, sealTop, centred, sealOn } = drawing;
	const shimTop = floor.shims.at(-1)?.to ?? 0;
	const inside = stem + STEM_ROOM;
	const shapes = floor.shims.map(({ from, to }) =>
		box('shim', side, [inside, outside], [from, to], place)
	);
	if (floor.seat > shimTop) {
		shapes.push(box('locator', side, [inside, outside + 0.8], [shimTop, floor.seat], place));
		const innermost = drawing.closed.coils.at(-1)!;
		const within = innermost.at - innermost.radius;
		if (centred?.by === 'inside')
			shapes.push(
				box(
					'locator',
					side,
					[within - 1.8, within - 0.3],
					[floor.seat, floor.seat + centred.height],
					place
				)
			);
		if (centred?.by === 'outside')
			shapes.push(
				box(
					'locator',
					side,
					[outside + 0.2, outside + 1.6],
					[shimTop, floor.seat + centred.height],
					place
				)
			);
	}
	if (sealTop === null) return shapes;
	const foot = drawing.port ? 0 : -BELOW;
	shapes.push(
		box('guide', side, [stem, stem + GUIDE], [foot, sealTop - SEAL.lip], place),
		box('seal', side, [stem, stem + SEAL.out], [sealTop - SEAL.height, sealTop], place)
	);
	if (sealOn === 'locator')
		shapes.push(
			box(
				'seal',
				side,
				[stem + GUIDE, stem + SEAL.out],
				[floor.seat, sealTop - SEAL.height],
				place
			),
			box('seal', side, [stem + GUIDE, inside + 2], [floor.seat, floor.seat + 0.8], place)
		);
	if (sealOn)
		shapes.push({
			type: 'circle',
			role: 'garter',
			at: [place.x((stem + 1.8) * side), place.y(sealTop - 1.2)],
			radius: SEAL.garter * place.scale
		});
	return shapes;
}

interface Side {
	readonly side: number;
	/** How far the valve is off its seat. */
	readonly lift: number;
}

/** Coils, retainer, lock and valve of one side, at its opening. */
function halfOf(drawing: Drawing, half: Half, { side, lift }: Side, place: Place): Shape[] {
	const { stem, retainer, lock, beads, damper, floor } = drawing;
	const hung = (points: Drawing['lock']) =>
		points.map(([out, up]): PlanePoint => [out * side, half.landing + up]);
	const shapes = half.coils.flatMap((coil) => coilShapes(coil, side, place));
	if (damper)
		shapes.push(
			box(
				'damper',
				side,
				[damper.at - damper.thickness / 2, damper.at + damper.thickness / 2],
				[floor.seat + 1, half.landing - 2],
				place
			)
		);
	shapes.push(
		outline('retainer', hung(retainer), place),
		outline('lock', hung(lock), place),
		...valveOf(drawing, half, { side, lift }, place)
	);
	for (const height of beads?.heights ?? [])
		shapes.push(bead(beads!.shape, [stem, half.landing + height], side, place));
	return shapes;
}

/** Turns of one coil; those at its ends are ground flat. */
function coilShapes(coil: Half['coils'][number], side: number, place: Place): Shape[] {
	const { scale, x, y } = place;
	const role = coil.inner ? 'inner-coil' : 'coil';
	return coil.heights.map((up, i): Shape => {
		const at: PlanePoint = [x((coil.turnsAt?.[i] ?? coil.at) * side), y(up)];
		const radius = coil.radius * scale;
		const common = { role, ...(place.isAssumed('coil') && { isAssumed: true }) } as const;
		const isEnd = i === 0 || i === coil.heights.length - 1;
		if (!isEnd) return { ...common, type: 'circle', at, radius };
		const flat = i === 0 ? 1 : -1;
		return { ...common, type: 'outline', points: groundTurn(at, radius, flat) };
	});
}

/** Half a turn of wire, its flat towards what it stands on. */
const groundTurn = ([cx, cy]: PlanePoint, radius: number, flat: number): PlanePoint[] =>
	Array.from({ length: 9 }, (_, i) => {
		const angle = (i / 8) * Math.PI;
		return [cx + radius * Math.cos(angle), cy + flat * radius * (1 - Math.sin(angle))];
	});

/** Stem and head of one side, with what lies on the tip. */
function valveOf(drawing: Drawing, half: Half, { side, lift }: Side, place: Place): Shape[] {
	const { stem, port, cap, hasWafer } = drawing;
	const at = (points: readonly PlanePoint[]) =>
		points.map(([out, up]): PlanePoint => [out * side, up]);
	const foot = port ? -port.depth - lift : -place.below;
	const profile: PlanePoint[] = port
		? [
				[0, half.tip],
				[stem, half.tip],
				[stem, foot + HEAD.neck],
				[stem + 1.6, foot + HEAD.neck - 4],
				[port.head - 3, foot + HEAD.edge],
				[port.head, foot],
				[port.head, foot - HEAD.edge],
				[0, foot - HEAD.edge]
			]
		: [
				[0, half.tip],
				[stem, half.tip],
				[stem, foot],
				[0, foot]
			];
	const shapes = [outline('valve', at(profile), place)];
	if (hasWafer) shapes.push(box('wafer', side, [0, stem], [half.tip - 1.2, half.tip], place));
	if (cap)
		shapes.push(
			box('cap', side, [0, cap.radius], [half.tip, half.tip + cap.thickness], place),
			box('cap', side, [stem, cap.radius], [half.tip - 2, half.tip], place)
		);
	return shapes;
}

/** A groove of the stem with the bead of the lock in it. */
function bead(
	shape: NonNullable<Drawing['beads']>['shape'],
	[stem, up]: PlanePoint,
	side: number,
	place: Place
): Shape {
	if (shape === 'square')
		return box('bead', side, [stem - 0.8, stem + 0.2], [up - 0.6, up + 0.6], place);
	return {
		type: 'circle',
		role: 'bead',
		at: [place.x((stem - 0.1) * side), place.y(up)],
		radius: 0.55 * place.scale
	};
}
