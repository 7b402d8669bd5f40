/** Estimates held against parts that were weighed: within what they are said to be off. */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readParts } from '../../parts/part/file.ts';
import type { KindSetup } from '../../job/document/index.ts';
import { massOf } from '../../foundation/units/index.ts';
import { ESTIMATE_SPREAD, estimatedMass } from './estimated.ts';
import type { MovingPart } from './mass.ts';

const read = readParts(readFileSync('demo/parts.json', 'utf8'));
if (!read.ok) throw new Error('demo');
const library = read.value;
const job = JSON.parse(readFileSync('demo/jobs/2418-light-retainers.json', 'utf8')) as {
	setup: { kinds: { intake: KindSetup } };
};
const { intake } = job.setup.kinds;
const off = (part: MovingPart, parts: KindSetup, weighed: string) =>
	Math.abs(estimatedMass(part, parts)! / massOf(weighed) - 1);

describe('a mass that nobody weighed', () => {
	it.each([['valve'], ['retainer'], ['spring'], ['locks']] as const)(
		'is that of the %s within what is said',
		(part) => {
			expect(off(part, intake, intake[part]!.mass!)).toBeLessThan(ESTIMATE_SPREAD);
		}
	);
	it('holds for every spring and valve of the library that was weighed', () => {
		const offs = library.flatMap(({ type, part }) => {
			if ((type !== 'spring' && type !== 'valve') || !part.mass) return [];
			const parts = { ...intake, [type]: part } as KindSetup;
			return estimatedMass(type, parts) === null ? [] : [[part.name, off(type, parts, part.mass)]];
		});
		expect(offs.length).toBeGreaterThan(8);
		expect(offs.filter(([, by]) => Number(by) > ESTIMATE_SPREAD)).toEqual([]);
	});
	it('is not known without the sizes it comes from', () => {
		const { head: _, ...headless } = intake.valve!;
		expect(estimatedMass('valve', { ...intake, valve: headless })).toBeNull();
		const half = { ...intake.spring!, innerBind: undefined } as KindSetup['spring'];
		expect(estimatedMass('spring', { ...intake, spring: half })).toBeNull();
		expect(estimatedMass('rocker', intake)).toBeNull();
	});
});
