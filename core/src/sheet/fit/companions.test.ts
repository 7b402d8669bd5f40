/** What has to come with a part of another maker’s sizes. */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readJob } from '../../job/document/file.ts';
import { evaluate } from '../evaluation/index.ts';
import { readParts } from '../../parts/part/file.ts';
import type { LibraryPart } from '../../parts/part/index.ts';
import { companionsOf } from './companions.ts';
import { addNoNewStop } from './remedy.ts';

const read = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
const parts = readParts(readFileSync('demo/parts.json', 'utf8'));
if (!read.ok || !parts.ok) throw new Error('demo');
const job = read.value;
const { context } = evaluate(job).fitContexts.find(({ context: { kind } }) => kind === 'intake')!;
const { retainer, locks } = context.parts;
const other = (type: string, name: string, part: object) =>
	({
		type,
		part: { ...part, id: `0197a000-0000-7000-8000-${name.padStart(12, '0')}`, name },
		stock: null,
		retired: false
	}) as LibraryPart;
const angle = retainer!.angle === 7 ? 10 : 7;
const steep = other('retainer', '1', { ...retainer, angle });
const grips = other('locks', '2', { ...locks, angle });

describe('companions', () => {
	it('are none where the part fits with what is there', () => {
		const same = other('retainer', '3', retainer!);
		expect(companionsOf(context, [{ place: 'retainer', part: same.part }], [])).toEqual([]);
	});
	it('are the locks of a retainer of another taper', () => {
		const with_ = companionsOf(context, [{ place: 'retainer', part: steep.part }], [steep, grips]);
		expect(with_).toEqual([{ place: 'locks', part: grips.part }]);
		expect(addNoNewStop(context, [{ place: 'retainer', part: steep.part }, ...with_!])).toBe(true);
	});
	it('are not known where the library has none that make it fit', () => {
		expect(companionsOf(context, [{ place: 'retainer', part: steep.part }], [steep])).toBeNull();
		const retired = { ...grips, retired: true };
		expect(companionsOf(context, [{ place: 'retainer', part: steep.part }], [retired])).toBeNull();
	});
	it('of a beehive are its retainer, and that retainer’s locks', () => {
		const spring = parts.value.find(({ part }) => part.name === 'Fennick N-40 beehive')!;
		const swap = [{ place: 'spring', part: spring.part }] as const;
		expect(addNoNewStop(context, swap)).toBe(false);
		expect(companionsOf(context, swap, parts.value)).toBeNull();
		const found = companionsOf(context, swap, [...parts.value, grips])!;
		expect(found.map(({ place, part }) => [place, part.name])).toEqual([
			['retainer', 'Ostrel R-40, tool steel'],
			['locks', grips.part.name]
		]);
		expect(addNoNewStop(context, [...swap, ...found])).toBe(true);
	});
});
