/** What readings come to in another build than the one they were taken in (docs/trade/sheet.md). */
import { lengthOf, mm, type Millimetres } from '../../foundation/units/index.ts';
import { bareHeight, sealGap, tipHeight, type InPlace } from '../../foundation/station/index.ts';
import {
	trueFigure,
	type InPlaceEntry,
	type KindSetup,
	type Reading
} from '../../job/document/index.ts';

/** What was under the gauge, from a reading. */
export function inPlaceOf(reading: Reading): InPlace {
	const parts: InPlaceEntry = reading.inPlace;
	return {
		locator: lengthOf(parts.locator),
		shims: totalOf(parts.shims.map(lengthOf)),
		lockOffset: lengthOf(parts.lockOffset),
		recess: lengthOf(parts.recess),
		correction: mm(trueFigure(reading) - lengthOf(reading.read)),
		retainerLanding: lengthOf(parts.retainerLanding)
	};
}

/**
 * The bare height that a height reading stands for. Source: docs/trade/sheet.md.
 *
 * @returns mm, pocket floor to retainer landing with standard locks and nothing underneath
 */
export const bareHeightOf = (reading: Reading): Millimetres =>
	bareHeight(lengthOf(reading.read), inPlaceOf(reading));

/** A reading of length as its gauge should have read. */
export const lengthRead = (reading: Reading): Millimetres => mm(trueFigure(reading));

/**
 * The tip height of the build, `E = E_m − (o − o_m) + cap`; a cap that was on
 * when it was measured is in the reading. Source: docs/trade/sheet.md.
 */
export function tipHeightForBuild(
	reading: Reading,
	offset: Millimetres,
	parts: KindSetup
): Millimetres {
	const then = reading.inPlace;
	const cap = lengthOf(parts.lashCap?.thickness ?? '0 mm') - lengthOf(then.lashCap ?? '0 mm');
	return tipHeight(lengthRead(reading), {
		measuredOffset: lengthOf(then.lockOffset),
		offset,
		capThicker: mm(cap)
	});
}

/**
 * How much higher the build's retainer has its underside than the one that stood
 * there when the gap was read, ground-off included. A reading that does not say
 * how its retainer was ground counts as read with it as it is: that errs on the
 * side of less room.
 */
function undersideHigher({ inPlace }: Reading, { retainer }: KindSetup): Millimetres {
	const ground = lengthOf(retainer?.groundOff ?? '0 mm');
	const groundThen = inPlace.groundOff === undefined ? ground : lengthOf(inPlace.groundOff);
	const shape =
		inPlace.underside !== undefined && retainer?.underside !== undefined
			? lengthOf(retainer.underside) - lengthOf(inPlace.underside)
			: 0;
	return mm(ground - groundThen + shape);
}

/**
 * The seal gap of the build, from the gap as measured. Source: docs/trade/sheet.md.
 *
 * @param offset lock offset of the build, in mm
 * @returns mm; what is not known of retainer or seal then is taken to be as now
 */
export function sealGapForBuild(
	reading: Reading,
	offset: Millimetres,
	parts: KindSetup
): Millimetres {
	const then = reading.inPlace;
	const taller =
		then.sealHeight && parts.seal?.height
			? lengthOf(parts.seal.height) - lengthOf(then.sealHeight)
			: 0;
	return sealGap(lengthRead(reading), {
		measuredOffset: lengthOf(then.lockOffset),
		offset,
		sealTaller: mm(taller),
		undersideHigher: undersideHigher(reading, parts)
	});
}

/**
 * Rocker to retainer of the build, `R = R_m − (o − o_m) + cap`, by the same
 * rule as the tip. Source: docs/trade/sheet.md.
 */
export const rockerClearanceForBuild = tipHeightForBuild;

/**
 * Retainer to seal at full lift, read there: locks, seals and retainers move it as
 * they move the closed gap, and a lifter that pumps up takes its part off (docs/trade/sheet.md).
 */
export const sealGapAtLiftForBuild = (
	reading: Reading,
	offset: Millimetres,
	parts: KindSetup,
	pumpUp: Millimetres
): Millimetres => mm(sealGapForBuild(reading, offset, parts) - pumpUp);

const totalOf = (lengths: readonly number[]) =>
	mm(lengths.reduce((sum, length) => sum + length, 0));
