/**
 * The command line of Zinc Ledger.
 *
 *   zinc evaluate FILE [--table] [--units in,lbf]
 *
 * FILE is a job file, or `-` for standard input. Prints the sheet as JSON, or
 * as text with --table. Exit 0 when the sheet could be worked out, 2 when the
 * file or the call is wrong, with every problem on a line of its own.
 */
import { readFile } from 'node:fs/promises';
import { text } from 'node:stream/consumers';
import { parseArgs } from 'node:util';
import { evaluate, INCH_POUND, METRIC, unitOf, type Job, type Units } from '@zinc-ledger/core';
import { readJob } from '@zinc-ledger/core/file';
import { sheetJson } from './sheet-json.ts';
import { sheetTable } from './sheet-table.ts';

const USAGE = 'usage: zinc evaluate FILE|- [--table] [--units in|mm,lbf|N|kgf]';

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
	if (command !== 'evaluate' || file === undefined || rest.length > 0) return fail([USAGE]);

	let content: string;
	try {
		content = file === '-' ? await text(process.stdin) : await readFile(file, 'utf8');
	} catch (error) {
		return fail([`${file}: cannot be read (${(error as NodeJS.ErrnoException).code})`]);
	}
	const read = readJob(content);
	if (!read.ok) {
		return fail(read.problems.map((problem) => `${problem.path}: ${problem.message}`));
	}
	const units = parsed.values.units ? unitsNamed(parsed.values.units) : unitsOf(read.value);
	if (!units) return fail([`--units ${parsed.values.units}: not known`, USAGE]);

	const sheet = evaluate(read.value);
	process.stdout.write(
		parsed.values.table ? sheetTable(read.value, sheet, units) : sheetJson(sheet, units)
	);
	return 0;
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
