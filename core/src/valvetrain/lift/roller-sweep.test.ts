import { expect, it } from 'vitest';
import { mm } from '../../foundation/units/index.ts';
import { rollerSweep } from './roller-sweep.ts';

it('a roller sweeps as far as its arm leaves the square at half lift', () => {
	expect(rollerSweep(mm(40), mm(14))).toBeCloseTo(0.6173, 4);
	expect(rollerSweep(mm(40), mm(0))).toBe(0);
	expect(rollerSweep(mm(5), mm(14))).toBeNull();
});
