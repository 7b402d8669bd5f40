/** Plans for the straight six that came back: springs that ran change places, or make way for new ones. */
import { readFileSync } from 'node:fs';
import loadHighs from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { readJob } from '../../../job/document/file.ts';
import { partsOf, visitJob, type Job } from '../../../job/document/index.ts';
import { evaluate } from '../../../sheet/evaluation/index.ts';
import {
	pickList,
	planJob,
	withPlan,
	type PlanQuestion
} from '../../../planning/on-job/plan/index.ts';
import { message } from '../../../foundation/message/index.ts';
import { highsSolver } from '../../../planning/solver/highs.ts';
import type { LinearSolver } from '../../../planning/solver/linear.ts';
import { servedParts } from '../service/index.ts';
import { visitComparison } from '../changes/index.ts';
import { planSides, springsToReplace, wornSprings } from './plan-sides.ts';
import { fatesOf } from './used-springs.ts';

const demo = (name: string): Job => {
	const read = readJob(readFileSync(`demo/jobs/${name}.json`, 'utf8'));
	if (!read.ok) throw new Error(name);
	return read.value;
};
/** The reference spring reads the same on both testers. */
const withReference = (job: Job): Job => ({
	...job,
	looks: [
		...job.looks,
		{
			id: 'b5a1a3c0-0000-7000-8000-000000000301',
			check: 'gauge-reference',
			seen: [],
			reference: { then: '600 N', now: '600 N' },
			person: job.people[0]!.id,
			at: '2026-11-20T08:00:00.000Z'
		}
	]
});
const signed = demo('2403-circuit-six');
const unchecked = demo('2423-circuit-six-back');
const back = withReference(unchecked);
const card = back.setup.kinds.intake.spring!;
const labels = back.stations.map(({ label }) => label);
const LIFE = new Map(labels.map((label, i) => [label, label === '2I' ? 1.1 : 0.4 + i / 100]));
const fatesNow = (job: Job, life = LIFE) =>
	fatesOf(job, evaluate(job), visitComparison(signed, job), life);
const fates = fatesNow(back);

let solver: LinearSolver;
beforeAll(async () => {
	solver = highsSolver(await loadHighs());
});
const shelf = (count: number | null) => [{ card: card.id, name: card.name, count }];
const asked = (more: Partial<PlanQuestion>) =>
	planJob(
		{ job: back, lockStock: [], placeSprings: false, fixed: [], ...more },
		{ solver: () => Promise.resolve(solver) }
	);
async function planned(more: Partial<PlanQuestion>) {
	const answer = await asked(more);
	if (answer.type !== 'plan') throw new Error(JSON.stringify(answer));
	return answer.stations;
}
const newAt = (stations: Awaited<ReturnType<typeof planned>>) =>
	stations.flatMap(({ label, newSpring }) => (newSpring ? [label] : []));

describe('springs that ran, in a plan', () => {
	it('are installed nowhere before anybody knows that they are good', () => {
		const unknown = fatesNow(unchecked);
		expect(springsToReplace(unchecked, unknown)).toEqual(labels);
		expect(wornSprings(unchecked, unknown)).toHaveLength(labels.length);
	});
	it('that are not used again make way for new ones, the others stay', async () => {
		const replaced = springsToReplace(back, fates);
		expect(replaced).toEqual(['2I', '4E']);
		const stations = await planned({ replaced, newSprings: shelf(24) });
		expect(newAt(stations)).toEqual(replaced);
		const built = withPlan(back, stations);
		const at = (label: string) => built.stations.find((entry) => entry.label === label)!;
		expect(at('4E')).toMatchObject({ newSpring: true });
		expect(at('4E').spring).toBeUndefined();
		expect(at('1I').spring).toBe('T1');
		// A new one has the card's figures, not those of the set that ran.
		expect(partsOf(built.setup, at('4E')).spring).toMatchObject({ name: card.name });
		expect(partsOf(built.setup, at('4E')).spring!.tested).toBeUndefined();
	});
	it('change places where that is asked for, and none that is out comes in elsewhere', async () => {
		const replaced = springsToReplace(back, fates);
		const out = replaced.map((label) => back.stations.find((one) => one.label === label)!.spring);
		const stations = await planned({ placeSprings: true, replaced, newSprings: shelf(24) });
		const used = stations.flatMap(({ spring }) => spring ?? []);
		expect(new Set(used).size).toBe(used.length);
		for (const tag of out) expect(used).not.toContain(tag);
		// The new ones go where the old ones are out, as long as that is as good.
		expect(newAt(stations)).toEqual(replaced);
	});
	it('want as many new ones as the shelf has, and say so', async () => {
		const short = await asked({ replaced: labels, newSprings: shelf(5) });
		expect(short).toEqual({
			type: 'no-plan',
			why: [
				message('plan.too-few', {
					part: message('part.new-spring', { name: card.name }),
					required: 12,
					stock: 5
				})
			]
		});
		expect(newAt(await planned({ replaced: labels, newSprings: shelf(null) }))).toHaveLength(12);
		expect(await asked({ replaced: ['4E'] })).toEqual({
			type: 'no-plan',
			why: [message('plan.no-spring-left', { station: '4E' })]
		});
	});
	it('are new once: what is in already comes off no shelf again', async () => {
		const replaced = ['4E'];
		const built = withPlan(back, await planned({ replaced, newSprings: shelf(1) }));
		expect(springsToReplace(built, fatesNow(built))).toEqual(['2I']);
		const again = await planned({ job: built, replaced, newSprings: shelf(0) });
		expect(newAt(again)).toEqual(['4E']);
		const picks = pickList(built, again, new Map([[card.name, 0]]));
		expect(picks.find(({ type }) => type === 'new-spring')).toMatchObject({
			wanted: 1,
			fitted: 1,
			short: 0
		});
	});
	it('do not come in elsewhere once they were taken out', async () => {
		const built = withPlan(back, await planned({ replaced: ['4E'], newSprings: shelf(24) }));
		const now = fatesNow(built);
		const worn = wornSprings(built, now);
		expect(worn).toEqual([
			{ tag: 'T4', card: card.id },
			{ tag: 'T7', card: card.id }
		]);
		const again = await planned({
			job: built,
			placeSprings: true,
			replaced: springsToReplace(built, now),
			worn,
			newSprings: shelf(24)
		});
		const used = again.flatMap(({ spring }) => spring ?? []);
		expect(used).toHaveLength(10);
		for (const { tag } of worn) expect(used).not.toContain(tag);
	});
	it('are told as they came back, whatever was built since', async () => {
		const replaced = springsToReplace(back, fates);
		const stations = await planned({ placeSprings: true, replaced, newSprings: shelf(24) });
		const before = visitComparison(signed, back);
		const after = visitComparison(signed, withPlan(back, stations));
		expect(after.map(({ moved }) => moved.load)).toEqual(before.map(({ moved }) => moved.load));
		expect(after.map(({ losses }) => losses)).toEqual(before.map(({ losses }) => losses));
	});
	it('have run nothing where they are new, and have run at the next visit', async () => {
		const built = withPlan(back, await planned({ replaced: ['4E'], newSprings: shelf(1) }));
		const served = servedParts(built).filter(({ part }) => part === 'spring');
		const carried = served.flatMap(({ station, isCarried }) => (isCarried ? [] : [station]));
		expect(carried).toEqual(['4E']);
		const next = visitJob(built, {
			id: built.id,
			number: '1',
			takenIn: built.takenIn,
			visitOf: built.visitOf!,
			customer: built.customer,
			engine: built.engine,
			heads: built.heads
		})!;
		expect(next.stations.some(({ newSpring }) => newSpring)).toBe(false);
	});
});

describe('the sides of a plan', () => {
	const priced = (price: number | null) => () => price;
	it('are its new springs, what they cost, and the life of the spring with least of it', async () => {
		const replaced = springsToReplace(back, fates);
		const stations = await planned({ replaced, newSprings: shelf(24) });
		expect(planSides(back, stations, fates, priced(14.5))).toMatchObject({
			newSprings: 2,
			price: 29
		});
		const left = fates.flatMap(({ station, serviceLeft }) =>
			replaced.includes(station) ? [] : [serviceLeft!]
		);
		expect(planSides(back, stations, fates, priced(14.5)).lifeLeft).toBe(Math.min(...left));
		const all = await planned({ replaced: labels, newSprings: shelf(24) });
		expect(planSides(back, all, fates, priced(14.5))).toEqual({
			newSprings: 12,
			price: 174,
			lifeLeft: 1
		});
		expect(planSides(back, all, fates, priced(null)).price).toBeNull();
	});
	it('tell springs of two sets apart by their card, and those without a tag by their valve', () => {
		const exhausts = structuredClone(back);
		const other = '0197a000-0000-7000-8000-00000000000f';
		exhausts.setup.kinds.exhaust.spring!.id = other;
		const worn = (station: string, spring: string | null, serviceLeft: number) => ({
			...fates[0]!,
			station,
			spring,
			serviceLeft
		});
		// Both valves of the first cylinder have a T1, each of its own set.
		const tags = exhausts.stations.map((entry) => ({
			...entry,
			spring: `T${entry.cylinder}`
		}));
		const two = { ...exhausts, stations: tags };
		const left = tags.map(({ label, spring, kind }) =>
			worn(label, spring, kind === 'intake' ? 0.3 : 0.6)
		);
		const intakes = tags.filter(({ kind }) => kind === 'intake');
		const fresh = intakes.map(({ label }) => ({ label, shims: [], newSpring: true as const }));
		expect(planSides(two, [], left, priced(1)).lifeLeft).toBe(0.3);
		expect(planSides(two, fresh, left, priced(1)).lifeLeft).toBe(0.6);
		const bare = structuredClone(back.stations);
		for (const entry of bare) delete entry.spring;
		const untagged = bare.map(({ label }, i) => worn(label, null, 0.2 + i / 100));
		expect(planSides({ ...back, stations: bare }, [], untagged, priced(1)).lifeLeft).toBe(0.2);
	});
	it('of what stands cost nothing, and say no life where the shop limits none', () => {
		expect(planSides(back, [], fates, priced(null))).toMatchObject({ newSprings: 0, price: 0 });
		expect(planSides(back, [], fates, priced(null)).lifeLeft).toBeCloseTo(-0.1, 12);
		const unlimited = fatesNow(back, new Map());
		expect(planSides(back, [], unlimited, priced(1)).lifeLeft).toBeNull();
	});
});
