/** How findings are weighed, and which check comes next. */
import { describe, expect, it } from 'vitest';
import { diagnose } from './answer.ts';
import { CAUSES, COMPLAINTS, type Complaint } from './causes.ts';
import { CHECKS, evidenceOf, type CheckCode } from './evidence.ts';
import { expectedGain, FIRST_CHECKS, proposedChecks } from './next-check.ts';
import {
	beginning,
	stepOf,
	USUAL_LIKELIHOODS,
	weigh,
	weighSets,
	type Found,
	type Likelihoods
} from './weigh.ts';

describe('the weighing', () => {
	it('starts with what a complaint points to, and sums to one over single causes and pairs', () => {
		for (const complaint of COMPLAINTS) {
			const sum = weighSets(complaint, {}).reduce((all, one) => all + one, 0);
			expect(sum).toBeCloseTo(1, 9);
		}
		const { 'valve-sealing': sealing, surge } = beginning('lost-vacuum');
		expect(sealing).toBeGreaterThan(5 * surge);
	});
	it('names a consequence after its root cause', () => {
		const found: Found = { 'piston-mark': 1, 'locks-pulled-in': 1 };
		expect(diagnose('broken-pushrod', found, []).named).toMatchObject([
			{ cause: 'locks-pulled', after: null },
			{ cause: 'valve-met-piston', after: 'locks-pulled' }
		]);
	});
	it('finds two faults that are both there', () => {
		const found: Found = { 'bench-low': 1, 'heights-grown': 1, 'lash-closed': 1 };
		const all = { ...found, 'other-springs': 0, 'control-short': 0 } as const;
		const { answer, named, unexplained } = diagnose('stops-pulling', all, []);
		expect(unexplained).toEqual([]);
		expect(answer).toEqual({ type: 'cause', cause: 'height-grew' });
		expect(named.map(({ cause }) => cause)).toEqual(['height-grew', 'spring-lost-load']);
	});
	it('keeps a figure that no named cause explains in sight', () => {
		const { unexplained } = diagnose('misfire', { 'leaks-down': 1, 'nose-short': 0.6 }, []);
		expect(unexplained).toEqual(['nose-short']);
	});
	it('counts a trial that cured the fault for the cause that it addressed, and one that did not against it', () => {
		const start = weigh('stops-pulling', {}).float;
		const after = (result: 'gone' | 'same') =>
			weigh('stops-pulling', {}, USUAL_LIKELIHOODS, [{ cause: 'float', result }]).float;
		expect(after('gone')).toBeGreaterThan(2 * start);
		expect(after('same')).toBeLessThan(start / 3);
	});
	it('gives the minutes of the checks that remain before it may say that it is not the valvetrain', () => {
		const { beforeElsewhere } = diagnose('misfire', {}, ['heights', 'bench-loads', 'margins']);
		expect(beforeElsewhere.checks).toHaveLength(4);
		expect(beforeElsewhere.minutes).toBe(6 + 15 + 15 + 20);
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
	it('counts marks that occur together once', () => {
		const odds = (found: Found) => {
			const { float, fatigue } = weigh('broken-spring', found);
			return float / fatigue;
		};
		const start = odds({});
		expect(odds({ 'hammered-tips': 1, 'bounce-ring': 1 }) / start).toBeLessThanOrEqual(20.001);
		expect(odds({ 'hammered-tips': 1 }) / start).toBeGreaterThan(8);
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
		const start = beginning('lost-vacuum');
		const [first, ...rest] = proposedChecks('lost-vacuum', start, []);
		expect(first!.worth).toBeGreaterThanOrEqual(rest[0]!.worth);
		expect(proposedChecks('lost-vacuum', start, [first!.check])).toHaveLength(rest.length);
		for (const check of Object.keys(CHECKS) as CheckCode[]) {
			expect(evidenceOf(check).length).toBeGreaterThan(0);
			expect(expectedGain(beginning('misfire'), check)).toBeGreaterThanOrEqual(0);
		}
	});
});
