/** A shop that is restored from a backup has again what its tablets sent after it was made. */
import { execFile } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { query, startApp, until, type App } from './support/app.ts';
import { AWAY, Browser } from './support/browser.ts';
import { emptied } from './support/databases.ts';
import { list } from './support/pages/list.ts';

const EACH = 100;
const job = JSON.parse(readFileSync('demo/jobs/2417-straight-six.json', 'utf8')) as {
	id: string;
	stations: { label: string }[];
};
/** The same head taken in under another number once the backup was made: all its ids are others. */
const late = (() => {
	const ids = new Map<string, string>();
	const people = new Set<string>();
	const text = readFileSync('demo/jobs/2418-light-retainers.json', 'utf8');
	for (const { id } of (JSON.parse(text) as { people: { id: string }[] }).people) people.add(id);
	const other = (id: string) => ids.get(id) ?? (ids.set(id, randomUUID()), ids.get(id)!);
	const changed = text
		.replaceAll(/[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}/g, (id) =>
			people.has(id) ? id : other(id)
		)
		.replace(/"number": "2418"/, '"number": "3418"');
	const { id, stations } = JSON.parse(changed) as typeof job;
	return { id, stations, text: changed };
})();

let app: App;
let folder: string;
let file: string;
const tablets: Browser[] = [];
beforeAll(async () => {
	folder = mkdtempSync(join(tmpdir(), 'zinc-restore-'));
	file = join(folder, 'shop.backup');
	app = await startApp('demo');
	for (let i = 0; i < 2; i++) tablets.push(await Browser.open(app.url));
	for (const tablet of tablets) await tablet.workAs('Runa Tarn');
});
afterAll(async () => {
	for (const tablet of tablets) await tablet.close();
	await app?.stop();
	rmSync(folder, { recursive: true, force: true });
});

/** The command behind `./zinc backup` and `./zinc restore`. */
const command = (what: 'backup' | 'restore') =>
	promisify(execFile)(
		process.execPath,
		['--import', 'tsx', 'web/src/lib/server/backup/command.ts', what, file],
		{ env: { ...process.env, DATABASE_URL: app.database, TSX_TSCONFIG_PATH: 'web/tsconfig.json' } }
	);

/** Readings of a job that came after the backup, by id. */
async function readIn(jobId: string): Promise<string[]> {
	const rows = await query(app, 'select id from reading where job_id = $1', [jobId]);
	return (rows as { id: string }[]).map(({ id }) => id).toSorted();
}
const bringIn = async () => {
	const body = new FormData();
	body.set('file', new File([late.text], 'late.json', { type: 'application/json' }));
	const sent = { method: 'POST', body, headers: { origin: app.url, accept: 'text/html' } };
	const answer = await fetch(`${app.url}/?/import`, { ...sent, redirect: 'manual' });
	expect(answer.status).toBe(303);
};

describe('a shop restored from a backup', () => {
	let sent: string[] = [];

	it('was backed up, and two tablets went on reading', async () => {
		const before = await readIn(job.id);
		await command('backup');
		await bringIn();
		for (const [i, tablet] of tablets.entries())
			await list(tablet).keep(job.id, job.stations, EACH, i);
		await list(tablets[1]!).keep(late.id, late.stations, 2, 0);
		await until(async () => (await readIn(job.id)).length === before.length + 2 * EACH);
		sent = (await readIn(job.id)).filter((id) => !before.includes(id));
		expect(sent).toHaveLength(2 * EACH);
	});
	it('has all of it again once they see it, none twice, and shows what has no place', async () => {
		// One of them is at the job that is gone.
		for (const tablet of tablets) tablet.expects(AWAY, /\/api\/jobs\/\S+ - .* 404 /);
		await app.stop();
		await emptied(app.database);
		await command('restore');
		await app.start();
		expect((await readIn(job.id)).filter((id) => sent.includes(id))).toEqual([]);
		const back = async () => (await readIn(job.id)).filter((id) => sent.includes(id));
		await until(async () => (await back()).length === sent.length);
		expect(await back()).toEqual(sent);
		const [tablet] = tablets as [Browser];
		await until(async () => {
			await tablet.go('/');
			return (await tablet.text()).includes(
				'2 readings sent again after the restore could not be assigned'
			);
		});
		await tablet.click('Show readings');
		await tablet.sees('Job not in this shop, 2 readings');
	});
	it('takes them where they belong once their job is there', async () => {
		await bringIn();
		const [tablet] = tablets as [Browser];
		await tablet.go('/strays');
		await tablet.sees('Every reading is assigned to a job');
	});
});
