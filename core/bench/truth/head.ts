/** A job of 32 valves on which every station is set by the simulation alone. */
import {
	defaultSetup,
	newJob,
	type Job,
	type Quantity,
	type Reading,
	type StationParts
} from '../../src/index.ts';

const ID = '0197b000-0000-7000-8000-000000000001';
/** A V8 of 32 valves. */
export const LAYOUT = {
	arrangement: 'V',
	cylinders: 8,
	valvesPerCylinder: 4,
	numbering: 'alternating',
	pairing: 'mirrored'
} as const;

/** Millimeters that every station shares, unless it is given its own. */
export const LIFT = 10;
export const BIND = 25;
export const BIND_FLOOR = 1.27;
export const SEAL_FLOOR = 1.27;
export const MIN_LOAD = 400;

export const card = {
	id: ID,
	name: 'Made up',
	source: 'card',
	seat: { height: '40 mm', load: '600 N' },
	rate: '40 N/mm',
	bind: `${BIND} mm`
} as const;

/** An empty head: everything exact, nothing read. */
export function head(): Job {
	const setup = defaultSetup('mm', 'made up');
	const kind = {
		...setup.kinds.intake,
		spring: card,
		retainer: { id: ID, name: 'R', source: 'card', step: '0 mm', landingHeight: '0 mm' },
		locks: { id: ID, name: 'L', source: 'card', offset: '0 mm' },
		locator: { id: ID, name: 'C', source: 'card', thickness: '0 mm' },
		lift: { type: 'valve', valve: `${LIFT} mm`, source: 'measured' },
		lash: { setting: '0.30 mm', tolerance: '0.05 mm', engine: 'cold', source: 'measured' },
		aim: { method: 'as-it-stands', minSeatLoad: `${MIN_LOAD} N` }
	} as unknown as Job['setup']['kinds']['intake'];
	return newJob({
		id: ID,
		number: 'truth',
		takenIn: '2026-01-01T08:00:00.000Z',
		customer: { id: ID, name: 'Made up' },
		engine: { id: ID, name: 'Made up', layout: LAYOUT },
		setup: {
			...setup,
			lifters: 'solid',
			kinds: { intake: kind, exhaust: kind },
			limits: {
				...setup.limits,
				bindFloor: `${BIND_FLOOR} mm`,
				bindAim: `${BIND_FLOOR} mm`,
				bindMarginMax: '20 mm',
				sealFloor: `${SEAL_FLOOR} mm`,
				pistonFloors: { intake: '2 mm', exhaust: '2 mm' },
				outlierMin: '20 mm',
				outlierMax: '20 mm'
			}
		}
	});
}

let count = 0;
const newId = () => `0197b000-0000-7000-8000-${String(++count).padStart(12, '0')}`;

/** Readings of one figure at a station, as one set. */
export function entries(
	station: string,
	quantity: Quantity,
	read: readonly string[],
	gauge: Reading['gauge']
): Reading[] {
	const set = newId();
	return read.map((text) => ({
		id: newId(),
		station,
		quantity,
		read: text,
		gauge,
		inPlace: {
			locator: '0 mm',
			shims: [],
			lockOffset: '0 mm',
			recess: '0 mm',
			retainerLanding: '0 mm',
			sealHome: true
		},
		...(read.length > 1 && { set }),
		...(quantity === 'lash' && { engine: 'cold' as const }),
		person: ID,
		at: '2026-01-02T08:00:00.000Z'
	}));
}

/** A job with readings, and parts of their own, at its stations. */
export const withReadings = (
	job: Job,
	readings: readonly Reading[],
	parts: ReadonlyMap<string, StationParts> = new Map(),
	checks: Job['checks'] = []
): Job => ({
	...job,
	readings: [...readings],
	checks: [...checks],
	stations: job.stations.map((station) => {
		const own = parts.get(station.label);
		return own ? { ...station, parts: own } : station;
	})
});
export const PERSON = ID;
export { newId };
