/** Every rule of fit: a case that trips it, one that passes, one that lacks a figure. */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { evaluate } from '../evaluation/index.ts';
import { readJob, valueNow } from '../../job/document/file.ts';
import type { Job, KindSetup } from '../../job/document/index.ts';
import { readParts } from '../../parts/part/file.ts';
import type { LibraryPart } from '../../parts/part/index.ts';
import { keyOf, message } from '../../foundation/message/index.ts';
import { inches, poundsForce } from '../../foundation/units/index.ts';
import { alikeFindings, contextOf } from './alike.ts';
import { findings } from './fit.ts';
import { remediesFor } from './remedy.ts';
import type { FitContext, FitInput } from './rule.ts';
import { RULES } from './rules/index.ts';

function demo(): Job {
	const read = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	return read.value;
}
function library(): readonly LibraryPart[] {
	const read = readParts(readFileSync('demo/parts.json', 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	return read.value;
}
const parts = library();
const named = (name: string) => {
	const found = parts.find(({ part }) => part.name === name);
	if (!found) throw new Error(`no ${name}`);
	return structuredClone(found.part);
};

/** The straight six's intake, in which nothing but the locks' maker is amiss. */
function sound(): FitContext {
	const { setup } = demo();
	return {
		kind: 'intake',
		parts: { ...setup.kinds.intake, locks: named('Ostrel 10° standard') as KindSetup['locks'] },
		setup,
		lift: { gross: inches(0.54), net: inches(0.526), worst: inches(0.54) },
		openLoad: poundsForce(311),
		shims: [['0.030 in'], []],
		tipHeight: inches(0.14),
		springsOfHead: [{ name: 'D-37', batch: 'D37-0426', used: false }]
	};
}

/** Changes parts or set-up of a sound context. */
type Change = (context: FitContext) => void;
type Plain = Record<string, unknown>;
function changed(change: Change): FitContext {
	const context = structuredClone(sound());
	change(context);
	return context;
}
const check = (id: string, change: Change) =>
	RULES.find((rule) => rule.id === id)!.check(changed(change));
const set =
	(path: string, value: unknown): Change =>
	(context) => {
		const keys = path.split('.');
		const last = keys.pop()!;
		const at = keys.reduce<Plain>(
			(node, key) => (node[key] ??= {}) as Plain,
			context as unknown as Plain
		);
		if (value === undefined) Reflect.deleteProperty(at, last);
		else at[last] = structuredClone(value);
	};
const all =
	(...changes: Change[]): Change =>
	(context) =>
		changes.forEach((change) => change(context));

const titanium = set('parts.valve.material', 'titanium');
const wafer = set('parts.valve.tip', 'wafer');
const cap = set('parts.lashCap', named('Ostrel cap 11/32, 0.060'));
const recess = set('parts.locks', named('Ostrel 10° round, cap recess'));
const captive = set('parts.locks', named('Ostrel 10° captive, wafer'));
const rail = set('parts.rocker.nose', 'rail');
const aluminium = set('setup.head.material', 'aluminium');
const noLocator = set('parts.locator', undefined);
const damper = set('parts.spring.build', 'dual-with-damper');
const single = set('parts.spring.build', 'single');
const longDuty = set('setup.use.longDuty', true);
const bronze = set('setup.head.seatInsert', 'soft-bronze');
const springs = (...uses: [string | undefined, boolean][]) =>
	set(
		'springsOfHead',
		uses.map(([batch, used]) => ({ name: 'D-37', batch, used }))
	);

/** Rule, what trips it, what passes, what lacks a figure and which. */
const CASES: readonly [
	id: string,
	trips: Change,
	passes: Change,
	lacks: Change,
	missing: FitInput
][] = [
	[
		'stem-diameter',
		set('parts.locks.stem', '0.3150 in'),
		set('parts.locks.stem', '0.3420 in'),
		set('parts.seal.stem', undefined),
		'seal.stem'
	],
	[
		'lock-bead',
		set('parts.locks.bead', 'round'),
		set('parts.locks.bead', 'square'),
		set('parts.valve.groove', undefined),
		'valve.groove'
	],
	[
		'lock-angle',
		set('parts.locks.angle', 7),
		set('parts.locks.angle', 10),
		set('parts.retainer.angle', undefined),
		'retainer.angle'
	],
	[
		'cap-on-wafer',
		all(titanium, wafer, cap),
		all(wafer, titanium),
		all(cap, set('parts.valve.tip', undefined)),
		'valve.tip'
	],
	[
		'locks-for-wafer',
		wafer,
		all(wafer, set('parts.locks.holdsTip', true)),
		all(wafer, set('parts.locks.holdsTip', undefined)),
		'locks.holds-tip'
	],
	[
		'titanium-tip',
		titanium,
		all(titanium, cap),
		set('parts.valve.material', undefined),
		'valve.material'
	],
	[
		'cap-recess',
		cap,
		all(cap, recess),
		all(cap, recess, set('parts.valve.tipLength', undefined)),
		'valve.tip-length'
	],
	[
		'captive-locks',
		all(captive, set('parts.valve.tipLength', '0.255 in')),
		captive,
		all(captive, set('parts.locks.minTip', undefined)),
		'locks.min-tip'
	],
	[
		'groove-load',
		set('openLoad', poundsForce(460)),
		set('openLoad', poundsForce(400)),
		set('openLoad', null),
		'open-load'
	],
	[
		'one-maker',
		set('parts.locks.maker', 'Brackel'),
		set('parts.locks.maker', 'Ostrel'),
		set('parts.retainer.maker', undefined),
		'retainer.maker'
	],
	[
		'inner-spring-to-seal',
		set('parts.seal.outside', '0.700 in'),
		set('parts.seal.outside', '0.685 in'),
		set('parts.seal.outside', undefined),
		'seal.outside'
	],
	[
		'pocket-and-locator',
		set('parts.locator.spigot', '0.730 in'),
		set('parts.locator.spigot', '0.725 in'),
		set('parts.pocket.diameter', undefined),
		'pocket.diameter'
	],
	[
		'retainer-landings',
		set('parts.retainer.landings', ['1.045 in']),
		set('parts.retainer.landings', ['1.060 in', '0.720 in']),
		set('parts.retainer.landings', undefined),
		'retainer.landings'
	],
	[
		'spring-base',
		all(aluminium, noLocator),
		all(aluminium, noLocator, set('shims', [['0.030 in']])),
		set('setup.head.material', undefined),
		'head.material'
	],
	[
		'spring-max-lift',
		set('lift.worst', inches(0.6001 + 0.0001)),
		set('lift.worst', inches(0.6)),
		set('parts.spring.maxLift', undefined),
		'spring.max-lift'
	],
	[
		'damper-to-seal',
		all(damper, set('parts.seal.outside', '0.640 in')),
		all(damper, set('parts.seal.outside', '0.620 in')),
		all(damper, set('parts.seal.outside', undefined)),
		'seal.outside'
	],
	[
		'rail-rocker-tip',
		all(rail, cap),
		all(rail, set('tipHeight', inches(0.08))),
		all(rail, set('tipHeight', null)),
		'tip-height'
	],
	[
		'lifter-load',
		set('openLoad', poundsForce(381)),
		set('openLoad', poundsForce(380)),
		all(set('parts.lifter', undefined), set('parts.maxOpenLoad', undefined)),
		'lifter.max-load'
	],
	[
		'spring-way-up',
		set('parts.spring.build', 'conical'),
		set('parts.spring.build', 'dual'),
		set('parts.spring.build', undefined),
		'spring.build'
	],
	[
		'spring-batch',
		springs(['a', false], ['b', false]),
		springs(['a', false], ['a', false]),
		springs(['a', false], [undefined, false]),
		'spring.batch'
	],
	[
		'single-spring',
		all(single, set('openLoad', poundsForce(311))),
		all(single, set('openLoad', poundsForce(250))),
		all(single, set('setup.use.engineSpeed', undefined)),
		'engine-speed'
	],
	[
		'seat-insert',
		all(longDuty, bronze, set('parts.valve.hardFaced', true)),
		all(longDuty, bronze),
		all(longDuty, set('setup.head.seatInsert', undefined)),
		'head.seat-insert'
	],
	[
		'shim-fit',
		set('setup.shimStock.1.inside', '0.550 in'),
		set('setup.shimStock.1.inside', '0.560 in'),
		set('setup.shimStock.1.inside', undefined),
		'shim.diameters'
	],
	[
		'new-seals-and-locks',
		set('parts.reused', ['seal']),
		set('parts.reused', ['spring']),
		set('parts.spring.requiresNew', undefined),
		'spring.requires-new'
	]
];

describe.each(CASES)('%s', (id, bad, good, lacks, missing) => {
	it('fails', () => expect(check(id, bad).outcome).toBe('fails'));
	it('passes', () => expect(check(id, good).outcome).toBe('passes'));
	it(`does not pass without ${missing}`, () => {
		expect(check(id, lacks)).toEqual({ outcome: 'missing', missing: [message(`need.${missing}`)] });
	});
});

describe('lash-for-lifters', () => {
	it('trips on solid lifters without lash, hydraulic ones with it, and a lifter of the other type', () => {
		expect(check('lash-for-lifters', set('parts.lash', undefined)).outcome).toBe('fails');
		expect(check('lash-for-lifters', set('setup.lifters', 'hydraulic')).outcome).toBe('fails');
		expect(check('lash-for-lifters', set('parts.lifter.type', 'hydraulic-roller')).outcome).toBe(
			'fails'
		);
	});
	it('passes when they agree', () => {
		expect(check('lash-for-lifters', () => undefined).outcome).toBe('passes');
	});
	it('has nothing it could lack but the lash itself, which is its point', () => {
		const without = all(set('parts.lifter', undefined), set('parts.lash', undefined));
		expect(check('lash-for-lifters', without).outcome).toBe('fails');
	});
});

describe('more ways to trip', () => {
	it.each([
		['stem-diameter', set('parts.lashCap', { ...named('Ostrel cap 5/16, 0.080') })],
		['titanium-tip', all(titanium, set('parts.valve.tip', 'hardened'))],
		['cap-recess', all(cap, recess, set('parts.valve.tipLength', '0.230 in'))],
		['captive-locks', all(captive, set('parts.valve.tipLength', '0.245 in'))],
		['pocket-and-locator', set('parts.pocket.diameter', '1.430 in')],
		['pocket-and-locator', all(noLocator, set('parts.pocket.boss', '0.730 in'))],
		['retainer-landings', set('parts.retainer.landings', ['1.070 in', '0.705 in'])],
		['retainer-landings', set('parts.retainer.landings', ['1.020 in', '0.705 in'])],
		['rail-rocker-tip', all(rail, set('tipHeight', inches(0.079)))],
		['spring-way-up', set('parts.spring.markedTop', true)],
		['spring-batch', springs(['a', false], ['a', true])],
		[
			'single-spring',
			all(single, set('openLoad', poundsForce(100)), set('setup.use.engineSpeed', 8000))
		],
		['shim-fit', set('setup.shimStock.1.outside', '1.510 in')]
	])('%s', (id, change) => {
		expect(check(id, change).outcome).toBe('fails');
	});
	it('more shims than the shop allows is a watch, not a stop', () => {
		const many = check('shim-fit', set('shims', [['0.015 in', '0.015 in', '0.030 in']]));
		expect(many).toMatchObject({ outcome: 'fails', severity: 'watch' });
	});
	it('a shim that does not go over the boss is a stop, however many lie there', () => {
		const tight = set('setup.shimStock.1.inside', '0.500 in');
		const stack = (count: number) => set('shims', [Array(count).fill('0.030 in')]);
		for (const count of [1, 2, 3]) {
			const found = check('shim-fit', all(tight, stack(count)));
			expect(found).toMatchObject({ outcome: 'fails' });
			expect(found).not.toHaveProperty('severity');
		}
	});
	it('a damper left out is a note, and no damper near the seal', () => {
		const damped = all(
			set('parts.spring.build', 'dual-with-damper'),
			set('setup.policies', { damper: 'removed' })
		);
		expect(check('damper-to-seal', damped)).toMatchObject({ outcome: 'fails', severity: 'note' });
	});
	it('a ground retainer is a watch, with what is left of it', () => {
		const ground = set('parts.retainer.groundOff', '0.020 in');
		const outcomeOf = (change: Change) => {
			const found = check('ground-retainer', change);
			return found.outcome === 'fails' ? keyOf(found.compared) : found.outcome;
		};
		expect(outcomeOf(all(ground, set('parts.retainer.height', '0.300 in')))).toBe(
			'fit.retainer-ground {"ground":0.508,"height":7.62}'
		);
		expect(outcomeOf(all(ground, set('parts.retainer.height', undefined)))).toBe(
			'fit.retainer-ground {"ground":0.508,"height":null}'
		);
		expect(outcomeOf(set('parts.retainer.groundOff', '0 mm'))).toBe('passes');
	});
	it('used springs and locks go by the policy of the job, the careful one unless it says otherwise', () => {
		const used = set('parts.reused', ['spring', 'locks']);
		const policies = (change: object) => all(used, set('setup.policies', change));
		expect(check('used-springs', used).outcome).toBe('fails');
		expect(check('used-locks', used).outcome).toBe('fails');
		expect(check('used-springs', policies({ usedSprings: 'retested' })).outcome).toBe('fails');
		const tested = set('parts.spring.tested', { points: [] });
		expect(check('used-springs', all(policies({ usedSprings: 'retested' }), tested)).outcome).toBe(
			'passes'
		);
		expect(check('used-locks', policies({ locks: 'inspected-and-reused' })).outcome).toBe('passes');
	});
	it('locks that bury the tip stop; where nobody says where their bead lies, it is not asked', () => {
		const tip = set('parts.valve.tipLength', '0.250 in');
		expect(check('tip-above-locks', all(tip, set('parts.locks.beadAt', '0.180 in'))).outcome).toBe(
			'passes'
		);
		expect(check('tip-above-locks', all(tip, set('parts.locks.beadAt', '0.250 in')))).toMatchObject(
			{
				outcome: 'fails'
			}
		);
		const unknown = check('tip-above-locks', set('parts.locks.beadAt', undefined));
		expect(unknown).toMatchObject({ outcome: 'passes', compared: { code: 'fit.bead-not-given' } });
	});
	it('a flat taper under a high load is a note', () => {
		const load = (newton: number) => set('openLoad', newton);
		const flat = set('parts.locks.angle', 7);
		expect(check('lock-taper-load', all(flat, load(1900))).outcome).toBe('fails');
		expect(check('lock-taper-load', all(flat, load(1700))).outcome).toBe('passes');
		expect(check('lock-taper-load', all(set('parts.locks.angle', 10), load(1900))).outcome).toBe(
			'passes'
		);
	});
	it('a kind’s own seat insert goes before the head’s', () => {
		const soft = all(
			set('setup.use.longDuty', true),
			set('setup.head.seatInsert', 'iron'),
			set('parts.valve.hardFaced', true)
		);
		expect(check('seat-insert', soft).outcome).toBe('passes');
		expect(check('seat-insert', all(soft, set('parts.seatInsert', 'soft-bronze'))).outcome).toBe(
			'fails'
		);
	});
	it('has a case for every rule, and every code once', () => {
		const ids = RULES.map((rule) => rule.id);
		expect(new Set(ids).size).toBe(ids.length);
		expect(ids).toHaveLength(31);
	});
});

const KEYS_OF_1 = JSON.parse(
	readFileSync(new URL('../../../old/version-1/fit-keys.json', import.meta.url), 'utf8')
) as Readonly<Record<string, string>>;
const BEFORE = Object.fromEntries(
	Object.entries(KEYS_OF_1).map(([rule, key]) => [valueNow('rule', rule), valueNow('finding', key)])
);

describe('an acceptance of version 1, keyed on the words it was shown with', () => {
	it.each(CASES)('still counts for %s', (id, bad) => {
		const group = [{ context: changed(bad), stations: ['3E'] }];
		const entry = { ...demo().acceptances[0]!, finding: BEFORE[id]! };
		const found = findings(group, [entry]).find(({ rule }) => rule === id)!;
		expect(found.acceptance).toEqual(entry);
	});
});

describe('findings on a job', () => {
	it('compare the two figures, and an accepted one says so while they stay', () => {
		const job = demo();
		const grip = (of: Job) =>
			evaluate(of).fit.find(({ rule, kind }) => rule === 'one-maker' && kind === 'intake')!;
		expect(grip(job).compared).toEqual(
			message('fit.makers', {
				makers: [
					{ of: 'retainer', maker: 'Ostrel' },
					{ of: 'locks', maker: 'Brackel' }
				]
			})
		);
		expect(grip(job).acceptance?.reason).toContain('bearing blued');
		job.setup.kinds.intake.locks!.maker = 'Somebody';
		expect(grip(job).outcome).toBe('fails');
		expect(grip(job).acceptance).toBeNull();
	});
	it('open load is asked of the heights measured where there is no aim', () => {
		const job = demo();
		const lifter = (of: Job) =>
			evaluate(of).fit.find(({ rule, kind }) => rule === 'lifter-load' && kind === 'intake')!;
		job.setup.kinds.intake.aim = { method: 'as-it-stands', minSeatLoad: '100 lbf' };
		job.setup.kinds.intake.maxOpenLoad = '300 lbf';
		delete job.setup.kinds.intake.lifter;
		expect(lifter(job).outcome).toBe('fails');
		const none = { ...job, readings: [] };
		expect(lifter(none).outcome).toBe('missing');
	});
	it('an acceptance does not outlive the limit it was given for', () => {
		const job = demo();
		job.setup.kinds.intake.seal!.stem = '0.350 in';
		const stems = (of: Job) =>
			evaluate(of).fit.find(({ rule, kind }) => rule === 'stem-diameter' && kind === 'intake')!;
		expect(stems(job).outcome).toBe('fails');
		job.acceptances.push({
			...job.acceptances[0]!,
			id: crypto.randomUUID(),
			finding: stems(job).key
		});
		expect(stems(job).acceptance).not.toBeNull();
		job.setup.limits.fit.stemMatch = '0.001 in';
		expect(stems(job).outcome).toBe('fails');
		expect(stems(job).acceptance).toBeNull();
	});
	it('an acceptance taken back no longer holds', () => {
		const [, bad] = CASES.find(([id]) => id === 'one-maker')!;
		const group = [{ context: changed(bad), stations: [] }];
		const tripped = findings(group, []).find(({ rule }) => rule === 'one-maker')!;
		expect(tripped.outcome).toBe('fails');
		const entry = { ...demo().acceptances[0]!, finding: tripped.key };
		const back = { ...entry, accepted: false, at: '2026-11-20T00:00:00.000Z' };
		const accepted = (list: (typeof entry)[]) =>
			findings(group, list).find(({ rule }) => rule === 'one-maker')!.acceptance;
		expect(accepted([entry])).toEqual(entry);
		expect(accepted([entry, back])).toBeNull();
	});
	it('of a station with parts of its own stand apart from its kind’s', () => {
		const job = demo();
		const station = job.stations.find(({ label }) => label === '3E')!;
		station.parts = { locks: named('Ostrel 7° square') as KindSetup['locks'] };
		const fit = evaluate(job).fit.filter(({ rule }) => rule === 'lock-angle');
		expect(fit.map(({ stations, outcome }) => [stations, outcome])).toEqual([
			[[], 'passes'],
			[[], 'passes'],
			[['3E'], 'fails']
		]);
		expect(evaluate(job).state).toBe('stop');
	});
	it('a stop blocks nothing less for being accepted: the sheet stays at stop', () => {
		const job = demo();
		job.setup.kinds.intake.locks!.angle = 7;
		const { key } = evaluate(job).fit.find(
			({ rule, outcome }) => rule === 'lock-angle' && outcome === 'fails'
		)!;
		job.acceptances.push({ ...job.acceptances[0]!, id: crypto.randomUUID(), finding: key });
		const finding = evaluate(job).fit.find((one) => one.key === key)!;
		expect(finding.acceptance).not.toBeNull();
		expect(evaluate(job).state).toBe('stop');
	});
});

describe('alike findings of valves with springs of their own', () => {
	const tagged = (): Job => {
		const job = demo();
		job.setup.springs = job.stations.map(({ label, kind }) => ({
			tag: label,
			set: 'Six',
			card: job.setup.kinds[kind].spring!.id,
			points: [
				{ height: '48 mm', load: '500 N' },
				{ height: '30 mm', load: '1600 N' }
			]
		}));
		for (const entry of job.stations) entry.spring = entry.label;
		job.acceptances = [];
		return job;
	};
	const makers = (job: Job) => evaluate(job).fit.filter(({ rule }) => rule === 'one-maker');
	const alike = (job: Job) =>
		alikeFindings(evaluate(job).fit, job.stations).filter(({ rule }) => rule === 'one-maker');
	const accept = (job: Job, finding: string, accepted = true, day = 1) =>
		job.acceptances.push({
			...demo().acceptances[0]!,
			id: crypto.randomUUID(),
			finding,
			accepted,
			at: `2026-11-0${day}T08:00:00.000Z`
		});

	it('are asked about once a kind, and accepted for each valve', () => {
		const job = tagged();
		expect(makers(job)).toHaveLength(job.stations.length);
		expect(alike(job).map(({ kind, stations }) => [kind, stations])).toEqual([
			['intake', []],
			['exhaust', []]
		]);
		accept(job, alike(job)[0]!.key);
		expect(makers(job).filter(({ acceptance }) => acceptance)).toHaveLength(6);
		expect(makers(job).every(({ kind, acceptance }) => !!acceptance === (kind === 'intake'))).toBe(
			true
		);
		// Taken back for all of them at once, too.
		accept(job, alike(job)[0]!.key, false, 2);
		expect(makers(job).some(({ acceptance }) => acceptance)).toBe(false);
	});
	it('are told apart where one was accepted before, or compares other figures', () => {
		const job = tagged();
		accept(job, makers(job).find(({ stations }) => stations[0] === '1I')!.key);
		const intake = alike(job).filter(({ kind }) => kind === 'intake');
		expect(intake.map(({ stations, acceptance }) => [stations, acceptance !== null])).toEqual([
			[['1I'], true],
			[['2I', '3I', '4I', '5I', '6I'], false]
		]);
		const other = tagged();
		accept(other, alike(other)[0]!.key);
		const own = other.stations.find(({ label }) => label === '3I')!;
		own.parts = { locks: { ...other.setup.kinds.intake.locks!, maker: 'Somebody' } };
		const changed = makers(other).find(({ stations }) => stations[0] === '3I')!;
		expect([changed.outcome, changed.acceptance]).toEqual(['fails', null]);
	});
	it('are asked about the parts of a valve they stand at', () => {
		const job = tagged();
		const { fitContexts } = evaluate(job);
		const context = contextOf(fitContexts, { kind: 'exhaust', stations: [] })!;
		expect(context.parts.spring!.tested!.set).toMatch(/^Six, \dE$/);
		const own = contextOf(fitContexts, { kind: 'exhaust', stations: ['4E'] })!;
		expect(own.parts.spring!.tested!.set).toBe('Six, 4E');
	});
});

describe('what would put it right', () => {
	const rule = (id: string) => RULES.find((one) => one.id === id)!;
	it('offers locks and retainers of the other angle that grip this stem', () => {
		const context = changed(set('parts.locks', named('Ostrel 7° square')));
		const names = remediesFor(rule('lock-angle'), context, parts).map(({ part }) => part.part.name);
		expect(names.length).toBeGreaterThan(0);
		expect(names).toContain('Ostrel 10° standard');
		expect(names).not.toContain('Ostrel 7° three-bead');
	});
	it('offers nothing retired and nothing that trips another stop', () => {
		const context = changed(set('parts.seal.outside', '0.700 in'));
		const retired = parts.map(
			(part) => ({ ...part, retired: part.type === 'seal' }) as LibraryPart
		);
		const seals = remediesFor(rule('inner-spring-to-seal'), context, parts).filter(
			({ place }) => place === 'seal'
		);
		expect(seals.map(({ part }) => part.part.name)).toContain('Pellow stem seal 11/32 low');
		expect(seals.map(({ part }) => part.part.name)).not.toContain('Pellow stem seal 5.5');
		expect(
			remediesFor(rule('inner-spring-to-seal'), context, retired).every(
				({ place }) => place !== 'seal'
			)
		).toBe(true);
	});
});
