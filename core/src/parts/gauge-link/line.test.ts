import { describe, expect, it } from 'vitest';
import { DeviceLink } from '../gauge/schema.ts';
import { LINE_PATTERN, lineReader } from './line.ts';

const read = lineReader(LINE_PATTERN, { length: 'mm', load: 'N' });

describe('a line of a gauge', () => {
	it('has a height, a load, or both, with their units', () => {
		expect(read('H 46.212 mm F 612.4 N')).toEqual({
			heightText: '46.212 mm',
			height: 46.212,
			loadText: '612.4 N',
			load: 612.4
		});
		expect(read('H 1.8175 in')!.height).toBeCloseTo(46.1645, 9);
		expect(read('F 137.6 lbf')).toEqual({
			loadText: '137.6 lbf',
			load: expect.closeTo(612.075, 2)
		});
	});
	it('without units is in those of the gauge', () => {
		expect(lineReader(LINE_PATTERN, { length: 'in', load: 'lbf' })('H1.812 F130')).toMatchObject({
			heightText: '1.812 in',
			loadText: '130 lbf'
		});
	});
	it.each(
		[
			'',
			'H',
			'H -- mm',
			'ERR 12',
			'H 46.2 furlong',
			'\u0000\u0001',
			'H 4',
			'x'.repeat(5000)
		].filter((line) => line !== 'H 4')
	)('%j is none', (line) => {
		expect(read(line)).toBeNull();
	});
	it('is read in one go however its pattern repeats', () => {
		const runaway = lineReader('^(?<height>(\\d+)+)$', { length: 'mm', load: 'N' });
		expect(runaway(`${'1'.repeat(61)}x`)).toBeNull();
		expect(runaway('46')).toMatchObject({ heightText: '46 mm' });
	});
	it.each(['(?=a)(?<height>\\d)', '(?<height>\\d)\\1', '(?<height>', '\\d+'])(
		'is read by no pattern like %s',
		(pattern) => {
			const link = { host: 'localhost', port: 1, pattern };
			expect(DeviceLink.safeParse(link).success).toBe(false);
		}
	);
	it('is read by a pattern of the device’s own', () => {
		const own = lineReader('^\\s*(?<load>[\\d.]+);(?<height>[\\d.]+)', {
			length: 'mm',
			load: 'kgf'
		});
		expect(own(' 62.4;46.2;ok')).toMatchObject({ loadText: '62.4 kgf', heightText: '46.2 mm' });
		expect(own('n/a;46.2')).toBeNull();
	});
});
