import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { cutEffects } from './cut-effects.ts';
import { readJob } from '../../job/document/file.ts';
import type { HeadWork } from '../../job/document/index.ts';

const read = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
if (!read.ok) throw new Error(JSON.stringify(read.problems));
const six = read.value;
const setup = { ...six.setup, camAt: 'block', lifters: 'solid', valveAngle: 20 } as const;
let count = 0;
const work = (more: Partial<HeadWork>): HeadWork => ({
	id: `0197a66a-0000-7000-8000-${String(++count).padStart(12, '0')}`,
	person: six.people[0]!.id,
	at: '2026-11-21T08:00:00.000Z',
	work: 'deck-cut',
	...more
});

describe('cuts of a job', () => {
	it('add up over head and block, less a thicker gasket', () => {
		const { nearer, kinds, compression } = cutEffects({
			headWork: [
				work({ cut: '0.6 mm' }),
				work({ work: 'block-cut', cut: '0.5 mm' }),
				work({ work: 'other-gasket', thicker: '0.1 mm' })
			],
			setup
		});
		expect(nearer).toBeCloseTo(1, 9);
		// A ratio of 1.5 closes the lash by 1.5 mm; 1 mm over the cosine of 20°.
		expect(kinds[0]!.effect.lash).toBeCloseTo(1.5, 9);
		expect(kinds[0]!.effect.pistonToValve).toBeCloseTo(1.0642, 4);
		expect(compression!.after).toBeGreaterThan(compression!.before!);
	});
	it('are the other way round under a thicker gasket alone', () => {
		const headWork = [work({ work: 'other-gasket', thicker: '0.4 mm' })];
		const { nearer, kinds, compression } = cutEffects({ headWork, setup });
		expect(nearer).toBeCloseTo(-0.4, 9);
		expect(kinds[0]!.effect.lash).toBeCloseTo(-0.6, 9);
		expect(compression!.after).toBeLessThan(compression!.before!);
	});
	it('change compression from the ratio stated before, bore, stroke and cut alone', () => {
		const headWork = [work({ cut: '1.0 mm' })];
		const given = { bore: '100 mm', stroke: '80 mm', chamberOpen: 1 };
		const after = (compression: typeof setup.compression) =>
			cutEffects({ headWork, setup: { ...setup, compression } }).compression;
		// Swept 628.3 cc; clearance 78.54 before and 7.85 less after: (628.3 + 70.69) ÷ 70.69.
		expect(after({ ...given, ratio: 9 })).toEqual({ before: 9, after: expect.closeTo(9.889, 3) });
		expect(after({ ...given, ratio: 9, chamber: '60 cc' })!.before).toBe(9);
		expect(after(given)).toBeNull();
		// All volumes known say it better than what somebody stated.
		const volumes = { chamber: '60 cc', gasket: '8 cc', deck: '2 cc' };
		expect(after({ ...given, ...volumes, ratio: 9 })!.before).toBeCloseTo(9.976, 3);
		// More than the whole clearance cannot be cut away.
		expect(after({ ...given, ratio: 30, chamberOpen: 1.2, stroke: '10 mm' })!.after).toBeNull();
	});
	it('leave out what was taken back', () => {
		const cut = work({ cut: '0.6 mm' });
		const headWork = [cut, work({ withdraws: cut.id, note: 'the other head' })];
		expect(cutEffects({ headWork, setup }).nearer).toBe(0);
	});
});
