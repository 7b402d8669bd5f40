/**
 * The stack of one station as a drawing, in millimetres: x from the stem's
 * axis, y up from the pocket floor. Heights are the sheet's own figures;
 * diameters come from the parts where they are known and are assumed where
 * they are not, which the drawing says.
 */
import type { KindSetup } from '../document/index.ts';
import type { KindSheet, StationSheet } from '../figures/index.ts';
import { lengthOf } from '../units/index.ts';

export interface Coils {
	readonly at: number;
	readonly radius: number;
	readonly heights: readonly number[];
}

export interface Half {
	readonly landing: number;
	readonly underside: number;
	readonly tip: number;
	readonly coils: readonly (Coils & { readonly inner: boolean })[];
}

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
}

const ASSUMED_OUTER = { outside: 34, wire: 4.2 };
const ASSUMED_STEM = 8;
/** How far retainer and locks are drawn above the landing. */
const RETAINER_TOP = 4.6;
const LOCKS_TOP = 5;
/** How far the tip stands above the locks, and the hub below the landing, where not known. */
const USUAL_TIP = 5;
const HUB_BELOW = 1.4;

/**
 * The section of a valve as plain values in mm, closed on the left and at a lift on the right.
 * Diameters that nobody gave are assumed, and said to be.
 *
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

	const card = parts.spring;
	const outer = sizes(card?.outer) ?? ASSUMED_OUTER;
	const inner = sizes(card?.inner);
	const stem = parts.valve?.stem ? lengthOf(parts.valve.stem) / 2 : ASSUMED_STEM / 2;
	const step = inner ? lengthOf(parts.retainer?.step ?? '0 mm') : 0;
	const rise = inner ? lengthOf(parts.locator?.innerRise ?? '0 mm') : 0;
	const hub = inner ? step + HUB_BELOW : HUB_BELOW + 1.2;

	const shims: { from: number; to: number }[] = [];
	let floor = 0;
	for (const shim of station.stack.shims) {
		shims.push({ from: floor, to: floor + shim });
		floor += shim;
	}
	const seat = floor + station.stack.locator;
	const turns = (solid: number, wire: number) => Math.max(3, Math.round(solid / wire));
	const bindHeight = card ? lengthOf(card.bind) : outer.wire * 6;
	const innerBind = card?.innerBind ? lengthOf(card.innerBind) : bindHeight - step;

	const half = (opened: number): Half => {
		const landing = seat + height - opened;
		const coil = (
			size: typeof outer,
			from: number,
			to: number,
			solid: number,
			isInner: boolean
		) => ({
			at: (size.outside - size.wire) / 2,
			radius: size.wire / 2,
			heights: spread(from + size.wire / 2, to - size.wire / 2, turns(solid, size.wire)),
			inner: isInner
		});
		return {
			landing,
			underside: landing - hub,
			tip: landing + LOCKS_TOP + (station.tipHeight ?? USUAL_TIP),
			coils: [
				coil(outer, seat, landing, bindHeight, false),
				...(inner ? [coil(inner, seat + rise, landing - step, innerBind, true)] : [])
			]
		};
	};
	const closed = half(0);
	const gap = station.sealGap;

	return {
		stem,
		outside: outer.outside / 2,
		floor: { shims, seat },
		...retainerShape(outer, inner, stem, step, hub),
		closed,
		open: half(lift),
		sealTop: gap === null ? null : closed.underside - gap,
		bind: kind.bind ? seat + kind.bind.height : null,
		top: closed.tip,
		assumed: !card?.outer || !parts.valve?.stem
	};
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
	stations.reduce<{ label: string; left: number } | null>((least, { label, figures }) => {
		const left = figures.bindMargin?.figure ?? null;
		return left === null || (least && least.left <= left) ? least : { label, left };
	}, null)?.label ?? null;

function sizes(given: { outside: string; wire: string } | undefined) {
	return given ? { outside: lengthOf(given.outside), wire: lengthOf(given.wire) } : null;
}

function spread(from: number, to: number, count: number): number[] {
	return Array.from({ length: count }, (_, i) => from + ((to - from) * i) / (count - 1));
}

/** Retainer and lock as outlines about the retainer's landing (y = 0). */
function retainerShape(
	outer: { outside: number; wire: number },
	inner: { outside: number; wire: number } | null,
	stem: number,
	step: number,
	hub: number
) {
	const rim = outer.outside / 2 + 0.4;
	const outerInside = outer.outside / 2 - outer.wire - 0.3;
	const lockFoot = stem + 1.1;
	const lockHead = stem + 2.6;
	const shoulder = inner ? inner.outside / 2 - inner.wire - 0.3 : outerInside;
	const retainer: [number, number][] = [
		[rim, 0],
		[outerInside, 0],
		...(inner
			? ([
					[outerInside, -step],
					[shoulder, -step]
				] as [number, number][])
			: []),
		[shoulder, -hub],
		[lockFoot, -hub],
		[lockHead, RETAINER_TOP],
		[lockHead + 1.6, RETAINER_TOP],
		[outerInside, 2.2],
		[rim, 2.2]
	];
	const lock: [number, number][] = [
		[stem, -hub],
		[lockFoot, -hub],
		[lockHead, LOCKS_TOP],
		[stem, LOCKS_TOP]
	];
	return { retainer, lock };
}
