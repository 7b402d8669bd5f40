/**
 * The command behind `./zinc backup` and `./zinc restore`: what to do, and the file; the
 * database is DATABASE_URL. Exit 1 with what is wrong.
 */
import { backUp, forgetSignedIn, restore } from './backup';

const [what, file] = process.argv.slice(2) as ['backup' | 'restore', string];
const url = process.env.DATABASE_URL!;
const count = (rows: Record<string, number>) => Object.values(rows).reduce((sum, n) => sum + n, 0);

try {
	if (what === 'backup') {
		const { rows, bytes } = await backUp(url, file);
		console.log(`${file}: ${count(rows)} rows, ${(bytes / 1e6).toFixed(1)} MB`);
	} else {
		const { rows, sheets, madeAt } = await restore(file, url);
		await forgetSignedIn(url);
		console.log(
			`The backup of ${madeAt} is restored: ${count(rows)} rows, ${sheets} signed sheets verified`
		);
	}
} catch (error) {
	console.error((error as Error).message);
	process.exitCode = 1;
}
