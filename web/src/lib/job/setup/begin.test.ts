/** What a job starts with, from the answers at take-in. */
import { describe, expect, it } from 'vitest';
import { INCH_POUND, type Cam, type Template } from '@zinc-ledger/core';
import { begin, type Named } from './begin.ts';
import { readLift } from './lift.ts';
import { changesOf, setupWith, shopProblems } from './shop.ts';
import { cameFrom, layoutOf, layoutTexts, TakeIn, USUAL_ENGINES } from './take-in.ts';

const cam: Cam = {
	name: 'Hill 264',
	intake: { lobe: '0.350 in', lash: '0.014 in' },
	exhaust: { lobe: '0.360 in' }
};
const NOTHING: Named = {
	like: undefined,
	template: undefined,
	kit: undefined,
	spring: undefined,
	parts: new Map(),
	cams: [cam],
	usual: setupWith('in', {
		'limits.bindFloor': '0.055 in',
		'policies.locks': 'inspected-and-reused'
	})
};
const form = (texts: Partial<TakeIn>) =>
	TakeIn.parse({ number: '1', customer: 'C', engine: 'E', ...texts });
const begun = (texts: Partial<TakeIn>, named: Partial<Named> = {}) => {
	const read = begin(form(texts), { ...NOTHING, ...named }, INCH_POUND);
	if (!read.ok) throw new Error(`${read.field}: ${read.problem.code}`);
	return read.setup;
};
const known = { unit: 'in' as const, source: 'customer' as const, cams: [cam] };

describe('one entry of lift', () => {
	it.each([
		['0.540', { type: 'valve', valve: '0.540 in', source: 'customer' }],
		['13.7 mm', { type: 'valve', valve: '13.7 mm', source: 'customer' }],
		['360 × 1.5', { type: 'lobe', lobe: '0.360 in', ratio: 1.5, source: 'customer' }],
		['360x1,6', { type: 'lobe', lobe: '0.360 in', ratio: 1.6, source: 'customer' }],
		['hill 264 * 1.5', { type: 'lobe', lobe: '0.350 in', ratio: 1.5, source: 'card' }]
	])('%s', (typed, intake) => {
		expect(readLift(typed, known)).toMatchObject({ ok: true, lift: { intake } });
	});
	it('takes a cam’s own lobes for either kind, by the ratio of the rockers where it is known', () => {
		expect(readLift('Hill 264', { ...known, ratio: 1.6 })).toMatchObject({
			lift: { exhaust: { lobe: '0.360 in', ratio: 1.6 } }
		});
		expect(readLift('Hill 264', known)).toMatchObject({
			ok: false,
			problem: { code: 'lift.which-ratio' }
		});
	});
	it('can wait, and is refused where it is no figure', () => {
		expect(readLift(' ', known)).toBeNull();
		expect(readLift('tall', known)).toMatchObject({ ok: false });
	});
});

describe('what a job starts with', () => {
	it('is the shop’s own limits, and what was told', () => {
		const setup = begun({
			lift: '0.540',
			liftExhaust: '0.550',
			due: '2026-12-04',
			price: '480',
			came: '12 valves: bagged\n\nrockers'
		});
		expect(setup.limits.bindFloor).toBe('0.055 in');
		expect(setup.policies).toEqual({ locks: 'inspected-and-reused' });
		expect(setup.kinds.intake.lift).toMatchObject({ valve: '0.540 in' });
		expect(setup.kinds.exhaust.lift).toMatchObject({ valve: '0.550 in' });
		expect(setup.order).toEqual({ due: '2026-12-04', price: '480' });
		expect(setup.came).toEqual([{ what: '12 valves', state: 'bagged' }, { what: 'rockers' }]);
	});
	it('has the cam that was named, and no lash that nobody said is cold or hot', () => {
		const { kinds, cam: own } = begun({ lift: 'Hill 264 × 1.5' });
		expect(own).toEqual(cam);
		expect(kinds.intake.lift).toMatchObject({ type: 'lobe', source: 'card' });
		expect(kinds.intake.lash).toBeUndefined();
	});
	it('names the answer that cannot be read', () => {
		expect(begin(form({ liftExhaust: 'tall' }), NOTHING, INCH_POUND)).toMatchObject({
			ok: false,
			field: 'liftExhaust'
		});
	});
	it('is the engine’s template where one is named', () => {
		const { setup } = { setup: begun({}) };
		setup.kinds.intake.rocker = { name: 'R', ratio: 1.7 };
		const template: Template = {
			id: '00000000-0000-7000-8000-000000000001',
			name: 'Six',
			layout: USUAL_ENGINES[0]!.layout as Template['layout'],
			setup
		};
		const { kinds } = begun({ lift: 'Hill 264' }, { template });
		expect(kinds.intake.lift).toMatchObject({ type: 'lobe', ratio: 1.7 });
	});
});

describe('how heads lie', () => {
	it.each(USUAL_ENGINES)('$name comes back from the form as it went in', ({ layout }) => {
		expect(layoutOf(form(layoutTexts(layout)))).toEqual(layout);
	});
	it('a list of what came is a thing a line', () => {
		expect(cameFrom('')).toEqual([]);
		expect(cameFrom('one: two: three')).toEqual([{ what: 'one', state: 'two: three' }]);
	});
});

describe('what the shop decides', () => {
	it('is noted field by field, with what it was', () => {
		const own = { 'limits.bindFloor': '0.055 in' };
		const changes = changesOf(
			{ 'limits.bindFloor': '60', 'limits.sealFloor': '', 'policies.damper': 'removed' },
			own,
			'in'
		);
		expect(changes).toEqual([
			{ field: 'policies.damper', from: null, to: 'removed' },
			{ field: 'limits.bindFloor', from: '0.055 in', to: '0.060 in' }
		]);
		expect(changesOf({ 'limits.bindFloor': '' }, own, 'in')).toEqual([
			{ field: 'limits.bindFloor', from: '0.055 in', to: '' }
		]);
	});
	it('is refused where it makes no sense together, and then not used', () => {
		const own = { 'limits.bindFloor': '0.500 in' };
		expect(Object.keys(shopProblems('in', own))).toEqual(['limits.bindAim']);
		expect(setupWith('in', own).limits.bindFloor).toBe('0.050 in');
		expect(shopProblems('mm', {})).toEqual({});
	});
});
