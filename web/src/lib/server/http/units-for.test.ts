import { describe, expect, it } from 'vitest';
import { demoJob } from '$lib/test/demo';
import { unitsFor, unitsNamed } from './units-for';

const locals = (chosenUnits: App.Locals['chosenUnits']) => ({ chosenUnits }) as App.Locals;

describe('the units of a page', () => {
	it('are those that a form says it was shown in, and nothing else that is sent', () => {
		expect(unitsNamed('mm,N')).toEqual({ length: 'mm', load: 'N' });
		for (const text of [undefined, '', 'mm', 'mm,N ', 'ft,lbf', 'mm,N,in'])
			expect(unitsNamed(text)).toBeNull();
	});
	it('are those chosen before those the job was measured in', () => {
		const twin = demoJob('2409-twin-cam');
		expect(unitsFor(locals(null), twin).length).toBe('mm');
		expect(unitsFor(locals({ length: 'in', load: 'kgf' }), twin)).toEqual({
			length: 'in',
			load: 'kgf'
		});
	});
});
