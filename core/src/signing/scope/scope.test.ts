/** What each scope refuses (docs/trade/assembly.md, "What a signature says"). */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { SCOPE_NEEDS, SCOPES, type Job } from '../../job/document/index.ts';
import { readJob } from '../../job/document/file.ts';
import { evaluate } from '../../sheet/evaluation/index.ts';
import type { Remark } from '../../sheet/figures/index.ts';
import { message } from '../../foundation/message/index.ts';
import { furthest, lackingFor, scopeStatus, wholeJob, type Scope } from './index.ts';

const load = (name: string): Job => {
	const read = readJob(readFileSync(`demo/jobs/${name}.json`, 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	return read.value;
};
const six = load('2417-straight-six');
/** A head that was measured, built, tried and set: nothing is missing on it. */
const single = load('2402-single');
const changed = (job: Job, change: (copy: Job) => void): Job => {
	const copy = structuredClone(job);
	change(copy);
	return copy;
};
const lacking = (job: Job, scope: Scope) =>
	lackingFor(job, evaluate(job), scope).map(({ need }) => need);
const all = (job: Job, name: Scope['name']) => lacking(job, wholeJob(job, name));
const status = (job: Job, scope: Scope) => scopeStatus(job, evaluate(job), scope);
/** A job without the readings of some quantities. */
const without = (job: Job, ...quantities: string[]) =>
	changed(job, (copy) => {
		copy.readings = copy.readings.filter(({ quantity }) => !quantities.includes(quantity));
	});

describe('a job on which everything was done', () => {
	it.each(SCOPES)('lacks nothing of %s', (name) => expect(all(single, name)).toEqual([]));
	it('can be signed as far as the engine', () => {
		expect(furthest(single, evaluate(single))).toBe('on-engine');
	});
});

describe('a signature of the head as measured', () => {
	it('refuses a station whose gap was not read, and claims no assembly', () => {
		const job = without(single, 'seal-gap', 'seal-gap-at-lift', 'lash');
		expect(all(job, 'measured')).toEqual(['sealClearance']);
		expect(status(job, wholeJob(job, 'measured')).maySign).toBe(false);
	});
	it('refuses loads and margin where the spring is not known', () => {
		const job = changed(single, (copy) => delete copy.setup.kinds.exhaust.spring);
		expect(all(job, 'measured')).toEqual(['seatLoad', 'openLoad', 'bindMargin']);
		expect(lackingFor(job, evaluate(job), wholeJob(job, 'measured'))[0]!.stations).toEqual(['1E']);
	});
	it('takes a head that is not built', () => {
		const job = changed(single, (copy) => {
			copy.assembly = [];
			copy.checks = [];
		});
		expect(status(job, wholeJob(job, 'measured')).maySign).toBe(true);
		expect(furthest(job, evaluate(job))).toBe('measured');
	});
	it('never takes a job without readings', () => {
		const job = changed(single, (copy) => {
			copy.readings = [];
			copy.assembly = [];
			copy.setup.leftOut = [];
		});
		expect(status(job, wholeJob(job, 'measured'))).toMatchObject({
			isRead: false,
			maySign: false
		});
		expect(furthest(job, evaluate(job))).toBeNull();
	});
});

describe('a signature of the head as built', () => {
	it('refuses a step that was not done, at the stations it is for', () => {
		const job = changed(single, (copy) => {
			copy.assembly = copy.assembly.filter(({ step }) => step !== 'count-in');
		});
		expect(all(job, 'built')).toEqual(['assembly']);
		expect(all(job, 'measured')).toEqual([]);
	});
	it('refuses a head that was not verified once built, nor held under vacuum', () => {
		expect(all(without(single, 'built-height', 'on-head-load'), 'built')).toEqual(['built']);
		const untried = changed(single, (copy) => {
			copy.checks = copy.checks.filter(({ type }) => type !== 'vacuum');
		});
		expect(all(untried, 'built')).toEqual(['vacuum']);
	});
	it('in the car wants the leak-down of the cylinder, made with its springs on', () => {
		const inCar = changed(single, (copy) => {
			copy.setup.workLocation = 'vehicle';
			// One who works in the car strips, proves the air and so on: what is asked here is the leak-down.
			copy.setup.leftOut = [{ need: 'assembly', reason: 'recorded on paper' }];
		});
		expect(all(inCar, 'built')).toEqual(['vacuum']);
		const leakDown = (at: string, loss = 0.04) =>
			changed(inCar, (copy) => {
				copy.checks.push({
					id: '0197a999-0000-7000-8000-0000000000a1',
					type: 'leak-down',
					station: copy.stations[0]!.label,
					loss,
					max: 0.15,
					person: copy.people[0]!.id,
					at
				});
			});
		expect(all(leakDown('2040-01-01T08:00:00.000Z'), 'built')).toEqual([]);
		expect(all(leakDown('2000-01-01T08:00:00.000Z'), 'built')).toEqual(['vacuum']);
		// One that failed is a stop at its own valve, and counts for no other.
		const failed = leakDown('2040-01-01T08:00:00.000Z', 0.4);
		const other = failed.stations[1]!.label;
		expect(lacking(failed, { name: 'built', stations: [other] })).toEqual(['vacuum']);
		expect(status(failed, wholeJob(failed, 'built')).maySign).toBe(false);
	});
	it('takes no check from before the spring went on', () => {
		const early = changed(single, (copy) => {
			const before = '2000-01-01T08:00:00.000Z';
			for (const reading of copy.readings)
				if (['built-height', 'on-head-load'].includes(reading.quantity)) {
					reading.at = before;
					delete reading.clock;
				}
			for (const check of copy.checks) if (check.type === 'vacuum') check.at = before;
		});
		expect(all(early, 'built')).toEqual(['built', 'vacuum']);
	});
});

describe('a signature on the engine', () => {
	it('refuses a valve whose lash was not set', () => {
		expect(all(without(single, 'lash'), 'on-engine')).toEqual(['lash']);
	});
	it('refuses a lash that was held against nothing', () => {
		const hot = changed(single, (copy) => {
			for (const reading of copy.readings)
				if (reading.quantity === 'lash') {
					reading.engine = 'hot';
					reading.read = '0.050 in';
				}
		});
		expect(all(hot, 'on-engine')).toEqual(['lash']);
	});
	it('takes no preload for the lash of solid lifters', () => {
		const pushed = changed(single, (copy) => {
			for (const reading of copy.readings)
				if (reading.quantity === 'lash') {
					reading.quantity = 'preload';
					delete reading.lash;
				}
		});
		expect(all(pushed, 'on-engine')).toEqual(['lash']);
	});
	it('asks for piston-to-valve of each kind where the deck was cut, and not else', () => {
		const untried = changed(single, (copy) => {
			copy.checks = copy.checks.filter(({ type }) => type !== 'piston-to-valve');
		});
		expect(all(untried, 'on-engine')).not.toContain('piston');
		const cut = changed(untried, (copy) => {
			copy.headWork = [
				{
					id: '0197a999-0000-7000-8000-00000000000a',
					work: 'deck-cut',
					cut: '0.2 mm',
					person: copy.people[0]!.id,
					at: '2020-01-01T08:00:00.000Z'
				}
			];
		});
		expect(all(cut, 'on-engine')).toEqual(['piston']);
		cut.headWork.push({
			...cut.headWork[0]!,
			id: '0197a999-0000-7000-8000-00000000000b',
			withdraws: cut.headWork[0]!.id
		});
		expect(all(cut, 'on-engine')).toEqual([]);
	});
});

describe('a scope', () => {
	it('asks nothing of stations that it does not speak of', () => {
		const read = six.readings.find(({ quantity }) => quantity === 'seal-gap')!.station;
		const one: Scope = { name: 'measured', stations: [read] };
		expect(lacking(six, one)).toEqual([]);
		expect(lacking(six, wholeJob(six, 'measured'))).not.toEqual([]);
		expect(status(six, one).items.every(({ place }) => !place.includes('4E'))).toBe(true);
	});
	it('claims nothing once all that it claims is left out, and takes a letter for no reason', () => {
		const leaving = (reason: string) =>
			changed(single, (copy) => {
				copy.setup.leftOut = SCOPE_NEEDS.map((need) => ({ need, reason }));
			});
		for (const name of SCOPES)
			expect(status(leaving('not wanted'), wholeJob(single, name))).toMatchObject({
				isRead: false,
				maySign: false
			});
		const bare = changed(leaving('x'), (copy) => {
			copy.readings = copy.readings.filter(({ quantity }) => quantity === 'tip-height');
		});
		expect(all(bare, 'on-engine')).toContain('lash');
	});
	it('is held up by a stop of the whole sheet, and by a part that may have been forgotten', () => {
		const sheet = evaluate(single);
		const remark = (state: 'stop' | 'watch' | 'clear', about?: 'forgotten-part'): Remark => ({
			state,
			...(about && { about }),
			text: message('spring.sampled', { kind: 'intake', tested: 1, of: 2 })
		});
		const held = (...remarks: Remark[]) =>
			scopeStatus(single, { ...sheet, remarks }, wholeJob(single, 'measured')).maySign;
		expect(held()).toBe(true);
		expect(held(remark('watch'), remark('clear'))).toBe(true);
		expect(held(remark('stop'))).toBe(false);
		expect(held(remark('watch', 'forgotten-part'))).toBe(false);
	});
	it('does without what the job leaves out with a reason', () => {
		const job = changed(without(single, 'seal-gap', 'seal-gap-at-lift'), (copy) => {
			copy.setup.leftOut = [{ need: 'sealClearance', reason: 'no seals on this engine' }];
		});
		expect(all(job, 'measured')).toEqual([]);
	});
});
