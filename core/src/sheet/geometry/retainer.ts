/** Retainer and lock as outlines in mm: x from the stem's axis, y from the retainer's outer landing. */
import type { PlanePoint } from './shape.ts';

/** How far the retainer's rim and its middle are drawn above the landing. */
const RIM = 2.2;
const TOP = 4.6;
/** Metal left outside the taper, and between it and the stem at its foot. */
const WALL = 1.6;
const FOOT = 1.1;
/** Room between a landing's shoulder and the coil on it. */
const ROOM = 0.3;

interface Stack {
	readonly outer: { readonly outside: number; readonly wire: number };
	readonly inner: { readonly outside: number; readonly wire: number } | null;
	readonly stem: number;
	/** How much deeper the inner landing lies. */
	readonly step: number;
	/** How far the hub reaches below the outer landing. */
	readonly hub: number;
	readonly locksTop: number;
	/** Of the taper, in degrees to the axis. */
	readonly angle: number;
	/** Radii of the landings' shoulders, outermost first; empty where nobody gave them. */
	readonly landings: readonly number[];
}

/** Outlines of one half of retainer and lock; landings that nobody gave follow the coils. */
export function retainerShape({
	outer,
	inner,
	stem,
	step,
	hub,
	locksTop,
	angle,
	landings
}: Stack): { readonly retainer: PlanePoint[]; readonly lock: PlanePoint[] } {
	const rim = outer.outside / 2 + 0.4;
	const foot = stem + FOOT;
	const out = (up: number) => foot + Math.tan((angle * Math.PI) / 180) * (up + hub);
	const topWidth = out(TOP) + WALL;
	const shoulderOf = (coil: typeof outer, given: number | undefined) =>
		Math.max(given ?? coil.outside / 2 - coil.wire - ROOM, foot + 0.8);
	const first = Math.min(shoulderOf(outer, landings[0]), rim - 0.6);
	const last = inner ? Math.min(shoulderOf(inner, landings[1]), first) : first;
	const retainer: PlanePoint[] = [
		[rim, 0],
		[first, 0],
		...(inner
			? ([
					[first, -step],
					[last, -step]
				] as PlanePoint[])
			: []),
		[last, -hub],
		[foot, -hub],
		[out(TOP), TOP],
		[Math.min(topWidth, rim), TOP],
		[Math.min(Math.max(first, topWidth), rim), RIM],
		[rim, RIM]
	];
	const lock: PlanePoint[] = [
		[stem, -hub],
		[foot, -hub],
		[out(locksTop), locksTop],
		[stem, locksTop]
	];
	return { retainer, lock };
}
