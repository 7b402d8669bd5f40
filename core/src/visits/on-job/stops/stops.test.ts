/** Stop rules: what forbids running the engine, where, and what settles it. */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readJob } from '../../../job/document/file.ts';
import type { Job, Look } from '../../../job/document/index.ts';
import { evaluate, type Sheet } from '../../../sheet/evaluation/index.ts';
import { openItems } from '../../../signing/open-items/index.ts';
import { visitComparison } from '../changes/index.ts';
import { damagedSprings, doNotRun } from './stops.ts';

const read = readJob(readFileSync('demo/jobs/2418-light-retainers.json', 'utf8'));
if (!read.ok) throw new Error('demo');
const job = read.value;
const [{ person }] = job.readings as [Job['readings'][number]];
const seenAt = '2026-11-20T08:00:00.000Z';
const later = '2026-11-21T08:00:00.000Z';
const id = (n: number) => `b5a1a3c0-0000-7000-8000-0000000002${String(n).padStart(2, '0')}`;
const record = (
	check: Look['check'],
	seen: Look['seen'],
	{ n = 1, at = seenAt }: { n?: number; at?: string } = {}
): Look => ({ id: id(n), check, seen, person, at });
const jobWith = (more: Partial<Job>): Job => ({ ...job, ...more });
const stopsOf = (of: Job) => doNotRun(of, evaluate(of));

describe('what forbids running the engine', () => {
	it('is nothing on a head in order', () => {
		expect(stopsOf(job)).toEqual([]);
	});
	it('is a crack, at its valve, and on the whole engine where nobody said which valve', () => {
		const cracked = (stations?: string[]) =>
			jobWith({
				looks: [
					record('springs-seen', [{ evidence: 'spring-cracked', ...(stations && { stations }) }])
				]
			});
		expect(stopsOf(cracked(['3I']))).toEqual([{ code: 'spring-cracked', stations: ['3I'] }]);
		expect(stopsOf(cracked())).toEqual([{ code: 'spring-cracked', stations: [] }]);
		expect([...damagedSprings(cracked(['3I']))]).toEqual(['3I']);
	});
	it('is settled by a newer check without it, and by replacing the part', () => {
		const cracked = record('springs-seen', [{ evidence: 'spring-cracked', stations: ['3I'] }]);
		expect(stopsOf(jobWith({ looks: [cracked, record('springs-seen', [], { n: 2 })] }))).toEqual(
			[]
		);
		const replaced = jobWith({
			looks: [cracked],
			decisions: [{ id: id(3), subject: 'stations.3I.newSpring', to: true, person, at: later }]
		});
		expect(stopsOf(replaced)).toEqual([]);
		expect(damagedSprings(replaced).size).toBe(0);
		const bent = record('valves-out', [{ evidence: 'valve-bent', stations: ['3I', '4E'] }]);
		const work = {
			id: id(4),
			work: 'parts-changed' as const,
			stations: ['3I'],
			person,
			at: later
		};
		expect(stopsOf(jobWith({ looks: [bent], headWork: [work] }))).toEqual([
			{ code: 'valve-bent', stations: ['4E'] }
		]);
	});
	it.each([
		['retainer-not-level', 'look-under-cover', 'locks-not-seated'],
		['locks-not-seated', 'look-under-cover', 'locks-not-seated'],
		['part-damaged', 'look-under-cover', 'part-damaged'],
		['no-oil', 'look-under-cover', 'no-oil'],
		['broken-near-end', 'springs-seen', 'spring-cracked'],
		['crack-at-pit', 'springs-seen', 'spring-cracked'],
		['piston-mark', 'valves-out', 'piston-contact'],
		['seat-loose', 'valves-out', 'seat-loose'],
		['groove-damaged', 'valves-out', 'part-damaged']
	] as const)('is “%s”', (evidence, check, code) => {
		const looks = [record(check, [{ evidence, stations: ['2E'] }])];
		expect(stopsOf(jobWith({ looks }))).toEqual([{ code, stations: ['2E'] }]);
	});
	it('is a bent stem or a worn groove of an inspection', () => {
		const seen = {
			id: id(5),
			condition: 'reused' as const,
			tip: 'good' as const,
			seatMark: 'even' as const,
			person,
			at: seenAt
		};
		const inspections: Job['inspections'] = [
			{ ...seen, station: '1I', groove: 'good', stem: 'bent' },
			{ ...seen, id: id(6), station: '1E', groove: 'worn', stem: 'good' }
		];
		expect(stopsOf(jobWith({ inspections }))).toEqual([
			{ code: 'valve-bent', stations: ['1I'] },
			{ code: 'part-damaged', stations: ['1E'] }
		]);
	});
	it('is a clearance or a net seat load at or below zero', () => {
		const sheet = evaluate(job);
		const below = (name: string): Sheet => ({
			...sheet,
			stations: sheet.stations.map((station) =>
				station.label === '3I'
					? {
							...station,
							figures: {
								...station.figures,
								[name]: { ...station.figures.bindMargin, figure: -0.1 }
							}
						}
					: station
			)
		});
		for (const [name, code] of [
			['bindMargin', 'coil-bind'],
			['sealClearance', 'retainer-on-seal'],
			['rocker', 'retainer-on-rocker'],
			['netSeatLoad', 'pushed-open']
		] as const)
			expect(doNotRun(job, below(name))).toEqual([{ code, stations: ['3I'] }]);
	});
	it('is a valve whose height has grown and whose tip has dropped, until its parts are replaced', () => {
		const at = job.readings.find(({ quantity }) => quantity === 'installed-height')!;
		const tips = (by: number): Job['readings'] =>
			job.stations.map(({ label }, i) => ({
				...at,
				id: id(20 + i),
				station: label,
				quantity: 'tip-height' as const,
				read: `${label === '3I' ? 12 - by : 12} mm`
			}));
		const then = jobWith({ readings: [...job.readings, ...tips(0)] });
		/** Height and seal gap of 3I, in inches. */
		const grown = (by: number) =>
			job.readings.map((reading) => {
				const isOfStack = ['installed-height', 'seal-gap'].includes(reading.quantity);
				if (reading.station !== '3I' || !isOfStack) return reading;
				const [value, unit] = reading.read.split(' ') as [string, string];
				return { ...reading, read: `${(Number(value) + by).toFixed(3)} ${unit}` };
			});
		const back = jobWith({ readings: [...grown(0.016), ...tips(0.4)] });
		const comparison = visitComparison(then, back);
		expect(doNotRun(back, evaluate(back), comparison)).toEqual([
			{ code: 'locks-pulled', stations: ['3I'] }
		]);
		expect(
			openItems(back, evaluate(back), comparison).some(({ key }) =>
				key.startsWith('do-not-run locks-pulled 3I')
			)
		).toBe(true);
		// Where no tip was read, lash that stayed as it was tells the same.
		const lashes = job.stations.map(({ label }, i) => ({
			...at,
			id: id(60 + i),
			station: label,
			quantity: 'lash' as const,
			engine: 'cold' as const,
			lash: { as: 'found' as const, marked: false },
			read: '0.40 mm'
		}));
		const [before, after] = [
			jobWith({ readings: [...job.readings, ...lashes] }),
			jobWith({ readings: [...grown(0.016), ...lashes] })
		];
		expect(doNotRun(after, evaluate(after), visitComparison(before, after))).toEqual([
			{ code: 'locks-pulled', stations: ['3I'] }
		]);
		const receded = jobWith({ readings: [...grown(0.016), ...tips(0)] });
		expect(doNotRun(receded, evaluate(receded), visitComparison(then, receded))).toEqual([]);
		const work = { id: id(9), work: 'parts-changed' as const, stations: ['3I'], person, at: later };
		const replaced = { ...back, headWork: [work] };
		expect(doNotRun(replaced, evaluate(replaced), comparison)).toEqual([]);
	});
	it('must be accepted with a reason before a sheet is signed', () => {
		const looks = [record('springs-seen', [{ evidence: 'spring-cracked', stations: ['3I'] }])];
		const cracked = jobWith({ looks });
		const item = openItems(cracked, evaluate(cracked)).find(({ key }) =>
			key.startsWith('do-not-run')
		);
		expect(item).toMatchObject({ place: '3I', severity: 'acceptance', acceptance: null });
	});
});
