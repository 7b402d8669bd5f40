/**
 * Files that are taken whole or not at all: JSON with a format and a version,
 * checked by a schema, every problem told with its path.
 */
import type { z } from 'zod';
import { message, messageOf, type FileOf, type Message } from '../message/index.ts';

declare module '../message/message.ts' {
	interface Messages {
		'file.too-deep': null;
		'file.too-long': { readonly max: number };
		'file.more': { readonly count: number };
		'file.not-object': { readonly what: FileOf };
		'file.newer': { readonly version: number; readonly reads: number };
		'file.empty': null;
		'file.cut-off': null;
		'file.not-json': null;
	}
}

export interface Problem {
	/** Where in the file: "readings[3].read"; empty for the whole of it. */
	readonly path: string;
	/** The line where it stops being JSON. */
	readonly line?: number;
	readonly text: Message;
}

export type FileRead<T> = { ok: true; value: T } | { ok: false; problems: readonly Problem[] };

/** A type of file: what it calls itself, and what must be in it. */
export interface FileType<T> {
	readonly format: string;
	readonly version: number;
	/** Makes a file of an older version one of the version after it. */
	readonly upgrade?: Readonly<Record<number, (file: Record<string, unknown>) => unknown>>;
	readonly what: FileOf;
	readonly schema: z.ZodType<T>;
}

/**
 * Reads the text of a file.
 *
 * @returns what is in it, or every problem found, worst first where one hides the rest
 */
export function readFile<T>(text: string, type: FileType<T>): FileRead<T> {
	if (isTooDeep(text))
		return { ok: false, problems: [{ path: '', text: message('file.too-deep') }] };
	let value: unknown;
	try {
		value = JSON.parse(text);
	} catch (error) {
		return { ok: false, problems: [notJson(text, error as SyntaxError)] };
	}
	return checkFile(value, type);
}

/** No file of this program nests deeper; what does was made to break its reader. */
const DEEPEST = 64;

/** Whether a text of JSON nests deeper than any file does, told without reading it. */
export function isTooDeep(text: string): boolean {
	let [depth, isString] = [0, false];
	for (let i = 0; i < text.length; i++) {
		const sign = text[i];
		if (isString) {
			if (sign === '\\') i++;
			else if (sign === '"') isString = false;
		} else if (sign === '"') isString = true;
		else if (sign === '{' || sign === '[') {
			if (++depth > DEEPEST) return true;
		} else if (sign === '}' || sign === ']') depth--;
	}
	return false;
}

/** Checks a value that is already parsed, as {@link readFile} does for a text. */
export function checkFile<T>(value: unknown, type: FileType<T>): FileRead<T> {
	const strange = strangeFile(value, type);
	if (strange) return { ok: false, problems: [strange] };
	const long = longList(value);
	if (long) return { ok: false, problems: [long] };
	const result = type.schema.safeParse(inVersionOfNow(value, type));
	if (result.success) return { ok: true, value: result.data };
	return { ok: false, problems: problemsOf(result.error) };
}

/** A file as the newest version has it; one whose version is not known stays as it is, for the schema to refuse. */
function inVersionOfNow<T>(
	value: unknown,
	{ upgrade = {}, version: newest }: FileType<T>
): unknown {
	let now = value as Record<string, unknown>;
	for (let version = Number(now.version); version < newest; version++) {
		const step = upgrade[version];
		if (!step) break;
		now = { ...(step(now) as Record<string, unknown>), version: version + 1 };
	}
	return now;
}

/** No list of a file has more in it. */
const LONGEST_LIST = 50_000;

/** The first list that is longer than any file needs, told without checking what is in it. */
function longList(value: unknown, path: readonly PropertyKey[] = []): Problem | null {
	if (typeof value !== 'object' || value === null) return null;
	if (Array.isArray(value) && value.length > LONGEST_LIST)
		return { path: pathText(path), text: message('file.too-long', { max: LONGEST_LIST }) };
	for (const [key, inner] of Object.entries(value)) {
		const found = longList(inner, [...path, Array.isArray(value) ? Number(key) : key]);
		if (found) return found;
	}
	return null;
}

/** The problems that a schema found, each with its path as text. */
export const problemsOf = (error: z.ZodError): Problem[] =>
	firstOf(error.issues, (issue) => ({ path: pathText(issue.path), text: messageOf(issue) }));

/** So many problems of a file are told; who mends these sees the rest. */
const MAX_PROBLEMS = 100;

/** The first problems of many, and how many more there are. */
export function firstOf<T>(all: readonly T[], toProblem: (one: T) => Problem): Problem[] {
	const first = all.slice(0, MAX_PROBLEMS).map(toProblem);
	const more = all.length - first.length;
	return more > 0 ? [...first, { path: '', text: message('file.more', { count: more }) }] : first;
}

/** A value as the text of a file: two spaces, a newline at the end. */
export const writeFile = (value: unknown): string => `${JSON.stringify(value, null, 2)}\n`;

/** "readings[3].read" from ['readings', 3, 'read']; empty for the top. */
export function pathText(path: readonly PropertyKey[]): string {
	return path.reduce<string>((text, key) => {
		if (typeof key === 'number') return `${text}[${key}]`;
		return text === '' ? String(key) : `${text}.${String(key)}`;
	}, '');
}

function strangeFile(value: unknown, type: FileType<unknown>): Problem | null {
	if (typeof value !== 'object' || value === null || Array.isArray(value)) {
		return { path: '', text: message('file.not-object', { what: type.what }) };
	}
	const { format, version } = value as Record<string, unknown>;
	if (format !== type.format) {
		const { what, format: expected } = type;
		return { path: 'format', text: message('file.other-format', { what, format: expected }) };
	}
	if (typeof version === 'number' && version > type.version) {
		return {
			path: 'version',
			text: message('file.newer', { version, reads: type.version })
		};
	}
	return null;
}

function notJson(text: string, error: SyntaxError): Problem {
	const lines = text.split('\n').length;
	const at = /position (\d+)/.exec(error.message);
	const cutOff = /end of JSON|Unterminated/.test(error.message);
	const position = at ? Number(at[1]) : cutOff ? text.length : 0;
	if (text.trim() === '') return { path: '', text: message('file.empty') };
	if (cutOff || position >= text.trimEnd().length) {
		return { path: '', line: lines, text: message('file.cut-off') };
	}
	const line = text.slice(0, position).split('\n').length;
	return { path: '', line, text: message('file.not-json') };
}
