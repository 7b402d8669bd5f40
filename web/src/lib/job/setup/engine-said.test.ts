import { describe, expect, it } from 'vitest';
import { layoutSaid } from './engine-said';

describe('an engine by its name', () => {
	it.each([
		['Inline four, 16 valves', 'inline', 4, 4],
		['straight-6 24v', 'inline', 6, 4],
		['Orveld 2.0 inline 4', 'inline', 4, undefined],
		['V8, 32 valves', 'V', 8, 4],
		['Sorrel marine V8', 'V', 8, undefined],
		['flat six, 2 valves per cylinder', 'flat', 6, 2],
		['boxer four with 16 valves', 'flat', 4, 4],
		['inline five, four valves a cylinder', 'inline', 5, 4],
		['V8 with 17 valves', 'V', 8, undefined]
	] as const)('%s', (name, arrangement, cylinders, valvesPerCylinder) => {
		expect(layoutSaid(name)).toEqual({
			arrangement,
			cylinders,
			...(valvesPerCylinder && { valvesPerCylinder })
		});
	});
	it.each(['Brack circuit', 'V2000', 'Harrow', 'inline 40', ''])('“%s” says nothing', (name) => {
		expect(layoutSaid(name)).toBeNull();
	});
});
