/**
 * The stack of one station as a drawing, in millimetres: x from the stem's
 * axis, y up from the pocket floor. Heights are the sheet's own figures;
 * diameters come from the parts where they are known and are assumed where
 * they are not, which the drawing says.
 */
import type { KindSetup } from '../../job/document/index.ts';
import type { KindSheet, StationSheet } from '../figures/index.ts';
import type { Groove } from '../../parts/part/index.ts';
import { lengthOf } from '../../foundation/units/index.ts';
import { retainerShape } from './retainer.ts';
import type { Role } from './shape.ts';

export interface Coils {
	/** From the axis to the middle of the wire; of every turn where they differ. */
	readonly at: number;
	readonly turnsAt?: readonly number[];
	readonly radius: number;
	readonly heights: readonly number[];
}

export interface Half {
	readonly landing: number;
	readonly underside: number;
	readonly tip: number;
	readonly coils: readonly (Coils & { readonly inner: boolean })[];
}

/** What the valve closes: hinted at, for neither port nor seat is measured here. */
export interface Port {
	/** From the pocket floor down to the seat. */
	readonly depth: number;
	/** Half the diameter of the valve's head. */
	readonly head: number;
	/** How far the right half's valve is off its seat. */
	readonly lift: number;
	/** The guide ends so far below the pocket floor. */
	readonly guide: number;
}

/**
 * Frozen in signed sheets: what was added since the first is optional, and drawn only where it is.
 */
export interface Drawing {
	readonly stem: number;
	readonly outside: number;
	readonly floor: {
		readonly shims: readonly { from: number; to: number }[];
		readonly seat: number;
	};
	readonly retainer: readonly (readonly [number, number])[];
	readonly lock: readonly (readonly [number, number])[];
	readonly closed: Half;
	readonly open: Half;
	readonly sealTop: number | null;
	readonly bind: number | null;
	readonly top: number;
	readonly assumed: boolean;
	/** The parts whose sizes nobody gave. */
	readonly assumedParts?: readonly Role[];
	readonly port?: Port;
	/** Flat strip between the coils of a damped spring: from the axis, and how thick. */
	readonly damper?: { readonly at: number; readonly thickness: number };
	/** Grooves of the stem that the locks' beads lie in, above the landing. */
	readonly beads?: { readonly shape: Groove; readonly heights: readonly number[] };
	readonly cap?: { readonly thickness: number; readonly radius: number };
	readonly hasWafer?: boolean;
	readonly sealOn?: 'guide' | 'locator';
	/** What centres the spring: a spigot within it, or a lip around it. */
	readonly centred?: { readonly by: 'inside' | 'outside'; readonly height: number };
}

const ASSUMED_OUTER = { outside: 34, wire: 4.2 };
const ASSUMED_STEM = 8;
/** How far locks stand above the landing, and the tip above them where it is not known. */
const LOCKS_TOP = 5;
const USUAL_TIP = 5;
/** How far the hub reaches below its lowest landing. */
const HUB_BELOW = 1.4;
/** Taper of locks that nobody gave, in degrees. */
const USUAL_ANGLE = 8;
const DAMPER = 1;
/** Where the first groove lies above the landing with standard locks, and the next ones. */
const GROOVE_AT = 2.6;
const GROOVES_APART = 1.1;
/** How deep seat and guide are drawn. */
const PORT_DEPTH = 25;
const GUIDE_END = 15;
const SPIGOT = 3;

/**
 * The section of a valve as plain values in mm, closed on the left and at a lift on the right.
 * Diameters that nobody gave are assumed, and said to be; port and seat are a hint.
 *
 * @param lift of the right half, in mm
 * @returns null where the height is not known: nothing would be to scale
 */
export function drawingOf(
	station: StationSheet,
	kind: KindSheet,
	parts: KindSetup,
	lift: number
): Drawing | null {
	const height = station.figures.height.figure;
	if (height === null) return null;

	const { spring: card, retainer, locator, locks, valve, lashCap, seal } = parts;
	const outer = sizes(card?.outer) ?? ASSUMED_OUTER;
	const inner = sizes(card?.inner);
	const stem = valve?.stem ? lengthOf(valve.stem) / 2 : ASSUMED_STEM / 2;
	const step = inner ? lengthOf(retainer?.step ?? '0 mm') : 0;
	const hub = inner ? step + HUB_BELOW : HUB_BELOW + 1.2;
	const { shims, floor } = stackOf(station);
	const seat = floor + station.stack.locator;
	const coils = coilsOf(parts, { outer, inner, step, seat });

	const half = (opened: number): Half => {
		const landing = seat + height - opened;
		return {
			landing,
			underside: landing - hub,
			tip: landing + LOCKS_TOP + (station.tipHeight ?? USUAL_TIP),
			coils: coils(landing)
		};
	};
	const closed = half(0);
	const gap = station.sealGap;
	const isAssumed = !card?.outer || !valve?.stem;

	return {
		stem,
		outside: outer.outside / 2,
		floor: { shims, seat },
		...retainerShape({
			outer,
			inner,
			stem,
			step,
			hub,
			locksTop: LOCKS_TOP,
			angle: locks?.angle ?? retainer?.angle ?? USUAL_ANGLE,
			landings: (retainer?.landings ?? []).map((landing) => lengthOf(landing) / 2)
		}),
		closed,
		open: half(lift),
		sealTop: gap === null ? null : closed.underside - gap,
		bind: kind.bind ? seat + kind.bind.height : null,
		top: closed.tip + (lashCap ? lengthOf(lashCap.thickness) : 0),
		assumed: isAssumed,
		assumedParts: assumedOf(parts),
		port: {
			depth: PORT_DEPTH,
			head: Math.max(valve?.head ? lengthOf(valve.head) / 2 : outer.outside / 2, stem + 4),
			lift,
			guide: GUIDE_END
		},
		...damperOf(card?.build, outer, inner),
		...(locks?.bead && { beads: beadsOf(locks.bead, station.stack.lockOffset) }),
		...(lashCap && { cap: { thickness: lengthOf(lashCap.thickness), radius: stem + 1.6 } }),
		...(valve?.tip === 'wafer' && { hasWafer: true }),
		...(seal && { sealOn: seal.bottomsOn ?? 'guide' }),
		...(locator?.locatesOn && { centred: { by: locator.locatesOn, height: SPIGOT } })
	};
}

/** Shims from the pocket floor up, and where they end. */
function stackOf({ stack }: StationSheet) {
	const shims: { from: number; to: number }[] = [];
	let floor = 0;
	for (const shim of stack.shims) {
		shims.push({ from: floor, to: floor + shim });
		floor += shim;
	}
	return { shims, floor };
}

interface Sizes {
	readonly outside: number;
	readonly wire: number;
}
const sizes = (given: { outside: string; wire: string } | undefined): Sizes | null =>
	given ? { outside: lengthOf(given.outside), wire: lengthOf(given.wire) } : null;

/** The coils of a spring under its landing, by its build. */
function coilsOf(
	{ spring: card, locator }: KindSetup,
	at: {
		readonly outer: Sizes;
		readonly inner: Sizes | null;
		readonly step: number;
		readonly seat: number;
	}
) {
	const { outer, inner, step, seat } = at;
	const rise = inner ? lengthOf(locator?.innerRise ?? '0 mm') : 0;
	const bind = card?.bind ? lengthOf(card.bind) : outer.wire * 6;
	const innerBind = card?.innerBind ? lengthOf(card.innerBind) : bind - step;
	const top = card?.topOutside ? lengthOf(card.topOutside) : outer.outside;
	const coil = (size: Sizes, from: number, to: number, solid: number, isInner: boolean) => {
		const turns = Math.max(3, Math.round(solid / size.wire));
		const bottom = (size.outside - size.wire) / 2;
		const narrow = isInner ? bottom : (top - size.wire) / 2;
		return {
			at: bottom,
			...(narrow < bottom && {
				turnsAt: Array.from(
					{ length: turns },
					(_, i) => bottom - (bottom - narrow) * narrowing(card?.build, i / (turns - 1))
				)
			}),
			radius: size.wire / 2,
			heights: spread(from + size.wire / 2, to - size.wire / 2, turns),
			inner: isInner
		};
	};
	return (landing: number) => [
		coil(outer, seat, landing, bind, false),
		...(inner ? [coil(inner, seat + rise, landing - step, innerBind, true)] : [])
	];
}

/** How much of its narrowing a spring has at this part of its height: a cone evenly, a beehive near its top. */
const narrowing = (build: string | undefined, up: number) =>
	build === 'beehive' ? Math.max(0, (up - 0.5) / 0.5) ** 1.6 : up;

function spread(from: number, to: number, count: number): number[] {
	return Array.from({ length: count }, (_, i) => from + ((to - from) * i) / (count - 1));
}

/** A damper lies within the outer coil. */
const damperOf = (build: string | undefined, outer: Sizes, inner: Sizes | null) =>
	build?.includes('damper')
		? {
				damper: {
					at: (outer.outside / 2 - outer.wire + (inner ? inner.outside / 2 : 0)) / (inner ? 2 : 1),
					thickness: DAMPER
				}
			}
		: {};

/** Standard locks lie in grooves of one place; others hold the retainer so far from there. */
const beadsOf = (shape: Groove, offset: number) => ({
	shape,
	heights: Array.from(
		{ length: shape === 'multi-bead' ? 3 : 1 },
		(_, i) => GROOVE_AT - offset - i * GROOVES_APART
	)
});

function assumedOf({ spring, valve, retainer, locks }: KindSetup): Role[] {
	const roles: Role[] = ['casting', 'port', 'seat-insert', 'guide'];
	if (!spring?.outer) roles.push('coil');
	if (!valve?.stem || !valve.head) roles.push('valve');
	if (!retainer?.landings) roles.push('retainer');
	if (locks?.angle === undefined) roles.push('lock');
	return roles;
}

/** Where least is left before coil bind: the station worth drawing; null where no margin is known. */
export const tightestStation = (
	stations: readonly {
		readonly label: string;
		readonly figures: {
			readonly bindMargin?: { readonly figure: number | null } | null | undefined;
		};
	}[]
): string | null =>
	stations.reduce<{ label: string; left: number } | null>((min, { label, figures }) => {
		const left = figures.bindMargin?.figure ?? null;
		return left === null || (min && min.left <= left) ? min : { label, left };
	}, null)?.label ?? null;
