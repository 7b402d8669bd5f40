/** The command line of Zinc Ledger, run: reads files and standard input, prints, exits. */
import { readFile } from 'node:fs/promises';
import { text } from 'node:stream/consumers';
import { run } from './command.ts';

const { status, out, err } = await run(process.argv.slice(2), (file) =>
	file === '-' ? text(process.stdin) : readFile(file, 'utf8')
);
process.stdout.write(out);
process.stderr.write(err);
process.exitCode = status;
