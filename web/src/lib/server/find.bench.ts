/**
 * How long finding a job takes among 20,000, typed right and typed wrong, and
 * what a page of the list and a job of 32 stations cost. Goals: first results
 * under 100 ms; pages at a median under 50 ms.
 *
 *   npm run bench:find      (needs ZINC_BENCH_DATABASE, an empty database to fill)
 */
import { readFileSync } from 'node:fs';
import { performance } from 'node:perf_hooks';
import { sql } from 'kysely';
import { readJob } from '@zinc-ledger/core/file';
import { connect } from './database/connection';
import { migrate } from './database/migrate';
import { findJobIds } from './jobs/find';
import { loadJob, loadJobs } from './jobs/load';
import { importJob } from './jobs/store';

const url = process.env.ZINC_BENCH_DATABASE;
if (!url) throw new Error('ZINC_BENCH_DATABASE is not set');
const db = connect(url, 600_000);
await migrate(db);

const read = readJob(readFileSync('demo/jobs/2409-twin-cam.json', 'utf8'));
if (!read.ok) throw new Error('the demo job does not read');
const { count } = await db
	.selectFrom('job')
	.select((select) => select.fn.countAll<string>().as('count'))
	.executeTakeFirstOrThrow();
if (Number(count) < 20_000) {
	await importJob(db, read.value);
	console.log('filling with 20,000 jobs and 640,000 readings');
	const names = `(array['Harrow','Brook','Dale','Tarn','Moss','Lind','Osk','Wren','Fallow','Sedge'])`;
	const engines = `(array['straight six','twin cam','marine V8','flat four','side valve','pushrod four'])`;
	await sql`
		insert into customer (id, name, contact)
		select gen_random_uuid(), ${sql.raw(names)}[1 + n % 10] || ' ' || n, 'Garage ' || n % 700 from generate_series(1, 8000) n
	`.execute(db);
	await sql`
		insert into engine (id, customer_id, name, layout)
		select gen_random_uuid(), customer.id, ${sql.raw(engines)}[1 + (random() * 5)::int] || ' ' || (random() * 900)::int, engine.layout
		from customer, (select layout from engine limit 1) engine
	`.execute(db);
	await sql`
		insert into job (id, number, customer_id, engine_id, taken_in, setup, search)
		select gen_random_uuid(), (100000 + row_number() over ())::text, e.customer_id, e.id,
			now() - random() * interval '2000 days', j.setup, concat_ws(' ', 100000 + row_number() over (), c.name, c.contact, e.name, 'circuit')
		from engine e join customer c on c.id = e.customer_id, generate_series(1, 3) k, (select setup from job limit 1) j
		limit 20000
	`.execute(db);
	const first = read.value.id;
	await sql`insert into head select job.id, head.id, head.position, head.name from job, head where head.job_id = ${first} and job.id <> ${first}`.execute(
		db
	);
	await sql`insert into station select job.id, s.label, s.position, s.head_id, s.entry from job, station s where s.job_id = ${first} and job.id <> ${first}`.execute(
		db
	);
	await sql`
		insert into reading (id, job_id, station, quantity, read, gauge, in_place, engine_state, person_id, at)
		select gen_random_uuid(), job.id, r.station, r.quantity, r.read, r.gauge, r.in_place, r.engine_state, r.person_id, r.at
		from job, (select * from reading where job_id = ${first} and quantity <> 'lash') r where job.id <> ${first}
	`.execute(db);
	await sql`analyze`.execute(db);
}

async function time(name: string, ask: (i: number) => Promise<unknown>): Promise<void> {
	const times: number[] = [];
	for (let i = 0; i < 60; i++) {
		const start = performance.now();
		await ask(i);
		times.push(performance.now() - start);
	}
	times.sort((a, b) => a - b);
	const at = (part: number) => times[Math.floor(times.length * part)]!.toFixed(1);
	console.log(`${name.padEnd(34)} median ${at(0.5)} ms, 95 % ${at(0.95)} ms`);
}

const some = await findJobIds(db, '', 60);
await time('newest 40', () => findJobIds(db, '', 40));
await time('by number', (i) => findJobIds(db, String(100000 + i * 321), 40));
await time('by name', (i) => findJobIds(db, `Harrow ${i * 10}`, 40));
await time('by a word in thousands', () => findJobIds(db, 'circuit', 40));
await time('a name typed wrong', (i) => findJobIds(db, `Harow ${i * 10}`, 40));
await time('two slips', () => findJobIds(db, 'falow twn cam', 40));
await time('nothing alike', () => findJobIds(db, 'zzqqxx', 40));
await time('one job whole', (i) => loadJob(db, some[i % some.length]!));
await time('the list: 40 jobs whole', () => loadJobs(db, some.slice(0, 40)));
await db.destroy();
