import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { message } from '../../foundation/message/index.ts';
import { stationsOf, type Layout } from '../../foundation/station/index.ts';
import {
	eventsOf,
	isClosed,
	LONG_CAM,
	opening,
	SETTING_ORDERS,
	settingStops,
	USUAL_FIRING_ORDERS,
	type CamEvents
} from './orders.ts';

const ENGINES: [string, Layout['arrangement'], number[]][] = [
	['inline 4', 'inline', [1, 3, 4, 2]],
	['inline 6', 'inline', [1, 5, 3, 6, 2, 4]],
	['a V8', 'V', [1, 8, 4, 3, 6, 5, 7, 2]],
	['another V8', 'V', [1, 5, 4, 2, 6, 3, 7, 8]],
	['flat 6', 'flat', [1, 6, 2, 4, 3, 5]],
	['three cylinders', 'inline', [1, 2, 3]],
	['five cylinders', 'inline', [1, 2, 4, 5, 3]],
	['one cylinder', 'inline', [1]]
];
const valvesOf = (arrangement: Layout['arrangement'], order: number[], per: 2 | 4 = 2) =>
	stationsOf({
		arrangement,
		cylinders: order.length,
		valvesPerCylinder: per,
		numbering: 'bank-by-bank',
		pairing: 'mirrored'
	});
const anyEvents: fc.Arbitrary<CamEvents> = fc.record({
	intakeOpens: fc.integer({ min: -10, max: 75 }),
	intakeCloses: fc.integer({ min: 20, max: 100 }),
	exhaustOpens: fc.integer({ min: 20, max: 100 }),
	exhaustCloses: fc.integer({ min: -10, max: 75 })
});

describe('a valve', () => {
	it('is open from its opening to its closing, and closed for the rest of two turns', () => {
		for (const kind of ['intake', 'exhaust'] as const) {
			const { from, to } = opening(LONG_CAM, kind);
			const closed = Array.from({ length: 720 }, (_, angle) =>
				isClosed(angle + 0.5 + 90, kind, 90, LONG_CAM)
			);
			expect(closed.filter((one) => !one)).toHaveLength(to - from);
			expect(closed[from - 1]).toBe(true);
			expect(closed[from]).toBe(false);
			expect(closed[to - 1]).toBe(false);
			expect(closed[to]).toBe(true);
		}
	});
	it('of both kinds is closed as its cylinder fires, and open between exhaust and intake', () => {
		for (const kind of ['intake', 'exhaust'] as const) {
			expect(isClosed(240, kind, 240, LONG_CAM, 40)).toBe(true);
			expect(isClosed(240 + 360, kind, 240, LONG_CAM)).toBe(false);
		}
	});
});

describe('events from durations', () => {
	it('have the duration asked for about the usual middle', () => {
		const events = eventsOf({ intake: { duration: 280 }, exhaust: { duration: 290 } });
		expect(events).toEqual({
			intakeOpens: 30,
			intakeCloses: 70,
			exhaustOpens: 75,
			exhaustCloses: 35
		});
		const { from, to } = opening(events, 'intake');
		expect(to - from).toBe(280);
	});
	it('are a long cam’s where nothing is known', () => {
		expect(eventsOf({ intake: {}, exhaust: {} })).toEqual(LONG_CAM);
	});
});

describe.each(ENGINES)('orders for %s', (_, arrangement, order) => {
	it.each(SETTING_ORDERS)('“%s” sets every valve once, always on its base circle', (type) => {
		fc.assert(
			fc.property(anyEvents, fc.constantFrom(2 as const, 4 as const), (events, per) => {
				const valves = valvesOf(arrangement, order, per);
				const stops = settingStops(type, order, valves, events);
				const set = stops.flatMap((stop) => stop.valves);
				expect(set.toSorted()).toEqual(valves.map(({ label }) => label).toSorted());
				const step = 720 / order.length;
				for (const { angle, valves: here } of stops) {
					for (const label of here) {
						const { kind, cylinder } = valves.find((valve) => valve.label === label)!;
						expect(isClosed(angle, kind, order.indexOf(cylinder) * step, events)).toBe(true);
					}
				}
			}),
			{ numRuns: 60 }
		);
	});
	it.each(SETTING_ORDERS)('“%s” turns the crankshaft one way, two turns at most', (type) => {
		const stops = settingStops(type, order, valvesOf(arrangement, order), LONG_CAM);
		expect(stops[0]!.turn).toBe(0);
		for (const { turn } of stops.slice(1)) expect(turn).toBeGreaterThanOrEqual(0);
		expect(stops.reduce((sum, { turn }) => sum + turn, stops[0]!.angle)).toBeLessThan(720);
	});
	it('two positions are two at most, with a usual cam', () => {
		const events = eventsOf({ intake: { duration: 270 }, exhaust: { duration: 275 } });
		const stops = settingStops('two-positions', order, valvesOf(arrangement, order), events);
		expect(stops).toHaveLength(order.length === 1 ? 1 : 2);
	});
});

describe('orders that machinists know by heart', () => {
	it('the firing order turns 720° ÷ cylinders', () => {
		const order = [1, 3, 4, 2];
		const stops = settingStops('firing-order', order, valvesOf('inline', order), LONG_CAM);
		expect(stops.map(({ turn }) => turn)).toEqual([0, 180, 180, 180]);
		expect(stops[1]!.position).toEqual(message('crank.firing-tdc', { cylinder: 3 }));
		expect(stops[1]!.valves).toEqual(expect.arrayContaining(['3I', '3E']));
	});
	it('an inline six in two positions: 1 fires, 1E 1I 2I 3E 4I 5E; then the others', () => {
		const order = [1, 5, 3, 6, 2, 4];
		const stops = settingStops(
			'two-positions',
			order,
			valvesOf('inline', order),
			eventsOf({ intake: { duration: 260 }, exhaust: { duration: 260 } })
		);
		expect(stops[0]!.valves.toSorted()).toEqual(['1E', '1I', '2I', '3E', '4I', '5E']);
		expect(stops[1]!.valves.toSorted()).toEqual(['2E', '3I', '4E', '5I', '6E', '6I']);
	});
	it('starts at cylinder 1 wherever the list does', () => {
		const stops = settingStops(
			'firing-order',
			[3, 4, 2, 1],
			valvesOf('inline', [1, 2, 3, 4]),
			LONG_CAM
		);
		expect(stops.map(({ valves }) => valves[0]![0])).toEqual(['1', '3', '4', '2']);
	});
	it('the usual orders have every cylinder once', () => {
		for (const [name, orders] of Object.entries(USUAL_FIRING_ORDERS)) {
			for (const order of orders) {
				expect(order.toSorted((a, b) => a - b)).toEqual(
					Array.from({ length: Number(name.split(' ')[1]) }, (_, i) => i + 1)
				);
			}
		}
	});
});

describe('cylinders that fire unevenly', () => {
	const twin = valvesOf('inline', [1, 2]);
	const closedAt = (fires: ReadonlyMap<number, number>, stops: ReturnType<typeof settingStops>) =>
		stops.every(({ angle, valves }) =>
			valves.every((label) => {
				const { kind, cylinder } = twin.find((valve) => valve.label === label)!;
				return isClosed(angle, kind, fires.get(cylinder)!, LONG_CAM);
			})
		);
	it.each(SETTING_ORDERS)('are set on their base circle: a 180° twin, %s', (order) => {
		const angles = [0, 180];
		const stops = settingStops(order, [1, 2], twin, LONG_CAM, angles);
		expect(stops.flatMap((stop) => stop.valves).sort()).toEqual(['1E', '1I', '2E', '2I']);
		expect(
			closedAt(
				new Map([
					[1, 0],
					[2, 180]
				]),
				stops
			)
		).toBe(true);
		// As if it fired evenly, cylinder 2's valves would be set where they are open.
		if (order === 'two-positions') {
			const even = settingStops(order, [1, 2], twin, LONG_CAM);
			expect(
				closedAt(
					new Map([
						[1, 0],
						[2, 180]
					]),
					even
				)
			).toBe(false);
		}
	});
	it('set nothing off its base circle whatever the angles and the cam', () => {
		fc.assert(
			fc.property(
				fc.constantFrom(...SETTING_ORDERS),
				fc.array(fc.integer({ min: 0, max: 719 }), { minLength: 5, maxLength: 5 }),
				fc.record({
					intakeOpens: fc.integer({ min: -10, max: 120 }),
					intakeCloses: fc.integer({ min: 20, max: 179 }),
					exhaustOpens: fc.integer({ min: 20, max: 179 }),
					exhaustCloses: fc.integer({ min: -10, max: 120 })
				}),
				(order, rest, events) => {
					const firingOrder = [1, 4, 2, 5, 3, 6];
					const angles = [0, ...rest.toSorted((a, b) => a - b)];
					const valves = valvesOf('V', firingOrder);
					const stops = settingStops(order, firingOrder, valves, events, angles);
					const fires = new Map(firingOrder.map((cylinder, i) => [cylinder, angles[i]!]));
					expect(stops.flatMap((stop) => stop.valves).sort()).toEqual(
						valves.map(({ label }) => label).sort()
					);
					for (const { angle, valves: here } of stops)
						for (const label of here) {
							const { kind, cylinder } = valves.find((valve) => valve.label === label)!;
							expect(isClosed(angle, kind, fires.get(cylinder)!, events)).toBe(true);
						}
				}
			),
			{ numRuns: 200 }
		);
	});
});
