/**
 * What a shop asks of its springs after many years: 20,000 heads of sixteen springs, each tested
 * at five visits. Goals: under 100 ms each, one query each, no large table read from end to end.
 *
 *   npm run bench:service
 */
import { performance } from 'node:perf_hooks';
import { sql } from 'kysely';
import { DUE_FROM } from '@zinc-ledger/core';
import { connect } from '../database/connection';
import { migrate } from '../database/migrate';
import { dueHeads, lossByBatch, visitsOfSet } from './service';

const url = process.env.ZINC_BENCH_DATABASE;
if (!url) throw new Error('ZINC_BENCH_DATABASE is not set');
const db = connect(url, 600_000);
await migrate(db);

const { count } = await db
	.selectFrom('spring_result')
	.select((select) => select.fn.countAll<string>().as('count'))
	.executeTakeFirstOrThrow();
if (Number(count) < 1_600_000) {
	console.log('filling with 20,000 sets, 320,000 springs and 1,600,000 tests');
	const run = (text: string) => sql.raw(text).execute(db);
	await run(
		`insert into person (id, name, initials) values ('00000000-0000-7000-8000-000000000001', 'Runa Tarn', 'RT')`
	);
	await run(
		`insert into customer (id, name) values ('00000000-0000-7000-8000-000000000002', 'Harrow')`
	);
	await run(
		`insert into part (id, type, doc) select gen_random_uuid(), 'spring', '{}' from generate_series(1, 200)`
	);
	await run(`insert into engine (id, customer_id, name, layout)
		select gen_random_uuid(), '00000000-0000-7000-8000-000000000002', 'twin cam ' || n, '{}' from generate_series(1, 20000) n`);
	await run(`insert into cylinder_head (engine_id, place) select id, 'A' from engine`);
	await run(`insert into spring_set (id, name, card_id, seat, lift, created_by)
		select gen_random_uuid(), 'set ' || n, c.id, '46.00 mm', '12.00 mm', '00000000-0000-7000-8000-000000000001'
		from generate_series(1, 20000) n
		join (select id, row_number() over () as i from part) c on c.i = 1 + n % 200`);
	await run(`insert into spring (id, set_id, position, tag, measured)
		select gen_random_uuid(), id, n, 'T' || n, '{}' from spring_set, generate_series(1, 16) n`);
	await run(`insert into sweep (id, spring_id, doc, person_id, at)
		select gen_random_uuid(), id, '{}', '00000000-0000-7000-8000-000000000001',
			'2020-01-01'::timestamptz + v * interval '200 days' from spring, generate_series(1, 5) v`);
	await run(`insert into spring_result
		(sweep_id, source, spring_id, set_id, tag, card_id, card, batch, at, visit, height, seat_load, hours)
		select sweep.id, '', spring.id, spring.set_id, spring.tag, s.card_id, 'card',
			(array['7C','9A','9B','11D'])[1 + abs(hashtext(s.id::text)) % 4], sweep.at, v.visit, 46,
			600 * (1 - 0.01 * v.visit) * (1 + 0.01 * random()), 15 * (v.visit - 1)
		from sweep join spring on spring.id = sweep.spring_id join spring_set s on s.id = spring.set_id
		join lateral (select (extract(epoch from sweep.at - '2020-01-01') / 86400 / 200)::int as visit) v on true`);
	await run(`insert into service_item
		(item, part, spring_id, part_id, name, cylinder_head_id, station, duty, hours, runs, kilometres, cycles, over_speed, used)
		select spring.id::text, 'spring', spring.id, s.card_id, 'spring', h.id, 'T', 'circuit', 60, 0, 0, 0, 0, random()
		from spring join (select id, card_id, row_number() over () as i from spring_set) s on s.id = spring.set_id
		join (select id, row_number() over () as i from cylinder_head) h on h.i = s.i`);
	await run('vacuum analyze');
}

// By a connection that ends, so that what it read is counted before the questions are.
const filler = connect(url);
const { id: set, card_id: card } = await filler
	.selectFrom('spring_set')
	.select(['id', 'card_id'])
	.offset(777)
	.limit(1)
	.executeTakeFirstOrThrow();
await filler.destroy();

/** How often each large table was read from end to end. */
async function scans(): Promise<ReadonlyMap<string, number>> {
	await new Promise((settled) => setTimeout(settled, 1500));
	const { rows } = await sql<{ relname: string; seq_scan: string }>`
		select relname, seq_scan from pg_stat_user_tables where n_live_tup > 5000
	`.execute(db);
	return new Map(rows.map(({ relname, seq_scan }) => [relname, Number(seq_scan)]));
}
const before = await scans();
const ROUNDS = 15;
const GOAL = 100;

/** Asks something some times over. */
async function time(name: string, ask: () => Promise<readonly unknown[]>): Promise<void> {
	const times: number[] = [];
	let rows = 0;
	for (let i = 0; i < ROUNDS; i++) {
		const start = performance.now();
		rows = (await ask()).length;
		times.push(performance.now() - start);
	}
	times.sort((a, b) => a - b);
	const [median, slowest] = [times[ROUNDS >> 1]!, times.at(-1)!];
	console.log(
		`${name.padEnd(26)} ${rows} rows, median ${median.toFixed(1)} ms (${(median / GOAL).toFixed(2)} of the goal), slowest ${slowest.toFixed(1)} ms`
	);
}
await time('trend of a set', () => visitsOfSet(db, set));
await time('loss by batch of a card', () => lossByBatch(db, card!));
await time('what is due', () => dueHeads(db, DUE_FROM));
const whole = [...(await scans())].filter(([table, times]) => times > (before.get(table) ?? 0));
console.log(
	`large tables read from end to end: ${whole.map(([table]) => table).join(', ') || 'none'}`
);
await db.destroy();
