/** Where what is still wanted is entered. */
import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { message, type Need } from '@zinc-ledger/core';
import { readJob } from '@zinc-ledger/core/file';
import { fieldOfNeed, placeOfNeed } from './needs.ts';

const read = readJob(readFileSync('demo/jobs/2421-marine-v8.json', 'utf8'));
if (!read.ok) throw new Error(JSON.stringify(read.problems));
const job = read.value;
const at = (code: Need['code'], kind: 'intake' | 'exhaust' = 'exhaust') =>
	placeOfNeed(message(code) as Need, kind, job).replace(`/jobs/${job.id}`, '');

it.each([
	['need.height', '/round?of=installed-height'],
	['need.seal-gap', '/round?of=seal-gap'],
	['need.lift', '/setup#kinds.exhaust.lift.lobe'],
	['need.lash-setting', '/setup#kinds.exhaust.lash.setting'],
	['need.head.material', '/setup#head.material'],
	['need.pocket.diameter', '/setup#kinds.exhaust.pocket.diameter'],
	['need.spring', '/parts']
] as const)('%s at %s', (code, place) => expect(at(code)).toBe(place));

it('a figure of a part at its field on the part’s own page, where the library has it', () => {
	const { spring } = job.setup.kinds.intake;
	expect(at('need.spring.innermost-coil', 'intake')).toBe(`/parts/${spring!.id}#inner.outside`);
	expect(at('need.lash-cap.stem')).toBe('/parts');
});

it('the coil bind of a spring, among its own figures, on the job as in the library', () => {
	expect(at('need.bind', 'intake')).toBe(`/parts/${job.setup.kinds.intake.spring!.id}#bind`);
	const field = fieldOfNeed(message('need.bind') as Need, 'intake', job);
	expect(field).toEqual({ path: 'kinds.intake.spring.bind', part: 'spring' });
	expect(fieldOfNeed(message('need.height') as Need, 'intake', job)).toBeNull();
	expect(fieldOfNeed(message('need.spring') as Need, 'intake', job)).toBeNull();
});
