/**
 * From the console, for whoever holds the machine: `first-owner` says a code where the shop has
 * no owner yet and nothing where it has, `owner` one for another owner; `rekey` brings PINs and
 * second factors from ZINC_OLD_KEY under ZINC_KEY.
 */
import { connect } from '../database/connection';
import { migrate } from '../database/migrate';
import { note } from './audit';
import { sealAll } from './sealed-columns';
import { hasOwner, invite } from './sign-ins';

const [, , what] = process.argv;
const db = connect(process.env.DATABASE_URL!);
try {
	await migrate(db);
	if (what === 'rekey') await sealAll(db, [process.env.ZINC_OLD_KEY]);
	else if (what === 'owner' || !(await hasOwner(db))) {
		const code = await invite(db, null, 'owner', null);
		await note(db, { what: 'code-made', about: { role: 'owner' } });
		console.log(code);
	}
} finally {
	await db.destroy();
}
