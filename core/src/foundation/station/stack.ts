/**
 * The stack at one valve station, valve seated. Zero is the pocket floor; up
 * is towards the tip (docs/trade/sheet.md).
 */
import { mm, type Millimetres } from '../units/index.ts';

/** What was under and around the gauge when a reading was taken. */
export interface InPlace {
	/** Locator thickness; 0 when the gauge stood on the bare pocket. */
	readonly locator: Millimetres;
	/** Sum of the shims under the gauge. */
	readonly shims: Millimetres;
	/** How far the locks held the retainer above (+) or below (−) standard. */
	readonly lockOffset: Millimetres;
	/** How far the retainer sinks into a gauge body that is too large for its landing. */
	readonly recess: Millimetres;
	/** Correction in force for the gauge, added to its reading. */
	readonly correction: Millimetres;
	/** Landing height of the retainer used, against the shop's common datum. */
	readonly retainerLanding: Millimetres;
}

/** What stands, or will stand, at a station. */
export interface Build {
	readonly locator: Millimetres;
	readonly shims: Millimetres;
	readonly lockOffset: Millimetres;
	readonly retainerLanding: Millimetres;
}

/**
 * The height a reading stands for, in millimetres: the gauge's reading less
 * the recess, plus its correction.
 *
 * @example correctedHeight(mm(46.5), { recess: mm(0.2), correction: mm(-0.01), … }) // 46.29
 */
export function correctedHeight(reading: Millimetres, inPlace: InPlace): Millimetres {
	return mm(reading - inPlace.recess + inPlace.correction);
}

/**
 * Bare height `H0 = h_m + S_m + C_m − o_m` in millimetres: pocket floor to
 * retainer landing with standard locks and nothing underneath. It is the
 * station's own number, and only changes when the head, seat or valve is
 * worked on. Source: docs/trade/sheet.md.
 *
 * The landing of the retainer used is taken off as well, so that bare heights
 * taken with different retainers compare.
 *
 * @example a reading of 1.815 in over a 0.060 in locator, standard locks: 1.875 in
 */
export function bareHeight(reading: Millimetres, inPlace: InPlace): Millimetres {
	return mm(
		correctedHeight(reading, inPlace) +
			inPlace.shims +
			inPlace.locator -
			inPlace.lockOffset -
			inPlace.retainerLanding
	);
}

/**
 * Installed height `h = H0 − S − C + o + δ` of a build, in millimetres.
 * Source: docs/trade/sheet.md.
 *
 * @example bare 1.875 in, 0.060 in locator, one 0.030 in shim: 1.785 in
 */
export function installedHeight(bare: Millimetres, build: Build): Millimetres {
	return mm(bare - build.shims - build.locator + build.lockOffset + build.retainerLanding);
}

/**
 * Height left for the inner spring, which rides lower than the outer by the
 * retainer's step and stands higher by the locator's inner rise. Source: docs/trade/sheet.md.
 *
 * @returns mm
 * @example innerHeight(mm(46.2), mm(2.5), mm(0)) // 43.7
 */
export function innerHeight(
	outer: Millimetres,
	retainerStep: Millimetres,
	innerRise: Millimetres
): Millimetres {
	return mm(outer - retainerStep - innerRise);
}

/** Retainer-to-seal gap, valve closed, of a build planned from a measured gap. */
export interface SealChange {
	/** Lock offset when the gap was measured. */
	readonly measuredOffset: Millimetres;
	/** Lock offset of the build. */
	readonly offset: Millimetres;
	/** Seal height of the build less the seal height measured with. */
	readonly sealTaller: Millimetres;
	/** What the build's retainer has its underside higher by than the one read, ground-off included. */
	readonly undersideHigher: Millimetres;
}

/** `D = D_m + (o − o_m) − Δseal height + Δunderside`, in millimetres. Shims do not enter. Source: docs/trade/sheet.md. */
export function sealGap(measured: Millimetres, change: SealChange): Millimetres {
	return mm(
		measured + (change.offset - change.measuredOffset) - change.sealTaller + change.undersideHigher
	);
}

/** Tip height of a build planned from a measured one. */
export interface TipChange {
	/** Lock offset when the tip was measured. */
	readonly measuredOffset: Millimetres;
	readonly offset: Millimetres;
	/** Lash cap of the build less the one measured with. */
	readonly capThicker: Millimetres;
}

/**
 * `E = E_m − (o − o_m) + cap`, in millimetres: plus locks bury the tip, minus
 * locks and lash caps expose it. Source: docs/trade/sheet.md.
 *
 * @example 0.120 in measured with standard locks, plus locks of 0.050 in: 0.070 in
 */
export function tipHeight(measured: Millimetres, change: TipChange): Millimetres {
	return mm(measured - (change.offset - change.measuredOffset) + change.capThicker);
}
