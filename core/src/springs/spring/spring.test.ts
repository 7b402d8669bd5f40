import fc from 'fast-check';
import { cardLift } from './of-card.ts';
import { describe, expect, it } from 'vitest';
import { message } from '../../foundation/message/index.ts';
import { grossLift, hydraulicLift, solidLift } from '../../valvetrain/lift/index.ts';
import { targetHeight, type Known } from '../../sheet/target-height/index.ts';
import {
	inches,
	mm,
	newtons,
	newtonsPerMm,
	poundsForce,
	rateOf
} from '../../foundation/units/index.ts';
import { firstToBind, type Coil } from './bind.ts';
import {
	beyondTested,
	cardCurve,
	heightForLoad,
	isBeyondTested,
	rateBetween,
	storedEnergy,
	testedCurve,
	type Point
} from './curve.ts';

const card = cardCurve(
	{ height: inches(1.82), load: poundsForce(128) },
	rateOf('340 lbf/in'),
	inches(1.18)
);
const point = (height: number, load: number): Point => ({
	height: mm(height),
	load: newtons(load)
});

describe('a card’s straight line', () => {
	it('gives the loads of the line', () => {
		// 128 + 340 × 0.005 = 129.7 and 128 + 340 × 0.545 = 313.3
		expect(card.load(inches(1.815))).toBeCloseTo(poundsForce(129.7), 6);
		expect(card.load(inches(1.275))).toBeCloseTo(poundsForce(313.3), 6);
	});

	it('knows nothing below bind and above the free height', () => {
		expect(card.load(inches(1.179))).toBeNull();
		expect(card.load(inches(1.82 + 128 / 340 + 0.001))).toBeNull();
	});

	it('takes its rate from two loads', () => {
		expect(rateBetween(point(40, 300), point(30, 650))).toBe(35);
		expect(() => rateBetween(point(40, 300), point(40, 650))).toThrow(RangeError);
	});
});

describe('a tested curve', () => {
	const points = [point(35, 200), point(32, 300), point(30, 372), point(26, 540), point(24, 650)];
	const curve = testedCurve(points);

	it('goes through its points, in whatever order they were taken', () => {
		for (const { height, load } of points) expect(curve.load(height)).toBeCloseTo(load, 9);
		expect(testedCurve(points.toReversed()).load(mm(27))).toBeCloseTo(curve.load(mm(27))!, 9);
	});

	it('agrees with the published method on a hand-worked case', () => {
		// x 0 1 3, y 0 1 2: secants 1 and ½; severitys 2·2+1 = 5 and 2+2·1 = 4,
		// middle slope 9 ÷ (5/1 + 4/½) = 9/13; ends (4·1 − ½)/3 = 7/6 and (5·½ − 2)/3 = 1/6.
		// At ½: 0·½ + 7/6·⅛ + 1·½ − 9/13·⅛ = 0.559295
		const small = testedCurve([point(0, 0), point(1, 1), point(3, 2)]);
		expect(small.load(mm(0.5))).toBeCloseTo(0.559295, 6);
		// At 2: ½·1 + 9/13·2·⅛ + ½·2 − 1/6·2·⅛ = 1.631410
		expect(small.load(mm(2))).toBeCloseTo(1.63141, 6);
	});

	it('is not known outside the tested range', () => {
		expect([curve.load(mm(35.01)), curve.load(mm(23.99))]).toEqual([null, null]);
	});

	it('never turns back between points that do not', () => {
		const steps = fc.array(
			fc.tuple(
				fc.double({ min: 0.1, max: 3, noNaN: true }),
				fc.double({ min: 0.1, max: 90, noNaN: true })
			),
			{ minLength: 2, maxLength: 12 }
		);
		fc.assert(
			fc.property(steps, (taken) => {
				let [height, load] = [20, 900];
				const ladder = taken.map(([up, off]) => point((height += up), (load -= off)));
				const any = testedCurve(ladder);
				const loads = Array.from({ length: 60 }, (_, i) =>
					any.load(mm(any.lowest + ((any.highest - any.lowest) * i) / 60))
				);
				loads.forEach((value, i) => {
					if (i > 0) expect(value).toBeLessThanOrEqual(loads[i - 1]! + 1e-9);
				});
			})
		);
	});

	it('is the line itself on two points, and flat at a turn', () => {
		expect(testedCurve([point(10, 100), point(20, 50)]).load(mm(15))).toBeCloseTo(75, 9);
		expect(testedCurve([point(0, 0), point(1, 5), point(2, 0)]).load(mm(1))).toBeCloseTo(5, 9);
	});

	it('refuses one point, and two at one height', () => {
		expect(() => testedCurve([point(1, 1)])).toThrow(RangeError);
		expect(() => testedCurve([point(1, 1), point(1, 2)])).toThrow(RangeError);
	});

	it('finds the height of a load, and none outside', () => {
		const height = heightForLoad(curve, newtons(420))!;
		expect(curve.load(height)).toBeCloseTo(420, 4);
		expect(heightForLoad(curve, newtons(199))).toBeNull();
		expect(heightForLoad(curve, newtons(651))).toBeNull();
	});
});

describe('stored energy', () => {
	it('is ½ k x² on a straight line', () => {
		const line = cardCurve(point(40, 200), newtonsPerMm(20), mm(20));
		// free 50 mm; at 25 mm: ½ · 20 N/mm · 25² mm² = 6250 N·mm = 6.25 J
		expect(storedEnergy(line, mm(25))).toBeCloseTo(6.25, 6);
		expect(storedEnergy(line, mm(19))).toBeNull();
	});
});

describe('bind of springs in each other', () => {
	const coil = (name: Coil, solid: number, lower = 0) => ({
		coil: name,
		solid: inches(solid),
		lower: inches(lower)
	});
	it('is the inner’s when the step is deep', () => {
		const bind = firstToBind([coil('outer', 1.15), coil('inner', 1.06, 0.105)]);
		expect(bind.first).toBe('inner');
		expect(bind.height).toBeCloseTo(inches(1.165), 9);
	});
	it('is the outer’s otherwise, and a single’s own', () => {
		expect(firstToBind([coil('outer', 1.15), coil('inner', 1.04, 0.105)]).first).toBe('outer');
		expect(firstToBind([coil('outer', 1.15)])).toEqual({ height: inches(1.15), first: null });
	});
	it('may be the third coil’s', () => {
		// 1.15; 1.04 + 0.10 = 1.14; 0.98 + 0.19 = 1.17
		const bind = firstToBind([
			coil('outer', 1.15),
			coil('inner', 1.04, 0.1),
			coil('third', 0.98, 0.19)
		]);
		expect(bind.first).toBe('third');
		expect(bind.height).toBeCloseTo(inches(1.17), 9);
	});
	it('is of a coil', () => {
		expect(() => firstToBind([])).toThrow(RangeError);
	});
});

describe('the ends of a curve', () => {
	it('are tested just there, whatever floating point makes of it', () => {
		// 1.870 − 0.030 − (0.351 − 0.023) = 1.512, the lowest point swept
		const open = mm(1.87 * 25.4 - 0.03 * 25.4 - (0.351 * 25.4 - 0.023 * 25.4));
		const points = [1.9, 1.8, 1.7, 1.6, 1.512].map((height) => ({
			height: inches(height),
			load: newtons((2.2 - height) * 1000)
		}));
		const curve = testedCurve(points);
		expect(open).not.toBe(curve.lowest);
		expect(curve.load(open)).toBeCloseTo(688, 6);
		expect(curve.load(mm(curve.lowest - 0.0002))).toBeNull();
		expect(card.load(mm(card.lowest - 0.00004))).not.toBeNull();
	});
	it('go on along the card’s line only for who asks, and tell so', () => {
		const tested = testedCurve(
			[46, 44, 42].map((height) => ({ height: mm(height), load: newtons((60 - height) * 40) }))
		);
		const line = cardCurve({ height: mm(46), load: newtons(570) }, newtonsPerMm(41), mm(28));
		const both = beyondTested(tested, line);
		expect(both.load(mm(44))).toBeCloseTo(640, 9);
		expect(both.load(mm(40))).toBeCloseTo(570 + 6 * 41, 9);
		expect([isBeyondTested(both, mm(44)), isBeyondTested(both, mm(40))]).toEqual([false, true]);
		expect(isBeyondTested(tested, mm(40))).toBe(false);
	});
});

describe('lift', () => {
	it('is lobe × ratio, less lash for open load only', () => {
		const gross = grossLift(inches(0.36), 1.5);
		expect(gross).toBeCloseTo(inches(0.54), 9);
		expect(solidLift(gross, inches(0.014))).toEqual({
			gross,
			net: gross - inches(0.014),
			worst: gross
		});
	});
	it('allows for a pumped-up hydraulic lifter in clearances only', () => {
		const lift = hydraulicLift(inches(0.5), inches(0.03), 1.6);
		expect(lift.net).toBe(lift.gross);
		expect(lift.worst).toBeCloseTo(inches(0.548), 9);
	});
});

describe('what to aim for', () => {
	const lift = solidLift(inches(0.54), inches(0.014));
	const known: Known = {
		cardHeight: inches(1.82),
		bind: { height: inches(1.18), uncertainty: mm(0) },
		lift,
		curve: card
	};
	const aimed = (aim: Parameters<typeof targetHeight>[0], what: Partial<Known> = {}) =>
		targetHeight(aim, { ...known, ...what });

	it('takes the card height', () => {
		expect(aimed({ method: 'card-height' }).height).toBe(inches(1.82));
		expect(aimed({ method: 'card-height' }, { cardHeight: null }).height).toBeNull();
	});
	it('adds bind, lift and cushion', () => {
		const aim = { method: 'bind-cushion', cushion: inches(0.06) } as const;
		expect(aimed(aim).height).toBeCloseTo(inches(1.78), 9);
		expect(aimed(aim, { lift: null }).because).toEqual(
			message('needs', { of: [message('need.lift')] })
		);
		expect(aimed(aim, { bind: null }).height).toBeNull();
		const unsure = { bind: { height: inches(1.18), uncertainty: mm(0.3) } };
		const lifted = { lift: { ...lift, uncertainty: mm(0.4) } };
		expect(aimed(aim, { ...unsure, ...lifted }).uncertainty).toBeCloseTo(0.5, 9);
	});
	it('looks the seat load up on the curve and says when that is only a card’s line', () => {
		const target = aimed({ method: 'seat-load', load: poundsForce(145) });
		// 1.82 − 17 ÷ 340 = 1.770
		expect(target.height).toBeCloseTo(inches(1.77), 6);
		expect(target.fromCardLine).toBe(true);
		expect(aimed({ method: 'seat-load', load: poundsForce(900) }).height).toBeNull();
		expect(
			aimed({ method: 'seat-load', load: poundsForce(145) }, { curve: null }).height
		).toBeNull();
	});
	it('puts the net lift on top for an open load', () => {
		const target = aimed({ method: 'open-load', load: poundsForce(300) });
		// 1.82 − 172 ÷ 340 + 0.526
		expect(target.height).toBeCloseTo(inches(1.82 - 172 / 340 + 0.526), 6);
	});
	it('has no height to aim for as it stands', () => {
		expect(aimed({ method: 'as-it-stands', minSeatLoad: poundsForce(100) }).height).toBeNull();
	});
});

describe('the lift of a card', () => {
	const card = {
		seat: { height: '1.820 in', load: '130 lbf' },
		open: { height: '1.280 in', load: '340 lbf' },
		bind: '1.150 in'
	} as Parameters<typeof cardLift>[0];
	const plain = { ...card, open: undefined };
	it('is what its two heights say, else what it allows, else a usual one in its unit', () => {
		expect(cardLift(card)).toBe('0.540 in');
		expect(cardLift({ ...card, open: { height: '32.51 mm', load: '1500 N' } })).toBe('0.540 in');
		expect(cardLift({ ...plain, maxLift: '0.600 in' })).toBe('0.600 in');
		expect(cardLift(plain)).toBe('0.500 in');
		expect(cardLift({ ...plain, seat: { height: '46 mm', load: '500 N' } })).toBe('10.00 mm');
	});
});
