/** A shop's backups that are made on their own, once a day, and how old the last one is. */
import { mkdir, readdir, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { message, type Message } from '@zinc-ledger/core';
import { log } from '../log';
import { backUp, checkBackup } from './backup';
import { lockInEnvironment, newPair, openerInEnvironment } from './sealed';
import { spent, type Shelved } from './shelf';

const HOUR = 3600 * 1000;
const DAY = 24 * HOUR;
/** From this age on of the last one the shop is told. */
const OLD = 2 * DAY;
/** A shop that just started has not had the time to make its first. */
const FIRST_TAKES = HOUR / 6;

/** "nightly-20261128T193500Z.backup" */
const nameAt = (at: Date) =>
	`nightly-${at
		.toISOString()
		.replace(/[-:]/g, '')
		.replace(/\.\d+Z$/, 'Z')}.backup`;
const NIGHTLY = /^nightly-(\d{4})(\d\d)(\d\d)T(\d\d)(\d\d)(\d\d)Z\.backup$/;

/** The backups in a folder: those made on their own, by their names; the folder may not be there yet. */
async function nightlies(folder: string): Promise<Shelved[]> {
	return (await namesIn(folder)).flatMap((name): Shelved[] => {
		const [, year, month, day, hour, minute, second] = (NIGHTLY.exec(name) ?? []).map(Number);
		if (year === undefined) return [];
		return [{ name, at: new Date(Date.UTC(year, month! - 1, day, hour, minute, second)) }];
	});
}
const namesIn = (folder: string) => readdir(folder).catch((): string[] => []);

/**
 * Makes today's, reads it back, and lets go of what is kept no longer.
 *
 * @returns its file
 */
export async function backUpNightly(
	url: string,
	folder: string,
	now = new Date()
): Promise<string> {
	await mkdir(folder, { recursive: true, mode: 0o700 });
	const file = join(folder, nameAt(now));
	const lock = lockInEnvironment();
	// The owner's private key is not on this machine: a key that lives until it was read back is.
	const owners = lock && 'recipients' in lock ? lock.recipients : null;
	const once = owners && (await newPair());
	await backUp(url, file, once ? { recipients: [...owners, once.recipient] } : lock);
	try {
		await checkBackup(file, once ? { key: once.key } : openerInEnvironment());
	} catch (error) {
		// One that does not read back is none, and must not pass for the last one.
		await rm(file, { force: true });
		throw error;
	}
	for (const { name } of spent(await nightlies(folder))) await rm(join(folder, name));
	return file;
}

/** When each backup of a folder was written, whoever made it. */
async function writtenIn(folder: string): Promise<Date[]> {
	const names = (await namesIn(folder)).filter((name) => name.endsWith('.backup'));
	return Promise.all(names.map(async (name) => (await stat(join(folder, name))).mtime));
}

/** A file dated further ahead than this was made while the clock was wrong. */
const AHEAD = HOUR;
const isAhead = (at: Date, now: Date) => at.getTime() > now.getTime() + AHEAD;

/**
 * When the newest backup in a folder was written; null without one. Backups dated in the future
 * do not count: the clock was wrong when they were made.
 */
export async function lastBackup(folder: string, now = new Date()): Promise<Date | null> {
	const written = (await writtenIn(folder)).filter((at) => !isAhead(at, now));
	return written.reduce<Date | null>((last, at) => (last && last > at ? last : at), null);
}

/** Whether tonight's backup is due: none was made within the last day. Those dated in the future do not count. */
export function isDue(made: readonly Date[], now: Date): boolean {
	return !made.some((at) => !isAhead(at, now) && now.getTime() - at.getTime() < DAY);
}

/** What to tell of the last backup; null where it is young enough. */
export async function backupWarning(
	folder: string,
	now = new Date(),
	runningFor = process.uptime() * 1000
): Promise<Message | null> {
	const last = await lastBackup(folder, now);
	if (last === null && runningFor > FIRST_TAKES) return message('backup.none');
	if (last !== null && now.getTime() - last.getTime() > OLD)
		return message('backup.old', { at: last.toISOString() });
	const ahead = (await writtenIn(folder)).find((at) => isAhead(at, now));
	return ahead ? message('backup.future', { at: ahead.toISOString() }) : null;
}

/**
 * Backs a shop up once a day for as long as it is open: a machine that is off at night does it in
 * the morning.
 *
 * @param ready once the database is as this program wants it
 */
export function startNightly(url: string, folder: string, ready: () => Promise<unknown>): void {
	const look = async () => {
		try {
			await ready();
			const made = (await nightlies(folder)).map(({ at }) => at);
			if (!isDue(made, new Date())) return;
			log.info({ file: await backUpNightly(url, folder) }, 'backed up');
		} catch (error) {
			log.error({ error: (error as Error).message }, 'not backed up');
		}
	};
	void look();
	setInterval(() => void look(), HOUR).unref();
}
