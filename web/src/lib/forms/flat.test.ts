import { describe, expect, it } from 'vitest';
import { INCH_POUND, METRIC } from '@zinc-ledger/core';
import { flatten, parsed, unflatten, type FieldSpec } from './flat.ts';

const field = (path: string, type: FieldSpec['type']): FieldSpec => ({ path, label: path, type });
const FIELDS = [
	field('name', 'text'),
	field('outer.wire', 'length'),
	field('outer.outside', 'length'),
	field('landings', 'lengths'),
	field('hard', 'yes-no'),
	field('angle', 'number')
];
const part = {
	name: 'R-1',
	outer: { wire: '0.190 in' },
	landings: ['1.045 in', '0.705 in'],
	hard: false,
	angle: 10,
	secret: 'kept'
};

describe('a document and the texts of its form', () => {
	it('flattens what is there, and leaves empty what is not', () => {
		expect(flatten(part, FIELDS)).toEqual({
			name: 'R-1',
			'outer.wire': '0.190 in',
			'outer.outside': '',
			landings: '1.045 in; 0.705 in',
			hard: 'no',
			angle: '10'
		});
	});
	it('comes back as it was, with what no field shows', () => {
		expect(unflatten(flatten(part, FIELDS), FIELDS, part, INCH_POUND)).toEqual(part);
	});
	it('leaves out a part of which nothing is left, and the base as it was', () => {
		const empty = unflatten({ name: 'R-1', hard: 'yes' }, FIELDS, part, INCH_POUND);
		expect(empty).toEqual({ name: 'R-1', hard: true, secret: 'kept' });
		expect(part.outer.wire).toBe('0.190 in');
	});
});

describe('what a typed text stands for', () => {
	it.each([
		['1820', 'length', '1.820 in'],
		['1,82', 'length', '1.82 in'],
		['46.2 mm', 'length', '46.2 mm'],
		['-50', 'signed-length', '-0.050 in'],
		['130', 'load', '130 lbf'],
		['130 N', 'load', '130 N'],
		['340', 'rate', '340 lbf/in'],
		['27.5', 'mass', '27.5 g'],
		['38', 'inertia', '38 kg·mm²'],
		['58', 'volume', '58 cc'],
		['1045; 705', 'lengths', ['1.045 in', '0.705 in']],
		['yes', 'yes-no', true],
		['1,5', 'number', 1.5],
		['ten', 'number', 'ten'],
		['0x10', 'number', '0x10'],
		['1e-300', 'number', '1e-300'],
		['.5', 'number', 0.5],
		['wide', 'length', 'wide'],
		['maybe', 'yes-no', 'maybe']
	] as const)('%s as %s is %j', (typed, type, value) => {
		expect(parsed(typed, type, INCH_POUND)).toEqual(value);
	});
	it('takes the units the person reads', () => {
		expect(parsed('34.5', 'length', METRIC)).toBe('34.5 mm');
		expect(parsed('35.5', 'rate', METRIC)).toBe('35.5 N/mm');
	});
});
