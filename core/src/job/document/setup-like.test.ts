import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { evaluate } from '../../sheet/evaluation/index.ts';
import { readJob } from './file.ts';
import { Setup } from './schema.ts';
import { setupLike } from './setup-like.ts';

const demo = (name: string) => {
	const read = readJob(readFileSync(`demo/jobs/${name}.json`, 'utf8'));
	if (!read.ok) throw new Error(name);
	return read.value;
};
const flat = demo('2405-flat-six');

describe('the set-up of a job like another', () => {
	it('has its parts, aims and limits', () => {
		const like = setupLike(flat);
		expect(Setup.safeParse(like).success).toBe(true);
		expect(like.limits).toEqual(flat.setup.limits);
		expect(like.kinds.intake.valve).toEqual(flat.setup.kinds.intake.valve);
		expect(like.kinds.intake.lift).toEqual(flat.setup.kinds.intake.lift);
		expect(like.kinds.intake.aim).toEqual(flat.setup.kinds.intake.aim);
	});
	it('leaves behind what was tested, counted, told or done at that visit', () => {
		expect(flat.setup.kinds.intake.spring!.tested).toBeDefined();
		const like = setupLike(flat);
		expect(like.springs).toBeUndefined();
		expect(like.kinds.intake.spring!.tested).toBeUndefined();
		expect(like.kinds.intake.spring!.name).toBe(flat.setup.kinds.intake.spring!.name);
		expect(like.use.workDone).toBeUndefined();
		expect(like.use.duty).toBe(flat.setup.use.duty);
		expect(like.shimStock.every(({ count }) => count === undefined)).toBe(true);
		expect(setupLike(demo('2414-on-the-car')).workLocation).toBeUndefined();
	});
	it('has the retainer as it is bought, though that job’s was ground', () => {
		const ground = structuredClone(flat);
		ground.setup.kinds.exhaust.retainer!.groundOff = '0.010 in';
		ground.setup.kinds.exhaust.reused = ['spring'];
		const { exhaust } = setupLike(ground).kinds;
		expect(exhaust.retainer!.groundOff).toBe('0 mm');
		expect(exhaust.reused).toBeUndefined();
	});
	it('leaves the job it was taken from as it is', () => {
		const before = JSON.stringify(flat);
		setupLike(flat);
		expect(JSON.stringify(flat)).toBe(before);
		expect(evaluate(flat).stations).toHaveLength(12);
	});
});
