import { readFileSync } from 'node:fs';
import loadHighs from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { keyOf, message } from '../../../foundation/message/index.ts';
import { highsSolver } from '../../solver/highs.ts';
import type { LinearSolver } from '../../solver/linear.ts';
import { evaluate } from '../../../sheet/evaluation/index.ts';
import { planInForce } from '../../../signing/stages/index.ts';
import { readJob } from '../../../job/document/file.ts';
import type { Job } from '../../../job/document/index.ts';
import { mm, newtons, type Millimetres } from '../../../foundation/units/index.ts';
import { loadSpread, pickList, shelfAfter, withoutBuilds, withPlan } from './apply.ts';
import type { BuildOption } from './builds.ts';
import { balanceLoads } from './balance-loads.ts';
import { planJob } from './plan.ts';
import type { PlanAnswer, PlanQuestion } from './types.ts';

const load = (name: string): Job => {
	const read = readJob(readFileSync(`demo/jobs/${name}.json`, 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	return read.value;
};
let solver: LinearSolver;
beforeAll(async () => {
	solver = highsSolver(await loadHighs());
});
const plan = (job: Job, more: Partial<PlanQuestion> = {}) =>
	planJob(
		{ job, lockStock: [], placeSprings: false, fixed: [], ...more },
		{ solver: () => Promise.resolve(solver) }
	);
type Found = Extract<PlanAnswer, { type: 'plan' }>;
async function found(job: Job, more: Partial<PlanQuestion> = {}): Promise<Found> {
	const answer = await plan(job, more);
	if (answer.type !== 'plan') throw new Error(JSON.stringify(answer));
	return answer;
}
const job = load('2426-placed-springs');
const withStock = (count: number): Job => ({
	...job,
	setup: {
		...job.setup,
		shimStock: job.setup.shimStock.map((size) => ({ ...size, count }))
	}
});

describe('the plan in force', () => {
	const accepted = { proven: true, stations: [], person: '', at: '2026-03-04T12:00:00Z' };
	const [one, two] = [
		{ ...accepted, id: 'one' },
		{ ...accepted, id: 'two' }
	];
	const taken = (withdraws: string) => ({ ...accepted, id: `no ${withdraws}`, withdraws });
	it('is the newest that was not taken back', () => {
		expect(planInForce({ plans: [] })).toBeNull();
		expect(planInForce({ plans: [one, two] })).toBe(two);
		expect(planInForce({ plans: [one, two, taken('two')] })).toBe(one);
		expect(planInForce({ plans: [one, two, taken('two'), taken('one')] })).toBeNull();
	});
});

describe('the plan of a job', () => {
	it('holds every floor, and no station is left out', async () => {
		const answer = await found(job);
		expect([answer.proven, answer.leftOut, answer.stations.length]).toEqual([true, [], 12]);
		const sheet = evaluate(withPlan(job, answer.stations));
		expect(sheet.stations.map(({ figures }) => figures.bindMargin.state)).not.toContain('stop');
		expect(sheet.stations.map(({ figures }) => figures.bindMargin.state)).not.toContain(
			'inconclusive'
		);
	});
	it('with springs placed leaves less than half the spread of shims to card height, with fewer shims', async () => {
		const kinds = structuredClone(job.setup.kinds);
		kinds.intake.aim = { method: 'card-height' };
		kinds.exhaust.aim = { method: 'card-height' };
		const card = await found({ ...job, setup: { ...job.setup, kinds } });
		const toCard = loadSpread(withPlan(job, card.stations));
		const placed = loadSpread(withPlan(job, (await found(job, { placeSprings: true })).stations));
		expect(placed.spread.intake!).toBeLessThan(toCard.spread.intake! / 2);
		expect(placed.spread.exhaust!).toBeLessThan(toCard.spread.exhaust! / 2);
		expect(placed.shims).toBeLessThan(toCard.shims);
	});
	it('leaves a station inside the dead band as it is, though a shim less would save a part', async () => {
		const kinds = structuredClone(job.setup.kinds);
		for (const kind of ['intake', 'exhaust'] as const) kinds[kind].aim = { method: 'card-height' };
		const limits = { ...job.setup.limits, deadBand: '0.010 in' };
		const toCard = { ...withoutBuilds(job), setup: { ...job.setup, kinds, limits } };
		const { stations } = evaluate(toCard);
		// Shims that bring each within the dead band, 0.005 thick where that is nearer than none.
		const thin = {
			...toCard,
			setup: { ...toCard.setup, shimStock: [{ thickness: '0.002 in', count: 40 }] }
		};
		const offOf = (of: Job) =>
			evaluate(of).stations.map(({ figures, shared }) =>
				Math.abs(figures.height.figure! - shared.target.height!)
			);
		const shimmed = {
			...thin,
			stations: thin.stations.map((entry, i) => {
				const { figures, shared } = stations[i]!;
				const off = figures.height.figure! - shared.target.height!;
				return off > 0.06 && off < 0.3 ? { ...entry, shims: ['0.002 in'] } : entry;
			})
		};
		const before = offOf(shimmed);
		const answer = await found(shimmed);
		const after = offOf(withPlan(shimmed, answer.stations));
		before.forEach((off, i) => expect(after[i]!).toBeLessThanOrEqual(off + 1e-9));
		const inside = before.filter((off) => off <= 0.254);
		expect(inside.length).toBeGreaterThan(0);
		answer.stations.forEach((station, i) => {
			if (before[i]! <= 0.254)
				expect(station.shims).toEqual(
					shimmed.stations.find(({ label }) => label === station.label)!.shims
				);
		});
	});
	it('takes no shim that would not go over the boss or into the pocket', async () => {
		const kinds = structuredClone(job.setup.kinds);
		kinds.intake.pocket = { boss: '0.600 in', diameter: '1.500 in' };
		kinds.exhaust.pocket = { boss: '0.450 in', diameter: '1.500 in' };
		const shimStock = job.setup.shimStock.map((size) => ({
			...size,
			count: 40,
			inside: '0.500 in',
			outside: '1.400 in'
		}));
		const bare = withoutBuilds(job);
		const tight = { ...bare, setup: { ...bare.setup, kinds, shimStock } };
		const answer = await plan(tight);
		const of = (kind: string) =>
			answer.type === 'plan'
				? answer.stations.filter(({ label }) => label.endsWith(kind)).flatMap(({ shims }) => shims)
				: [];
		expect(answer.type).toBe('plan');
		expect(of('I')).toEqual([]);
		expect(of('E').length).toBeGreaterThan(0);
	});
	it('a station fixed with spring T1 of one set keeps no T1 of another set out', async () => {
		const { intake, exhaust } = job.setup.kinds;
		const springs = job.setup.springs!;
		const ofKind = (kind: 'intake' | 'exhaust') => {
			const card = { intake, exhaust }[kind].spring!.id;
			return springs.filter((spring) => spring.card === card);
		};
		// Each kind's set tagged alike: T1 and so on.
		const isOneCard = intake.spring!.id === exhaust.spring!.id;
		const other = isOneCard ? '0197a669-0000-7000-8000-0000000000aa' : exhaust.spring!.id;
		const half = Math.ceil(springs.length / 2);
		const sets = isOneCard
			? [springs.slice(0, half), springs.slice(half).map((spring) => ({ ...spring, card: other }))]
			: [ofKind('intake'), ofKind('exhaust')];
		const retagged = sets.flatMap((set) =>
			set.map((spring, i) => ({ ...spring, tag: `T${i + 1}` }))
		);
		const kinds = { intake, exhaust: { ...exhaust, spring: { ...exhaust.spring!, id: other } } };
		const stations = withoutBuilds(job).stations.map((entry) =>
			entry.label === '1I' ? { ...entry, spring: 'T1' } : entry
		);
		const two = { ...job, stations, setup: { ...job.setup, kinds, springs: retagged } };
		const answer = await found(two, { placeSprings: true, fixed: ['1I'] });
		const exhausts = answer.stations.filter(({ label }) => label.endsWith('E'));
		expect(exhausts).toHaveLength(6);
		expect(exhausts.every(({ spring }) => spring !== undefined)).toBe(true);
		const intakes = answer.stations.filter(({ label }) => label.endsWith('I'));
		expect(intakes.map(({ spring }) => spring)).not.toContain('T1');
	});
	it('puts every spring in one place at most', async () => {
		const tags = (await found(job, { placeSprings: true })).stations.map(({ spring }) => spring);
		expect(new Set(tags).size).toBe(12);
	});
	it('keeps what is fixed, with its spring, out of the plan', async () => {
		const answer = await found(job, { placeSprings: true, fixed: ['3E'] });
		expect(answer.stations.map(({ label }) => label)).not.toContain('3E');
		const kept = job.stations.find(({ label }) => label === '3E')!.spring;
		expect(answer.stations.map(({ spring }) => spring)).not.toContain(kept);
	});
	it('takes no more than the shelf holds, and is no better for it', async () => {
		const scarce = withStock(2);
		const answer = await found(scarce);
		expect(answer.proven).toBe(true);
		for (const pick of pickList(scarce, answer.stations)) expect(pick.short).toBe(0);
		expect(answer.worst).toBeGreaterThanOrEqual((await found(job)).worst);
	});
	it('shims that are fitted come free for other stations', async () => {
		const answer = await found(job);
		const built = withPlan(withStock(0), answer.stations);
		const again = await found(built);
		expect(again.worst).toBeCloseTo(answer.worst, 9);
	});
	it('names the stations whose heights are not measured', async () => {
		const half = { ...job, readings: job.readings.filter(({ station }) => station !== '2I') };
		expect((await found(half)).leftOut).toEqual([['2I', message('need.height')]]);
		const none = await plan({ ...job, readings: [] });
		expect(none.type).toBe('no-plan');
	});
	it('says which limit fails, by how much, and what on order or on the shelf would free it', async () => {
		const strict: Job = {
			...job,
			setup: { ...job.setup, limits: { ...job.setup.limits, bindFloor: '0.125 in' } }
		};
		const short = await plan(strict);
		if (short.type !== 'no-plan') throw new Error(short.type);
		const answer = short.why.map((why) => keyOf(why));
		expect(answer.some((why) => /plan\.limit-short .*"limit":"bind-floor"/.test(why))).toBe(true);
		const locks = { ...job.setup.kinds.intake.locks!, name: 'Plus locks', offset: '0.050 in' };
		const ordered = await plan(strict, { lockStock: [{ locks, count: 0 }] });
		if (ordered.type !== 'no-plan') throw new Error(ordered.type);
		expect(ordered.why.map((why) => keyOf(why)).join()).toContain('plan.solved-on-order');
		const apart = await plan(strict, { lockStock: [{ locks, count: 12, excluded: true }] });
		if (apart.type !== 'no-plan') throw new Error(apart.type);
		expect(apart.why.map((why) => keyOf(why)).join()).toMatch(
			/plan\.solved-from-stock .*Plus locks/
		);
		expect(
			(await found(strict, { lockStock: [{ locks, count: 12 }] })).stations.some((s) => s.locks)
		).toBe(true);
	});
	it('a margin nearer to its floor than it is known is not planned for', async () => {
		const lift = evaluate(job).kinds.intake.lift!.worst;
		const vague = {
			...job,
			readings: job.readings.map((reading) => ({
				...reading,
				gauge: { ...reading.gauge, correctionError: '2 mm' }
			}))
		};
		expect(lift).toBeGreaterThan(0);
		expect((await plan(vague)).type).toBe('no-plan');
	});
	it('lists what to pick, and what is short', async () => {
		const answer = await found(job);
		const picks = pickList(withStock(1), answer.stations);
		const shims = picks.filter(({ type }) => type === 'shim');
		expect(shims.reduce((sum, { wanted }) => sum + wanted, 0)).toBe(
			answer.stations.reduce((sum, station) => sum + station.shims.length, 0)
		);
		expect(shims.some(({ short }) => short > 0)).toBe(true);
	});
	it('keeps springs of two sets apart that have the same tag', () => {
		const [first] = job.setup.springs!;
		const other = { ...first!, card: 'a card of the exhaust' };
		const both = { ...job, setup: { ...job.setup, springs: [first!, other] } };
		const stations = ['1I', '1E'].map((label) => ({ label, shims: [], spring: first!.tag }));
		const springs = (one: Job) =>
			pickList(withoutBuilds(one), stations).map(({ type, part, wanted }) => [type, part, wanted]);
		expect(springs(both)).toEqual([
			['spring', message('part.spring', { tag: first!.tag, kind: 'intake' }), 1],
			['spring', message('part.spring', { tag: first!.tag, kind: 'exhaust' }), 1]
		]);
		const alone = { ...job, setup: { ...job.setup, springs: [first!] } };
		expect(springs(alone)).toEqual([
			['spring', message('part.spring', { tag: first!.tag, kind: null }), 2]
		]);
	});
	it('takes its shims off the shelf, and lays them back when another is built', async () => {
		const answer = await found(job);
		const all = (one: Job) =>
			one.setup.shimStock.reduce((sum, { count = 0 }) => sum + count, 0) +
			one.stations.reduce((sum, { shims }) => sum + shims.length, 0);
		const built = withPlan(job, answer.stations);
		expect(built.setup.shimStock).not.toEqual(job.setup.shimStock);
		expect(all(built)).toBe(all(job));
		expect(withoutBuilds(built).setup.shimStock).toEqual(job.setup.shimStock);
	});
	it('an odd size that comes out of a head is on the shelf from then on', () => {
		const shelf = [{ thickness: '0.030 in', count: 1 }];
		expect(shelfAfter(shelf, [{ shims: ['0.045 in'] }], [{ shims: ['0.030 in'] }])).toEqual([
			{ thickness: '0.030 in', count: 0 },
			{ thickness: '0.045 in', count: 1 }
		]);
	});
	it('where the aim is a height, springs go where their loads are most even, and the plan is as good', async () => {
		const kinds = structuredClone(job.setup.kinds);
		for (const kind of ['intake', 'exhaust'] as const) kinds[kind].aim = { method: 'card-height' };
		const toCard = { ...job, setup: { ...job.setup, kinds } };
		const stays = await found(toCard);
		const placed = await found(toCard, { placeSprings: true });
		expect(placed.worst).toBeLessThanOrEqual(stays.worst);
		const [as, even] = [stays, placed].map(({ stations }) =>
			loadSpread(withPlan(toCard, stations))
		);
		expect(even!.spread.intake!).toBeLessThan(as!.spread.intake!);
		expect(even!.spread.exhaust!).toBeLessThan(as!.spread.exhaust!);
		expect(new Set(placed.stations.map(({ spring }) => spring)).size).toBe(12);
	});
});

describe('springs evened out', () => {
	const build = (seatLoad: number, shims: Millimetres[] = []): BuildOption => ({
		shims,
		sizes: shims.map((thickness) => ({ thickness, count: 1 })),
		locks: null,
		height: mm(45),
		seatLoad: newtons(seatLoad),
		bindMargin: mm(2),
		distance: 0,
		parts: 0,
		short: mm(0),
		floor: null
	});
	const choice = (station: number, spring: number, seatLoad: number, shims?: Millimetres[]) => ({
		station,
		spring,
		distance: 0,
		parts: 0,
		takes: [],
		isNew: false,
		build: build(seatLoad, shims)
	});
	it('changes springs only between the same builds', () => {
		const chosen = [choice(0, 0, 500), choice(1, 1, 600), choice(2, 2, 610)];
		const better = choice(0, 3, 602);
		const shimmed = choice(0, 3, 600, [mm(0.5)]);
		const kind = () => 'intake' as const;
		expect(balanceLoads(chosen, [...chosen, shimmed], 4, kind)).toEqual(chosen);
		expect(balanceLoads(chosen, [...chosen, shimmed, better], 4, kind)).toEqual([
			better,
			chosen[1],
			chosen[2]
		]);
	});
	it('leaves stations that keep their springs alone', () => {
		const kept = { ...choice(0, 0, 500), spring: null };
		expect(balanceLoads([kept], [kept], 0, () => 'intake')).toEqual([kept]);
	});
});

describe('a plan and the speed that springs hold their valves to', () => {
	const light = load('2418-light-retainers');
	const turnedTo = (engineSpeed: number, control?: 'told' | 'kept'): Job => ({
		...light,
		setup: {
			...light.setup,
			use: { ...light.setup.use, engineSpeed },
			...(control && { policies: { control } })
		}
	});
	it('only tells of it, unless the shop keeps it as a floor', async () => {
		const answer = await found(turnedTo(7150));
		const sheet = evaluate(withPlan(turnedTo(7150), answer.stations));
		expect(
			sheet.stations.every(({ figures }) =>
				['inconclusive', 'stop', 'watch'].includes(figures.controlLimit!.state)
			)
		).toBe(true);
		const kept = await found(turnedTo(7150, 'kept'));
		const held = evaluate(withPlan(turnedTo(7150), kept.stations));
		for (const { figures } of held.stations)
			expect(figures.controlLimit!.figure!).toBeGreaterThanOrEqual(7150);
		expect(held.stations.flatMap(({ stack }) => stack.shims).length).toBeGreaterThan(
			sheet.stations.flatMap(({ stack }) => stack.shims).length
		);
	});
	it('says so where no build reaches it', async () => {
		const answer = await plan(turnedTo(9000, 'kept'));
		expect(answer.type).toBe('no-plan');
		expect(JSON.stringify(answer)).toContain('control-limit');
	});
});
