/** Files that an earlier version of the program wrote, kept in core/old. */
import { readdirSync, readFileSync } from 'node:fs';
import { readJob } from '../../../job/document/file.ts';
import type { Job } from '../../../job/document/index.ts';

export function oldFiles(version: 1 | 2) {
	const folder = new URL(`../../../../old/version-${version}/`, import.meta.url);
	return {
		/** Names of its job files; the signed sheet of each has the same name. */
		names: readdirSync(new URL('jobs/', folder)),
		read: (name: string): string => readFileSync(new URL(name, folder), 'utf8')
	};
}

/** The job in the text of a file. */
export function jobIn(text: string): Job {
	const file = readJob(text);
	if (!file.ok) throw new Error(JSON.stringify(file.problems));
	return file.value;
}
