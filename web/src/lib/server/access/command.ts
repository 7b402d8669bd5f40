/**
 * Commands for whoever has the machine's console. `first-owner` prints a code if the shop has no
 * owner yet, `owner` prints one for another owner, and `rekey` encrypts PINs and second factors
 * with ZINC_KEY instead of ZINC_OLD_KEY.
 */
import { connect } from '../database/connection';
import { migrate } from '../database/migrate';
import { note } from './audit';
import { encryptAll } from './encrypted-columns';
import { hasOwner, invite } from './sign-ins';

const [, , what] = process.argv;
const db = connect(process.env.DATABASE_URL!);
try {
	await migrate(db);
	if (what === 'rekey') await encryptAll(db, [process.env.ZINC_OLD_KEY]);
	else if (what === 'owner' || !(await hasOwner(db))) {
		const code = await invite(db, null, 'owner', null);
		await note(db, { what: 'code-made', about: { role: 'owner' } });
		console.log(code);
	}
} finally {
	await db.destroy();
}
