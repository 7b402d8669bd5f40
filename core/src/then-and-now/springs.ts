/** The springs of a head then and now: their loads at one height, with what another tester reads otherwise taken off once that is known. */
import { springAt, type Job } from '../document/index.ts';
import type { StationSheet } from '../figures/index.ts';
import type { Curve } from '../spring/index.ts';
import { mm, newtons } from '../units/index.ts';
import { combinedUncertainty } from '../verdict/index.ts';
import { changeOf, type SpringStanding } from '../visit/index.ts';
import type { QuantityBeside } from './beside.ts';

/** Loads of a tested spring are read to this part of themselves. */
export const TESTER = 0.01;

/** A station of a job with its sheet. */
interface At {
	readonly sheet: StationSheet;
	readonly job: Job;
}
export interface TestedTwice {
	readonly then: SpringStanding;
	readonly now: SpringStanding;
	readonly isOnAnotherTester: boolean;
}

const testerAt = ({ sheet, job }: At) =>
	springAt(
		job.setup,
		job.stations.find(({ label }) => label === sheet.label)!
	)?.tester;

/** A curve as the tester of then would have read it. */
const readAsThen = (curve: Curve, ratio: number): Curve => ({
	...curve,
	load: (height) => {
		const load = curve.load(height);
		return load === null ? null : newtons(load / ratio);
	}
});

/**
 * The spring of a station then and now.
 *
 * @param ratio what the tester of now reads of that of then; null where nobody read a reference on both
 * @returns null where it was not tested both times, or nothing is new
 */
export function springsOf(before: At, back: At, ratio: number | null): TestedTwice | null {
	const [was, is] = [before.sheet.shared.curve, back.sheet.shared.curve];
	const [h0, h1] = [before.sheet.figures.height.figure, back.sheet.figures.height.figure];
	if (was?.from !== 'tested' || is?.from !== 'tested' || h0 === null || h1 === null) return null;
	const heights = [was.lowest, was.highest, is.lowest, is.highest];
	const isTheSameTest =
		was.lowest === is.lowest &&
		was.highest === is.highest &&
		heights.every((height) => was.load(height) === is.load(height));
	if (isTheSameTest) return null;
	const [tester, testerNow] = [testerAt(before), testerAt(back)];
	const isOnAnotherTester = tester !== undefined && testerNow !== undefined && tester !== testerNow;
	const takenOff = isOnAnotherTester ? ratio : null;
	const standing = (curve: Curve, height: number, of: At, read: number) => ({
		curve,
		height: { value: height, uncertainty: of.sheet.uncertainty ?? 0 },
		tester: read
	});
	return {
		isOnAnotherTester,
		then: standing(was, h0, before, TESTER),
		now:
			takenOff === null
				? standing(is, h1, back, TESTER)
				: // The reference was read once on each.
					standing(readAsThen(is, takenOff), h1, back, combinedUncertainty(TESTER, TESTER, TESTER))
	};
}

/** Loads of both tests at the height that the spring stands at now; null where one of them was not tested there. */
export function loadsOf({ then, now, isOnAnotherTester }: TestedTwice): QuantityBeside | null {
	const height = mm(now.height.value);
	const [was, is] = [then.curve.load(height), now.curve.load(height)];
	if (was === null || is === null) return null;
	const figure = (load: number, { tester }: SpringStanding) => ({
		value: load,
		uncertainty: tester * load
	});
	const [before, after] = [figure(was, then), figure(is, now)];
	return {
		then: before,
		now: after,
		change: changeOf(before, after),
		isAnotherGauge: isOnAnotherTester
	};
}
