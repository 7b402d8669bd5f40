/**
 * The command behind `./zinc backup`, `restore` and `backup-key`: what to do, and the file; the
 * database is DATABASE_URL. Exit 1 with what is wrong.
 */
import { writeFile } from 'node:fs/promises';
import { backUp, forgetSignedIn, restore, type Restored } from './backup';
import { newPair } from './sealed';

const [what, file] = process.argv.slice(2) as ['backup' | 'restore' | 'key', string];
const url = process.env.DATABASE_URL!;
/** What must be set up again, line by line. */
const anew = ({ unopened, signsAnew }: Restored): string[] => [
	...(unopened.pin > 0
		? [`PINs are gone (${unopened.pin}): their owners set new ones on their own sign-in pages.`]
		: []),
	...(unopened.second_factor > 0
		? [`Second factors are off (${unopened.second_factor}): turn them on again.`]
		: []),
	...(signsAnew ? ['New sheets are signed with a new key; earlier ones still verify.'] : [])
];
const count = (rows: Record<string, number>) => Object.values(rows).reduce((sum, n) => sum + n, 0);

try {
	if (what === 'key') {
		const { key, recipient } = await newPair();
		await writeFile(file, `${recipient}\n`);
		console.log(key);
	} else if (what === 'backup') {
		const { rows, bytes } = await backUp(url, file);
		console.log(`${file}: ${count(rows)} rows, ${(bytes / 1e6).toFixed(1)} MB`);
	} else {
		const restored = await restore(file, url);
		const { rows, sheets, madeAt } = restored;
		await forgetSignedIn(url);
		console.log(
			`The backup of ${madeAt} is restored: ${count(rows)} rows, ${sheets} signed sheets verified`
		);
		for (const line of anew(restored)) console.log(line);
	}
} catch (error) {
	console.error((error as Error).message);
	process.exitCode = 1;
}
