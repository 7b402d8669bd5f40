import { readFileSync } from 'node:fs';
import canonicalize from 'canonicalize';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assemblySteps } from '../../assembly/index.ts';
import { evaluate } from '../../sheet/evaluation/index.ts';
import { isTooDeep } from '../../foundation/file/index.ts';
import { readJob } from '../../job/document/file.ts';
import {
	entryCount,
	type Acceptance,
	type Job,
	type Note,
	type Reading
} from '../../job/document/index.ts';
import { stagesOf, type Signed } from '../stages/index.ts';
import { METRIC } from '../../foundation/units/index.ts';
import { keyOf, message, type Message } from '../../foundation/message/index.ts';
import { maySign, openItems } from '../open-items/index.ts';
import { newShopKey, sha256, sheetCrypto, shopKey } from './node.ts';
import { SignedSheet, signSheet, verifySheet } from './signed.ts';

const load = (name: string): Job => {
	const read = readJob(readFileSync(`demo/jobs/${name}.json`, 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	return read.value;
};
const six = load('2417-straight-six');
const twin = load('2409-twin-cam');
const person = six.people[0]!;
const key = shopKey(newShopKey());
const signing = {
	id: '0197a999-0000-7000-8000-000000000001',
	revision: 1,
	person,
	at: '2026-11-20T10:00:00.000Z'
};
/** Words of a language that says codes. */
const write = (one: Message) => keyOf(one);
const text = signSheet(twin, signing, METRIC, { sha256, write, key });
/** What of a sheet is hashed and signed. */
function bodyOf(sheet: string) {
	const { sha256: _, ...rest } = JSON.parse(sheet);
	delete rest.signature;
	return rest;
}
/** A sheet's text, hashed and signed by the shop. */
function resigned(body: object): string {
	const whole = canonicalize(body)!;
	return canonicalize({ ...body, sha256: sha256(whole), signature: key.sign(whole) })!;
}
/** The signed sheet with other figures, hashed and signed again. */
function signedWith(change: (figures: Record<string, { figure?: number | null }>) => unknown) {
	const body = bodyOf(text);
	for (const { figures } of body.sheet.stations) change(figures);
	return resigned(body);
}
const pointsOf = (job: Job) => openItems(job, evaluate(job));
const keysOf = (job: Job) => pointsOf(job).map(({ key, severity }) => `${severity}: ${key}`);

describe('a signed sheet', () => {
	it('verifies, and its figures are worked out the same', () => {
		const verified = verifySheet(text, sheetCrypto);
		if (!verified.ok) throw new Error(verified.problem.code);
		expect(verified.same).toBe(true);
		expect(verified.signed.job).toEqual(twin);
		expect(verifySheet(`${text}\n`, sheetCrypto).ok).toBe(true);
	});
	it('says whose key it is signed with', () => {
		const signerBy = (keys: string[]) => {
			const verified = verifySheet(text, sheetCrypto, keys);
			return verified.ok && verified.signer;
		};
		expect(signerBy([key.publicKey])).toBe('this-shop');
		expect(signerBy([newShopKey().publicKey])).toBe('unknown');
		expect(signerBy([])).toBe('unknown');
	});
	it('with a forged name and its hash made anew is no sheet of the shop', () => {
		const { signature } = JSON.parse(text);
		const body = bodyOf(text);
		body.signing.person.name = 'Somebody Else';
		const forged = canonicalize({ ...body, sha256: sha256(canonicalize(body)!), signature })!;
		expect(verifySheet(forged, sheetCrypto, [key.publicKey])).toEqual({
			ok: false,
			problem: message('signed.forged')
		});
		// Signed anew by another's key it is whole, and not this shop's.
		const other = shopKey(newShopKey());
		const theirs = { ...body, publicKey: other.publicKey };
		const whole = canonicalize(theirs)!;
		const signed = canonicalize({
			...theirs,
			sha256: sha256(whole),
			signature: other.sign(whole)
		})!;
		expect(verifySheet(signed, sheetCrypto, [key.publicKey])).toMatchObject({
			ok: true,
			signer: 'unknown'
		});
	});
	it('of version 2 verifies as it did, and says that nobody’s key signed it', () => {
		const body = bodyOf(text);
		delete body.publicKey;
		const before = { ...body, version: 2 };
		const old = canonicalize({ ...before, sha256: sha256(canonicalize(before)!) })!;
		expect(verifySheet(old, sheetCrypto)).toMatchObject({ ok: true, same: true, signer: 'none' });
	});
	it('signed before the program knew one of its rules is worked out the same', () => {
		const body = bodyOf(text);
		body.sheet.fit = body.sheet.fit.filter(({ rule }: { rule: string }) => rule !== 'kit-parts');
		const before = resigned(body);
		expect(before).not.toBe(text);
		expect(verifySheet(before, sheetCrypto)).toMatchObject({ ok: true, same: true });
	});
	it('signed before the program knew one of its figures is worked out the same', () => {
		const before = signedWith((figures) => delete figures.vacuum);
		expect(verifySheet(before, sheetCrypto)).toMatchObject({ ok: true, same: true });
		const otherwise = signedWith(({ height }) => (height!.figure = 1));
		expect(verifySheet(otherwise, sheetCrypto)).toMatchObject({ ok: true, same: false });
	});
	it('signed before the program named one of its units is worked out the same', () => {
		const body = bodyOf(text);
		body.sheet.units.figures = 'mm, N, N/mm, J, kPa';
		const before = resigned(body);
		expect(before).not.toBe(text);
		expect(verifySheet(before, sheetCrypto)).toMatchObject({ ok: true, same: true });
	});
	it('one flipped digit anywhere fails', () => {
		const digits = [...text.matchAll(/\d/g)].map(({ index }) => index);
		fc.assert(
			fc.property(fc.constantFrom(...digits), fc.integer({ min: 1, max: 9 }), (at, by) => {
				const flipped = String((Number(text[at]) + by) % 10);
				const changed = text.slice(0, at) + flipped + text.slice(at + 1);
				expect(verifySheet(changed, sheetCrypto).ok).toBe(false);
			}),
			{ numRuns: 50 }
		);
	}, 60_000);
	it('says what is wrong: cut short, laid out anew, another file', () => {
		const problem = (other: string) => {
			const verified = verifySheet(other, sheetCrypto);
			return verified.ok ? '' : verified.problem.code;
		};
		expect(problem(text.slice(0, -10))).toBe('signed.not-json');
		expect(problem(JSON.stringify(JSON.parse(text), null, 2))).toBe('signed.not-canonical');
		expect(problem('{"format":"other"}')).toBe('signed.other-format');
		expect(problem('null')).toBe('signed.other-format');
		expect(problem(text.replace('"version":4}', '"version":5}'))).toBe('signed.newer');
		expect(problem(text.replace('Kestler', 'Kessler'))).toBe('signed.changed');
	});
	it('is told apart from something signed that is no sheet', () => {
		const { open: left, ...cut } = bodyOf(text) as SignedSheet;
		expect(left.length).toBeGreaterThan(0);
		const whole = resigned(cut);
		const verified = verifySheet(whole, sheetCrypto);
		expect(verified).toMatchObject({
			ok: false,
			problem: message('signed.not-whole'),
			problems: [{ path: 'open' }]
		});
	});
	it('is what its published schema says', () => {
		const parsed = SignedSheet.parse(JSON.parse(text));
		expect(canonicalize(parsed)).toBe(text);
	});
	it('names the sheet it takes the place of', () => {
		const first = JSON.parse(text) as { sha256: string };
		const supersedes = { id: signing.id, sha256: first.sha256 };
		const second = signSheet(twin, { ...signing, revision: 2, supersedes }, METRIC, {
			sha256,
			key,
			write
		});
		const verified = verifySheet(second, sheetCrypto);
		expect(verified.ok && verified.signed.signing.supersedes).toEqual(supersedes);
	});
});

describe('verifying', () => {
	const again = (change: (sheet: Record<string, unknown>) => void): string => {
		const body = bodyOf(text) as Record<string, unknown>;
		change(body);
		return resigned(body);
	};
	it('does not say “same” where the list of what was open was emptied and hashed again', () => {
		const six = load('2417-straight-six');
		const whole = signSheet(six, { ...signing, person: six.people[0]! }, METRIC, {
			sha256,
			key,
			write
		});
		const body = bodyOf(whole) as Record<string, unknown>;
		const emptied = { ...body, open: [] };
		const forged = resigned(emptied);
		expect(verifySheet(whole, sheetCrypto)).toMatchObject({ ok: true, same: true });
		expect(verifySheet(forged, sheetCrypto)).toMatchObject({ ok: true, same: false });
	});
	it('a sheet that froze no section verifies as it was signed', () => {
		const before = again((sheet) => delete sheet.section);
		expect(verifySheet(before, sheetCrypto)).toMatchObject({ ok: true, same: true });
	});
	it('what nests too deeply is refused with a word, here and in every file', () => {
		const deep = `${'['.repeat(100_000)}${']'.repeat(100_000)}`;
		expect(verifySheet(deep, sheetCrypto)).toEqual({
			ok: false,
			problem: message('file.too-deep')
		});
		expect(
			verifySheet(text.replace('"open":[', `"open":[${'['.repeat(5000)}`), sheetCrypto).ok
		).toBe(false);
		expect(readJob(deep)).toEqual({
			ok: false,
			problems: [{ path: '', text: message('file.too-deep') }]
		});
		expect(isTooDeep(JSON.stringify({ text: '[['.repeat(200) }))).toBe(false);
	});
});

describe('what is open', () => {
	it('an acceptance does not outlive the floor it was given for', () => {
		const six = load('2417-straight-six');
		const lower = {
			...six,
			setup: { ...six.setup, limits: { ...six.setup.limits, sealFloor: '0.060 in' } }
		};
		const stops = (job: Job) =>
			openItems(job, evaluate(job)).filter(({ key }) => key.includes('sealClearance'));
		const [first] = stops(lower);
		const accepted = {
			...lower,
			acceptances: [
				...lower.acceptances,
				{
					id: signing.id,
					finding: first!.key,
					accepted: true,
					reason: 'his own risk',
					person: six.people[0]!.id,
					at: '2026-11-27T08:00:00Z'
				}
			]
		};
		const at = (job: Job) => stops(job).find(({ place }) => place === first!.place)!;
		expect(at(accepted).acceptance).not.toBeNull();
		const raised = {
			...accepted,
			setup: { ...accepted.setup, limits: { ...accepted.setup.limits, sealFloor: '0.090 in' } }
		};
		expect(at(raised).acceptance).toBeNull();
	});

	const accept = (finding: string, accepted = true): Acceptance => ({
		id: finding,
		finding,
		accepted,
		reason: 'seen and agreed',
		person: person.id,
		at: '2026-11-20T10:00:00Z'
	});
	const note = (id: string, more: Partial<Note>): Note => ({
		id,
		text: 'Checking spring on 3E',
		private: true,
		blocksSignOff: true,
		person: person.id,
		at: '2026-11-20T10:00:00Z',
		...more
	});
	it('a clear job may be signed; what was not measured or written down is said', () => {
		const points = pointsOf(twin);
		expect(maySign(points)).toBe(true);
		expect(points.every(({ severity }) => severity === 'info')).toBe(true);
	});
	it('a station at stop blocks until it is accepted with a reason, and again when the acceptance is taken back', () => {
		const points = pointsOf(six);
		const stops = points.filter(({ severity }) => severity === 'acceptance');
		expect(stops.length).toBeGreaterThan(0);
		expect(maySign(points)).toBe(false);
		const all = { ...six, acceptances: stops.map(({ key }) => accept(key)) };
		expect(maySign(pointsOf(all))).toBe(true);
		const back = { ...all, acceptances: [...all.acceptances, accept(stops[0]!.key, false)] };
		expect(maySign(pointsOf(back))).toBe(false);
	});
	it('an acceptance holds only for the figure it was given for', () => {
		const [stop] = pointsOf(six).filter(
			({ key }) => key.startsWith('stop ') && key.includes('height')
		);
		const place = stop!.place;
		const readings = six.readings.map((reading) =>
			reading.station === place && reading.quantity === 'installed-height'
				? { ...reading, read: '1.900 in' }
				: reading
		);
		const moved = { ...six, readings, acceptances: [accept(stop!.key)] };
		const now = pointsOf(moved).filter(
			(point) => point.place === place && point.severity === 'acceptance'
		);
		expect(now.length).toBeGreaterThan(0);
		expect(now.every(({ acceptance }) => acceptance === null)).toBe(true);
	});
	it('a note that holds blocks until another resolves it', () => {
		expect(keysOf({ ...twin, notes: [note('n1', {})] })).toContain('blocking: hold n1');
		const settled = {
			...twin,
			notes: [note('n1', {}), note('n2', { blocksSignOff: false, resolves: 'n1' })]
		};
		expect(maySign(pointsOf(settled))).toBe(true);
	});

	const steps = assemblySteps(twin, evaluate(twin));
	const built = (count: number, back: number): Job => ({
		...twin,
		assembly: steps.slice(0, count).map(({ place, step, counts }, i) => ({
			id: String(i),
			place,
			step,
			done: true,
			...(counts && { count: step === 'count-in' ? back : 32 }),
			person: person.id,
			at: new Date(Date.UTC(2026, 2, 1, 8, 0, i)).toISOString()
		}))
	});
	it('a half-built station blocks, as does one not built, and locks that do not count up', () => {
		expect(keysOf(built(5, 0))).toEqual(
			expect.arrayContaining(['blocking: half-built 1Ia', 'blocking: unbuilt'])
		);
		expect(keysOf(built(steps.length - 1, 0))).toContain('blocking: count');
		expect(keysOf(built(steps.length, 31))).toContain('blocking: count 32 31');
		expect(maySign(pointsOf(built(steps.length, 32)))).toBe(true);
	});
	it('a build that is not what was planned blocks, with its likely cause', () => {
		const height = evaluate(twin).stations[0]!.figures.height.figure!;
		const reading: Reading = {
			...twin.readings.find(({ quantity }) => quantity === 'installed-height')!,
			id: '0197a999-0000-7000-8000-000000000002',
			station: twin.stations[0]!.label,
			quantity: 'built-height',
			read: `${(height + 0.75).toFixed(2)} mm`
		};
		const job = { ...twin, readings: [...twin.readings, reading] };
		const point = pointsOf(job).find(({ key }) => key.includes('built'))!;
		expect(point.severity).toBe('acceptance');
		expect(keyOf(point.text)).toMatch(/as-built\.off.*"way":"taller"/);
		expect(maySign(pointsOf(job))).toBe(false);
	});
	it('a failed port and a passage that touches block, until they are tried again', () => {
		const check = { person: person.id, at: '2026-11-20T10:00:00Z', station: '1Ia' };
		const bad: Job['checks'] = [
			{ ...check, id: 'a', type: 'vacuum', reached: '300 mbar', min: '500 mbar', seconds: 10 },
			{
				...check,
				id: 'b',
				type: 'passage',
				passage: 'rocker-slot',
				passes: false,
				note: 'at half lift'
			}
		];
		const open = pointsOf({ ...twin, checks: bad }).filter(
			({ severity }) => severity === 'acceptance'
		);
		expect(open.map(({ text: says }) => keyOf(says))).toEqual([
			expect.stringContaining('"reached":"300 mbar","min":"500 mbar"'),
			'passage.contact {"passage":"rocker-slot","note":"at half lift"}'
		]);
		const again: Job['checks'] = [
			...bad,
			{
				...check,
				id: 'c',
				at: '2026-11-20T11:00:00Z',
				type: 'vacuum',
				reached: '600 mbar',
				min: '500 mbar',
				seconds: 10
			},
			{
				...check,
				id: 'd',
				at: '2026-11-20T11:00:00Z',
				type: 'passage',
				passage: 'rocker-slot',
				passes: true
			}
		];
		expect(maySign(pointsOf({ ...twin, checks: again }))).toBe(true);
	});
	it('the rail follows: half built, tried, to settle, signed, changed since', () => {
		const stage = (job: Job, name: string, signed: Signed | null = null) =>
			stagesOf(job, evaluate(job), signed).find((one) => one.name === name)!;
		expect(stage(built(5, 0), 'assembly')).toMatchObject({
			note: message('stage.incomplete', { place: '1Ia' }),
			blocks: true
		});
		expect(stage(built(steps.length, 32), 'assembly').done).toBe(true);
		expect(stage(twin, 'sign').note).toEqual(message('stage.can-be-signed', { scope: 'measured' }));
		expect(stage(six, 'sign').note!.code).toBe('stage.to-resolve');
		const signed = { revision: 1, entries: entryCount(twin) };
		expect(stage(twin, 'sign', signed)).toMatchObject({
			done: true,
			note: message('stage.signed', { revision: 1 })
		});
		const more = { ...twin, notes: [note('n1', { blocksSignOff: false })] };
		expect(stage(more, 'sign', signed)).toMatchObject({
			done: false,
			note: message('stage.changed-since', { revision: 1 })
		});
		expect(stage(built(0, 0), 'checks')).toMatchObject({ done: false, note: null });
		const stamp = { id: 'a', person: person.id, at: '2026-11-20T10:00:00Z', station: '1Ia' };
		const passage = { ...stamp, type: 'passage', passage: 'pushrod', passes: true } as const;
		expect(stage({ ...twin, checks: [passage] }, 'checks').note?.code).toBe('stage.vacuum');
	});
});
