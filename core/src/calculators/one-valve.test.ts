/** One valve has the figures and the verdict of a sheet, and nothing told by phone is ever clear. */
import { describe, expect, it } from 'vitest';
import { defaultSetup } from '../job/document/index.ts';
import { readJob, writeJob } from '../job/document/file.ts';
import { openItems } from '../signing/open-items/index.ts';
import { wholeJob } from '../signing/scope/index.ts';
import { evaluate } from '../sheet/evaluation/index.ts';
import { oneValveAnswer, oneValveJob, springFromFigures, type OneValve } from './one-valve.ts';

let count = 0;
const newId = () => `0197b000-0000-7000-8000-${String(count++).padStart(12, '0')}`;
const frame = {
	number: '9001',
	customer: { id: newId(), name: 'Phone' },
	engine: 'One valve',
	person: { id: newId(), name: 'Runa Tarn', initials: 'RT' },
	at: '2026-11-28T10:00:00.000Z',
	newId
};
const spring = springFromFigures(
	{
		height: '1.820 in',
		load: '130 lbf',
		openHeight: '1.290 in',
		openLoad: '335 lbf',
		bind: '1.150 in'
	},
	'data-sheet',
	newId()
);
const gauge = {
	name: 'Height micrometer',
	resolution: '0.001 in',
	correction: '0 mm',
	repeatability: '0.0005 in',
	repeatabilityFreedom: 30
};
const valve: OneValve = {
	kind: 'intake',
	spring,
	lift: '0.530 in',
	height: '1.820 in',
	gap: '0.640 in',
	gauge
};
const job = (more: Partial<OneValve> = {}) =>
	oneValveJob({ ...valve, ...more }, defaultSetup('in', 'street'), frame);
const answer = (more: Partial<OneValve> = {}) => oneValveAnswer(job(more));

describe('one valve', () => {
	it('has the figures that its sheet has once it is saved as a job', () => {
		const { station, job: one, state } = answer();
		const read = readJob(writeJob(one));
		expect(read.ok && evaluate(read.value).stations[0]!.figures).toEqual(station.figures);
		expect(state).toBe('clear');
		expect(station.figures.seatLoad.figure! / 4.4482216).toBeCloseTo(130, 3);
		expect(station.figures.openLoad.figure! / 4.4482216).toBeCloseTo(335, 3);
		expect(station.figures.bindMargin.figure! / 25.4).toBeCloseTo(0.14, 6);
		expect(station.figures.sealClearance.figure! / 25.4).toBeCloseTo(0.11, 6);
	});
	it('asks for nothing about any other valve', () => {
		const one = job();
		expect(one.stations).toHaveLength(1);
		const items = openItems(one, evaluate(one));
		expect(JSON.stringify(items)).not.toMatch(/1E/);
		expect(wholeJob(one, 'measured').stations).toEqual(['1I']);
	});
	it('is watch at best when told by phone, with the same figures', () => {
		const [here, phoned] = [answer(), answer({ gauge: null })];
		expect(phoned.state).toBe('watch');
		for (const name of ['height', 'seatLoad', 'openLoad', 'bindMargin', 'sealClearance'] as const) {
			expect(phoned.station.figures[name].figure).toBe(here.station.figures[name].figure);
			expect(phoned.station.figures[name].state).toBe('watch');
		}
	});
	it('says which shim brings it to its card height', () => {
		const { station, state } = answer({ height: '1.856 in' });
		expect(state).toBe('stop');
		expect(station.shim?.answer).toMatchObject({ type: 'fit' });
	});
	it('is not known while something that it needs is missing', () => {
		for (const missing of [{ spring: null }, { lift: null }, { height: null }])
			expect(answer(missing)).toMatchObject({
				state: 'not-measured',
				needs: expect.arrayContaining([{ code: `need.${Object.keys(missing)[0]}` }]) as unknown
			});
		expect(answer({ gap: null }).state).toBe('clear');
		const { bind: _, ...unbound } = spring;
		expect(answer({ spring: unbound }).state).toBe('not-measured');
	});
});
