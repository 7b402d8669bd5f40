import { describe, expect, it } from 'vitest';
import { headingOf, withColumnUnit } from './headings';

describe('a heading', () => {
	it.each([
		['Seat load (lbs)', 'Seat load', 'lbs'],
		['seat.load #', 'seat.load', '#'],
		['Rate [lb/in]', 'Rate', 'lb/in'],
		['bind_thou', 'bind', 'thou'],
		['Taper angle, deg', 'Taper angle', 'deg'],
		['Angle (°)', 'Angle', '°'],
		['OD in', 'OD', 'in']
	])('%s is %s in %s', (text, name, unit) => {
		expect(headingOf(text)).toEqual({ name, unit });
	});
	it.each(['name', 'seat.height', 'Free height', 'Bearing', 'in'])('%s says no unit', (text) => {
		expect(headingOf(text)).toEqual({ name: text, unit: null });
	});
});

describe('a cell', () => {
	it('gets the unit of its column where it is a bare figure', () => {
		expect(withColumnUnit('128', 'lbs')).toBe('128 lbs');
		expect(withColumnUnit(' 1820 ', 'mils')).toBe('1820 thou');
		expect(withColumnUnit('128 N', 'lbs')).toBe('128 N');
		expect(withColumnUnit('7', 'deg')).toBe('7');
		expect(withColumnUnit('green', 'in')).toBe('green');
		expect(withColumnUnit('12', null)).toBe('12');
	});
});
