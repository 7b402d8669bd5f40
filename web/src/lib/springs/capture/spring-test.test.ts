import { beforeEach, describe, expect, it, vi } from 'vitest';
import { MANUAL_TESTER, METRIC, type Sweep } from '@zinc-ledger/core';
import type { Bench } from '$lib/bench/bench.svelte';
import { SpringTest, type TestData } from './spring-test.svelte.ts';

const kept: [string, Sweep][] = [];
vi.mock('$lib/outbox/sweeps.svelte', () => ({
	sweepOutbox: { add: (set: string, sweep: Sweep) => kept.push([set, sweep]) }
}));
vi.mock('$lib/parts/gauges/device.svelte', () => ({
	DEVICE_WORDS: {},
	Device: class {
		state = 'idle';
		listen() {}
		leave() {}
	}
}));

const swept = { fixture: '5.36 mm', retainer: 'R-11' } as Sweep;
const data: TestData = {
	set: { id: 'set', name: 'Six', seat: '46 mm', lift: '10 mm', card: null, build: undefined },
	springs: ['T1', 'T2', 'T3'].map((tag, i) => ({
		id: tag,
		tag,
		measured: {},
		sweeps: i === 0 ? [swept] : []
	})),
	gauges: [],
	retainers: []
};
let bench: Bench;
let test: SpringTest;
beforeEach(() => {
	kept.length = 0;
	bench = { units: METRIC, person: { id: 'p', name: 'Runa Tarn', initials: 'RT' } } as Bench;
	test = new SpringTest(() => data, bench, null);
});
/** A straight spring of 60 N/mm, typed off the dial down to 34 mm. */
function pull() {
	for (let i = 0; i <= 13; i++)
		test.capture.type(`${(53.36 - i).toFixed(2)} mm`, `${500 + 60 * i} N`);
	test.capture.end();
}

describe('testing a set', () => {
	it('begins at the first spring without a sweep, with the fixture and retainer of the last', () => {
		expect([test.tag, test.fixture, test.retainer]).toEqual(['T2', '5.36 mm', 'R-11']);
		expect(new SpringTest(() => data, bench, 'T3').tag).toBe('T3');
		expect(data.springs.map(test.isTested)).toEqual([true, false, false]);
	});
	it('tells where to run the dial to, by the fixture; nothing while that is not understood', () => {
		expect(test.targets!.seat).toBeCloseTo(51.36, 6);
		expect(test.targets!.start).toBeCloseTo(51.868, 6);
		expect(test.targets!.fullLift).toBeCloseTo(41.36, 6);
		expect(test.targets!.solid).toBeNull();
		test.fixture = 'thick';
		expect(test.targets).toBeNull();
	});
	it('has the figures of the pull once it is over, not before', () => {
		test.capture.type('53.36 mm', '500 N');
		expect([test.figures, test.live.length]).toEqual([null, 1]);
		test.capture.again();
		pull();
		expect(test.figures!.seat).toBeCloseTo(620, 0);
		expect(test.figures!.rate).toBeCloseTo(60, 0);
	});
	it('keeps the sweep in the name of who works here, and goes on to the next spring', () => {
		pull();
		test.keep();
		expect(kept).toHaveLength(1);
		const [set, sweep] = kept[0]!;
		expect(set).toBe('set');
		expect(sweep).toMatchObject({
			tag: 'T2',
			tester: MANUAL_TESTER,
			fixture: '5.36 mm',
			retainer: 'R-11',
			person: 'Runa Tarn'
		});
		expect(sweep.points).toHaveLength(14);
		expect([test.tag, test.kept, test.capture.points.length]).toEqual(['T3', 'T2: 14 points', 0]);
		pull();
		test.keep();
		// None is left: the last one may be pulled again.
		expect(test.tag).toBe('T3');
	});
	it('asks who works here first, and the sweep stays', () => {
		bench = { units: METRIC, person: null } as Bench;
		test = new SpringTest(() => data, bench, null);
		pull();
		test.keep();
		expect(kept).toEqual([]);
		expect(test.problem).toMatch(/who works/);
		expect(test.capture.points).toHaveLength(14);
	});
	it('saves nothing before the lever is up', () => {
		test.capture.type('53.36 mm', '500 N');
		test.keep();
		expect(kept).toEqual([]);
	});
});
