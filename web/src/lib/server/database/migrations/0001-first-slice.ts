import { sql, type Kysely } from 'kysely';

/** Customers, engines, jobs with their heads and stations, and what is read and decided. */
export async function up(db: Kysely<unknown>): Promise<void> {
	const now = sql`now()`;

	await db.schema
		.createTable('shop')
		.addColumn('one', 'boolean', (c) =>
			c
				.primaryKey()
				.defaultTo(true)
				.check(sql`one`)
		)
		.addColumn('mode', 'text', (c) => c.notNull().check(sql`mode in ('demo', 'own')`))
		.execute();

	await db.schema
		.createTable('person')
		.addColumn('id', 'uuid', (c) => c.primaryKey())
		.addColumn('name', 'text', (c) => c.notNull())
		.addColumn('initials', 'text', (c) => c.notNull())
		.addColumn('length_unit', 'text')
		.addColumn('load_unit', 'text')
		.addColumn('created_at', 'timestamptz', (c) => c.notNull().defaultTo(now))
		.execute();

	await db.schema
		.createTable('customer')
		.addColumn('id', 'uuid', (c) => c.primaryKey())
		.addColumn('name', 'text', (c) => c.notNull())
		.addColumn('contact', 'text')
		.addColumn('created_at', 'timestamptz', (c) => c.notNull().defaultTo(now))
		.execute();

	await db.schema
		.createTable('engine')
		.addColumn('id', 'uuid', (c) => c.primaryKey())
		.addColumn('customer_id', 'uuid', (c) => c.notNull().references('customer.id'))
		.addColumn('name', 'text', (c) => c.notNull())
		.addColumn('layout', 'jsonb', (c) => c.notNull())
		.addColumn('created_at', 'timestamptz', (c) => c.notNull().defaultTo(now))
		.execute();

	await db.schema
		.createTable('spring_card')
		.addColumn('id', 'uuid', (c) => c.primaryKey())
		.addColumn('card', 'jsonb', (c) => c.notNull())
		.addColumn('created_at', 'timestamptz', (c) => c.notNull().defaultTo(now))
		.execute();

	await db.schema
		.createTable('job')
		.addColumn('id', 'uuid', (c) => c.primaryKey())
		.addColumn('number', 'text', (c) => c.notNull().unique())
		.addColumn('customer_id', 'uuid', (c) => c.notNull().references('customer.id'))
		.addColumn('engine_id', 'uuid', (c) => c.notNull().references('engine.id'))
		.addColumn('taken_in', 'timestamptz', (c) => c.notNull())
		.addColumn('setup', 'jsonb', (c) => c.notNull())
		.addColumn('revision', 'integer', (c) => c.notNull().defaultTo(1))
		.addColumn('changed_by', 'uuid', (c) => c.references('person.id'))
		.addColumn('changed_at', 'timestamptz', (c) => c.notNull().defaultTo(now))
		.execute();

	await db.schema
		.createTable('head')
		.addColumn('job_id', 'uuid', (c) => c.notNull().references('job.id'))
		.addColumn('id', 'text', (c) => c.notNull())
		.addColumn('position', 'integer', (c) => c.notNull())
		.addColumn('name', 'text', (c) => c.notNull())
		.addPrimaryKeyConstraint('head_pkey', ['job_id', 'id'])
		.execute();

	await db.schema
		.createTable('station')
		.addColumn('job_id', 'uuid', (c) => c.notNull())
		.addColumn('label', 'text', (c) => c.notNull())
		.addColumn('position', 'integer', (c) => c.notNull())
		.addColumn('head_id', 'text', (c) => c.notNull())
		.addColumn('entry', 'jsonb', (c) => c.notNull())
		.addPrimaryKeyConstraint('station_pkey', ['job_id', 'label'])
		.addForeignKeyConstraint('station_head', ['job_id', 'head_id'], 'head', ['job_id', 'id'])
		.execute();

	await db.schema
		.createTable('reading')
		.addColumn('id', 'uuid', (c) => c.primaryKey())
		.addColumn('job_id', 'uuid', (c) => c.notNull())
		.addColumn('station', 'text', (c) => c.notNull())
		.addColumn('quantity', 'text', (c) => c.notNull())
		.addColumn('read', 'text', (c) => c.notNull())
		.addColumn('gauge', 'jsonb', (c) => c.notNull())
		.addColumn('in_place', 'jsonb', (c) => c.notNull())
		.addColumn('engine_state', 'text')
		.addColumn('person_id', 'uuid', (c) => c.notNull().references('person.id'))
		.addColumn('at', 'timestamptz', (c) => c.notNull())
		.addColumn('position', 'bigint', (c) => c.notNull().generatedAlwaysAsIdentity())
		.addForeignKeyConstraint('reading_station', ['job_id', 'station'], 'station', [
			'job_id',
			'label'
		])
		.execute();
	await db.schema
		.createIndex('reading_by_job')
		.on('reading')
		.columns(['job_id', 'position'])
		.execute();

	await db.schema
		.createTable('reading_void')
		.addColumn('id', 'uuid', (c) => c.primaryKey())
		.addColumn('job_id', 'uuid', (c) => c.notNull().references('job.id'))
		.addColumn('reading_id', 'uuid', (c) => c.notNull().references('reading.id'))
		.addColumn('reason', 'text', (c) => c.notNull())
		.addColumn('person_id', 'uuid', (c) => c.notNull().references('person.id'))
		.addColumn('at', 'timestamptz', (c) => c.notNull())
		.addColumn('position', 'bigint', (c) => c.notNull().generatedAlwaysAsIdentity())
		.execute();
	await db.schema
		.createIndex('reading_void_by_job')
		.on('reading_void')
		.columns(['job_id', 'position'])
		.execute();

	await db.schema
		.createTable('decision')
		.addColumn('id', 'uuid', (c) => c.primaryKey())
		.addColumn('job_id', 'uuid', (c) => c.notNull().references('job.id'))
		.addColumn('subject', 'text', (c) => c.notNull())
		.addColumn('from', 'jsonb')
		.addColumn('to', 'jsonb')
		.addColumn('reason', 'text')
		.addColumn('person_id', 'uuid', (c) => c.notNull().references('person.id'))
		.addColumn('at', 'timestamptz', (c) => c.notNull())
		.addColumn('position', 'bigint', (c) => c.notNull().generatedAlwaysAsIdentity())
		.execute();
	await db.schema
		.createIndex('decision_by_job')
		.on('decision')
		.columns(['job_id', 'position'])
		.execute();

	for (const [name, table, columns] of [
		['job_by_taken_in', 'job', ['taken_in']],
		['job_by_customer', 'job', ['customer_id']],
		['job_by_engine', 'job', ['engine_id']],
		['engine_by_customer', 'engine', ['customer_id']]
	] as const) {
		await db.schema
			.createIndex(name)
			.on(table)
			.columns([...columns])
			.execute();
	}

	await appendOnly(db, ['reading', 'reading_void', 'decision']);
}

/** Facts are added, never changed: the database itself refuses an UPDATE or DELETE. */
async function appendOnly(db: Kysely<unknown>, tables: readonly string[]): Promise<void> {
	await sql`
		create function refuse_change() returns trigger language plpgsql as $$
		begin
			raise exception '% is append-only', tg_table_name;
		end $$
	`.execute(db);
	for (const table of tables) {
		await sql`
			create trigger append_only before update or delete on ${sql.table(table)}
			for each row execute function refuse_change()
		`.execute(db);
	}
}
