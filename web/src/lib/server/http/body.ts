/**
 * What comes in from outside: bodies, forms, ids. What is not understood is a 4xx that
 * names its place, before anything is asked of the database.
 */
import { isHttpError } from '@sveltejs/kit';
import type { z } from 'zod';
import { isTooDeep, pathText, upgraded } from '@zinc-ledger/core/file';
import { message, messageOf, type Job } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { FIELDS } from '$lib/access/body-limits';
import { refuse } from './refuse';

const ID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/** Whether a text is the id of anything. */
export const isId = (text: unknown): text is string => typeof text === 'string' && ID.test(text);

/**
 * The JSON body of a request, checked; a wrong one is a 400 that names each field.
 *
 * @param list of a job that it is an entry of: one that waited in a browser since the
 * release before is read as one of now
 */
export async function checkedBody<S extends z.ZodType>(
	request: Request,
	schema: S,
	list?: keyof Job
): Promise<z.infer<S>> {
	let value: unknown;
	const text = await whole(() => request.text());
	if (isTooDeep(text)) refuse(400, message('server.too-deep'));
	try {
		value = JSON.parse(text);
	} catch {
		refuse(400, message('server.not-json'));
	}
	const unfit = unfitText(value);
	if (unfit) refuse(400, message('server.unfit-text', { at: pathText(unfit) }));
	const result = schema.safeParse(list ? upgraded(value, list) : value);
	if (result.success) return result.data;
	const fields = result.error.issues
		.slice(0, MAX_REPORTED)
		.map((issue) => ({ path: pathText(issue.path), says: messageOf(issue) }));
	refuse(400, message('server.fields', { fields }));
}
const MAX_REPORTED = 20;

/** The texts of a form by name, as they were typed. */
export async function formTexts(request: Request): Promise<Record<string, string>> {
	return texts(await readForm(request));
}

/** Form texts without blanks at their ends. */
export const trimmed = (values: Record<string, string>): Record<string, string> =>
	Object.fromEntries(Object.entries(values).map(([key, value]) => [key, value.trim()]));

/** The texts of a form, and the text of the file in it; null where there is none. */
export async function formWithFile(request: Request): Promise<{
	readonly values: Record<string, string>;
	readonly file: { readonly name: string; readonly text: string } | null;
}> {
	const form = await readForm(request);
	const file = form.get('file');
	const read =
		file instanceof File && file.size > 0
			? { name: file.name.slice(0, LONGEST_NAME), text: await file.text() }
			: null;
	return { values: texts(form), file: read };
}
const LONGEST_NAME = 80;
/** A form, checked as far as any form can be. */
export async function readForm(request: Request): Promise<FormData> {
	const form = await whole(() => request.formData());
	const entries = [...form];
	if (entries.length > FIELDS) refuse(400, message('server.too-many-fields', { max: FIELDS }));
	for (const [name, value] of entries) {
		// What every object has under this name is no field of a form.
		if (!isFit(name) || name.split('.').includes('__proto__'))
			refuse(400, message('server.unfit-text', { at: '' }));
		if (typeof value === 'string' && !isFit(value))
			refuse(400, message('server.unfit-text', { at: name }));
	}
	return form;
}

const texts = (form: FormData): Record<string, string> =>
	Object.fromEntries(
		[...form].flatMap(([name, value]) => (typeof value === 'string' ? [[name, value]] : []))
	);

/** Reads a body; one that is broken, or longer than is taken, is the sender's fault. */
async function whole<T>(read: () => Promise<T>): Promise<T> {
	try {
		return await read();
	} catch (failure) {
		const { status } = failure as { status?: number };
		if (isHttpError(failure) || status === 413) refuse(413, message('server.too-large'));
		refuse(400, message('server.broken-off'));
	}
}

/** Texts that a database can keep: no NUL, no half of a pair. */
const isFit = (text: string) => !text.includes('\0') && text.isWellFormed();

/** Where the first text is that cannot be kept; null where all can. */
function unfitText(value: unknown, path: readonly PropertyKey[] = []): PropertyKey[] | null {
	if (typeof value === 'string') return isFit(value) ? null : [...path];
	if (typeof value !== 'object' || value === null) return null;
	for (const [key, inner] of Object.entries(value)) {
		const at = [...path, Array.isArray(value) ? Number(key) : key];
		const found = isFit(key) ? unfitText(inner, at) : [...path];
		if (found) return found;
	}
	return null;
}

/** The revision that a form was made from; one that no document has where it names none. */
export function revisionIn(values: Readonly<Record<string, string>>): number {
	const revision = values.revision ?? '';
	return /^\d{1,9}$/.test(revision) ? Number(revision) : 0;
}

export const CHANGED_MEANWHILE = tell(message('server.changed-meanwhile'));

/**
 * What is wrong with the fields of a form, by the path of each.
 *
 * @param under how many steps of the path stand above the form's own
 */
export const fieldProblems = ({ issues }: z.ZodError, under = 0): Record<string, string> =>
	Object.fromEntries(
		issues.map((issue) => [issue.path.slice(under).join('.'), tell(messageOf(issue))])
	);
