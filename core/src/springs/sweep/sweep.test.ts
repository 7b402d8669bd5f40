import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readParts } from '../../parts/part/file.ts';
import type { LibraryPart } from '../../parts/part/index.ts';
import { localRate, cardCurve, testedCurve } from '../spring/index.ts';
import { mm, newtons, newtonsPerMm } from '../../foundation/units/index.ts';
import { findBind } from './bind.ts';
import {
	combinedCurve,
	dialTarget,
	dialTargets,
	nonLinearity,
	pointsOf,
	solidOf,
	sweepFigures
} from './figures.ts';
import { identify } from './identity.ts';
import { readJob } from '../../job/document/file.ts';
import { FAMILIES, roughSpring, roughSweep, type Family } from './rough.ts';
import { applyToCard, applyToSetup, medianSpring } from '../on-job/selection/index.ts';
import { sagAt, setFigures } from './set.ts';
import { smoothed } from './smooth.ts';
import { BUILD_OF, normal, randomFrom, randomSpring, sampled } from './synthetic.ts';
import { hysteresis, travelled, USUAL_NOISE, withTravel, type SweepPoint } from './sweep.ts';

const quiet = { height: mm(0.001), load: 0.0005 };
const sweep = (
	type: Parameters<typeof randomSpring>[0],
	seed: number,
	past = 4,
	noise = USUAL_NOISE
) => {
	const random = randomFrom(seed);
	const spring = randomSpring(type, random);
	return { spring, points: sampled(spring, { step: 0.5, noise, past }, random) };
};

describe('points of a sweep', () => {
	const point = (height: number, load: number, travel: SweepPoint['travel'] = 'down') => ({
		height: mm(height),
		load: newtons(load),
		travel
	});
	it('know their travel from the lowest on', () => {
		const travels = withTravel([40, 35, 30, 35].map((h) => point(h, 1))).map(
			({ travel }) => travel
		);
		expect(travels).toEqual(['down', 'down', 'down', 'up']);
	});
	it('of one height are made one, tallest first, and the two ways are kept apart', () => {
		const points = [point(30, 200), point(40, 100), point(40.001, 104), point(35, 130, 'up')];
		expect(travelled(points, 'down')).toEqual([
			{ height: mm(40.0005), load: newtons(102) },
			{ height: mm(30), load: newtons(200) }
		]);
	});
	it('a dense sweep is thinned to some two hundred, and keeps its shape', () => {
		const dense = Array.from({ length: 20_000 }, (_, i) => point(50 - i / 1000, 100 + i / 50));
		const thin = travelled(dense, 'down');
		expect(thin.length).toBeLessThan(220);
		for (const { height, load } of thin) expect(load).toBeCloseTo(100 + (50 - height) * 20, 6);
	});
	it('pressed both ways show their hysteresis, and do not average it away', () => {
		const down = [50, 45, 40, 35].map((h) => point(h, (60 - h) * 20));
		const up = [36, 41, 46].map((h) => point(h, (60 - h) * 20 - 12, 'up'));
		expect(hysteresis([...down, ...up])!.load).toBeCloseTo(12, 9);
		expect(hysteresis(down)).toBeNull();
		const { curve } = sweepFigures([...down, ...up], null, undefined, quiet);
		expect(curve!.load(mm(45))).toBeCloseTo(300, 6);
	});
});

describe('bind', () => {
	it.each([1, 2, 3, 4, 5, 6])('of a linear spring, sweep %i, within half a step', (seed) => {
		const { spring, points } = sweep('linear', seed);
		const found = findBind(points);
		if (found.type !== 'bind') throw new Error('not found');
		expect(Math.abs(found.height - spring.solid)).toBeLessThan(0.25);
		expect(found.from).toBeLessThan(found.to);
		expect(found.stackPoints).toBeGreaterThanOrEqual(3);
	});
	it.each([1, 2, 3, 4])('of a pair is where the first coil goes solid, sweep %i', (seed) => {
		const { spring, points } = sweep('dual', seed);
		const found = findBind(points, 'first-coil');
		expect(found.type === 'bind' && Math.abs(found.height - spring.solid)).toBeLessThan(0.325);
	});
	it.each([1, 2, 3, 4])(
		'of a cone is where it is solid, not where it stiffens, sweep %i',
		(seed) => {
			const { spring, points } = sweep('cone', seed);
			const found = findBind(points, 'gradually');
			if (found.type !== 'bind') throw new Error('not found');
			expect(Math.abs(found.height - spring.solid)).toBeLessThan(0.1);
			expect(found.gradual!.from).toBeGreaterThan(found.height + 1);
			expect(found.gradual!.solid).toBe(found.height);
		}
	);
	const rough = (family: Family, seed: number, past: number, step = 0.5) => {
		const random = randomFrom(seed);
		const spring = roughSpring(family, random);
		return { spring, ...roughSweep(spring, { step, past }, random) };
	};
	it.each(FAMILIES)(
		'of a %s on a rough tester is told with its frame known, and not before',
		(family) => {
			let [located, close] = [0, 0];
			for (let seed = 1; seed <= 60; seed++) {
				const { spring, points, frameMeasured } = rough(family, seed, 3);
				const down = travelled(points, 'down');
				const found = findBind(down, solidOf(undefined), USUAL_NOISE, frameMeasured);
				if (found.type === 'bind') located++;
				if (found.type === 'bind' && Math.abs(found.height - spring.solid) < 0.15) close++;
				const before = rough(family, seed + 500, -0.6);
				expect(
					findBind(travelled(before.points, 'down'), 'knee', USUAL_NOISE, before.frame).type
				).toBe('none');
			}
			expect(located).toBeGreaterThanOrEqual(59);
			expect(close).toBeGreaterThanOrEqual(57);
		}
	);
	it('is not made of the points above the free height: rate 50 from 50 mm, swept 53 to 32.5', () => {
		const random = randomFrom(11);
		const points = Array.from({ length: 42 }, (_, i) => 53 - i * 0.5).map((height) => ({
			height: mm(height + 0.01 * normal(random)),
			load: newtons(Math.max(0, 50 * (50 - height)) * (1 + 0.004 * normal(random)))
		}));
		expect(findBind(points)).toEqual({ type: 'none', why: 'not-reached' });
		const { curve } = sweepFigures(withTravel(points), { seat: mm(45), lift: mm(10) });
		expect(curve!.load(mm(45))! / 250).toBeCloseTo(1, 2);
		expect(curve!.load(mm(35))! / 750).toBeCloseTo(1, 2);
		expect(curve!.highest).toBeLessThan(50.6);
	});
	it('one figure misread neither makes a bind nor is in the curve', () => {
		const straight = (i: number) => ({ height: mm(48 - i), load: newtons(40 * (2 + i)) });
		const points = Array.from({ length: 18 }, (_, i) => straight(i));
		points[14] = { ...points[14]!, load: newtons(900) };
		expect(findBind(points)).toEqual({ type: 'none', why: 'not-reached' });
		const { curve } = sweepFigures(withTravel(points), null);
		expect(curve!.load(mm(34))).toBeCloseTo(640, 0);
		// At the very end it may be the first of the stack: that cannot be told from one figure.
		const end = points.map((point, i) =>
			i === 17 ? { ...point, load: newtons(1100) } : straight(i)
		);
		expect(findBind(end)).toMatchObject({ type: 'none', why: 'unclear' });
		expect(sweepFigures(withTravel(end), null).curve!.lowest).toBe(mm(32));
	});
	it('with fewer than four working points above it cannot be told', () => {
		const points = [39, 38, 37.2, 36.8, 36.6, 36.4, 36.2, 36].map((height) => ({
			height: mm(height),
			load: newtons(50 * (44 - height) + 1500 * Math.max(0, 37 - height))
		}));
		expect(findBind(points).type).toBe('none');
		expect(findBind(points.slice(1))).toEqual({ type: 'none', why: 'too-few-points' });
	});
	it.each([
		['dual', undefined],
		['dual', 'dual'],
		['cone', undefined],
		['cone', 'conical'],
		['linear', undefined],
		['progressive', 'single']
	] as const)('of a coarsely read %s, build %s, lies within its interval', (type, build) => {
		const random = randomFrom(31);
		const covers = Array.from({ length: 100 }, () => {
			const spring = randomSpring(type, random);
			const points = sampled(spring, { step: 1.27, noise: USUAL_NOISE, past: 4 }, random);
			const found = findBind(points, solidOf(build));
			if (found.type === 'none') throw new Error(found.why);
			return spring.solid >= found.from - 1e-9 && spring.solid <= found.to + 1e-9;
		});
		expect(covers.filter(Boolean).length).toBeGreaterThanOrEqual(95);
	});
	it('of a dual with its build missing or wrong is not told short', () => {
		for (let seed = 1; seed <= 40; seed++) {
			const { spring, points } = sweep('dual', seed, 5);
			for (const build of [undefined, 'single'] as const) {
				const found = findBind(points, solidOf(build));
				if (found.type === 'bind') expect(found.to).toBeGreaterThan(spring.solid - 0.1);
			}
		}
	});
	it('is not called where the sweep stopped before it', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 500 }),
				fc.constantFrom('linear', 'progressive', 'dual' as const),
				(seed, type) => {
					const { points } = sweep(type, seed, -2);
					expect(findBind(points, solidOf(type === 'dual' ? 'dual' : 'single')).type).toBe('none');
				}
			),
			{ numRuns: 25 }
		);
	});
	it('says so with too few points', () => {
		const points = [50, 45, 40].map((h) => ({ height: mm(h), load: newtons((60 - h) * 20) }));
		expect(findBind(points)).toEqual({ type: 'none', why: 'too-few-points' });
		expect(sweepFigures([], null)).toMatchObject({ curve: null, seat: null, points: 0 });
	});
	it('of a test at two heights is not told, and its loads and rate are', () => {
		const two = [46, 34].map((h) => ({ height: mm(h), load: newtons((58 - h) * 40) }));
		const figures = sweepFigures(withTravel(two), { seat: mm(46), lift: mm(12) });
		expect([figures.seat, figures.open, figures.rate]).toEqual([480, 960, 40]);
		expect(figures.nonLinearity).toBeNull();
		expect(figures.bind).toEqual({ type: 'none', why: 'too-few-points' });
		expect(figures.curve!.load(mm(30))).toBeNull();
	});
	it('is expected by the build', () => {
		expect(
			['single', 'dual-with-damper', 'triple', 'conical', 'dual-conical'].map((build) =>
				solidOf(build as 'single')
			)
		).toEqual(['knee', 'first-coil', 'first-coil', 'gradually', 'first-coil']);
	});
});

describe('figures', () => {
	it('of a straight spring: 30 N/mm from 50 mm, seat 40 and lift 10', () => {
		const points = Array.from({ length: 40 }, (_, i) => 49 - i * 0.5).map((h) => ({
			height: mm(h),
			load: newtons((50 - h) * 30),
			travel: 'down' as const
		}));
		const figures = sweepFigures(points, { seat: mm(40), lift: mm(10) });
		expect(figures.seat).toBeCloseTo(300, 6);
		expect(figures.open).toBeCloseTo(600, 6);
		expect(figures.rate).toBeCloseTo(30, 6);
		expect(figures.nonLinearity).toBeCloseTo(0, 6);
		expect(figures.bind).toEqual({ type: 'none', why: 'not-reached' });
		// ½ × 30 × (20.5² − 1²) = 6,288.75 N·mm
		expect(figures.energy).toBeCloseTo(6.28875, 3);
		expect(localRate(figures.curve!, mm(40))).toBeCloseTo(30, 6);
		expect(figures.curve!.load(mm(20))).toBeNull();
	});
	it('non-linearity is the curve’s own greatest: F = 10 x² from 0 to 10 leaves the line by a quarter', () => {
		const points = Array.from({ length: 6 }, (_, i) => 40 - i * 2).map((h) => ({
			height: mm(h),
			load: newtons(10 * (40 - h) ** 2)
		}));
		expect(nonLinearity(testedCurve(points), { seat: mm(40), lift: mm(10) })).toBeCloseTo(0.25, 2);
	});
	it('of inner and outer tested apart: the inner rides lower by step and rise', () => {
		const outer = cardCurve({ height: mm(46), load: newtons(400) }, newtonsPerMm(40), mm(28));
		const inner = cardCurve({ height: mm(43.3), load: newtons(150) }, newtonsPerMm(15), mm(26));
		const both = combinedCurve(outer, inner, mm(2.3), mm(0.4));
		expect(both.load(mm(46))).toBeCloseTo(550, 9);
		expect(both.load(mm(40))).toBeCloseTo(550 + 6 * 55, 9);
		expect(both.lowest).toBeCloseTo(28.7, 9);
		expect(both.load(mm(28.5))).toBeNull();
	});
	it('the dial is run to the height and what else stands in the press', () => {
		expect(dialTarget(mm(46.2), mm(5.4))).toBeCloseTo(51.6, 9);
	});
	it('takes scatter off, and leaves what no curve explains as it was read', () => {
		const { spring, points } = sweep('linear', 9, -1);
		const worst = (of: typeof points) =>
			Math.max(...of.map(({ height, load }) => Math.abs(load / spring.load(height) - 1)));
		expect(worst(smoothed(points, USUAL_NOISE))).toBeLessThan(worst(points));
		const jagged = [50, 45, 40, 35, 30, 25, 20].map((h, i) => ({
			height: mm(h),
			load: newtons(100 * (i + 1) + (i % 2 === 0 ? 60 : 0))
		}));
		expect(smoothed(jagged, quiet)).toEqual(jagged);
	});
	it.each(['linear', 'progressive', 'dual', 'cone'] as const)(
		'tells the loads of a %s spring within half a percent, nineteen times in twenty',
		(type) => {
			const random = randomFrom(1234);
			const errors = Array.from({ length: 60 }, () => {
				const spring = randomSpring(type, random);
				const points = sampled(spring, { step: 0.25, noise: USUAL_NOISE, past: 4 }, random);
				const travel = spring.free - spring.solid;
				const window = { seat: mm(spring.free - 0.35 * travel), lift: mm(0.5 * travel) };
				const { seat, open } = sweepFigures(withTravel(points), window, BUILD_OF[type]);
				return Math.max(
					Math.abs(seat! / spring.load(window.seat) - 1),
					Math.abs(open! / spring.load(window.seat - window.lift) - 1)
				);
			});
			expect(errors.filter((error) => error > 0.005).length).toBeLessThanOrEqual(3);
		}
	);
	it('a curve’s points grow as the height falls', () => {
		const { curve } = sweepFigures(withTravel(sweep('progressive', 3).points), null);
		const points = pointsOf(curve!);
		expect(points.length).toBeGreaterThan(20);
		expect(points.every(({ load }, i) => i === 0 || load > points[i - 1]!.load)).toBe(true);
	});
});

describe('a set', () => {
	const members = (loads: (number | null)[]) =>
		loads.map((seat, i) => ({ tag: `T${i + 1}`, seat: seat === null ? null : newtons(seat) }));
	it('tells the odd ones and the pairs', () => {
		const set = setFigures(members([580, 576, 610, 582, 650, null, 579, 577]));
		expect([set.median, set.min, set.max]).toEqual([580, 576, 650]);
		expect(set.members.get('T3')!.state).toBe('watch');
		expect(set.members.get('T5')!.state).toBe('stop');
		expect(set.members.get('T1')!.state).toBe('clear');
		expect(set.members.has('T6')).toBe(false);
		expect(set.pairs[0]).toEqual(['T2', 'T8']);
		expect(set.pairs).toHaveLength(3);
	});
	it('is nothing before anything was tested', () => {
		expect(setFigures(members([null])).median).toBeNull();
	});
	it('sag is what was lost at one height', () => {
		const curve = (load: number) =>
			cardCurve({ height: mm(40), load: newtons(load) }, newtonsPerMm(30), mm(25));
		expect(sagAt(curve(500), curve(470), mm(40))).toEqual({ part: 0.06, state: 'watch' });
		expect(sagAt(curve(500), curve(440), mm(40))!.state).toBe('stop');
		expect(sagAt(curve(500), curve(490), mm(40))!.state).toBe('clear');
		expect(sagAt(curve(500), curve(490), mm(20))).toBeNull();
	});
});

describe('which spring is it', () => {
	const read = readParts(readFileSync('demo/parts.json', 'utf8'));
	if (!read.ok) throw new Error('demo');
	const cards = read.value
		.filter((part): part is LibraryPart<'spring'> => part.type === 'spring')
		.map(({ part }) => part);
	it.each(cards.map((card) => [card.name, card] as const))('%s is told among all', (name, card) => {
		const seat = {
			height: mm(
				Number.parseFloat(card.seat.height) * (card.seat.height.endsWith('in') ? 25.4 : 1)
			),
			load: newtons(
				Number.parseFloat(card.seat.load) * (card.seat.load.endsWith('lbf') ? 4.4482216 : 1)
			)
		};
		const inHand = {
			curve: cardCurve(
				{ height: seat.height, load: newtons(seat.load * 1.015) },
				newtonsPerMm(rateOfCard(card)),
				mm(15)
			),
			bind: { type: 'none', why: 'not-reached' } as const,
			outside: card.outer && mm(lengthIn(card.outer.outside) + 0.05),
			wire: card.outer && mm(lengthIn(card.outer.wire))
		};
		const [first, second] = identify(inHand, cards);
		expect(first!.card.name).toBe(name);
		expect(first!.fits).toBe('fits');
		expect(second!.distance).toBeGreaterThan(first!.distance);
	});
	it('a spring too short for a card has no load at its height, and is not it', () => {
		const short = testedCurve(
			[42, 38, 34, 30].map((h) => ({ height: mm(h), load: newtons((43 - h) * 33) }))
		);
		const d37 = cards.filter(({ name }) => name === 'Fennick D-37 dual');
		const [match] = identify({ curve: short, bind: { type: 'none', why: 'not-reached' } }, d37);
		expect(match!.fits).toBe('mismatch');
		expect(match!.evidence[0]).toMatchObject({ what: 'load-at-card-height', hand: 0 });
	});
	it('is no match by its bind alone, and stands behind what its loads were held against', () => {
		// D-37 pressed from its own height down: the taller D-52 goes solid there too.
		const points = [46.228, 40, 35, 30].map((h) => ({
			height: mm(h),
			load: newtons(578 + 60.3 * (46.228 - h))
		}));
		const two = cards.filter(({ name }) =>
			['Fennick D-37 dual', 'Fennick D-52 dual'].includes(name)
		);
		const height = mm(29.21);
		const bind = {
			...({ type: 'bind', height, from: height, to: height } as const),
			...{ step: mm(0), stackPoints: 3, gradual: null }
		};
		const [first, second] = identify({ curve: testedCurve(points), bind }, two);
		expect([first!.card.name, first!.fits]).toEqual(['Fennick D-37 dual', 'fits']);
		expect(second!.evidence.map(({ what }) => what)).toEqual(['coil-bind']);
		expect(second!.fits).toBe('near');
	});
	it('says plainly that it is none of them', () => {
		const stranger = cardCurve({ height: mm(46), load: newtons(2600) }, newtonsPerMm(150), mm(20));
		const matches = identify(
			{ curve: stranger, bind: { type: 'none', why: 'not-reached' } },
			cards
		);
		expect(matches.every(({ fits }) => fits === 'mismatch')).toBe(true);
	});
	const lengthIn = (text: string) => Number.parseFloat(text) * (text.endsWith('in') ? 25.4 : 1);
	function rateOfCard(card: (typeof cards)[number]): number {
		const load = (text: string) => Number.parseFloat(text) * (text.endsWith('lbf') ? 4.4482216 : 1);
		if (card.open) {
			return (
				(load(card.open.load) - load(card.seat.load)) /
				(lengthIn(card.seat.height) - lengthIn(card.open.height))
			);
		}
		return Number.parseFloat(card.rate!) * (card.rate!.endsWith('lbf/in') ? 4.4482216 / 25.4 : 1);
	}
});

describe('a tested spring onto a card', () => {
	const straight = (rate: number) =>
		testedCurve(
			Array.from({ length: 12 }, (_, i) => ({
				height: mm(48 - 2 * i),
				load: newtons(rate * (4 + 2 * i))
			}))
		);
	const spring = (tag: string, rate: number) => ({
		tag,
		curve: straight(rate),
		bind: { type: 'none', why: 'not-reached' } as const
	});
	const card = {
		id: '0197a000-0000-7000-8000-00000000c0de',
		name: 'D-1',
		source: 'card' as const,
		seat: { height: '40 mm', load: '600 N' },
		rate: '50 N/mm' as const,
		bind: '24 mm'
	};

	it('the middle of a set is the one nearest to its median', () => {
		const set = [spring('T1', 44), spring('T2', 51), spring('T3', 50)];
		expect(medianSpring(set, mm(40))?.tag).toBe('T3');
		expect(medianSpring(set, mm(60))?.tag).toBe('T1');
		expect(medianSpring([], mm(40))).toBeNull();
	});
	it('keeps the card’s units and says nothing against its own spring', () => {
		const { tested } = applyToCard(card, spring('T3', 50), 'set', [card]);
		expect(tested?.points[0]).toEqual({ height: '48.000 mm', load: '200.00 N' });
		expect(tested?.mismatch).toBeUndefined();
		const inInches = { ...card, seat: { height: '1.575 in', load: '135 lbf' } };
		expect(applyToCard(inInches, spring('T3', 50), 'set', []).tested?.points[0]).toEqual({
			height: '1.8898 in',
			load: '44.962 lbf'
		});
	});
	it('names what a wrong spring is more like', () => {
		const strong = {
			...card,
			id: '0197a000-0000-7000-8000-00000000c0df',
			name: 'D-2',
			seat: { height: '40 mm', load: '960 N' },
			rate: '80 N/mm' as const
		};
		expect(applyToCard(card, spring('T9', 80), 'set', [card, strong]).tested?.mismatch).toBe('D-2');
		// The nearest of the library may be no more like it than its own.
		expect(applyToCard(card, spring('T9', 80), 'set', [card]).tested?.mismatch).toBe('');
	});
	it('goes on the kinds that have its card, and each of its springs with it', () => {
		const other = { ...card, id: '0197a000-0000-7000-8000-00000000c0df', name: 'D-2' };
		const read = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
		if (!read.ok) throw new Error('demo');
		const { setup } = read.value;
		const { intake, exhaust } = setup.kinds;
		const kinds = { intake: { ...intake, spring: card }, exhaust: { ...exhaust, spring: other } };
		const [t1, t2] = [spring('T1', 50), spring('T2', 51)];
		const put = (of: typeof card | null) =>
			applyToSetup({ ...setup, kinds }, { name: 'Six', card: of }, [t1, t2], t1, []);
		const then = put(card);
		expect(then.kinds.intake.spring!.tested!.set).toBe('Six');
		expect(then.kinds.exhaust).toBe(kinds.exhaust);
		expect(then.springs!.map(({ tag, card: of }) => [tag, of])).toEqual([
			['T1', card.id],
			['T2', card.id]
		]);
		const both = applyToSetup({ ...then, kinds }, { name: 'Other', card: other }, [t2], t2, []);
		expect(both.springs!.map(({ set, tag }) => `${set} ${tag}`)).toEqual([
			'Six T1',
			'Six T2',
			'Other T2'
		]);
		// A set of no card, or of one that the job has not, is shown wherever there is a spring.
		for (const of of [null, { ...card, id: '0197a000-0000-7000-8000-00000000c0e0' }]) {
			const anywhere = put(of);
			expect(anywhere.kinds.exhaust.spring!.tested!.set).toBe('Six');
			expect(anywhere.springs).toEqual(setup.springs);
		}
	});
});

describe('what to run the dial to', () => {
	it('counts what stands in the press, from seat to full lift, and solid where a card says so', () => {
		const to = dialTargets(mm(46), mm(12), mm(5), mm(30));
		expect(to).toEqual({ start: 51.508, seat: 51, halfLift: 45, fullLift: 39, solid: 35 });
		expect(dialTargets(mm(46), mm(12), mm(5), null).solid).toBeNull();
		expect(dialTargets(mm(46), mm(12), mm(5), null, mm(47)).start).toBeCloseTo(52.508, 9);
	});
});
