import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { readJob } from '../../job/document/file.ts';
import { evaluate } from '../evaluation/index.ts';
import { keyOf } from '../../foundation/message/index.ts';

const read = readJob(readFileSync('demo/jobs/2426-placed-springs.json', 'utf8'));
if (!read.ok) throw new Error('demo');

it('a sample that speaks for a whole set is said to be one', () => {
	const { setup } = read.value;
	const all = setup.springs!;
	const of = all[0]!;
	const remarksWith = (count: number) => {
		const kinds = structuredClone(setup.kinds);
		for (const { spring } of Object.values(kinds))
			if (spring?.id === of.card) spring!.tested = { points: of.points, set: of.set };
		return evaluate({ ...read.value, setup: { ...setup, kinds, springs: all.slice(0, count) } })
			.remarks.map(({ text }) => keyOf(text))
			.filter((text) => text.startsWith('spring.sampled'));
	};
	expect(remarksWith(0)).toEqual([]);
	expect(remarksWith(1)[0]).toMatch(/"tested":1,"of":\d+/);
	expect(remarksWith(all.length)).toEqual([]);
});
