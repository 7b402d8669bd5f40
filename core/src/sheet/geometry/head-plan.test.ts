import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { Job } from '../../index.ts';
import { readJob } from '../../job/document/file.ts';
import { headPlan } from './head-plan.ts';

function demo(name: string): Job {
	const read = readJob(readFileSync(`demo/jobs/${name}.json`, 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	return read.value;
}

describe('the head plan', () => {
	const six = headPlan(demo('2417-straight-six'));
	it('has every station once, those of a bore on either side of its centre', () => {
		const [head] = six;
		expect(head!.valves).toHaveLength(12);
		expect(head!.bores).toHaveLength(6);
		expect(head!.bolts).toHaveLength(7);
		for (const bore of head!.bores) {
			const own = head!.valves.filter((valve) => valve.bore === bore);
			expect(own).toHaveLength(2);
			expect(own[0]!.aside).toBeCloseTo(-own[1]!.aside, 6);
		}
	});
	it('lays the intakes of four valves a cylinder in a row of their own', () => {
		const heads = headPlan(demo('2409-twin-cam'));
		for (const { rows, valves } of heads) {
			expect(rows).toBe(2);
			const across = (kind: string) =>
				new Set(valves.filter((valve) => valve.kind === kind).map((valve) => valve.across));
			expect(across('intake').size).toBe(1);
			expect([...across('intake')]).not.toEqual([...across('exhaust')]);
		}
	});
	it('keeps within the head', () => {
		for (const { bore, aside } of six[0]!.valves) {
			expect(bore + aside / 6).toBeGreaterThan(0);
			expect(bore + aside / 6).toBeLessThan(1);
		}
	});
});
