/**
 * Reading and writing job files. A file is taken whole or not at all; every
 * problem in it is told with its path.
 */
import {
	checkFile,
	readFile,
	UPGRADES,
	writeFile,
	type FileRead
} from '../../foundation/file/index.ts';
import { FORMAT, Job, VERSION } from './schema.ts';

export {
	fieldNow,
	fromVersion1,
	fromVersion2,
	upgraded,
	valueNow,
	valueSince1,
	valueSince2
} from '../../foundation/file/index.ts';
export {
	firstOf,
	isTooDeep,
	pathText,
	problemsOf,
	type Problem
} from '../../foundation/file/index.ts';

const JOB_FILE = {
	format: FORMAT,
	version: VERSION,
	upgrade: UPGRADES,
	what: 'job',
	schema: Job
} as const;

export type Read = FileRead<Job>;

/** Reads the text of a job file: the job, or every problem found. */
export const readJob = (text: string): Read => readFile(text, JOB_FILE);

/** Checks a value that is already parsed, as {@link readJob} does for a text. */
export const checkJob = (value: unknown): Read => checkFile(value, JOB_FILE);

/** A job as the text of a file: two spaces, keys in the schema's order, a newline at the end. */
export const writeJob = (job: Job): string => writeFile(job);
