import { expect, it } from 'vitest';
import { stationTyped, typeOn } from './typed-station.ts';

const labels = ['1I', '1E', '3I', '3E', '12I', '12E', '4Ia', '4Ib', '4Ea', '4Eb'];
const type = (keys: string) => [...keys].reduce((typed, key) => typeOn(typed, key, labels), '');

it.each([
	['3e', '3E'],
	['3', '3I'],
	['12e', '12E'],
	['4i', '4Ia'],
	['4ib', '4Ib'],
	['3e1i', '1I'],
	['3e3i', '3I'],
	['4ib12', '12I'],
	['9', undefined],
	['e', undefined]
])('%s goes to %s', (keys, label) => {
	expect(stationTyped(type(keys), labels)).toBe(label);
});
