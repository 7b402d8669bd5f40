/** What the stations of a kind come to in a few figures. */
import { coilBindMargin } from '../../../sheet/clearance/index.ts';
import type { Sheet } from '../../../sheet/evaluation/index.ts';
import type { KindSheet } from '../../../sheet/figures/index.ts';
import type { Kind } from '../../../foundation/station/index.ts';
import { mm, type Millimetres, type Newtons } from '../../../foundation/units/index.ts';

export interface Range<Q extends number> {
	readonly min: Q;
	readonly max: Q;
}

export interface Tally {
	readonly height: Range<Millimetres> | null;
	readonly seat: Range<Newtons> | null;
	readonly open: Range<Newtons> | null;
	readonly bind: Millimetres | null;
	readonly seal: Millimetres | null;
	readonly tip: Millimetres | null;
	/** Height, loads and bind margin are those of the height aimed for, as no height is measured yet. */
	readonly atTarget: boolean;
	readonly stop: number;
	readonly close: number;
	readonly watch: number;
}

function rangeOf<Q extends number>(figures: readonly (Q | null)[]): Range<Q> | null {
	const known = figures.filter((figure) => figure !== null);
	if (known.length === 0) return null;
	return {
		min: known.reduce((a, b) => (b < a ? b : a)),
		max: known.reduce((a, b) => (b > a ? b : a))
	};
}

/** What the stations of a kind come to; before any height is measured, what the height aimed for does. */
export function tallied({ stations, kinds }: Sheet, kind: Kind): Tally {
	const own = stations.filter((station) => station.kind === kind);
	const count = (state: string) => own.filter((station) => station.state === state).length;
	const height = rangeOf(own.map(({ figures }) => figures.height.figure));
	const measured = {
		height,
		seat: rangeOf(own.map(({ figures }) => figures.seatLoad.figure)),
		open: rangeOf(own.map(({ figures }) => figures.openLoad.figure)),
		bind: rangeOf(own.map(({ figures }) => figures.bindMargin.figure))?.min ?? null
	};
	return {
		...(height ? measured : atTarget(kinds[kind])),
		seal: rangeOf(own.map(({ figures }) => figures.sealClearance.figure))?.min ?? null,
		tip: rangeOf(own.map(({ tipHeight }) => tipHeight))?.min ?? null,
		atTarget: height === null && kinds[kind].target.height !== null,
		stop: count('stop'),
		close: count('inconclusive'),
		watch: count('watch')
	};
}

function atTarget({ target: { height }, curve, lift, bind }: KindSheet) {
	const alone = <Q extends number>(figure: Q | null | undefined) => rangeOf([figure ?? null]);
	return {
		height: alone(height),
		seat: alone(height === null ? null : curve?.load(height)),
		open: alone(height === null || !lift ? null : curve?.load(mm(height - lift.net))),
		bind: height === null || !lift || !bind ? null : coilBindMargin(height, lift.worst, bind.height)
	};
}
