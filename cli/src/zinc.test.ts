import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';

const root = fileURLToPath(new URL('../../', import.meta.url));
const demo = `${root}demo/jobs/2417-straight-six.json`;

function zinc(args: string[], input?: string) {
	const { status, stdout, stderr } = spawnSync(
		process.execPath,
		['--import', 'tsx', 'cli/src/zinc.ts', ...args],
		{ cwd: root, input, encoding: 'utf8' }
	);
	return { status, stdout, stderr };
}

describe('zinc evaluate', () => {
	it('prints the sheet as JSON in SI figures', () => {
		const { status, stdout } = zinc(['evaluate', demo]);
		expect(status).toBe(0);
		const sheet = JSON.parse(stdout);
		expect(sheet.units.figures).toBe('mm, N, N/mm, J');
		expect(sheet.stations[6].label).toBe('4E');
		expect(sheet.stations[6].figures.height.figure).toBeCloseTo(1.867 * 25.4, 9);
		expect(sheet.stations[6].figures.height.remedy).toBe('Shim 0.030 + 0.015');
	});

	it('reads standard input and prints a table, in the units asked for', () => {
		const { status, stdout } = zinc(
			['evaluate', '-', '--table', '--units', 'mm,N'],
			readFileSync(demo, 'utf8')
		);
		expect(status).toBe(0);
		expect(stdout).toMatch(/^4E +47\.42# +506! /m);
	});

	it('exits 2 with every problem by path when the file is wrong', () => {
		const broken = readFileSync(demo, 'utf8')
			.replace('"1.818 in"', '"1.818 furlong"')
			.replace('"0.050 in"', '"x"');
		const { status, stdout, stderr } = zinc(['evaluate', '-'], broken);
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
	])('exits 2 on %j', (args, said) => {
		const { status, stderr } = zinc(args);
		expect(status).toBe(2);
		expect(stderr).toMatch(said);
	});
});
