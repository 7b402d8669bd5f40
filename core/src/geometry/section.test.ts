import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import { evaluate, lengthOf, partsOf, type Job } from '../index.ts';
import { readJob } from '../document/file.ts';
import { drawingOf } from './section.ts';

let job: Job;
beforeEach(() => {
	const read = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	job = read.value;
});
function draw(label: string, lift = 0) {
	const sheet = evaluate(job);
	const station = sheet.stations.find((one) => one.label === label)!;
	const entry = job.stations.find((one) => one.label === label)!;
	return { station, drawing: drawingOf(station, station.shared, partsOf(job.setup, entry), lift) };
}

describe('the section', () => {
	it('stands to scale: from the seat of the stack to the landing is the installed height', () => {
		const { station, drawing } = draw('4E');
		expect(drawing!.closed.landing - drawing!.floor.seat).toBeCloseTo(
			station.figures.height.figure!,
			6
		);
	});
	it('takes the lift off the right half only', () => {
		const { drawing } = draw('4E', 10);
		expect(drawing!.closed.landing - drawing!.open.landing).toBeCloseTo(10, 6);
		expect(drawing!.closed.tip - drawing!.open.tip).toBeCloseTo(10, 6);
	});
	it('lays shims under the locator, and the spring is shorter by them', () => {
		const before = draw('4E').drawing!;
		job.stations.find(({ label }) => label === '4E')!.shims = ['0.030 in', '0.015 in'];
		const after = draw('4E').drawing!;
		expect(after.floor.shims).toHaveLength(2);
		expect(after.floor.seat - before.floor.seat).toBeCloseTo(lengthOf('0.045 in'), 6);
		expect(after.closed.landing).toBeCloseTo(before.closed.landing, 6);
	});
	it('draws both coils of a dual spring, inner ones lower by the step', () => {
		const coils = draw('1I').drawing!.closed.coils;
		expect(coils.some(({ inner }) => inner)).toBe(true);
		expect(coils.some(({ inner }) => !inner)).toBe(true);
	});
	it('shows the seal only where its gap was measured, and says what it assumed', () => {
		expect(draw('4E').drawing!.sealTop).toBeNull();
		expect(draw('1I').drawing!.sealTop).not.toBeNull();
		delete job.setup.kinds.intake.spring!.outer;
		expect(draw('1I').drawing!.assumed).toBe(true);
	});
	it('stands the tip above the locks by what was measured', () => {
		const usual = draw('1I').drawing!.closed;
		expect(draw('1I').station.tipHeight).toBeNull();
		const height = job.readings.find(({ station }) => station === '1I')!;
		const reading = { ...height, id: crypto.randomUUID(), read: '0.140 in' };
		job.readings.push({ ...reading, quantity: 'tip-height' });
		const { station, drawing } = draw('1I');
		const above = drawing!.closed.tip - drawing!.closed.landing;
		expect(above - (usual.tip - usual.landing)).toBeCloseTo(station.tipHeight! - 5, 6);
		expect(drawing!.top).toBe(drawing!.closed.tip);
	});
	it('is not drawn before the height is known', () => {
		expect(draw('6E').drawing).toBeNull();
	});
});
