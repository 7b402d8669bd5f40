import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { evaluate } from '../../../sheet/evaluation/index.ts';
import { readJob } from '../../../job/document/file.ts';
import { readKits } from '../../../parts/kit/file.ts';
import { readParts } from '../../../parts/part/file.ts';
import type { LibraryPart } from '../../../parts/part/index.ts';
import { INCH_POUND, showLength, showLoad } from '../../../foundation/units/index.ts';
import { keyOf } from '../../../foundation/message/index.ts';
import { chooseSprings } from './spring.ts';

const job = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
const library = readParts(readFileSync('demo/parts.json', 'utf8'));
if (!job.ok || !library.ok) throw new Error('demo');
const contextOf = (kind: 'intake' | 'exhaust') => {
	const { fitContexts } = evaluate(job.value);
	return fitContexts.find(({ context }) => context.kind === kind)!.context;
};
const candidates = chooseSprings(contextOf('intake'), library.value);
const of = (name: string) => candidates.find(({ part }) => part.part.name === name)!;

it('puts springs that could serve before those that could not, and leaves none out', () => {
	const springs = library.value.filter(({ type }) => type === 'spring');
	expect(candidates).toHaveLength(springs.length);
	const out = candidates.map(({ ruledOut }) => ruledOut.length > 0);
	expect(out).toEqual(out.toSorted((a, b) => Number(a) - Number(b)));
});

it('works a candidate out at the height the job would aim at', () => {
	// Card height 1.820, rate (350 − 142) ÷ 0.550 = 378.2; open at 1.820 − 0.526: 142 + 378.2 × 0.526 = 340.9
	const d39 = of('Fennick D-39 dual');
	expect(d39.ruledOut).toEqual([]);
	expect(showLength(d39.height!, INCH_POUND)).toBe('1.820');
	expect(showLoad(d39.seatLoad!, INCH_POUND)).toBe('142');
	expect(showLoad(d39.openLoad!, INCH_POUND)).toBe('341');
	// Outer 1.145, inner 1.035 + 0.105 = 1.140: 1.820 − 0.540 − 1.145 = 0.135
	expect(showLength(d39.bindMargin!, INCH_POUND)).toBe('0.135');
});

it.each([
	['Fennick S-11 single with damper', 'fit.spring-lift {"lift":13.716,"max":11.938}'],
	['Fennick N-40 beehive', 'fit.landing-count {"springs":1,"landings":2}'],
	['Fennick D-52 dual', 'fit.spring-in-pocket {"outside":39.37,"within":"pocket","withinIs":38.1']
])('says what rules %s out', (name, reason) => {
	const reasons = of(name)
		.ruledOut.map((phrase) => keyOf(phrase))
		.join('; ');
	expect(reasons).toContain(reason);
});

it('brings what has to come with a spring, and names it', () => {
	const { retainer, locks } = job.value.setup.kinds.intake;
	const grips = {
		type: 'locks',
		part: { ...locks!, id: '0197a000-0000-7000-8000-000000000001', name: 'Steep', angle: 7 },
		stock: null,
		retired: false
	} as LibraryPart;
	const beehive = chooseSprings(contextOf('intake'), [...library.value, grips]).find(
		({ part }) => part.part.name === 'Fennick N-40 beehive'
	)!;
	expect(beehive.ruledOut).toEqual([]);
	expect(beehive.changes.map(({ place, part }) => `${place} ${part.name}`)).toEqual([
		'retainer Ostrel R-40, tool steel',
		'locks Steep'
	]);
	expect(beehive.parts).toMatchObject({
		locks: { name: 'Steep' },
		spring: { id: beehive.part.part.id }
	});
	// What fits with what is there changes nothing.
	expect(of('Fennick D-39 dual').changes).toEqual([]);
	expect(of('Fennick D-39 dual').parts.retainer).toEqual(retainer);
});

it('puts kits that could serve first, with all that is in their boxes', () => {
	const kits = readKits(readFileSync('demo/kits.json', 'utf8'));
	if (!kits.ok) throw new Error('demo');
	const all = [
		...library.value,
		...kits.value.parts.filter(
			({ part: { id } }) => !library.value.some(({ part }) => part.id === id)
		)
	];
	const found = chooseSprings(contextOf('intake'), all, kits.value.kits);
	expect(found[0]!.kit).not.toBeNull();
	const light = found.find(({ kit }) => kit?.name === 'Hill six, light retainers')!;
	expect(light.ruledOut).toEqual([]);
	expect(light.changes.map(({ place }) => place)).toEqual(['retainer', 'locks']);
	expect(light.parts).toMatchObject({
		kit: { name: light.kit!.name },
		retainer: { name: light.changes[0]!.part.name }
	});
	// A kit for another stem is ruled out by that, though its spring alone would not be.
	const twin = found.find(({ kit }) => kit?.name === 'Twin cam four, road')!;
	expect(twin.ruledOut.map(keyOf).join()).toContain('fit.');
});

it('tells where each loses its valve, and rules out what does so below the highest speed', () => {
	const light = readJob(readFileSync('demo/jobs/2418-light-retainers.json', 'utf8'));
	if (!light.ok) throw new Error('demo');
	const asked = (engineSpeed: number) => {
		const { setup } = light.value;
		const turned = { ...setup, use: { ...setup.use, engineSpeed } };
		const { fitContexts } = evaluate({ ...light.value, setup: turned });
		const { context } = fitContexts.find((group) => group.context.kind === 'intake')!;
		return chooseSprings(context, library.value).find(
			({ part }) => part.part.name === 'Fennick D-39 dual'
		)!;
	};
	const { controlLimit } = asked(5000);
	expect(controlLimit).toBeGreaterThan(7000);
	expect(asked(5000).remarks).toEqual([]);
	expect(
		asked(Math.round(controlLimit! * 0.95))
			.remarks.map(keyOf)
			.join()
	).toContain('control.little-headroom');
	expect(
		asked(Math.round(controlLimit! * 1.01))
			.remarks.map(keyOf)
			.join()
	).toContain('control.too-close');
	expect(
		asked(Math.round(controlLimit! * 1.2))
			.ruledOut.map(keyOf)
			.join()
	).toContain('control.below-speed');
	// Without a lobe nothing of it is known, and nothing said.
	expect(of('Fennick D-39 dual').controlLimit).toBeNull();
});
