/** Whatever has a name or a number in the shop, found by what somebody types. */
import { sql } from 'kysely';
import { label } from '@zinc-ledger/words';
import type { Found } from '$lib/frame/found';
import type { Database } from './database/connection';
import { findJobIds } from './jobs/find';
import { pageOfParts, partsLike } from './parts/parts';
import { stationTyped } from '$lib/job/store/typed-station';

/** Of each type. */
const MAX = 5;
/** Mistakes are forgiven in words; what is short, or a figure, is like too many names. */
const isWord = (text: string) => /\p{L}{3}/u.test(text);

const has = (text: string) => `%${text.replace(/[\\%_]/g, '\\$&')}%`;

/** What has the text in its name, then what has words much like it: nearest first. */
const byName = (text: string, column: string) => ({
	matches: isWord(text)
		? sql<boolean>`(${sql.ref(column)} ilike ${has(text)} or ${text} <% ${sql.ref(column)})`
		: sql<boolean>`${sql.ref(column)} ilike ${has(text)}`,
	nearest: sql`(${sql.ref(column)} ilike ${has(text)}) desc, word_similarity(${text}, ${sql.ref(column)}) desc`
});

/** Jobs first, then stations, customers, engines, sets, springs by tag or serial number, kits, and parts by any of their names. */
export async function findAnything(db: Database, text: string): Promise<Found[]> {
	const wanted = text.trim();
	if (wanted === '') return [];
	const found = await Promise.all(
		[
			stationsFound,
			jobsFound,
			customersFound,
			enginesFound,
			setsFound,
			springsFound,
			kitsFound,
			partsFound
		].map((find) => find(db, wanted))
	);
	return found.flat();
}

/** "2417 3e": a station of the job of that number. */
async function stationsFound(db: Database, text: string): Promise<Found[]> {
	const [, number, typed] = /^(\S+)\s+(\d\S*)$/.exec(text) ?? [];
	if (number === undefined || typed === undefined) return [];
	const rows = await db
		.selectFrom('station')
		.innerJoin('job', 'job.id', 'station.job_id')
		.select(['job.id', 'station.label'])
		.where('job.number', '=', number)
		.orderBy('station.position')
		.execute();
	const label = stationTyped(
		typed,
		rows.map((row) => row.label)
	);
	return label === undefined
		? []
		: [{ type: 'station', name: label, detail: number, href: `/jobs/${rows[0]!.id}?at=${label}` }];
}

/** Kits that have the text in any of their words, or words much like it. */
async function kitsFound(db: Database, text: string): Promise<Found[]> {
	const wanted = text.toLowerCase();
	const rows = await db
		.selectFrom('kit')
		.select([
			'id',
			sql<string>`doc ->> 'name'`.as('name'),
			sql<string>`doc ->> 'maker'`.as('maker')
		])
		.where('retired', '=', false)
		.where(
			isWord(text)
				? sql<boolean>`(search like ${has(wanted)} or ${wanted} <% search)`
				: sql<boolean>`search like ${has(wanted)}`
		)
		.orderBy(sql`word_similarity(${wanted}, search)`, 'desc')
		.limit(MAX)
		.execute();
	return rows.map(({ id, name, maker }) => ({
		type: 'kit',
		name,
		detail: maker ?? '',
		href: `/kits/${id}`
	}));
}

async function customersFound(db: Database, text: string): Promise<Found[]> {
	const { matches, nearest } = byName(text, 'name');
	const rows = await db
		.selectFrom('customer')
		.select(['id', 'name', 'contact'])
		.where(matches)
		.orderBy(nearest)
		.orderBy('name')
		.limit(MAX)
		.execute();
	// Two of one name lead to the same list.
	const names = new Set<string>();
	const each = rows.filter(({ name }) => !names.has(name) && names.add(name));
	return each.map(({ name, contact }) => ({
		type: 'customer',
		name,
		detail: contact ?? '',
		href: `/?find=${encodeURIComponent(name)}`
	}));
}

async function enginesFound(db: Database, text: string): Promise<Found[]> {
	const { matches, nearest } = byName(text, 'engine.name');
	const rows = await db
		.selectFrom('engine')
		.innerJoin('customer', 'customer.id', 'engine.customer_id')
		.select(['engine.id', 'engine.name', 'customer.name as customer'])
		.where(matches)
		.orderBy(nearest)
		.orderBy('engine.name')
		.limit(MAX)
		.execute();
	return rows.map(({ id, name, customer }) => ({
		type: 'engine',
		name,
		detail: customer,
		href: `/engines/${id}`
	}));
}

async function setsFound(db: Database, text: string): Promise<Found[]> {
	const { matches, nearest } = byName(text, 'name');
	const rows = await db
		.selectFrom('spring_set')
		.select(['id', 'name'])
		.where(matches)
		.orderBy(nearest)
		.orderBy('created_at', 'desc')
		.limit(MAX)
		.execute();
	return rows.map(({ id, name }) => ({ type: 'set', name, detail: '', href: `/springs/${id}` }));
}

/** Tags and serial numbers are taken at their word: one letter makes another spring. */
async function springsFound(db: Database, text: string): Promise<Found[]> {
	const exact = text.toLowerCase();
	const rows = await db
		.selectFrom('spring')
		.innerJoin('spring_set', 'spring_set.id', 'spring.set_id')
		.select(['spring.tag', 'spring_set.id', 'spring_set.name'])
		.where(sql<boolean>`(lower(tag) = ${exact} or lower(measured ->> 'serial') = ${exact})`)
		.orderBy('spring_set.created_at', 'desc')
		.limit(MAX)
		.execute();
	return rows.map(({ tag, id, name }) => ({
		type: 'spring',
		name: tag,
		detail: name,
		href: `/springs/${id}?tag=${encodeURIComponent(tag)}`
	}));
}

async function partsFound(db: Database, text: string): Promise<Found[]> {
	const exact = (await pageOfParts(db, { find: text }, 0)).parts.slice(0, MAX);
	const parts = exact.length > 0 || !isWord(text) ? exact : await partsLike(db, text, MAX);
	return parts.map(({ type, part }) => ({
		type: 'part',
		name: part.name,
		detail: label('part', type),
		href: `/parts/${part.id}`
	}));
}

async function jobsFound(db: Database, text: string): Promise<Found[]> {
	const ids = await findJobIds(db, text, MAX);
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
					type: 'job' as const,
					name: `${row.number} ${row.engine}`,
					detail: row.customer,
					href: `/jobs/${id}`
				}
			: [];
	});
}
