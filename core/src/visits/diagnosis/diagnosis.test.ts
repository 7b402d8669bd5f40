/** Diagnoses of made-up cases, worked through as the program proposes. */
import { describe, expect, it } from 'vitest';
import { diagnose, type Diagnosis } from './answer.ts';
import { CAUSES, COMPLAINTS, type Complaint } from './causes.ts';
import { BEFORE_ELSEWHERE, CHECKS, EVIDENCE, evidenceOf, type CheckCode } from './evidence.ts';
import { madeUpCases, type MadeUpCase } from './test/made-up.ts';
import { expectedGain, FIRST_CHECKS, proposedChecks } from './next-check.ts';
import {
	beginning,
	stepOf,
	USUAL_LIKELIHOODS,
	weigh,
	type Found,
	type Likelihoods
} from './weigh.ts';

/** Works a case through, doing what is proposed until nothing is. */
function worked({ complaint, look }: MadeUpCase) {
	let found: Found = {};
	const done: CheckCode[] = [];
	let minutes = 0;
	let diagnosis: Diagnosis = diagnose(complaint, found, done);
	while (diagnosis.next) {
		const { check } = diagnosis.next;
		found = { ...found, ...look(check) };
		done.push(check);
		minutes += CHECKS[check];
		diagnosis = diagnose(complaint, found, done);
	}
	return { diagnosis, minutes, done, found };
}
const ALL_MINUTES = Object.values(CHECKS).reduce((sum, one) => sum + one, 0);
const middle = (list: readonly number[]) => list.toSorted((a, b) => a - b)[list.length >> 1]!;

describe('a diagnosis', () => {
	const cases = madeUpCases(12, 80, 21).map((one) => ({ ...one, ...worked(one) }));
	const faults = cases.filter(({ truth }) => truth !== 'elsewhere' && truth !== 'gauge');
	const inOrder = cases.filter(({ truth }) => truth === 'elsewhere');
	const share = (list: typeof cases, is: (one: (typeof cases)[number]) => boolean) =>
		list.filter(is).length / list.length;

	it('has the right cause first in 90 of 100 cases, once what it proposed was done', () => {
		expect(cases.length).toBeGreaterThanOrEqual(300);
		expect(
			share(cases, ({ diagnosis, truth }) => diagnosis.causes[0]!.cause === truth)
		).toBeGreaterThan(0.9);
	});
	it('takes a fraction of the minutes that checking everything does', () => {
		expect(middle(faults.map(({ minutes }) => minutes)) / ALL_MINUTES).toBeLessThan(0.4);
	});
	it('says “look elsewhere” of trains in order, and hardly ever of a fault', () => {
		expect(
			share(inOrder, ({ diagnosis }) => diagnosis.answer.type === 'elsewhere')
		).toBeGreaterThanOrEqual(0.95);
		expect(
			share(faults, ({ diagnosis }) => diagnosis.answer.type === 'elsewhere')
		).toBeLessThanOrEqual(0.02);
	});
	it('says so only after the train was gone over', () => {
		for (const { diagnosis, done } of inOrder)
			if (diagnosis.answer.type === 'elsewhere')
				expect(done).toEqual(expect.arrayContaining([...BEFORE_ELSEWHERE]));
	});
	it('names no cause as found without a figure or a mark that is there', () => {
		for (const { diagnosis, found } of cases) {
			if (diagnosis.answer.type !== 'cause') continue;
			const behind = diagnosis.causes[0]!.for.filter((code) => found[code] === 1);
			expect(behind.some((code) => EVIDENCE[code].type !== 'said')).toBe(true);
		}
	});
});

describe('the weighing', () => {
	it('begins with what a complaint says, and sums to one', () => {
		for (const complaint of COMPLAINTS) {
			const beliefs = beginning(complaint);
			expect(CAUSES.reduce((sum, cause) => sum + beliefs[cause], 0)).toBeCloseTo(1, 9);
		}
	});
	it('is not moved by what was not looked at, and half as much by a figure near its line', () => {
		const none = weigh('misfire', {});
		expect(none).toEqual(beginning('misfire'));
		const unsure = weigh('misfire', { 'leaks-down': 0.5 });
		for (const cause of CAUSES) expect(unsure[cause]).toBeCloseTo(none[cause], 9);
		const sure = weigh('misfire', { 'leaks-down': 1 })['valve-sealing'];
		const nearly = weigh('misfire', { 'leaks-down': 0.8 })['valve-sealing'];
		expect(nearly).toBeGreaterThan(none['valve-sealing']);
		expect(nearly).toBeLessThan(sure);
	});
	it('counts marks that come together once', () => {
		const odds = (found: Found) => {
			const { surge, fatigue } = weigh('broken-spring', found);
			return surge / fatigue;
		};
		const start = odds({});
		expect(odds({ 'damper-worn': 1, 'coils-polished': 1 }) / start).toBeLessThanOrEqual(20.001);
		expect(odds({ 'damper-worn': 1 }) / start).toBeGreaterThan(15);
	});
	it('takes a shop’s own weights', () => {
		const start = { ...USUAL_LIKELIHOODS.start, misfire: { float: 50 } };
		const own = { ...USUAL_LIKELIHOODS, start };
		expect(diagnose('misfire', {}, [], own).causes[0]!.cause).toBe('float');
	});
	it('takes how often a shop says that a cause brings a finding', () => {
		const own: Likelihoods = { ...USUAL_LIKELIHOODS, steps: { 'leaks-down': { float: 'always' } } };
		const [usual, here] = [undefined, own].map(
			(by) => weigh('misfire', { 'leaks-down': 1 }, by).float
		);
		expect(here!).toBeGreaterThan(3 * usual!);
		expect(stepOf('leaks-down', 'float', own)).toBe('always');
		expect(stepOf('leaks-down', 'float')).toBe('hardly-ever');
		const [usually, then] = [undefined, own].map((by) =>
			expectedGain(beginning('misfire', by), 'leak-down', by)
		);
		expect(then).not.toBe(usually);
	});
	it('begins with its own question where something broke', () => {
		for (const [complaint, check] of Object.entries(FIRST_CHECKS)) {
			expect(diagnose(complaint as Complaint, {}, []).next!.check).toBe(check);
			const done = diagnose(complaint as Complaint, {}, [check]);
			expect(done.next?.check).not.toBe(check);
		}
	});
	it('proposes what tells most for its minutes, and no check twice', () => {
		const [first, ...rest] = proposedChecks('lost-vacuum', {}, []);
		expect(first!.worth).toBeGreaterThanOrEqual(rest[0]!.worth);
		expect(proposedChecks('lost-vacuum', {}, [first!.check])).toHaveLength(rest.length);
		for (const check of Object.keys(CHECKS) as CheckCode[]) {
			expect(evidenceOf(check).length).toBeGreaterThan(0);
			expect(expectedGain(beginning('misfire'), check)).toBeGreaterThanOrEqual(0);
		}
	});
});
