/**
 * The command line of Zinc Ledger.
 *
 *   zinc evaluate FILE [--table] [--units in,lbf]
 *   zinc verify FILE [--keys FILE]
 *
 * FILE is a file, or `-` for standard input. `evaluate` prints the sheet of a
 * job as JSON, or as text with --table; `verify` says whether a signed sheet is
 * as it was signed, and by which shop: --keys names a file of the shop's public keys, one per
 * line. Exit 0 when all is well, 1 when a sheet does not verify, 2 when the file or the call is wrong, with every problem on a line of its own.
 */
import { parseArgs } from 'node:util';
import {
	evaluate,
	INCH_POUND,
	METRIC,
	sheetJson,
	unitOf,
	type FigureName,
	type Job,
	type Units
} from '@zinc-ledger/core';
import { readJob } from '@zinc-ledger/core/file';
import { verifySheet, type Difference, type Verification } from '@zinc-ledger/core/signed';
import { sheetCrypto } from '@zinc-ledger/core/signed-node';
import { label, problemText, tell, write } from '@zinc-ledger/words';
import { sheetTable } from './sheet-table.ts';

const USAGE =
	'usage: zinc evaluate FILE|- [--table] [--units in|mm,lbf|N|kgf]\n       zinc verify FILE|- [--keys FILE]';
const COMMANDS = ['evaluate', 'verify'];

/** What a call comes to: its exit code, and what it prints. */
export interface Outcome {
	readonly status: number;
	readonly out: string;
	readonly err: string;
}
const done = (out: string, status = 0): Outcome => ({ status, out, err: '' });

/**
 * Runs the command line.
 *
 * @param read the text of a file, or of standard input for `-`; it throws as node:fs does
 */
export async function run(
	args: string[],
	read: (file: string) => Promise<string>
): Promise<Outcome> {
	let parsed;
	try {
		parsed = parseArgs({
			args,
			allowPositionals: true,
			options: {
				table: { type: 'boolean' },
				units: { type: 'string' },
				keys: { type: 'string' }
			}
		});
	} catch (error) {
		return fail([(error as Error).message, USAGE]);
	}
	const [command, file, ...rest] = parsed.positionals;
	if (!COMMANDS.includes(command ?? '') || file === undefined || rest.length > 0)
		return fail([USAGE]);

	let content: string;
	try {
		content = await read(file);
	} catch (error) {
		return fail([`${file}: cannot be read (${(error as NodeJS.ErrnoException).code})`]);
	}
	if (command === 'verify') {
		const { keys } = parsed.values;
		try {
			return verify(content, keys === undefined ? [] : (await read(keys)).split(/\s+/));
		} catch (error) {
			return fail([`${keys}: cannot be read (${(error as NodeJS.ErrnoException).code})`]);
		}
	}
	const job = readJob(content);
	if (!job.ok) return fail(job.problems.map(problemText));
	const units = parsed.values.units ? unitsNamed(parsed.values.units) : unitsOf(job.value);
	if (!units) return fail([`--units ${parsed.values.units}: not known`, USAGE]);

	const sheet = evaluate(job.value);
	return done(
		parsed.values.table
			? sheetTable(job.value, sheet, units)
			: jsonText(sheetJson(sheet, units, write))
	);
}

/** Whose key a sheet is signed with. */
const SIGNER: Readonly<Record<Extract<Verification, { ok: true }>['signer'], string>> = {
	'this-shop': 'Signed by this shop.',
	unknown: 'Whole, signer unknown: it is signed with a key that is not among those of this shop.',
	none: 'Whole, signer unknown: signed before shops had a key.'
};

/** Says whether a signed sheet is as it was signed, and by whom. */
function verify(content: string, shopKeys: readonly string[]): Outcome {
	const verified = verifySheet(content, sheetCrypto, shopKeys);
	if (!verified.ok) {
		const problems = (verified.problems ?? []).map((problem) => `\n  ${problemText(problem)}`);
		return done(`NOT as signed: ${tell(verified.problem)}${problems.join('')}\n`, 1);
	}
	const { signing, sha256: digest } = verified.signed;
	const job = verified.signed.job as { readonly number?: string };
	const { supersedes } = signing;
	return done(
		[
			`As signed: job ${job.number}, sheet ${signing.revision}, by ${signing.person.name}, ${signing.at}`,
			...(supersedes ? [`It supersedes ${supersedes.id} (SHA-256 ${supersedes.sha256})`] : []),
			`SHA-256 ${digest}`,
			SIGNER[verified.signer],
			verified.same
				? 'Every figure is what this program works out from the readings in it.'
				: 'This program works out other figures from the readings in it; the file itself is sound.',
			...otherFigures(verified.differences),
			''
		].join('\n')
	);
}

/** A line for each figure that is judged otherwise by today's rules, with its valves. */
function otherFigures(differences: readonly Difference[]): string[] {
	const stations = new Map<FigureName, string[]>();
	for (const { station, figure } of differences)
		stations.set(figure, [...(stations.get(figure) ?? []), station]);
	return [...stations].map(([name, at]) => `  ${label('figure', name)}: ${at.join(', ')}`);
}

function jsonText(value: unknown): string {
	return `${JSON.stringify(value, null, 2)}\n`;
}

const fail = (lines: readonly string[]): Outcome => ({
	status: 2,
	out: '',
	err: `${lines.join('\n')}\n`
});

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
