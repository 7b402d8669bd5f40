/** The one table of how much a request may bring: by route, and by whether anybody is signed in. */
import { actionIn, needOf, type Asked } from './needs.ts';

/** What a body may have at most; it is refused while it arrives, before anything reads it. */
export interface BodyLimit {
	readonly bytes: number;
	/** Fields of a form. */
	readonly fields: number;
	/** Values of JSON. */
	readonly values: number;
	/** Files are few at a time, from their first byte to the answer: they take memory and time. */
	readonly isFile: boolean;
}

/** The most fields that a form may have; the longest page has a few hundred. */
export const FIELDS = 1000;
/** The body of a file as it came. */
export interface Sent {
	readonly bytes: ArrayBuffer;
	readonly type: string;
}

const KB = 1024;
const MB = 1024 * KB;

/** What somebody may send whom nobody knows. */
const ANYONE: BodyLimit = { bytes: 4 * KB, fields: 20, values: 20, isFile: false };
/** Forms of pages, readings, and entries of a job. */
const USUAL: BodyLimit = { bytes: 256 * KB, fields: FIELDS, values: 20_000, isFile: false };
/** A set-up with its tested springs and lift tables, a long sweep, a valve's motion. */
const LONG: BodyLimit = { bytes: 2 * MB, fields: FIELDS, values: 200_000, isFile: false };
/** Files: jobs, kits, parts, photos. */
const FILE: BodyLimit = { bytes: 16 * MB, fields: FIELDS, values: 20_000, isFile: true };

/** Routes that take more than the usual, by method or action. */
const MORE: Readonly<Record<string, Readonly<Record<string, BodyLimit>>>> = {
	'/': { import: FILE },
	'/kits': { import: FILE },
	'/parts': { import: FILE },
	'/springs/[id=uuid]': { import: LONG },
	'/api/jobs/[id=uuid]/photos': { POST: FILE },
	'/api/kits/[id=uuid]/photos': { POST: FILE },
	'/api/jobs/[id=uuid]/entries/[list]': { POST: LONG },
	'/api/jobs/[id=uuid]/setup': { PUT: LONG },
	'/api/sets/[id=uuid]/sweeps': { POST: LONG },
	'/jobs/[id=uuid]/setup': { default: LONG }
};

/** How much a request may bring. */
export function bodyLimitOf(asked: Asked): BodyLimit {
	const { route, method, url } = asked;
	if (route === null || needOf(asked) === 'anyone') return ANYONE;
	const of = Object.hasOwn(MORE, route) ? MORE[route]! : {};
	const named = method === 'POST' && !Object.hasOwn(of, 'POST') ? actionIn(url) : method;
	return Object.hasOwn(of, named) ? of[named]! : USUAL;
}
