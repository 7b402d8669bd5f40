/** One valve of a head worked on: the rest is neither measured, built, counted nor signed. */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { assemblyOf, lockHalves } from '../../assembly/index.ts';
import { evaluate } from '../../sheet/evaluation/index.ts';
import { furthest, lackingFor, scopeStatus, wholeJob } from '../../signing/scope/index.ts';
import { stagesOf } from '../../signing/stages/index.ts';
import { isAtHand, stationsAtHand } from './at-hand.ts';
import { readJob } from './file.ts';
import { setupLike } from './setup-like.ts';
import { Job } from './schema.ts';

const read = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
if (!read.ok) throw new Error(JSON.stringify(read.problems));
const six = read.value;
const job: Job = { ...six, setup: { ...six.setup, atHand: ['3I'] } };
const sheet = evaluate(job);
const stage = (name: string, of = job) => stagesOf(of, sheet).find((one) => one.name === name)!;

describe('one valve at hand', () => {
	it('is all that is walked, stripped and counted', () => {
		expect(stationsAtHand(job).map(({ label }) => label)).toEqual(['3I']);
		expect([isAtHand(job, '3I'), isAtHand(job, '4E')]).toEqual([true, false]);
		expect(lockHalves(job)).toBe(2);
		const places = new Set(assemblyOf(job, sheet).steps.map(({ place }) => place));
		expect(places).toEqual(new Set(['job', '3I']));
	});
	it('makes the stages go by it: a stop elsewhere is none of this job', () => {
		expect(stage('heights')).toMatchObject({ done: true });
		expect(stage('sheet').note!.code).not.toBe('stage.at-stop');
		expect(stage('sheet', six).note!.code).toBe('stage.at-stop');
	});
	it('can be signed as measured with the rest not looked at', () => {
		const scope = wholeJob(job, 'measured');
		expect(scope.stations).toEqual(['3I']);
		expect(lackingFor(job, sheet, scope)).toEqual([]);
		expect(scopeStatus(job, sheet, scope).items.some(({ place }) => place === '4E')).toBe(false);
		expect(furthest(six, sheet)).toBeNull();
	});
	it('claims no assembly of a valve that nobody touched', () => {
		const built: Job = structuredClone(job);
		const { steps } = assemblyOf(built, sheet);
		built.assembly = steps.map(({ place, step, counts }, i) => ({
			id: `0197a000-0000-7000-8000-${String(i).padStart(12, '0')}`,
			place,
			step,
			done: true,
			...(counts && { count: 2 }),
			person: six.people[0]!.id,
			at: new Date(Date.UTC(2026, 10, 21, 8, i)).toISOString()
		}));
		const lacks = (stations: string[]) =>
			lackingFor(built, evaluate(built), { name: 'built', stations }).find(
				({ need }) => need === 'assembly'
			)?.stations ?? [];
		expect(lacks(['3I'])).toEqual([]);
		expect(lacks(['3I', '3E'])).toEqual(['3E']);
	});
	it('is of this visit alone, and no valve that is not there', () => {
		expect(setupLike(job).atHand).toBeUndefined();
		expect(stationsAtHand({ ...job, setup: { ...job.setup, atHand: ['9I'] } })).toHaveLength(12);
		expect(Job.parse(job).setup.atHand).toEqual(['3I']);
		const wrong = { ...job, setup: { ...job.setup, atHand: ['third'] } };
		expect(Job.safeParse(wrong).success).toBe(false);
	});
});
