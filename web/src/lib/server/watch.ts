/** What somebody who watches the server is told: whether it can work, and its figures. */
import { collectDefaultMetrics, Gauge, Histogram, register } from 'prom-client';
import { sql } from 'kysely';
import { lastBackup } from './backup/nightly';
import { backupFolder } from './backup/folder';
import { database } from './database';
import { gaugesHeard } from './devices/hub';
import { hasRoom } from './room';

register.clear();
collectDefaultMetrics();

const requests = new Histogram({
	name: 'zinc_request_seconds',
	help: 'Time to answer, by route, method and status',
	labelNames: ['route', 'method', 'status'],
	buckets: [0.005, 0.02, 0.1, 0.5, 2, 10]
});
new Gauge({
	name: 'zinc_gauges',
	help: 'Gauges that somebody listens to, by the state of their link',
	labelNames: ['state'],
	collect() {
		this.reset();
		for (const state of gaugesHeard()) this.inc({ state });
	}
});
new Gauge({
	name: 'zinc_backup_age_seconds',
	help: 'Since the last good backup; absent where there is none',
	async collect() {
		this.reset();
		const last = await lastGood();
		if (last) this.set((Date.now() - last.getTime()) / 1000);
	}
});

export interface Answered {
	readonly route: string;
	readonly method: string;
	readonly status: number;
}

/** Counts an answer. @param took in milliseconds */
export const noteAnswer = ({ route, method, status }: Answered, took: number) =>
	requests.observe({ route, method, status: String(status) }, took / 1000);

/** All figures, as Prometheus reads them. */
export const figures = async () => ({ text: await register.metrics(), type: register.contentType });

async function lastGood(): Promise<Date | null> {
	const folder = backupFolder();
	return folder === null ? null : lastBackup(folder);
}

export interface Readiness {
	readonly ready: boolean;
	readonly parts: Readonly<Record<'database' | 'disk' | 'backup' | 'gauges', string>>;
}

/** Whether the server can take a reading now, and how what it leans on stands. */
export async function readiness(): Promise<Readiness> {
	const hasDatabase = await database()
		.then((db) => sql`select 1`.execute(db))
		.then(
			() => true,
			() => false
		);
	const isRoomy = await hasRoom();
	const last = await lastGood();
	return {
		ready: hasDatabase && isRoomy,
		parts: {
			database: hasDatabase ? 'well' : 'away',
			disk: isRoomy ? 'well' : 'full',
			backup: last?.toISOString() ?? 'none',
			gauges: gaugesHeard().join(' ') || 'none'
		}
	};
}
