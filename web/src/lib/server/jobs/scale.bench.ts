/**
 * A shop after many years, over HTTP: 20,000 jobs, 20,000 sets of springs and 640,000
 * readings. Each main page's median and 95th percentile; goals 50 ms and 150 ms, and no
 * large table read from end to end by any of them.
 *
 *   npm run bench:scale
 */
import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { performance } from 'node:perf_hooks';
import { sql } from 'kysely';
import { readJob } from '@zinc-ledger/core/file';
import { connect } from '../database/connection';
import { migrate } from '../database/migrate';
import { importJob } from '../jobs/store';

const url = process.env.ZINC_BENCH_DATABASE;
if (!url) throw new Error('ZINC_BENCH_DATABASE is not set');
const db = connect(url, 600_000);
await migrate(db);

const read = readJob(readFileSync('demo/jobs/2409-twin-cam.json', 'utf8'));
if (!read.ok) throw new Error('the demo job does not read');
const sweep = {
	format: 'zinc-ledger/sweep',
	version: 1,
	id: '0197d000-0000-7000-8000-000000000001',
	at: '2026-03-02T09:30:00.000Z',
	set: 'Set',
	tag: 'T1',
	tester: 'Bench tester',
	fixture: '0 mm',
	person: 'Idun Moss',
	heightUnit: 'mm',
	loadUnit: 'N',
	points: Array.from({ length: 36 }, (_, i) => [
		(48 - i / 2).toFixed(2),
		(25 * i + (i > 32 ? 700 * (i - 32) : 0) + 1).toFixed(1),
		'down'
	])
};
await sql`insert into shop (mode) values ('own') on conflict do nothing`.execute(db);
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
	await sql`
		insert into cylinder_head (engine_id, place)
		select engine.id, head.id from engine, head where head.job_id = ${first} on conflict do nothing
	`.execute(db);
	await sql`
		insert into head (job_id, id, position, name, cylinder_head_id)
		select job.id, head.id, head.position, head.name, one.id
		from job join cylinder_head one on one.engine_id = job.engine_id join head on head.id = one.place
		where head.job_id = ${first} and job.id <> ${first}
	`.execute(db);
	await sql`insert into station select job.id, s.label, s.position, s.head_id, s.entry from job, station s where s.job_id = ${first} and job.id <> ${first}`.execute(
		db
	);
	await sql`
		insert into reading (id, job_id, station, quantity, read, gauge, in_place, engine_state, person_id, at)
		select gen_random_uuid(), job.id, r.station, r.quantity, r.read, r.gauge, r.in_place, r.engine_state, r.person_id, r.at
		from job, (select * from reading where job_id = ${first} and quantity <> 'lash') r where job.id <> ${first}
	`.execute(db);
	await sql`
		insert into spring_set (id, name, job_id, seat, lift, created_at, created_by)
		select gen_random_uuid(), 'Set of ' || number, id, '46.20 mm', '13.00 mm', taken_in, (select id from person limit 1) from job limit 20000
	`.execute(db);
	await sql`
		insert into spring (id, set_id, position, tag)
		select gen_random_uuid(), spring_set.id, n, 'T' || (n + 1) from spring_set, generate_series(0, 11) n
	`.execute(db);
	// Four sweeps of each spring of one set, and one of some others.
	await sql`
		insert into sweep (id, spring_id, doc, person_id, at)
		select gen_random_uuid(), spring.id, ${JSON.stringify(sweep)}::jsonb, (select id from person limit 1), now()
		from spring, generate_series(1, 4) k
		where k = 1 and spring.id < '10000000-0000-0000-0000-000000000000'
			or spring.set_id = (select id from spring_set order by created_at desc limit 1)
	`.execute(db);
	await sql`vacuum analyze`.execute(db);
}

const jobs = await sql<{ id: string; engine: string; customer: string }>`
	select job.id, job.engine_id as engine, customer.name as customer from job
	join customer on customer.id = job.customer_id order by taken_in desc limit 60
`.execute(db);
const { rows: sets } = await sql<{ id: string }>`
	select id from spring_set order by created_at desc limit 60
`.execute(db);
const some = (i: number) => jobs.rows[i % jobs.rows.length]!;

const port = 4790;
const server = spawn(process.execPath, ['web/server.js'], {
	env: {
		...process.env,
		DATABASE_URL: url,
		PORT: String(port),
		ZINC_MODE: 'own',
		LOG_LEVEL: 'error'
	},
	stdio: ['ignore', 'ignore', 'inherit']
});
const root = `http://127.0.0.1:${port}`;
for (let i = 0; i < 200; i++) {
	if ((await fetch(`${root}/healthz`).catch(() => null))?.ok) break;
	await new Promise((later) => setTimeout(later, 100));
}

/** How often each large table was read from end to end so far; a database that is idle tells it after ten seconds. */
async function scans(): Promise<ReadonlyMap<string, number>> {
	await new Promise((later) => setTimeout(later, 12_000));
	const { rows } = await sql<{ relname: string; seq_scan: string }>`
		select relname, seq_scan from pg_stat_user_tables where n_live_tup > 5000
	`.execute(db);
	return new Map(rows.map(({ relname, seq_scan }) => [relname, Number(seq_scan)]));
}
const before = await scans();

const TIMES = 60;
async function time(name: string, path: (i: number) => string): Promise<void> {
	const times: number[] = [];
	for (let i = -5; i < TIMES; i++) {
		const start = performance.now();
		const answer = await fetch(root + path(i + 5));
		await answer.arrayBuffer();
		if (!answer.ok) throw new Error(`${name}: ${answer.status}`);
		if (i >= 0) times.push(performance.now() - start);
	}
	times.sort((a, b) => a - b);
	const at = (part: number) => `${times[Math.floor(times.length * part)]!.toFixed(1)} ms`;
	console.log(`${name.padEnd(30)} median ${at(0.5).padStart(9)}, 95 % ${at(0.95).padStart(9)}`);
}

const find = (text: string) => `/?find=${encodeURIComponent(text)}`;
await time('the jobs', () => '/');
await time('found by number', (i) => find(String(100000 + i * 321)));
await time('found by name', (i) => find(`Harrow ${i * 10}`));
await time('a word in thousands', () => find('circuit'));
await time('a name typed wrong', (i) => find(`Harow ${i * 10}`));
await time('two slips', () => find('falow twn cam'));
await time('nothing alike', () => find('zzqqxx'));
await time('taking a job in', () => '/jobs/new');
const anything = (text: string) => `/api/find?q=${encodeURIComponent(text)}`;
await time('anything: a number', (i) => anything(String(100000 + i * 321)));
await time('anything: a name typed wrong', (i) => anything(`Harow ${i * 10}`));
await time('anything: two letters', (i) => anything(['tw', 'fo', 'ha', 'si'][i % 4]!));
await time('anything: a part', () => anything('pelow stem'));
await time('anything: a spring’s tag', (i) => anything(`t${1 + (i % 12)}`));
await time('anything: a station', (i) => anything(`${100000 + i * 321} 3e`));
await time('a job, its sheet', (i) => `/jobs/${some(i).id}`);
await time('its set-up', (i) => `/jobs/${some(i).id}/setup`);
await time('its parts', (i) => `/jobs/${some(i).id}/parts`);
await time('its plan', (i) => `/jobs/${some(i).id}/plan`);
await time('a round', (i) => `/jobs/${some(i).id}/round?of=installed-height`);
await time('its assembly', (i) => `/jobs/${some(i).id}/assembly`);
await time('signing', (i) => `/jobs/${some(i).id}/sign`);
await time('an engine', (i) => `/engines/${some(i).engine}`);
await time('the parts', () => '/parts');
await time('the gauges', () => '/gauges');
await time('the sets', () => '/springs');
await time('sets, page 200', () => '/springs?page=200');
await time('a set with 48 sweeps', () => `/springs/${sets[0]!.id}`);
await time('its springs', () => `/springs/${sets[0]!.id}/__data.json`);
await time('a set', (i) => `/springs/${sets[i % sets.length]!.id}`);
await time('labels of a set', () => `/springs/${sets[0]!.id}/labels`);
const whole = [...(await scans())].filter(([table, times]) => times > (before.get(table) ?? 0));
console.log(
	`large tables read from end to end: ${whole.map(([table]) => table).join(', ') || 'none'}`
);
server.kill('SIGTERM');
await db.destroy();
