/** What is said of a station besides its verdicts: readings that disagree or are stale, what was seen. */
import { lengthOf, mm, type Millimetres } from '../../foundation/units/index.ts';
import { message, type Message } from '../../foundation/message/index.ts';
import { inspectionFindings } from '../../job/inspection/index.ts';
import { holdsAir, passagesAtFault, type StationChecks } from '../checks/index.ts';
import {
	explainedBy,
	madeStaleBy,
	orderSubject,
	type CurrentReadings,
	type HeadWork,
	type Inspection,
	type Passage,
	type Quantity,
	type Reading,
	type Work
} from '../../job/document/index.ts';
import { bareHeightOf } from './adjust-to-build.ts';
import type { Remark } from './remark.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'height.off-by-locator': { readonly by: Millimetres; readonly way: 'taller' | 'shorter' };
		'height.taller': { readonly by: Millimetres };
		'height.shorter': { readonly by: Millimetres };
		'height.readings-disagree': {
			readonly people: 'one' | 'two';
			/** How often it was read in this set; twice where they are of no set. */
			readonly times: number;
			readonly by: Millimetres;
		};
		'reading.stale': { readonly quantity: Quantity; readonly work: Work };
		'reading.order-unknown': {
			readonly quantity: Quantity;
			readonly read: string;
			readonly work: Work;
		};
		'check.stale': { readonly what: 'piston-to-valve' | 'vacuum' | Passage; readonly work: Work };
		'inspection.stale': { readonly work: Work };
		'leak-down.too-much': { readonly loss: number; readonly max: number };
		'passage.contact': { readonly passage: Passage; readonly note: string | null };
	}
}

/** What a bare height outside the rest of its kind looks like. */
export function outlierRemedy(
	deviation: Millimetres,
	reading: Reading,
	locator: Millimetres
): Message {
	const by = mm(Math.abs(deviation));
	const withoutLocator = lengthOf(reading.inPlace.locator) === 0 || locator === 0;
	const byTheLocator = Math.abs(by - locator) < 0.1;
	if (!withoutLocator && byTheLocator)
		return message('height.off-by-locator', { by, way: deviation > 0 ? 'taller' : 'shorter' });
	return message(deviation > 0 ? 'height.taller' : 'height.shorter', { by });
}

/** Readings of one figure that lie further apart than their gauge can explain. */
export function disagreements(current: CurrentReadings): Remark[] {
	const [newest, before] = current['installed-height'];
	if (!newest || !before) return [];
	const apart = Math.abs(bareHeightOf(newest) - bareHeightOf(before));
	if (apart <= explainedBy([newest, before])) return [];
	const by = newest.person === before.person ? 'one' : 'two';
	const ofSet = current['installed-height'].filter(
		({ set }) => set !== undefined && set === newest.set
	);
	const times = Math.max(2, ofSet.length);
	return [
		{
			state: 'watch',
			text: message('height.readings-disagree', { people: by, times, by: mm(apart) })
		}
	];
}

/** Readings that work on the head has made worthless: each is to be taken again. */
export function staleReadings(current: CurrentReadings): Remark[] {
	return [...current.stale].map(([quantity, work]) => ({
		state: 'not-measured',
		text: message('reading.stale', { quantity, work })
	}));
}

/** What was tried or looked at before something was done to the head. */
export function staleChecks(
	{ stale = [] }: StationChecks,
	seen: Inspection | undefined,
	works: readonly HeadWork[]
): Remark[] {
	const since = seen && madeStaleBy(works, 'stem-inspection', Date.parse(seen.at));
	return [
		...stale.map(([what, work]) => message('check.stale', { what, work })),
		...(since ? [message('inspection.stale', { work: since.work })] : [])
	].map((text) => ({ state: 'not-measured', text }));
}

/** Readings that only a person can put before or after what was done to the head. */
export function orderQuestions(current: CurrentReadings): Remark[] {
	return current.open.map(({ reading, work }) => ({
		state: 'not-measured',
		about: 'order',
		asks: orderSubject(reading.id, work.id),
		text: message('reading.order-unknown', {
			quantity: reading.quantity,
			read: reading.read,
			work: work.work
		})
	}));
}

/** What was seen on a valve, as remarks; none where nobody looked. */
export function inspectionRemarks(seen: Inspection | undefined): Remark[] {
	return seen ? [...inspectionFindings(seen)] : [];
}

/** Passages in which something touches. */
export function checkRemarks(checks: StationChecks): Remark[] {
	const { leakDown } = checks;
	return [
		...passagesAtFault(checks).map((passage): Remark => ({
			state: 'stop',
			text: message('passage.contact', { passage, note: checks.passages[passage]?.note ?? null })
		})),
		...(leakDown && !holdsAir(leakDown)
			? [
					{
						state: 'stop' as const,
						text: message('leak-down.too-much', { loss: leakDown.loss, max: leakDown.max })
					}
				]
			: [])
	];
}
