/** A set-up as the flat texts of its form, and back. */
import {
	KINDS,
	rateUnit,
	readEntry,
	readSignedEntry,
	withUnit,
	type Setup,
	type Units
} from '@zinc-ledger/core';
import { JOB_FIELDS, KIND_GROUPS, LIMIT_FIELDS, type FieldSort, type FieldSpec } from './fields';

/** Form texts by path: "kinds.intake.spring.bind" → "1.150 in". */
export type Values = Record<string, string>;

const KIND_FIELDS = KIND_GROUPS.flatMap((group) => group.fields);

/** Every field of the form with its full path. */
function* allFields(): Generator<FieldSpec> {
	yield* JOB_FIELDS;
	yield* LIMIT_FIELDS;
	for (const kind of KINDS) {
		for (const field of KIND_FIELDS) yield { ...field, path: `kinds.${kind}.${field.path}` };
	}
}

/** The texts of a set-up's form. */
export function valuesOf(setup: Setup): Values {
	const values: Values = {};
	for (const { path } of allFields()) values[path] = textAt(setup, path);
	setup.shimStock.forEach((size, i) => {
		values[`shimStock.${i}.thickness`] = size.thickness;
		values[`shimStock.${i}.count`] = String(size.count);
	});
	return values;
}

function textAt(setup: Setup, path: string): string {
	const value = path
		.split('.')
		.reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], setup);
	return value === undefined ? '' : String(value);
}

/**
 * The set-up that a form stands for, unchecked: bare digits get the person's
 * units, empty fields are left out, and a part of which nothing is filled in
 * but its choices is left out whole.
 *
 * @param before the set-up being changed; what the form does not show is kept from it
 */
export function setupFrom(
	values: Values,
	before: Setup,
	units: Units,
	newId: () => string
): unknown {
	const setup: Record<string, unknown> = { limits: {}, use: {}, kinds: {} };
	const filled = new Set<string>();
	for (const field of allFields()) {
		if (!field.choices && textOf(field, values) !== '') filled.add(partOf(field.path));
	}
	for (const field of allFields()) {
		const typed = textOf(field, values);
		if (typed === '' || (NEEDS_FIGURES.test(field.path) && !filled.has(partOf(field.path))))
			continue;
		put(setup, field.path, field.choices ? typed : understood(typed, field.sort, units));
	}
	for (const kind of KINDS) {
		const parts = (setup.kinds as Record<string, Record<string, unknown>>)[kind];
		if (!parts?.spring) continue;
		const old = before.kinds[kind].spring;
		Object.assign(parts.spring, {
			id: values[`kinds.${kind}.spring.id`] || old?.id || newId(),
			...(old?.tested && old.name === values[`kinds.${kind}.spring.name`] && { tested: old.tested })
		});
	}
	(setup.use as Record<string, unknown>).duty ??= '';
	setup.shimStock = shimStockFrom(values, units);
	return setup;
}

/** Parts that are left out whole when only their choices stand. */
const NEEDS_FIGURES = /\.(lift|lash|spring)\./;

const textOf = (field: FieldSpec, values: Values) =>
	isShown(field, values) ? (values[field.path] ?? '').trim() : '';

/** "kinds.intake.spring" of "kinds.intake.spring.seat.height". */
const partOf = (path: string) => path.split('.').slice(0, 3).join('.');

/** Whether a field is on show, given what the others hold. */
export function isShown(field: FieldSpec, values: Values): boolean {
	if (!field.when) return true;
	const [path, wanted] = field.when;
	const prefix = /^kinds\.[a-z]+\./.exec(field.path)?.[0] ?? '';
	return (values[path === 'lifters' ? path : prefix + path] || defaultChoice(path)) === wanted;
}

/** What a choice stands at before anybody chose. */
const defaultChoice = (path: string) => (path === 'lift.sort' ? 'lobe' : '');

function understood(typed: string, sort: FieldSort, units: Units): string | number {
	switch (sort) {
		case 'text':
			return typed;
		case 'number': {
			const value = Number(typed.replace(',', '.'));
			return Number.isNaN(value) ? typed : value;
		}
		case 'load':
			return withUnit(typed, units.load);
		case 'rate':
			return withUnit(typed, rateUnit(units));
		case 'length':
		case 'signed length': {
			const read = sort === 'length' ? readEntry : readSignedEntry;
			const entry = read(typed, units.length);
			return entry.ok ? entry.text : typed;
		}
	}
}

function put(target: Record<string, unknown>, path: string, value: unknown): void {
	const keys = path.split('.');
	const last = keys.pop()!;
	const at = keys.reduce((node, key) => (node[key] ??= {}) as Record<string, unknown>, target);
	at[last] = value;
}

function shimStockFrom(values: Values, units: Units): unknown[] {
	const rows = Object.keys(values).flatMap(
		(path) => /^shimStock\.(\d+)\.thickness$/.exec(path)?.[1] ?? []
	);
	return rows
		.map((row) => ({
			thickness: (values[`shimStock.${row}.thickness`] ?? '').trim(),
			count: (values[`shimStock.${row}.count`] ?? '').trim()
		}))
		.filter((row) => row.thickness !== '')
		.map((row) => ({
			thickness: understood(row.thickness, 'length', units),
			count: understood(row.count || '0', 'number', units)
		}));
}
