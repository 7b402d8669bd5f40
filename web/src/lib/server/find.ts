/** Whatever has a name or a number in the shop, found by what somebody types. */
import { sql } from 'kysely';
import { label } from '@zinc-ledger/words';
import type { Found } from '$lib/frame/found';
import type { Database } from './database/connection';
import { findJobIds } from './jobs/find';
import { pageOfParts } from './parts';

/** Of each sort. */
const MOST = 5;

const has = (text: string) => `%${text.replace(/[\\%_]/g, '\\$&')}%`;

/** Jobs first, then engines, sets, springs by tag or serial number, and parts by any of their names. */
export async function findAnything(db: Database, text: string): Promise<Found[]> {
	const wanted = text.trim();
	if (wanted === '') return [];
	const [jobs, engines, sets, springs, parts] = await Promise.all([
		jobsFound(db, wanted),
		db
			.selectFrom('engine')
			.innerJoin('customer', 'customer.id', 'engine.customer_id')
			.select(['engine.id', 'engine.name', 'customer.name as customer'])
			.where('engine.name', 'ilike', has(wanted))
			.orderBy('engine.name')
			.limit(MOST)
			.execute(),
		db
			.selectFrom('spring_set')
			.select(['id', 'name'])
			.where('name', 'ilike', has(wanted))
			.orderBy('created_at', 'desc')
			.limit(MOST)
			.execute(),
		db
			.selectFrom('spring')
			.innerJoin('spring_set', 'spring_set.id', 'spring.set_id')
			.select(['spring.tag', 'spring_set.id', 'spring_set.name'])
			.where((where) =>
				where.or([
					where(sql<string>`lower(tag)`, '=', wanted.toLowerCase()),
					where(sql<string>`measured ->> 'serial'`, 'ilike', wanted)
				])
			)
			.orderBy('spring_set.created_at', 'desc')
			.limit(MOST)
			.execute(),
		pageOfParts(db, { find: wanted }, 0)
	]);
	return [
		...jobs,
		...engines.map(({ id, name, customer }) => ({
			sort: 'engine' as const,
			name,
			detail: customer,
			href: `/engines/${id}`
		})),
		...sets.map(({ id, name }) => ({
			sort: 'set' as const,
			name,
			detail: '',
			href: `/springs/${id}`
		})),
		...springs.map(({ tag, id, name }) => ({
			sort: 'spring' as const,
			name: tag,
			detail: name,
			href: `/springs/${id}`
		})),
		...parts.parts.slice(0, MOST).map(({ sort, part }) => ({
			sort: 'part' as const,
			name: part.name,
			detail: label('part', sort),
			href: `/parts/${part.id}`
		}))
	];
}

async function jobsFound(db: Database, text: string): Promise<Found[]> {
	const ids = await findJobIds(db, text, MOST);
	if (ids.length === 0) return [];
	const rows = await db
		.selectFrom('job')
		.innerJoin('customer', 'customer.id', 'job.customer_id')
		.innerJoin('engine', 'engine.id', 'job.engine_id')
		.select(['job.id', 'number', 'customer.name as customer', 'engine.name as engine'])
		.where('job.id', 'in', ids)
		.execute();
	const by = new Map(rows.map((row) => [row.id, row]));
	return ids.flatMap((id) => {
		const row = by.get(id);
		return row
			? {
					sort: 'job' as const,
					name: `${row.number} ${row.engine}`,
					detail: row.customer,
					href: `/jobs/${id}`
				}
			: [];
	});
}
