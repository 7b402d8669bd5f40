/** Requests that no page of ours would make: wrong types, sizes, encodings, ids, cookies, origins. */
import { readFileSync } from 'node:fs';
import type pg from 'pg';
import { randomFrom } from '@zinc-ledger/core/synthetic';
import type { Got, Sent } from './send.ts';
import type { Target } from './targets.ts';

export const job = JSON.parse(readFileSync('demo/jobs/2417-straight-six.json', 'utf8')) as {
	id: string;
	people: { id: string }[];
	readings: Record<string, unknown>[];
	setup: Record<string, unknown>;
};
const part = (
	JSON.parse(readFileSync('demo/parts.json', 'utf8')) as { parts: { part: { id: string } }[] }
).parts[0]!.part.id;
export const person = job.people[0]!.id;

/** What is asked, and by whom. */
export interface World {
	/** The application's own origin. */
	readonly origin: string;
	/** Cookies that some of the requests carry. */
	readonly cookies: readonly string[];
	/** Ids of what the database made itself. */
	readonly ids: { readonly sets: string; readonly gauges: string };
}

export async function idsIn(client: pg.Client): Promise<World['ids']> {
	const idOf = async (table: string) =>
		(await client.query<{ id: string }>(`select id from ${table} limit 1`)).rows[0]!.id;
	return { sets: await idOf('spring_set'), gauges: await idOf('gauge') };
}

/** The id of something that a path is about. */
const idFor = (path: string, ids: World['ids']) =>
	/^\/(api\/sets|springs)\//.test(path)
		? ids.sets
		: path.startsWith('/gauges/')
			? ids.gauges
			: path.startsWith('/parts/')
				? part
				: job.id;

const random = randomFrom(12);
const pick = <T>(...all: readonly T[]): T => all[Math.floor(random() * all.length)]!;
const chance = (part: number) => random() < part;

const ODD_TEXTS = [
	'',
	' ',
	'\u0000',
	'a\u0000b',
	'\ud800',
	"'; drop table job; --",
	'<script>alert(1)</script>',
	'=1+1',
	'../../etc/passwd',
	'%00',
	'%E0%A4%A',
	'𝟙'.repeat(300),
	'9'.repeat(400),
	'1e999',
	'NaN',
	'-0',
	'1,234',
	'1.820 in',
	'name ends in a blank ',
	'0001-01-01T00:00:00Z',
	'9999-12-31T23:59:59.999999999Z',
	'2026-02-30T25:61:61Z',
	'constructor',
	'__proto__',
	'^(?<height>(\\d+)+)$'
];
const IDS = () =>
	pick(
		job.id,
		job.id.toUpperCase(),
		part,
		job.people[0]!.id,
		'00000000-0000-0000-0000-000000000000',
		'0197a111-0000-7000-8000-00000000000g',
		'not-an-id',
		'------------------------------------',
		pick(...ODD_TEXTS)
	);
const oddValue = (depth = 0): unknown =>
	pick<() => unknown>(
		() => pick(...ODD_TEXTS),
		() => IDS(),
		() => pick(0, -1, 1e308, 2 ** 53, 0.1, -0),
		() => null,
		() => chance(0.5),
		() => (depth > 3 ? [] : Array.from({ length: pick(0, 1, 5, 60) }, () => oddValue(depth + 1))),
		() => (depth > 3 ? {} : { [pick('id', 'at', 'x', ...ODD_TEXTS)]: oddValue(depth + 1) })
	)();

/** Something that was right but for one place. */
function slipped(value: unknown): unknown {
	if (Array.isArray(value)) {
		if (value.length === 0 || chance(0.2)) return oddValue();
		const at = Math.floor(random() * value.length);
		return value.map((one, i) => (i === at ? slipped(one) : (one as unknown)));
	}
	if (typeof value === 'object' && value !== null && chance(0.9)) {
		const keys = Object.keys(value);
		const key = chance(0.1) || keys.length === 0 ? pick(...ODD_TEXTS) : pick(...keys);
		return { ...value, [key]: slipped((value as Record<string, unknown>)[key]) };
	}
	return oddValue();
}

const at = '2026-11-27T08:00:00.000Z';
const uuid = () =>
	'0197c000-0000-7000-8000-' + String(Math.floor(random() * 1e12)).padStart(12, '0');
/** What each route would take, by the end of its path. */
const RIGHT: Readonly<Record<string, () => unknown>> = {
	readings: () => pick<unknown>(reading(), [reading()]),
	voids: () => ({ id: uuid(), reading: job.readings[0]!.id, reason: 'slipped', person, at }),
	setup: () => ({ revision: pick(1, 2), setup: job.setup }),
	'[label]': () => pick<unknown>({ shims: ['0.015 in'] }, { parts: null }),
	plan: () =>
		pick<unknown>(
			{ id: uuid(), proven: true, stations: [{ label: '1I', shims: [] }], person, at },
			{ plan: uuid(), reason: 'tried' }
		),
	signed: () => ({ person, units: { length: 'in', load: 'lbf' } }),
	bench: () => ({ units: { length: 'mm', load: 'N' }, scheme: 'dark' }),
	'firing-order': () => ({ firingOrder: [1, 5, 3, 6, 2, 4] }),
	answers: () => ({ subject: 'heads.A.forgotten.locator', answer: true }),
	'[list]': () => ({ id: uuid(), text: 'note', person, at }),
	limits: () => ({ oddWatch: 0.05, oddStop: 0.1, sagWatch: 0.05, sagStop: 0.1 }),
	'[tag]': () => ({ freeHeight: '50 mm' })
};
const reading = () => ({ ...job.readings[0], id: uuid() });

const FORM_FIELDS = [
	'id',
	'person',
	'name',
	'initials',
	'change',
	'reason',
	'retired',
	'revision',
	'number',
	'customer',
	'engine',
	'type',
	'cam',
	'card',
	'job',
	'count',
	'seat',
	'lift',
	'text',
	'tag',
	'height',
	'against',
	'reference',
	'read',
	'overrides.100000000.cylinder',
	'shimStock.4000000000.thickness',
	'link.pattern',
	'link.host',
	'kinds.intake.lift.lobe',
	'__proto__.x'
];

interface Body {
	readonly type?: string;
	readonly bytes: Buffer;
}
function body(isForm: boolean, path: string): Body {
	const right = RIGHT[path.split('/').at(-1)!] ?? (() => pick(...Object.values(RIGHT))());
	const form = () =>
		new URLSearchParams(
			Array.from({ length: pick(0, 1, 4, 12) }, () => [
				pick(...FORM_FIELDS),
				String(pick(IDS(), pick(...ODD_TEXTS), '4', 'yes'))
			])
		).toString();
	const multipart = (content: string) =>
		`--x\r\ncontent-disposition: form-data; name="file"; filename="${pick('a.json', 'a.csv', '\u0000', '')}"\r\ncontent-type: text/plain\r\n\r\n${content}\r\n--x--\r\n`;
	const json = () =>
		JSON.stringify(chance(0.1) ? oddValue() : chance(0.4) ? right() : slipped(right()));
	return pick<() => Body>(
		...(isForm
			? [
					() => ({ type: 'application/x-www-form-urlencoded', bytes: Buffer.from(form()) }),
					() => ({ type: 'application/x-www-form-urlencoded', bytes: Buffer.from(form()) }),
					() => ({
						type: 'multipart/form-data; boundary=x',
						bytes: Buffer.from(
							multipart(pick(json(), '{"format":', 'type,name\nspring,=1', '', 'h,l\n1,2'))
						)
					})
				]
			: [
					() => ({ type: 'application/json', bytes: Buffer.from(json()) }),
					() => ({ type: 'application/json', bytes: Buffer.from(json()) }),
					() => ({ type: 'application/json', bytes: Buffer.from(json().slice(0, 40)) })
				]),
		() => ({ type: 'application/json', bytes: Buffer.from(json()) }),
		() => ({
			type: 'multipart/form-data; boundary=x',
			bytes: Buffer.from(multipart('x').slice(0, pick(5, 60)))
		}),
		() => ({ type: 'multipart/form-data', bytes: Buffer.from('no boundary') }),
		() => ({
			type: pick('text/plain', 'image/jpeg', 'x/y; charset=utf-7'),
			bytes: Buffer.from([0xff, 0xd8, 0xff, 0])
		}),
		() => ({ bytes: Buffer.from('['.repeat(5000)) }),
		() => ({ bytes: Buffer.alloc(0) })
	)();
}

const encode = (text: string) => {
	try {
		return encodeURIComponent(text);
	} catch {
		return '%ED%A0%80';
	}
};

/** One of them, to something that is there. */
function hostile(target: Target, { origin: own, cookies, ids }: World): Sent {
	const isAction = target.actions.length > 0 && chance(0.7);
	const method = isAction
		? 'POST'
		: pick(
				...target.methods,
				...target.methods,
				...target.methods,
				'POST',
				'PUT',
				'PATCH',
				'DELETE'
			);
	const isRight = chance(0.6);
	const path = target.path.replace(/\[(\w+)(?:=\w+)?\]/g, (_, name: string) => {
		if (name === 'label') return encode(pick('1I', '9I', ...ODD_TEXTS)) || 'x';
		if (name === 'list') return pick('notes', 'checks', 'plans', 'headWork', 'assembly', 'x');
		if (name === 'tag') return pick('T1', 'T99', '%00', '%E0');
		if (name === 'file') return pick('sheet.json', 'sheet.pdf', 'x');
		return isRight ? idFor(target.path, ids) : encode(IDS()) || 'x';
	});
	const query = [
		...(isAction
			? [`/${pick(...target.actions, 'nothing', '__proto__')}`.replace('/default', '')]
			: []),
		...(chance(0.5)
			? [
					`${pick('find', 'type', 'of', 'order', 'page', 'copy', 'station', 'topics', 'tag', 'size', 'back', 'as')}=${encode(pick(...ODD_TEXTS, 'job:x', `gauge:${job.id}`, '//evil.test', '99999'))}`
				]
			: [])
	].join('&');
	const content = method === 'GET' ? { bytes: Buffer.alloc(0) } : body(isAction, target.path);
	const cookie = pick(
		'',
		...cookies,
		'zinc-units=in,stone; zinc-scheme=%00',
		'=;;;=\u0001'.replace('\u0001', ' ')
	);
	const origin = pick('', '', own, own, own, 'http://evil.test', 'null');
	return {
		method,
		path: `${path}${query ? `?${query}` : ''}`,
		headers: {
			...(cookie && { cookie }),
			...(origin && { origin }),
			...(content.type && { 'content-type': content.type }),
			...(isAction && chance(0.6) && { accept: 'application/json', 'x-sveltekit-action': 'true' }),
			...(chance(0.1) && {
				'x-sent-at': pick(...ODD_TEXTS.filter((text) => /^[ -~]*$/.test(text)))
			})
		},
		body: content.bytes
	};
}

/** Rows that follow the documents by themselves, a moment later. */
const DERIVED = [
	'job_state',
	'job_stage',
	'part_need',
	'station_result',
	'spring_result',
	'service_run',
	'service_item'
];

/** What counts who tried what, and when somebody was last there. */
const COUNTED = ['attempt', 'audit', 'session'];

/** What stands in every other table, in one digest. */
async function dump(client: pg.Client): Promise<string> {
	const { rows } = await client.query<{ name: string }>(
		"select tablename as name from pg_tables where schemaname = 'public' and tablename <> all ($1) order by 1",
		[[...DERIVED, ...COUNTED]]
	);
	const parts = rows.map(
		({ name }) =>
			`select '${name}' as name, count(*) || coalesce(md5(string_agg(md5(t::text), '' order by md5(t::text))), '') as digest from public."${name}" t`
	);
	const digests = await client.query<{ name: string; digest: string }>(parts.join(' union all '));
	return JSON.stringify(digests.rows);
}

/**
 * Reads a database again and again, and its digest only where something was written since:
 * the server gives every transaction that writes a number of its own.
 */
function reader(client: pg.Client): () => Promise<string> {
	let at = '';
	let digest = '';
	return async () => {
		const { rows } = await client.query<{ at: string }>('select pg_current_snapshot()::text as at');
		if (rows[0]!.at !== at) digest = await dump(client);
		at = rows[0]!.at;
		return digest;
	};
}

/** Whether an answer says that something was done: a form's refusal comes as a 200 of its own. */
const isDone = ({ status, text }: { status: number; text: string }) =>
	status < 400 && !/^\{"type":"(failure|error)"/.test(text);

export interface Storm {
	readonly requests: number;
	readonly targets: readonly Target[];
	readonly world: World;
	readonly client: pg.Client;
	/** Sends one as whoever asks. */
	readonly send: (sent: Sent) => Promise<Got>;
	/** Whether whoever asks may have done what was answered with success. */
	readonly may: (sent: Sent, target: Target) => boolean;
}

/**
 * Sends them over every route and action in turn.
 *
 * @returns those that were answered with 5xx, that changed something without success, or
 * succeeded where they may not; and how many did something
 */
export async function storm({ requests, targets, world, client, ...how }: Storm) {
	const wrong: string[] = [];
	const read = reader(client);
	let before = await read();
	let writes = 0;
	for (let i = 0; i < requests; i++) {
		const target = targets[i % targets.length]!;
		const sent = hostile(target, world);
		const answer = await how.send(sent);
		const { status } = answer;
		const request = JSON.stringify({
			status,
			...sent,
			body: sent.body.toString('utf8').slice(0, 300)
		});
		if (status >= 500 || status === 0) wrong.push(request);
		if (sent.method === 'GET') continue;
		const after = await read();
		if (isDone(answer)) {
			writes++;
			if (!how.may(sent, target)) wrong.push(`done: ${request}`);
		} else if (after !== before) wrong.push(`changed: ${request}`);
		before = after;
	}
	return { wrong, writes };
}
