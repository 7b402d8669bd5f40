import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Job, RoundParts } from '@zinc-ledger/core';
import { readJob } from '@zinc-ledger/core/file';
import { Bench } from '$lib/bench/bench.svelte';
import { JobStore } from '$lib/job/store/job-store.svelte';
import { outbox } from '$lib/outbox/outbox.svelte';
import { Round } from './round.svelte';

const PARTS: RoundParts = { locator: true, shims: false, recess: '0.000 in', sealHome: true };
let job: Job;
let round: Round;
let bench: Bench;

beforeEach(() => {
	vi.stubGlobal('fetch', () => Promise.reject(new Error('no server here')));
	outbox.waiting = [];
	const read = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	job = read.value;
	bench = new Bench(job.people[0]!, { length: 'in', load: 'lbf' });
	round = new Round('installed-height', new JobStore(job, 1), bench);
});

const type = (text: string) => {
	round.typed = text;
	round.enter();
};

describe('a round', () => {
	it('begins at the first station that is not read', () => {
		round.begin(PARTS);
		expect([round.entry.label, round.left, round.finished]).toEqual(['5I', 4, false]);
	});
	it('keeps what is typed with what was in place, and steps on', () => {
		round.begin(PARTS);
		type('1819');
		expect(outbox.waiting.map(({ reading }) => [reading.station, reading.read])).toEqual([
			['5I', '1.819 in']
		]);
		expect(outbox.waiting[0]!.reading.inPlace).toMatchObject({ locator: '0.060 in', shims: [] });
		expect([round.entry.label, round.left, round.typed]).toEqual(['5E', 3, '']);
		expect(round.last!.read).toBe('1.819 in');
	});
	it('asks for a lash that was found once it is set', () => {
		round = new Round('lash', new JobStore({ ...job, readings: [] }, 1), bench);
		round.lash = { as: 'found', marked: false };
		round.begin(PARTS);
		type('0.020');
		const { left } = round;
		round.lash = { as: 'set', marked: false };
		expect(round.left).toBe(left + 1);
	});
	it('takes nothing that is no figure', () => {
		round.begin(PARTS);
		for (const text of ['', 'abc', '-1.8', '1,8,2']) type(text);
		expect(outbox.waiting).toEqual([]);
		expect(round.entry.label).toBe('5I');
	});
	it('asks about a figure far off, and keeps it when the same comes again', () => {
		round.begin(PARTS);
		type('1182');
		expect([round.asked, outbox.waiting.length]).toEqual(['1.182 in', 0]);
		round.enter();
		expect(outbox.waiting).toHaveLength(1);
	});
	it('asks anew about another figure far off', () => {
		round.begin(PARTS);
		type('1182');
		type('1128');
		expect([round.asked, outbox.waiting.length]).toEqual(['1.128 in', 0]);
	});
	it('shows what the figure comes to before it is kept', () => {
		round.begin(PARTS);
		round.typed = '1867';
		expect(round.preview!.label).toBe('5I');
		expect(round.preview!.figures.height.state).toBe('stop');
		round.typed = '18';
		expect(round.preview).toBeNull();
	});
	it('goes back, on, and to where it is sent', () => {
		round.begin(PARTS);
		round.back();
		expect(round.entry.label).toBe('4E');
		round.skip();
		round.skip();
		expect(round.entry.label).toBe('5E');
		round.goTo('1I');
		expect([round.entry.label, round.current!.read]).toEqual(['1I', '1.818 in']);
		round.back();
		expect(round.entry.label).toBe('1I');
	});
	it('is finished when the last is in', () => {
		round.begin(PARTS);
		for (const text of ['1819', '1821', '1820', '1822']) type(text);
		expect([round.finished, round.left, outbox.waiting.length]).toEqual([true, 0, 4]);
	});
	it('comes back for a station that was skipped', () => {
		round.begin(PARTS);
		round.skip();
		for (const text of ['1821', '1820', '1822']) type(text);
		expect([round.finished, round.entry.label]).toEqual([false, '5I']);
	});
	it('reads in the units of whoever measures', () => {
		bench.units = { length: 'mm', load: 'N' };
		round.begin(PARTS);
		type('46,2');
		expect(outbox.waiting[0]!.reading.read).toBe('46.2 mm');
	});
	it('takes nothing from nobody', () => {
		bench.person = null;
		round.begin(PARTS);
		type('1819');
		expect(outbox.waiting).toEqual([]);
	});
});

describe('repeats', () => {
	beforeEach(() => {
		round.repeats = 2;
		round.begin(PARTS);
	});
	it('stay at the station until it has its readings, all of one set', () => {
		type('1819');
		expect([round.entry.label, round.again]).toEqual(['5I', { number: 2, of: 2, why: null }]);
		type('1820');
		expect(round.entry.label).toBe('5E');
		const sets = outbox.waiting.map(({ reading }) => reading.set);
		expect(sets[0]).toBeDefined();
		expect(sets[1]).toBe(sets[0]);
		type('1822');
		expect(outbox.waiting[2]!.reading.set).not.toBe(sets[0]);
	});
	it('ask for a third where the first two differ by more than the gauge explains', () => {
		type('1819');
		type('1830');
		expect(round.again).toMatchObject({ number: 3, of: 3 });
		expect(round.again!.why).toContain('further apart');
		type('1820');
		expect(round.entry.label).toBe('5E');
	});
	it('begin anew when the station is left', () => {
		type('1819');
		round.skip();
		expect(round.again).toBeNull();
	});
});

describe('a gauge that sends', () => {
	it('keeps what its button sends, one station after another', () => {
		round.begin(PARTS);
		round.hear([
			['1.8190 in', null, 1],
			[null, '500 N', 2],
			['46.30 mm', null, 3]
		]);
		expect(outbox.waiting.map(({ reading }) => [reading.station, reading.read])).toEqual([
			['5I', '1.8190 in'],
			['5E', '46.30 mm']
		]);
	});
	it('is asked about what is far off, and keeps it on its button once more', () => {
		round.begin(PARTS);
		round.hear([['2.9000 in', null, 1]]);
		expect([round.asked, outbox.waiting.length]).toEqual(['2.9000 in', 0]);
		round.hear([['2.9000 in', null, 2]]);
		expect(outbox.waiting).toHaveLength(1);
	});
	it('keeps the peak of each pull of an on-head tester', () => {
		round = new Round('on-head-load', new JobStore(job, 1), bench);
		round.begin(PARTS);
		round.hear([150, 400, 505, 480].map((load, at) => [null, `${load} N`, at] as const));
		expect(outbox.waiting.map(({ reading }) => reading.read)).toEqual(['505 N']);
	});
	it('is not heard before the round has begun', () => {
		round.hear([['1.8190 in', null, 1]]);
		expect(outbox.waiting).toEqual([]);
	});
});

describe('a round of chambers', () => {
	it('goes by cylinder, reads cubic centimetres, and has nothing in place', () => {
		round = new Round('chamber-volume', new JobStore(job, 1), bench);
		expect(round.order.map(({ cylinder }) => cylinder)).toEqual([1, 2, 3, 4, 5, 6]);
		round.begin(PARTS);
		round.typed = '62,4';
		expect(round.draft).toMatchObject({ read: '62.4 cc', inPlace: { locator: '0 mm' } });
		expect(round.preview!.figures.chamberVolume).toMatchObject({ figure: 62.4, state: 'clear' });
	});
});

describe('a round of seal gaps', () => {
	it('asks again for what was read before the seals were home', () => {
		const gap = job.readings.find(({ quantity }) => quantity === 'seal-gap')!;
		const begun = (sealHome: boolean) => {
			round = new Round('seal-gap', new JobStore(job, 1), bench);
			round.begin({ ...PARTS, sealHome });
			return round.left;
		};
		const before = begun(true);
		gap.inPlace = { ...gap.inPlace, sealHome: false };
		expect(begun(true)).toBe(before + 1);
		expect(begun(false)).toBe(before);
	});
});
