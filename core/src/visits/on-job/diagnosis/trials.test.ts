/** The diagnosis of made-up heads whose faults are known, one and two at a time, with the checks done as it proposes them. The 2,400 heads of bench:diagnosis are the measure; these are a sample of them. */
import { describe, expect, it } from 'vitest';
import { BEFORE_ELSEWHERE, CHECKS, EVIDENCE, type EvidenceRule } from '../../diagnosis/index.ts';
import { madeUpHeads } from './test/made-up-heads.ts';
import { program } from './test/program.ts';
import { fullyChecked, rightCauses, tally, worked } from './test/trials.ts';

const heads = madeUpHeads(150, 36);
const all = heads.map((head) => worked(head, program));
const counts = tally(all);
const ALL_MINUTES = Object.values(CHECKS).reduce((sum, one) => sum + one, 0);

describe('a diagnosis', () => {
	it('has a right cause first in 95 of 100 heads, once what it proposed was done', () => {
		expect(counts.rightFirst).toBeGreaterThanOrEqual(0.95);
	});
	it('names a wrong cause in fewer than 3 of 100', () => {
		expect(counts.wrongNamed).toBeLessThan(0.03);
	});
	it('condemns a good spring in fewer than 1 of 100', () => {
		expect(counts.needlessSprings).toBeLessThan(0.01);
	});
	it('shows a stop at every dangerous fault that a check has found', () => {
		expect(counts.dangerous).toBeGreaterThan(30);
		expect(counts.dangerousUnstopped).toBe(0);
	});
	it('says “most likely” where it is right in 9 of 10, and “suspected” where it is right in half', () => {
		expect(counts.mostLikely.right).toBeGreaterThan(0.9);
		expect(counts.suspected.right).toBeGreaterThan(0.5);
	});
	it('takes a fraction of the minutes that checking everything does', () => {
		expect(counts.minutes / ALL_MINUTES).toBeLessThan(0.4);
	});
	it('says “not the valvetrain” hardly ever of a fault, and only once all of it was checked', () => {
		const [, ofFaults] = counts.elsewhere;
		expect(ofFaults).toBeLessThanOrEqual(0.02);
		for (const { answer, done } of all)
			if (answer.named.some(({ causes }) => causes.includes('elsewhere')))
				expect(done).toEqual(expect.arrayContaining([...BEFORE_ELSEWHERE]));
	});
	it('names nothing wrong of a head in order, on another tester or a warm engine either', () => {
		const inOrder = all.filter(({ head }) => head.faults.length === 0);
		const wrong = inOrder.filter(({ head, answer }) =>
			answer.named.some(({ causes }) => !causes.some((cause) => rightCauses(head).has(cause)))
		);
		expect(inOrder.length).toBe(30);
		expect(wrong.length).toBeLessThanOrEqual(1);
	});
	it('names no cause without a figure or a mark that supports it', () => {
		for (const { answer, head, done } of all) {
			const found = done.flatMap((check) => Object.entries(head.check(check).evidence));
			const isHearsay = (code: string) => EVIDENCE[code as keyof typeof EVIDENCE].type === 'said';
			const onlySaid = found.every(([code, { surely }]) => surely < 0.5 || isHearsay(code));
			const hasChanges = head.faults.length > 0 || head.conditions.warmer > 0;
			if (onlySaid && !hasChanges && !head.conditions.isAnotherTester)
				for (const { causes } of answer.named) expect(causes).toEqual(['elsewhere']);
		}
	});
	it('names both of two faults once everything was checked, more often than by its own checks alone', () => {
		const full = tally(heads.map((head) => fullyChecked(head, program)));
		expect(full.allNamed[2]!).toBeGreaterThan(counts.allNamed[2]!);
		expect(full.wrongNamed).toBeLessThan(0.03);
	});
	it('states for every cause what it produces', () => {
		const produced = new Set(
			Object.values(EVIDENCE).flatMap((rule) => Object.keys((rule as EvidenceRule).by))
		);
		expect(produced.has('adjuster-loose')).toBe(true);
		expect(produced.has('temperature')).toBe(true);
	});
});
