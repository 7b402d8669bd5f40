import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, describe, expect, it } from 'vitest';
import { INCH_POUND } from '@zinc-ledger/core';
import { readJob } from '@zinc-ledger/core/file';
import { signSheet } from '@zinc-ledger/core/signed';
import { newShopKey, sha256, shopKey } from '@zinc-ledger/core/signed-node';
import { write } from '@zinc-ledger/words';
import { run } from './command.ts';

const root = fileURLToPath(new URL('../../', import.meta.url));
const demo = `${root}demo/jobs/2417-straight-six.json`;

/** What a call comes to, in this process. */
async function zinc(args: string[], input = '') {
	const { status, out, err } = await run(args, (file) =>
		file === '-' ? Promise.resolve(input) : readFile(file, 'utf8')
	);
	return { status, stdout: out, stderr: err };
}

describe('zinc', () => {
	it('as a program of its own reads, prints and exits', () => {
		const asProgram = (args: string[], input: string) =>
			spawnSync(process.execPath, ['--import', 'tsx', 'cli/src/zinc.ts', ...args], {
				cwd: root,
				input,
				encoding: 'utf8'
			});
		const good = asProgram(['evaluate', '-', '--table'], readFileSync(demo, 'utf8'));
		expect([good.status, good.stderr]).toEqual([0, '']);
		expect(good.stdout).toMatch(/^4E +1\.867/m);
		const bad = asProgram(['evaluate', 'no-such-file.json'], '');
		expect([bad.status, bad.stdout]).toEqual([2, '']);
		expect(bad.stderr).toContain('cannot be read (ENOENT)');
	});
});

describe('zinc evaluate', () => {
	it('prints the sheet as JSON in SI figures', async () => {
		const { status, stdout } = await zinc(['evaluate', demo]);
		expect(status).toBe(0);
		const sheet = JSON.parse(stdout);
		expect(sheet.units.figures).toBe('mm, N, N/mm, J, kPa, kg, cc, rpm');
		expect(sheet.stations[6].label).toBe('4E');
		expect(sheet.stations[6].figures.height.figure).toBeCloseTo(1.867 * 25.4, 9);
		expect(sheet.stations[6].figures.height.remedy).toMatchObject({
			code: 'shims.fit',
			text: 'Shim 0.030 + 0.015'
		});
	});

	it('reads standard input and prints a table, in the units asked for', async () => {
		const { status, stdout } = await zinc(
			['evaluate', '-', '--table', '--units', 'mm,N'],
			readFileSync(demo, 'utf8')
		);
		expect(status).toBe(0);
		expect(stdout).toMatch(/^4E +47\.42# +506! /m);
	});

	it('exits 2 with every problem by path when the file is wrong', async () => {
		const broken = readFileSync(demo, 'utf8')
			.replace('"1.818 in"', '"1.818 furlong"')
			.replace('"0.050 in"', '"x"');
		const { status, stdout, stderr } = await zinc(['evaluate', '-'], broken);
		expect([status, stdout]).toEqual([2, '']);
		expect(stderr).toMatch(/readings\[0\]\.read: /);
		expect(stderr).toMatch(/setup\.limits\.bindFloor: /);
	});

	it.each([
		[['evaluate', 'no-such-file.json'], /cannot be read \(ENOENT\)/],
		[['evaluate'], /usage/],
		[['measure', demo], /usage/],
		[['evaluate', demo, '--units', 'ells'], /not known/],
		[['evaluate', demo, '--colour'], /usage/]
	])('exits 2 on %j', async (args, complaint) => {
		const { status, stderr } = await zinc(args);
		expect(status).toBe(2);
		expect(stderr).toMatch(complaint);
	});
});

describe('zinc verify', () => {
	const folder = mkdtempSync(join(tmpdir(), 'zinc-verify-'));
	afterAll(() => rmSync(folder, { recursive: true }));
	const read = readJob(readFileSync(demo, 'utf8'));
	if (!read.ok) throw new Error('no demo job');
	const key = shopKey(newShopKey());
	const signing = {
		id: '0197a999-0000-7000-8000-000000000001',
		revision: 2,
		supersedes: { id: '0197a999-0000-7000-8000-000000000000', sha256: 'ab'.repeat(32) },
		person: read.value.people[0]!,
		at: '2026-03-20T10:00:00.000Z'
	};
	const text = signSheet(read.value, signing, INCH_POUND, {
		sha256,
		write,
		key
	});
	const written = (content: string) => {
		const file = join(folder, 'sheet.json');
		writeFileSync(file, content);
		return file;
	};

	it('says who signed what and when, and what it takes the place of', async () => {
		const { status, stdout } = await zinc(['verify', written(text)]);
		expect(status).toBe(0);
		expect(stdout).toContain(`As signed: job 2417, sheet 2, by ${signing.person.name}`);
		expect(stdout).toContain(`supersedes ${signing.supersedes.id}`);
		expect((await zinc(['verify', '-'], text)).stdout).toBe(stdout);
	});
	it('says whether this shop signed it, by the keys that it is given', async () => {
		const keys = join(folder, 'keys');
		writeFileSync(keys, `${newShopKey().publicKey}\n${key.publicKey}\n`);
		const known = await zinc(['verify', written(text), '--keys', keys]);
		expect(known.stdout).toContain('Signed by this shop.');
		const unknown = await zinc(['verify', written(text)]);
		expect(unknown.stdout).toContain('Whole, signer unknown');
		expect((await zinc(['verify', written(text), '--keys', join(folder, 'none')])).status).toBe(2);
	});
	it('fails on a changed digit, and on what is no signed sheet', async () => {
		const changed = await zinc(['verify', written(text.replace('1.867 in', '1.861 in'))]);
		expect([changed.status, changed.stdout]).toEqual([1, expect.stringContaining('NOT as signed')]);
		expect((await zinc(['verify', demo])).status).toBe(1);
	});
	it('is wrongly called without a file, or with one that is not there', async () => {
		expect((await zinc(['verify'])).status).toBe(2);
		expect((await zinc(['verify', join(folder, 'none.json')])).status).toBe(2);
	});
});
