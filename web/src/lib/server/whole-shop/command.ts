/**
 * The command behind `./zinc export` and `./zinc import`: which, and the folder; the database
 * is DATABASE_URL. Exit 1 with what is wrong.
 */
import { note } from '../access/audit';
import { connect } from '../database/connection';
import { migrate } from '../database/migrate';
import { exportShop } from './export';
import { importShop } from './import';

const [what, folder] = process.argv.slice(2) as ['export' | 'import', string];
const db = connect(process.env.DATABASE_URL!, 600_000);
try {
	await migrate(db);
	const { jobs, sheets, sweeps, photos } = await (what === 'export' ? exportShop : importShop)(
		db,
		folder
	);
	if (what === 'export') await note(db, { what: 'exported', about: { path: folder } });
	console.log(
		`${jobs} jobs, ${sheets} signed sheets, ${sweeps} sweeps and ${photos} photos: ${what}ed`
	);
} catch (error) {
	console.error((error as Error).message);
	process.exitCode = 1;
} finally {
	await db.destroy();
}
