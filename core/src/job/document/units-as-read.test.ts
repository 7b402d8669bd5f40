import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readJob } from './file.ts';
import { unitsAsRead } from './units-as-read.ts';

const demo = (name: string) => {
	const read = readJob(readFileSync(`demo/jobs/${name}.json`, 'utf8'));
	if (!read.ok) throw new Error(name);
	return read.value;
};
const six = demo('2417-straight-six');
const reading = six.readings[0]!;

describe('the units of a job', () => {
	it('are those of its readings, loads in its card’s', () => {
		expect(unitsAsRead(six)).toEqual({ length: 'in', load: 'lbf' });
		expect(unitsAsRead(demo('2409-twin-cam')).length).toBe('mm');
	});
	it('go by most of the readings, whatever the card says', () => {
		const readings = ['46.2 mm', '46.1 mm', '1.82 in'].map((read) => ({ ...reading, read }));
		expect(unitsAsRead({ ...six, readings }).length).toBe('mm');
		expect(unitsAsRead({ ...six, readings: readings.slice(1) }).length).toBe('in');
	});
	it('go by the lifts where nothing was read yet', () => {
		const setup = structuredClone(six.setup);
		for (const kind of Object.values(setup.kinds))
			kind.lift = { type: 'valve', valve: '12.5 mm', source: 'card' } as typeof kind.lift;
		expect(unitsAsRead({ ...six, readings: [], setup }).length).toBe('mm');
	});
	it('take loads that were read before the card’s, and what goes with the lengths where neither is', () => {
		const readings = [{ ...reading, quantity: 'on-head-load' as const, read: '58.2 kgf' }];
		expect(unitsAsRead({ ...six, readings })).toEqual({ length: 'in', load: 'kgf' });
		const setup = structuredClone(six.setup);
		for (const kind of Object.values(setup.kinds)) delete kind.spring;
		const mm = [{ ...reading, read: '46.2 mm' }];
		expect(unitsAsRead({ ...six, readings: mm, setup })).toEqual({ length: 'mm', load: 'N' });
	});
});
