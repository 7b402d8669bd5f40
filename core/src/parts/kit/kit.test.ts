/** Kits: the box against the head, files out and in, and what is asked of a job that took one. */
import { beforeEach, describe, expect, it } from 'vitest';
import { defaultSetup, newJob, withKit, type Job } from '../../job/document/index.ts';
import { evaluate } from '../../sheet/evaluation/index.ts';
import type { LibraryPart } from '../part/index.ts';
import { boxAgainst, faultsOfKits, shortInBox, springFaults } from './index.ts';
import { readKits, writeKits } from './file.ts';
import type { Kit } from './schema.ts';

const id = (n: number) => `00000000-0000-7000-8000-00000000000${n}`;
const part = (type: string, n: number, more: object) =>
	({ type, part: { id: id(n), ...more }, stock: null, retired: false }) as LibraryPart;

/** A kit whose paper gives heights and loads, and no diameter of anything. */
const PARTS: readonly LibraryPart[] = [
	part('spring', 1, {
		name: 'Quill 7',
		source: 'card',
		seat: { height: '1.800 in', load: '130 lbf' },
		open: { height: '1.260 in', load: '320 lbf' },
		bind: '1.150 in'
	}),
	part('retainer', 2, { name: 'Quill 7 retainer', step: '0 mm', landingHeight: '0 mm' }),
	part('locks', 3, { name: 'Quill 7 locks', offset: '0 mm' }),
	part('locator', 4, { name: 'Quill 7 locator', thickness: '0.060 in', innerRise: '0 mm' }),
	part('seal', 5, { name: 'Quill 7 seal' })
];
const BY_ID = new Map(PARTS.map((one) => [one.part.id, one]));
const places = { spring: id(1), retainer: id(2), locks: id(3), locator: id(4), seal: id(5) };
const KIT: Kit = {
	id: id(9),
	name: 'Quill 7',
	kinds: { intake: places, exhaust: { ...places, seal: undefined } },
	refused: [{ place: 'seal', name: 'Wide seal' }],
	box: { spring: 16, retainer: 16, locks: 15 },
	instructions: 'Locators first.\nThen the seals.'
};

let job: Job;
beforeEach(() => {
	job = newJob({
		id: id(8),
		number: '1',
		takenIn: '2026-01-01T08:00:00.000Z',
		customer: { id: id(8), name: 'C' },
		engine: {
			id: id(8),
			name: 'E',
			layout: {
				arrangement: 'inline',
				cylinders: 1,
				valvesPerCylinder: 2,
				numbering: 'bank-by-bank',
				pairing: 'mirrored'
			}
		},
		setup: withKit(defaultSetup('in', ''), KIT, BY_ID)
	});
});
const finding = (rule: string, kind = 'intake') =>
	evaluate(job).fit.find((one) => one.rule === rule && one.kind === kind)!;

describe('the box of a kit', () => {
	it('is held against the valves that it is for', () => {
		const lines = boxAgainst(KIT, { intake: 8, exhaust: 8 });
		expect(lines).toContainEqual({ place: 'spring', holds: 16, needs: 16 });
		expect(lines).toContainEqual({ place: 'locator', holds: null, needs: 16 });
		expect(lines).toContainEqual({ place: 'seal', holds: null, needs: 8 });
		expect(shortInBox(lines)).toEqual([{ place: 'locks', holds: 15, needs: 16 }]);
	});
});

describe('a file of kits', () => {
	it('comes back as it went out, with the parts of its kits and no others', () => {
		const text = writeKits({ kits: [KIT], parts: [...PARTS, part('seal', 7, { name: 'Other' })] });
		const read = readKits(text);
		if (!read.ok) throw new Error(JSON.stringify(read.problems));
		expect(read.value.parts.map((one) => one.part.name)).toHaveLength(5);
		expect(writeKits(read.value)).toBe(text);
	});
	it('names a part that it does not hold, and a kit that is there twice', () => {
		const lacking = readKits(writeKits({ kits: [KIT, KIT], parts: PARTS.slice(1) }));
		expect(lacking.ok).toBe(false);
		const paths = lacking.ok ? [] : lacking.problems.map(({ path }) => path);
		expect(paths).toContain('kits[0].kinds.intake.spring');
		expect(paths).toContain('kits[1].id');
	});
	it('refuses a part in a place that is not its own', () => {
		const kinds = { intake: { ...places, seal: places.retainer }, exhaust: places };
		const read = readKits(writeKits({ kits: [{ ...KIT, kinds }], parts: PARTS }));
		expect(read.ok ? [] : read.problems.map(({ path }) => path)).toEqual([
			'kits[0].kinds.intake.seal'
		]);
	});
});

describe('the spring of a kit', () => {
	const card = { seat: { height: '1.800 in', load: '120 lbf' }, bind: '1.100 in' };
	const faults = (change: object) =>
		springFaults({ ...card, ...change } as never).map(({ field }) => field);
	it.each([
		['sound', {}, []],
		['without a load', { seat: { height: '1.800 in', load: '0 lbf' } }, ['seat.load']],
		['solid a hundredth below its seat', { bind: '1.790 in' }, ['bind']],
		['without a bind height', { bind: undefined }, []]
	])('%s', (_, change, fields) => expect(faults(change)).toEqual(fields));
	it('is named where a kit takes it from the library', () => {
		const { spring } = KIT.kinds.intake;
		const library = PARTS.map((one) =>
			one.part.id === spring
				? { ...one, part: { ...one.part, seat: { height: '1.800 in', load: '0 lbf' } } }
				: one
		) as typeof PARTS;
		expect(faultsOfKits([KIT], PARTS)).toEqual([]);
		expect(faultsOfKits([KIT], library).map(({ path }) => path)).toEqual(['Quill 7, seat.load']);
		expect(faultsOfKits([], library)).toEqual([]);
	});
});

describe('a job built from a kit of which no diameter is known', () => {
	it('has loads at its aim at once, and names what the rules still need', () => {
		const { spring } = job.setup.kinds.intake;
		expect(spring?.name).toBe('Quill 7');
		expect(evaluate(job).kinds.intake.target.height).toBeCloseTo(45.72, 6);
		expect(finding('stem-diameter').outcome).toBe('missing');
		expect(finding('inner-spring-to-seal').outcome).toBe('missing');
	});
	it('is used as the kit asks, until another seal or locator stands in it', () => {
		expect(finding('kit-parts').outcome).toBe('passes');
		job.setup.kinds.intake.seal = { name: 'Other seal' };
		expect(finding('kit-parts')).toMatchObject({
			outcome: 'fails',
			severity: 'watch',
			compared: { params: { place: 'seal', asks: 'Quill 7 seal', has: 'Other seal' } }
		});
		delete job.setup.kinds.intake.seal;
		delete job.setup.kinds.intake.locator;
		expect(finding('kit-parts').compared).toMatchObject({ params: { place: 'seal', has: null } });
	});
	it('stops where a seal stands in it that must not, and asks nothing for another spring', () => {
		job.setup.kinds.exhaust.seal = { name: 'wide seal' };
		expect(finding('kit-parts', 'exhaust')).toMatchObject({ outcome: 'fails', severity: 'stop' });
		job.setup.kinds.exhaust.spring = { ...job.setup.kinds.exhaust.spring!, id: id(7) };
		expect(finding('kit-parts', 'exhaust').outcome).toBe('passes');
	});
	it('fits new parts: what was used before, or ground, is not of the kit', () => {
		const before = defaultSetup('in', '');
		before.kinds.intake.reused = ['spring'];
		before.kinds.intake.rocker = { name: 'Rocker', ratio: 1.5 };
		const { intake } = withKit(before, KIT, BY_ID).kinds;
		expect(intake.reused).toBeUndefined();
		expect(intake.rocker?.name).toBe('Rocker');
		expect(intake.retainer?.groundOff).toBe('0 mm');
	});
});
