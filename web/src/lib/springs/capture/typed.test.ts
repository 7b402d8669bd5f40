import { describe, expect, it } from 'vitest';
import { lengthOf, mm } from '@zinc-ledger/core';
import { nextDial, readTypedPoints } from './typed';

const INCHES = { length: 'in', load: 'lbf' } as const;
const due = {
	first: lengthOf('1.840 in'),
	step: lengthOf('0.050 in'),
	stops: [lengthOf('1.820 in'), lengthOf('1.280 in')]
};
const read = (text: string, last: string | null = null) =>
	readTypedPoints(text, INCHES, due, last === null ? null : lengthOf(last));
const points = (text: string, last: string | null = null) => {
	const it = read(text, last);
	if (!it.ok) throw new Error(JSON.stringify(it));
	return it.points.map(({ dial, load }) => `${dial} ${load}`);
};

describe('points as they are typed', () => {
	it('are a dial and a load, in any way that is written', () => {
		expect(points('1820 130\n1.77 147.5\n45 mm; 700 N')).toEqual([
			'1.820 in 130 lbf',
			'1.77 in 147.5 lbf',
			'45 mm 700 N'
		]);
	});
	it('are a load alone where the dial is due', () => {
		expect(points('130\n147\n164')).toEqual([
			'1.840 in 130 lbf',
			'1.820 in 147 lbf',
			'1.770 in 164 lbf'
		]);
		expect(points('300', '1.320 in')).toEqual(['1.280 in 300 lbf']);
	});
	it('start above the tallest valve, stop at seat and full lift, and go on in steps from there', () => {
		const fullLift = due.stops[1]!;
		expect(nextDial(due, lengthOf('1.320 in'))).toBe(fullLift);
		expect(nextDial(due, fullLift)).toBeCloseTo(lengthOf('1.230 in'), 9);
		expect(nextDial(due, mm(lengthOf('1.330 in')))).toBeCloseTo(fullLift, 9);
	});
	it('are refused by their line, all of them', () => {
		expect(read('1.820 130\n1.770 heavy')).toMatchObject({ ok: false, line: 2 });
		expect(readTypedPoints('130', INCHES, null, null)).toMatchObject({ ok: false, line: 1 });
	});
});
