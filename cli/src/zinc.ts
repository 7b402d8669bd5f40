/**
 * The command line of Zinc Ledger.
 *
 *   zinc evaluate FILE [--table] [--units in,lbf]
 *   zinc verify FILE
 *
 * FILE is a file, or `-` for standard input. `evaluate` prints the sheet of a
 * job as JSON, or as text with --table; `verify` says whether a signed sheet is
 * as it was signed. Exit 0 when all is well, 1 when a sheet does not verify, 2
 * when the file or the call is wrong, with every problem on a line of its own.
 */
import { createHash } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { text } from 'node:stream/consumers';
import { parseArgs } from 'node:util';
import {
	evaluate,
	INCH_POUND,
	METRIC,
	sheetJson,
	unitOf,
	type Job,
	type Units
} from '@zinc-ledger/core';
import { readJob } from '@zinc-ledger/core/file';
import { verifySheet } from '@zinc-ledger/core/signed';
import { problemText, tell, write } from '@zinc-ledger/words';
import { sheetTable } from './sheet-table.ts';

const USAGE =
	'usage: zinc evaluate FILE|- [--table] [--units in|mm,lbf|N|kgf]\n       zinc verify FILE|-';
const COMMANDS = ['evaluate', 'verify'];

process.exitCode = await main(process.argv.slice(2));

async function main(args: string[]): Promise<number> {
	let parsed;
	try {
		parsed = parseArgs({
			args,
			allowPositionals: true,
			options: { table: { type: 'boolean' }, units: { type: 'string' } }
		});
	} catch (error) {
		return fail([(error as Error).message, USAGE]);
	}
	const [command, file, ...rest] = parsed.positionals;
	if (!COMMANDS.includes(command ?? '') || file === undefined || rest.length > 0)
		return fail([USAGE]);

	let content: string;
	try {
		content = file === '-' ? await text(process.stdin) : await readFile(file, 'utf8');
	} catch (error) {
		return fail([`${file}: cannot be read (${(error as NodeJS.ErrnoException).code})`]);
	}
	if (command === 'verify') return verify(content);
	const read = readJob(content);
	if (!read.ok) {
		return fail(read.problems.map(problemText));
	}
	const units = parsed.values.units ? unitsNamed(parsed.values.units) : unitsOf(read.value);
	if (!units) return fail([`--units ${parsed.values.units}: not known`, USAGE]);

	const sheet = evaluate(read.value);
	process.stdout.write(
		parsed.values.table
			? sheetTable(read.value, sheet, units)
			: jsonText(sheetJson(sheet, units, write))
	);
	return 0;
}

/** Says whether a signed sheet is as it was signed, and by whom. */
function verify(content: string): number {
	const sha256 = (signed: string) => createHash('sha256').update(signed, 'utf8').digest('hex');
	const verified = verifySheet(content, sha256);
	if (!verified.ok) {
		const problems = (verified.problems ?? []).map((problem) => `\n  ${problemText(problem)}`);
		process.stdout.write(`NOT as signed: ${tell(verified.problem)}${problems.join('')}\n`);
		return 1;
	}
	const { signing, sha256: digest } = verified.signed;
	const job = verified.signed.job as { readonly number?: string };
	const { supersedes } = signing;
	process.stdout.write(
		[
			`As signed: job ${job.number}, sheet ${signing.revision}, by ${signing.person.name}, ${signing.at}`,
			...(supersedes ? [`It supersedes ${supersedes.id} (SHA-256 ${supersedes.sha256})`] : []),
			`SHA-256 ${digest}`,
			verified.same
				? 'Every figure is what this program works out from the readings in it.'
				: 'This program works out other figures from the readings in it; the file itself is sound.',
			''
		].join('\n')
	);
	return 0;
}

function jsonText(value: unknown): string {
	return `${JSON.stringify(value, null, 2)}\n`;
}

function fail(lines: readonly string[]): number {
	process.stderr.write(`${lines.join('\n')}\n`);
	return 2;
}

function unitsNamed(name: string): Units | null {
	const [length, load] = name.split(',');
	const units = { length, load } as Units;
	const known = ['in', 'mm'].includes(units.length) && ['lbf', 'N', 'kgf'].includes(units.load);
	return known ? units : null;
}

/** The units a job was set up in, told by its height tolerance. */
function unitsOf(job: Job): Units {
	return unitOf(job.setup.limits.heightTolerance) === 'in' ? INCH_POUND : METRIC;
}
