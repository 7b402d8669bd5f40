import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { INCH_POUND, METRIC, type Job, type Setup } from '@zinc-ledger/core';
import { readJob } from '@zinc-ledger/core/file';
import { Setup as SetupSchema } from '@zinc-ledger/core/schema';
import { camValues } from './cam.ts';
import { setupFrom, valuesOf, isSameFigure } from './values.ts';

const load = (name: string): Job => {
	const read = readJob(readFileSync(`demo/jobs/${name}.json`, 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	return read.value;
};
const { setup } = load('2417-straight-six');
const saved = (change: Record<string, string>, before: Setup = setup, units = INCH_POUND) =>
	SetupSchema.parse(setupFrom({ ...valuesOf(before), ...change }, before, units));

describe('the form of a set-up', () => {
	it.each(['2417-straight-six', '2409-twin-cam', '2421-marine-v8'])(
		'of %s comes back as it was, untouched',
		(name) => {
			const before = load(name).setup;
			for (const units of [INCH_POUND, METRIC]) expect(saved({}, before, units)).toEqual(before);
		}
	);
	it('takes bare figures in the units the person reads', () => {
		const { kinds, limits } = saved({ 'kinds.intake.lift.lobe': '372', 'limits.bindFloor': '55' });
		expect(kinds.intake.lift).toMatchObject({ lobe: '0.372 in' });
		expect(limits.bindFloor).toBe('0.055 in');
		expect(saved({ 'limits.bindFloor': '1.4' }, setup, METRIC).limits.bindFloor).toBe('1.4 mm');
	});
	it('takes lift and lash from a cam, leaves the ratio as it was, and no lash of another cam', () => {
		const cam = { ...setup.cam!, exhaust: { lobe: '9.10 mm' } };
		const { kinds } = saved({ 'kinds.intake.lift.type': 'valve', ...camValues(cam) });
		expect(kinds.intake.lift).toEqual({
			...setup.kinds.intake.lift,
			type: 'lobe',
			lobe: '0.360 in',
			source: 'card'
		});
		expect(kinds.intake.lash).toEqual({
			...setup.kinds.intake.lash,
			setting: '0.014 in',
			source: 'card'
		});
		expect(kinds.exhaust.lift).toMatchObject({ lobe: '9.10 mm' });
		expect(kinds.exhaust.lash).toBeUndefined();
	});
	it('leaves a lift out whole when only its choices stand', () => {
		const { kinds } = saved({ 'kinds.exhaust.lift.lobe': '', 'kinds.exhaust.lift.ratio': '' });
		expect(kinds.exhaust.lift).toBeUndefined();
		expect(kinds.exhaust.spring).toEqual(setup.kinds.exhaust.spring);
	});
	it('changes the type of lift, and leaves what belonged to the other behind', () => {
		const { kinds } = saved({
			'kinds.intake.lift.type': 'valve',
			'kinds.intake.lift.valve': '545'
		});
		expect(kinds.intake.lift).toEqual({ type: 'valve', valve: '0.545 in', source: 'card' });
	});
	it('has rows of shims and of cylinders with a lift of their own', () => {
		const next = setup.shimStock.length;
		const { shimStock, overrides } = saved({
			[`shimStock.${next}.thickness`]: '45',
			[`shimStock.${next}.count`]: '4',
			'shimStock.0.thickness': '',
			'overrides.0.cylinder': '3',
			'overrides.0.kind': 'exhaust',
			'overrides.0.type': 'lobe',
			'overrides.0.lift': '340',
			'overrides.0.lash': '18'
		});
		expect(shimStock.map(({ thickness }) => thickness)).toEqual([
			'0.030 in',
			'0.060 in',
			'0.045 in'
		]);
		expect(overrides).toEqual([
			{
				cylinder: 3,
				kind: 'exhaust',
				lift: { type: 'lobe', lobe: '0.340 in', ratio: 1.5, source: 'card' },
				lash: { ...setup.kinds.exhaust.lash!, setting: '0.018 in' }
			}
		]);
	});
	it('says where a figure cannot be', () => {
		const wrong = setupFrom({ ...valuesOf(setup), 'limits.bindFloor': 'two' }, setup, INCH_POUND);
		const result = SetupSchema.safeParse(wrong);
		expect(result.error?.issues[0]?.path).toEqual(['limits', 'bindFloor']);
	});
});

describe('two texts of one field', () => {
	it.each([
		['0.050 in', '0.05 in', true],
		['0.050 in', '1.27 mm', true],
		['0.003 in', '0.0035 in', false],
		['0.050 in', '1.30 mm', false],
		['15 inHg', '500 mbar', false],
		['3.5', '3.50', true],
		['', '0.1', false],
		['', '', true]
	])('%j and %j: %s', (a, b, same) => expect(isSameFigure(a, b)).toBe(same));
});
