/** Whether a port held its vacuum: as much as was asked, for as long (docs/trade/assembly.md). */
import { describe, expect, it } from 'vitest';
import { defaultLimits } from '../../job/document/index.ts';
import { vacuum } from './vacuum.ts';

/** The verdict on a port of a job that asks for 15 inHg held for ten seconds. */
const judged = (reached: string, seconds = 10) =>
	vacuum.verdict({
		job: { setup: { limits: defaultLimits('in') } },
		checks: { vacuum: { reached, min: '15 inHg', seconds }, passages: {}, piston: null }
	} as never);

describe('the vacuum of a port', () => {
	it.each([
		['15 inHg', 'clear'],
		['14.9 inHg', 'stop'],
		['508 mbar', 'clear'],
		['50.7 kPa', 'stop']
	])('%s of 15 inHg is %s, whatever the unit', (reached, state) => {
		expect(judged(reached)!.state).toBe(state);
	});
	it('let go before its time is a stop, however much it was', () => {
		expect(judged('15 inHg', 0)).toMatchObject({
			state: 'stop',
			remedy: { code: 'vacuum.too-short', params: { held: 0, needed: 10 } }
		});
		expect(judged('25 inHg', 9)!.state).toBe('stop');
	});
});
