/** PostgreSQL's own programs, as this program's role: the password goes through the environment, and stands in no command line. */
import { spawn } from 'node:child_process';
import { text } from 'node:stream/consumers';

/** Where they are; on the path where nothing is said. */
const at = (program: string) =>
	process.env.ZINC_PG_BIN ? `${process.env.ZINC_PG_BIN}/${program}` : program;

/**
 * Runs a program on a database.
 *
 * @throws what it said, where it did not end well
 */
export async function run(
	program: 'pg_dump' | 'pg_restore',
	url: string,
	options: readonly string[]
): Promise<void> {
	const { hostname, port, username, password, pathname } = new URL(url);
	const child = spawn(at(program), [...options], {
		stdio: ['ignore', 'ignore', 'pipe'],
		env: {
			...process.env,
			PGHOST: hostname,
			PGPORT: port || '5432',
			PGUSER: decodeURIComponent(username),
			PGPASSWORD: decodeURIComponent(password),
			PGDATABASE: pathname.slice(1)
		}
	});
	const ended = new Promise<number | null>((resolve, reject) =>
		child.once('error', reject).once('close', resolve)
	);
	const [code, errors] = await Promise.all([ended, text(child.stderr)]);
	if (code !== 0) throw new Error(`${program}: ${errors.trim() || code}`);
}
