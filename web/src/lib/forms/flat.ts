/**
 * A document as the flat texts of a form, and back: "seat.height" → "1.820 in".
 * What the fields do not name is kept as it was.
 */
import { rateUnit, readEntry, readSignedEntry, withUnit, type Units } from '@zinc-ledger/core';

export type FieldType =
	| 'text'
	| 'choice'
	| 'yes-no'
	| 'length'
	| 'signed-length'
	| 'lengths'
	| 'labels'
	| 'load'
	| 'rate'
	| 'mass'
	| 'inertia'
	| 'volume'
	| 'pressure'
	| 'number';

export interface FieldSpec {
	/** Path within the document: "outer.wire". */
	readonly path: string;
	readonly label: string;
	readonly type: FieldType;
	readonly choices?: readonly string[];
	/** What the choices are called. */
	readonly names?: Readonly<Record<string, string>>;
}

/** Form texts by path. */
export type Values = Record<string, string>;
type Plain = Record<string, unknown>;

/** The texts of a document's fields; what is not there is an empty text. */
export function flatten(document: unknown, fields: readonly FieldSpec[]): Values {
	return Object.fromEntries(fields.map(({ path }) => [path, textAt(document, path)]));
}

function textAt(document: unknown, path: string): string {
	const value = path
		.split('.')
		.reduce<unknown>((at, key) => (at as Plain | undefined)?.[key], document);
	if (value === undefined || value === null) return '';
	if (typeof value === 'boolean') return value ? 'yes' : 'no';
	return Array.isArray(value) ? value.join('; ') : String(value);
}

/**
 * The document that the texts stand for, unchecked: bare digits get the
 * person's units, empty fields are left out, and so is a part of the document
 * in which nothing is left.
 *
 * @param base the document being changed
 */
export function unflatten(
	values: Values,
	fields: readonly FieldSpec[],
	base: unknown,
	units: Units
): Plain {
	const document = structuredClone(base ?? {}) as Plain;
	for (const { path } of fields) remove(document, path);
	for (const { path, type } of fields) {
		const typed = (values[path] ?? '').trim();
		if (typed !== '') put(document, path, parsed(typed, type, units));
	}
	return document;
}

/** What a typed text stands for; what cannot be read is handed on for the schema to refuse. */
export function parsed(typed: string, type: FieldType, units: Units): unknown {
	switch (type) {
		case 'text':
		case 'choice':
			return typed;
		case 'yes-no':
			return typed === 'yes' ? true : typed === 'no' ? false : typed;
		case 'number':
			// What JavaScript takes for a number besides, such as 0x10, nobody means.
			return /^[-+]?(\d+([.,]\d*)?|[.,]\d+)$/.test(typed) ? Number(typed.replace(',', '.')) : typed;
		case 'load':
			return withUnit(typed, units.load);
		case 'rate':
			return withUnit(typed, rateUnit(units));
		case 'mass':
			return withUnit(typed, 'g');
		case 'inertia':
			return withUnit(typed, 'kg·mm²');
		case 'volume':
			return withUnit(typed, 'cc');
		case 'pressure':
			return withUnit(typed, units.length === 'in' ? 'psi' : 'bar');
		case 'labels':
			return typed
				.split(/[;,\s]+/)
				.filter(Boolean)
				.map(asLabel);
		case 'lengths':
			return typed.split(';').map((one) => parsed(one.trim(), 'length', units));
		case 'length':
		case 'signed-length': {
			const entry = (type === 'length' ? readEntry : readSignedEntry)(typed, units.length);
			return entry.ok ? entry.text : typed;
		}
	}
}

/** "3ia" as it is kept: "3Ia". */
const asLabel = (typed: string) =>
	typed.replace(
		/^(\d+)([ie])([abc]?)$/i,
		(_, cylinder: string, kind: string, one: string) =>
			`${cylinder}${kind.toUpperCase()}${one.toLowerCase()}`
	);

function put(target: Plain, path: string, value: unknown): void {
	const keys = path.split('.');
	const last = keys.pop()!;
	const at = keys.reduce((node, key) => (node[key] ??= {}) as Plain, target);
	at[last] = value;
}

/** Takes a path out, and what it leaves empty with it. */
function remove(target: Plain, path: string): void {
	const [key, ...rest] = path.split('.') as [string, ...string[]];
	const inner = target[key];
	if (rest.length === 0) {
		Reflect.deleteProperty(target, key);
	} else if (typeof inner === 'object' && inner !== null) {
		remove(inner as Plain, rest.join('.'));
		if (Object.keys(inner).length === 0) Reflect.deleteProperty(target, key);
	}
}
