/** How far a sheet has come, from its figures' own needs. */
import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { evaluate, progressOf } from '../../index.ts';
import { readJob } from '../../job/document/file.ts';

const progress = (name: string) => {
	const read = readJob(readFileSync(`demo/jobs/${name}.json`, 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	return progressOf(evaluate(read.value));
};

it('names what figures want once, with the figures and valves that want it', () => {
	const { wants } = progress('2421-marine-v8');
	expect(wants.map(({ need }) => need.code)).toEqual(['need.height', 'need.lift', 'need.seal-gap']);
	expect(wants[1]).toMatchObject({ figures: ['openLoad', 'bindMargin'], kinds: ['exhaust'] });
	expect(wants[1]!.stations).toHaveLength(8);
});
it('is ready with what stands at every station, and wants nothing once all is read', () => {
	const { ready, wants } = progress('2402-single');
	expect(ready).toEqual(expect.arrayContaining(['height', 'seatLoad', 'openLoad', 'bindMargin']));
	expect(wants).toEqual([]);
	expect(progress('2417-straight-six').ready).not.toContain('height');
});
