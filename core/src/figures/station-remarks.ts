/** What is said of a station besides its verdicts: readings that disagree or are stale, what was seen. */
import { lengthOf, mm, type Millimetres, type Newtons } from '../units/quantity.ts';
import { ofLength, ofLoad, say, type Phrase } from '../units/phrase.ts';
import { seenOn } from '../inspection/inspection.ts';
import { holdsVacuum, passagesAtFault, type StationChecks } from '../build-checks/check.ts';
import type { Passage } from '../document/check-words.ts';
import { madeStaleBy, type CurrentReadings } from '../document/current-readings.ts';
import { orderSubject } from '../document/reading-time.ts';
import { bareHeightOf } from './adjust-to-build.ts';
import type { Quantity } from '../document/quantities.ts';
import type { HeadWork, Inspection, Reading } from '../document/schema.ts';
import type { Remark } from './sheet.ts';
import { explainedBy } from '../document/repeats.ts';

export function apartRemedy(apart: Millimetres, reading: Reading, locator: Millimetres): Phrase {
	const by = ofLength(mm(Math.abs(apart)));
	const withoutLocator = lengthOf(reading.inPlace.locator) === 0 || locator === 0;
	const byTheLocator = Math.abs(Math.abs(apart) - locator) < 0.1;
	if (!withoutLocator && byTheLocator) {
		return say`${by} ${apart > 0 ? 'taller' : 'shorter'} than its kind, just the locator’s thickness: was it under the gauge?`;
	}
	return apart > 0
		? say`${by} taller than its kind: look at the seat, it may have sunk`
		: say`${by} shorter than its kind: look at valve, retainer and gauge`;
}

/** Readings of one figure that lie further apart than their gauge can explain. */
export function disagreements(standing: CurrentReadings): Remark[] {
	const [newest, before] = standing['installed height'];
	if (!newest || !before) return [];
	const apart = Math.abs(bareHeightOf(newest) - bareHeightOf(before));
	if (apart <= explainedBy([newest, before])) return [];
	const who = newest.person === before.person ? 'Read twice' : 'Read by two people';
	return [
		{ state: 'watch', text: say`${who}, ${ofLength(mm(apart))} apart: strike one or read again` }
	];
}

const READ_AS: Readonly<Record<Quantity, string>> = {
	'installed height': 'Height',
	'seal gap': 'Seal gap',
	'tip height': 'Tip height',
	'seal gap at lift': 'Seal gap at lift',
	'rocker closed': 'Rocker clearance',
	'rocker half lift': 'Rocker clearance at half lift',
	'rocker full lift': 'Rocker clearance at full lift',
	'seat load': 'On-head load',
	lash: 'Lash',
	preload: 'Preload',
	'built height': 'As-built height',
	'follower shim': 'Follower shim'
};

export function staleReadings(standing: CurrentReadings): Remark[] {
	return [...standing.stale].map(([quantity, work]) => ({
		state: 'not measured',
		text: [`${READ_AS[quantity]} was read before the ${work}: measure again`]
	}));
}

const TRIED: Readonly<Record<'piston to valve' | 'vacuum' | Passage, string>> = {
	'piston to valve': 'Piston to valve was measured',
	vacuum: 'Vacuum was tried',
	pushrod: 'The pushrod’s way was looked at',
	'rocker slot': 'The rocker slot was looked at',
	'tip wipe': 'The tip wipe was looked at'
};

/** What was tried or looked at before something was done to the head. */
export function staleChecks(
	{ stale = [] }: StationChecks,
	seen: Inspection | undefined,
	works: readonly HeadWork[]
): Remark[] {
	const since = seen && madeStaleBy(works, 'stem inspection', Date.parse(seen.at));
	return [
		...stale.map(([what, work]) => `${TRIED[what]} before the ${work}: do it again`),
		...(since ? [`The stem was looked at before the ${since.work}: look again`] : [])
	].map((text) => ({ state: 'not measured', text: [text] }));
}

/** Readings that only a person can put before or after what was done to the head. */
export function orderQuestions(standing: CurrentReadings): Remark[] {
	return standing.open.map(({ reading, work }) => ({
		state: 'not measured',
		about: 'order',
		asks: orderSubject(reading.id, work.id),
		text: [
			`${READ_AS[reading.quantity]} ${reading.read} arrived after the ${work.work}: was it read before or after?`
		]
	}));
}

export function valveSeen(seen: Inspection | undefined): Remark[] {
	return (seen ? seenOn(seen) : []).map(({ state, text }) => ({ state, text: [text] }));
}

/**
 * An on-head load against what the spring's curve gives at this height; further
 * apart than the band it is a finding with its likely causes.
 */
export function headLoadRemarks(
	read: Newtons | null,
	expected: Newtons | null,
	band: number
): Remark[] {
	if (read === null || expected === null) return [];
	const apart = read / expected - 1;
	if (Math.abs(apart) <= band) return [];
	const percent = `${Math.abs(100 * apart).toFixed(0)} %`;
	return [
		{
			state: 'watch',
			about: 'on-head load',
			limit: band,
			text:
				apart < 0
					? say`On the head ${ofLoad(read)}, ${percent} under what the curve gives here: shim left out, wrong spring, or the tester’s factor`
					: say`On the head ${ofLoad(read)}, ${percent} over what the curve gives here: wrong spring, a shim too many, or the tester’s factor`
		}
	];
}

/** A port that did not hold its vacuum, a passage that touches. */
export function checkRemarks(checks: StationChecks): Remark[] {
	const { vacuum } = checks;
	return [
		...(vacuum && !holdsVacuum(vacuum)
			? [
					{
						state: 'stop' as const,
						text: [
							`Port held ${vacuum.reached} of the ${vacuum.least} wanted: look at seat, guide and seal`
						]
					}
				]
			: []),
		...passagesAtFault(checks).map((passage) => ({
			state: 'stop' as const,
			text: [`${FAULT_OF[passage]}${noteOf(checks.passages[passage]?.note)}`]
		}))
	];
}

const noteOf = (note: string | undefined) => (note ? `: ${note}` : '');
const FAULT_OF: Readonly<Record<Passage, string>> = {
	pushrod: 'Pushrod touches on its way',
	'rocker slot': 'Rocker slot touches the stud or shaft',
	'tip wipe': 'The rocker wipes off the middle of the tip'
};
