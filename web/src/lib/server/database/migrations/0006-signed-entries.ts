import { sql, type Kysely } from 'kysely';

/** How many entries a job had when it was signed: more of them later is a change since. */
export async function up(db: Kysely<unknown>): Promise<void> {
	await sql`alter table signed_sheet add column entries integer`.execute(db);
	await sql`alter table signed_sheet disable trigger append_only`.execute(db);
	await sql`
		update signed_sheet set entries = (
			select sum(jsonb_array_length(content::jsonb -> 'job' -> list)) from unnest(array[
				'readings', 'voids', 'decisions', 'inspections', 'headWork',
				'acceptances', 'plans', 'assembly', 'checks', 'notes'
			]) as list
		)
	`.execute(db);
	await sql`alter table signed_sheet enable trigger append_only`.execute(db);
	await sql`alter table signed_sheet alter column entries set not null`.execute(db);
}
