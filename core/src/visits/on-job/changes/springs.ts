/** The springs of a head then and now: their loads at one height, with what another tester reads otherwise taken off once that is known. */
import { partsOf, springAt, type Job, type StationEntry } from '../../../job/document/index.ts';
import { kindSheet, type StationSheet } from '../../../sheet/figures/index.ts';
import type { Curve } from '../../../springs/spring/index.ts';
import { mm, newtons } from '../../../foundation/units/index.ts';
import { combinedUncertainty } from '../../../foundation/verdict/index.ts';
import { changeOf, type SpringAtHeight } from '../../comparison/index.ts';
import type { QuantityComparison } from './station-comparison.ts';

/** Loads of a tested spring are read to this part of themselves. */
export const TESTER = 0.01;

/** A station of a job with its sheet. */
interface At {
	readonly sheet: StationSheet;
	readonly job: Job;
}
export interface TestedTwice {
	readonly then: SpringAtHeight;
	readonly now: SpringAtHeight;
	readonly isOnAnotherTester: boolean;
}

const entryOf = ({ sheet, job }: At): StationEntry =>
	job.stations.find(({ label }) => label === sheet.label)!;

/** The station with the spring that it had then, wherever that one stands now. */
function withItsSpring(before: At, back: At): StationEntry {
	const spring = springAt(before.job.setup, entryOf(before));
	const { newSpring: _, ...entry } = entryOf(back);
	return { ...entry, ...(spring && { spring: spring.tag }) };
}

/** The height at which the station came back: the seat's own, with the shims of then. */
function cameBackAt(before: At, back: At): number | null {
	const { figure } = back.sheet.figures.height;
	const sum = ({ stack: { shims } }: StationSheet) => shims.reduce((all, shim) => all + shim, 0);
	return figure === null ? null : figure + sum(back.sheet) - sum(before.sheet);
}

/** A curve as the tester of then would have read it. */
const readAsThen = (curve: Curve, ratio: number): Curve => ({
	...curve,
	load: (height) => {
		const load = curve.load(height);
		return load === null ? null : newtons(load / ratio);
	}
});

/** Whether two curves come from one test: they reach as far, and agree at both ends. */
const isSameTest = (one: Curve, other: Curve): boolean =>
	one.lowest === other.lowest &&
	one.highest === other.highest &&
	[one.lowest, one.highest].every((height) => one.load(height) === other.load(height));

/**
 * The spring that a station had then, and the same spring now: at the height at which it came back,
 * whatever was shimmed or changed places since.
 *
 * @param ratio what the tester of now reads of that of then; null where nobody read a reference on both
 * @returns null where it was not tested both times, or nothing is new
 */
export function springsOf(before: At, back: At, ratio: number | null): TestedTwice | null {
	const itself = withItsSpring(before, back);
	const was = before.sheet.shared.curve;
	const { setup } = back.job;
	const stands = entryOf(back);
	const is =
		itself.spring === stands.spring && !stands.newSpring
			? back.sheet.shared.curve
			: kindSheet(itself.kind, partsOf(setup, itself), setup, null).curve;
	const [h0, h1] = [before.sheet.figures.height.figure, cameBackAt(before, back)];
	if (was?.from !== 'tested' || is?.from !== 'tested' || h0 === null || h1 === null) return null;
	if (isSameTest(was, is)) return null;
	const [spring, springNow] = [
		springAt(before.job.setup, entryOf(before)),
		springAt(setup, itself)
	];
	// Another set of the job may have the same tags.
	if (spring?.set !== springNow?.set) return null;
	const [tester, testerNow] = [spring?.tester, springNow?.tester];
	const isOnAnotherTester = tester !== undefined && testerNow !== undefined && tester !== testerNow;
	const takenOff = isOnAnotherTester ? ratio : null;
	const atHeight = (curve: Curve, height: number, of: At, read: number) => ({
		curve,
		height: { value: height, uncertainty: of.sheet.uncertainty ?? 0 },
		tester: read
	});
	return {
		isOnAnotherTester,
		then: atHeight(was, h0, before, TESTER),
		now:
			takenOff === null
				? atHeight(is, h1, back, TESTER)
				: // The reference was read once on each.
					atHeight(readAsThen(is, takenOff), h1, back, combinedUncertainty(TESTER, TESTER, TESTER))
	};
}

/** Loads of both tests at the height that the spring stands at now; null where one of them was not tested there. */
export function loadsOf({ then, now, isOnAnotherTester }: TestedTwice): QuantityComparison | null {
	const height = mm(now.height.value);
	const [was, is] = [then.curve.load(height), now.curve.load(height)];
	if (was === null || is === null) return null;
	const figure = (load: number, { tester }: SpringAtHeight) => ({
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
