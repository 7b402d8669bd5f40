import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readJob } from '../../../job/document/file.ts';
import { evaluate } from '../../../sheet/evaluation/index.ts';
import { lengthOf } from '../../../foundation/units/index.ts';
import { tallestHeight } from './index.ts';

const read = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
if (!read.ok) throw new Error(JSON.stringify(read.problems));
const job = read.value;

describe('the tallest height of a spring on a job', () => {
	it('is that of the tallest valve that has its card, with its shims out', () => {
		const heightAt = (label: string) =>
			evaluate(job).stations.find((one) => one.label === label)!.figures.height.figure!;
		const tallest = tallestHeight(job, job.setup.kinds.exhaust.spring!.id)!;
		// 4E stands tallest in this head, with nothing under it.
		expect(job.stations.find(({ label }) => label === '4E')!.shims).toEqual([]);
		expect(tallest).toBeCloseTo(heightAt('4E'), 9);
		const shimmed = structuredClone(job);
		shimmed.stations.find(({ label }) => label === '4E')!.shims = ['0.030 in'];
		expect(tallestHeight(shimmed, undefined)).toBeCloseTo(tallest, 9);
	});
	it('is not known for a card that no valve has, nor before a height is read', () => {
		expect(tallestHeight(job, 'another')).toBeNull();
		expect(tallestHeight({ ...job, readings: [] }, undefined)).toBeNull();
	});
});

describe('a valve outside the test of its springs', () => {
	it('says how far the test went and that it is to go further', () => {
		const copy = structuredClone(job);
		const card = copy.setup.kinds.intake.spring!;
		const tall = evaluate(job).stations.find(({ label }) => label === '1I')!.figures.height.figure!;
		const end = tall - 0.127;
		const point = (height: number, load: string) => ({ height: `${height.toFixed(4)} mm`, load });
		card.tested = { points: [point(end, '600 N'), point(end - 20, '1500 N')] };
		const [remark] = evaluate(copy)
			.stations.find(({ label }) => label === '1I')!
			.remarks.filter(({ text }) => text.code === 'spring.test-further');
		expect(remark?.state).toBe('watch');
		const { params } = remark!.text as { params: { height: number; end: number; way: string } };
		expect(params).toMatchObject({ height: tall, way: 'up' });
		expect(params.end).toBeCloseTo(lengthOf(card.tested.points[0]!.height), 9);
	});
});
