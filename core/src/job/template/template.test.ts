/** A template keeps the engine and none of what was built into it. */
import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { readJob } from '../document/file.ts';
import { Template } from './schema.ts';
import { templateOf } from './index.ts';

const read = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
if (!read.ok) throw new Error(JSON.stringify(read.problems));
const job = read.value;
const named = { id: job.id, name: 'Straight six, two valves' };

it('is the engine: its layout, rockers, pockets, aims and limits', () => {
	const { layout, setup } = templateOf(job, named);
	expect(layout).toEqual(job.engine.layout);
	expect(setup.kinds.intake.rocker).toEqual(job.setup.kinds.intake.rocker);
	expect(setup.kinds.exhaust.pocket).toEqual(job.setup.kinds.exhaust.pocket);
	expect(setup.kinds.exhaust.aim).toEqual(job.setup.kinds.exhaust.aim);
	expect(setup.limits).toEqual(job.setup.limits);
});
it('has no springs, locks, cam or readings, and is of the form that is kept', () => {
	const template = templateOf(job, named);
	expect(Object.keys(template.setup.kinds.intake)).not.toContain('spring');
	expect(template.setup.cam).toBeUndefined();
	expect(template.setup.kinds.intake.lift).toBeUndefined();
	expect(Template.parse(template)).toEqual(template);
});
