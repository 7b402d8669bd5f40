/** One head of a V taken in, the other of its engine elsewhere. */
import { describe, expect, it } from 'vitest';
import { evaluate } from '../../sheet/evaluation/index.ts';
import { headPlan } from '../../sheet/geometry/index.ts';
import { stopsOf } from '../../valvetrain/on-job/lash/index.ts';
import { SETTING_ORDERS } from '../../valvetrain/lash/index.ts';
import { defaultSetup, newJob } from './defaults.ts';
import { Job } from './schema.ts';

const id = '0197a000-0000-7000-8000-000000000001';
const taken = (onlyHead?: string) =>
	newJob({
		id,
		number: '3001',
		takenIn: '2026-11-20T08:00:00.000Z',
		customer: { id, name: 'Ferrin Dale' },
		engine: {
			id,
			name: 'V8',
			layout: {
				arrangement: 'V',
				cylinders: 8,
				valvesPerCylinder: 2,
				numbering: 'alternating',
				pairing: 'mirrored',
				firingOrder: [1, 8, 4, 3, 6, 5, 7, 2]
			}
		},
		setup: defaultSetup('in', 'lake tug'),
		...(onlyHead && { onlyHead })
	});

describe('one head of a V', () => {
	it('has its own valves and no others, and is a job like any', () => {
		const job = Job.parse(taken('B'));
		expect(job.heads.map(({ name }) => name)).toEqual(['right head']);
		expect(new Set(job.stations.map(({ cylinder }) => cylinder))).toEqual(new Set([2, 4, 6, 8]));
		expect(evaluate(job).stations).toHaveLength(8);
		expect(taken().stations).toHaveLength(16);
	});
	it('is drawn as long as it is', () => {
		expect(headPlan(taken('B'))).toEqual([headPlan(taken())[1]]);
	});
	it.each(SETTING_ORDERS)('is set by %s at stops of its own valves alone', (order) => {
		const job = taken('B');
		const stops = stopsOf(job, order);
		expect(stops.every(({ valves }) => valves.length > 0)).toBe(true);
		expect(stops.flatMap(({ valves }) => valves).toSorted()).toEqual(
			job.stations.map(({ label }) => label).toSorted()
		);
	});
});
