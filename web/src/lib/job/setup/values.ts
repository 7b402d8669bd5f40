/** A set-up as the flat texts of its form, and back. */
import {
	KINDS,
	LENGTH_TEXT,
	lengthOf,
	usualInspectedLimits,
	type Setup,
	type Units
} from '@zinc-ledger/core';
import { flatten, parsed, unflatten, type Values } from '$lib/forms/flat';
import {
	COMPRESSION_FIELDS,
	JOB_FIELDS,
	KIND_GROUPS,
	INSPECTED_FIELDS,
	LIMIT_FIELDS,
	type SetupFieldSpec
} from './fields';

const KIND_FIELDS = KIND_GROUPS.flatMap((group) => group.fields);

/** Every field of the form with its full path. */
const ALL_FIELDS: readonly SetupFieldSpec[] = [
	...JOB_FIELDS,
	...LIMIT_FIELDS,
	...INSPECTED_FIELDS,
	...COMPRESSION_FIELDS,
	...KINDS.flatMap((kind) =>
		KIND_FIELDS.map((field) => ({ ...field, path: `kinds.${kind}.${field.path}` }))
	)
];

/** What stands in the form of a job that says nothing of what valves and seats are held against. */
const USUAL_INSPECTED = flatten(
	{ limits: { inspected: usualInspectedLimits('in') } },
	INSPECTED_FIELDS
);
/** Whether a set-up said nothing of it, and its form neither. */
const saysNothingOf = ({ limits }: Setup, values: Values) =>
	limits.inspected === undefined &&
	INSPECTED_FIELDS.every(({ path }) => (values[path] ?? '') === (USUAL_INSPECTED[path] ?? ''));

/** The texts of a set-up's form. */
export function valuesOf(setup: Setup): Values {
	const values = flatten(setup, ALL_FIELDS);
	if (!setup.limits.inspected) Object.assign(values, USUAL_INSPECTED);
	for (const kind of KINDS)
		values[`kinds.${kind}.has.retainer`] = setup.kinds[kind].retainer ? 'yes' : '';
	(setup.overrides ?? []).forEach((override, i) => {
		const { cylinder, kind, lift, lash } = override;
		Object.assign(values, {
			[`overrides.${i}.cylinder`]: String(cylinder),
			[`overrides.${i}.kind`]: kind,
			[`overrides.${i}.type`]: lift?.type ?? 'valve',
			[`overrides.${i}.lift`]: lift ? (lift.type === 'lobe' ? lift.lobe : lift.valve) : '',
			[`overrides.${i}.lash`]: lash?.setting ?? ''
		});
	});
	setup.shimStock.forEach((size, i) => {
		for (const [part, value] of Object.entries(size))
			values[`shimStock.${i}.${part}`] = String(value);
	});
	return values;
}

/** Selects that must stand at something stand at their first choice; the values must say the same. */
export function withChoices(texts: Values): Values {
	const chosen = { ...texts };
	for (const kind of KINDS) {
		for (const field of KIND_FIELDS) {
			const path = `kinds.${kind}.${field.path}`;
			if (field.choices) chosen[path] ||= firstOf(field.path, field.choices);
			else chosen[path] ??= '';
		}
	}
	return chosen;
}

const firstOf = (path: string, choices: readonly string[]): string =>
	path.endsWith('source') ? 'card' : choices[0]!;

/**
 * The set-up that a form stands for, unchecked. What the form does not show is
 * kept from `before`; a part of which nothing is filled in but its choices is
 * left out whole.
 */
export function setupFrom(values: Values, before: Setup, units: Units): unknown {
	const shown = ALL_FIELDS.filter((field) => isShown(field, values));
	const isUnsaid = saysNothingOf(before, values);
	const typed = shown.filter(
		({ path }) => (values[path] ?? '').trim() !== '' && !(isUnsaid && path in USUAL_INSPECTED)
	);
	const filled = new Set(
		typed.filter(({ type }) => type !== 'choice').map(({ path }) => partOf(path))
	);
	const kept = Object.fromEntries(
		typed
			.filter(({ path }) => !NEEDS_FIGURES.test(path) || filled.has(partOf(path)))
			.map(({ path }) => [path, values[path]!])
	);
	const setup = unflatten(kept, ALL_FIELDS, before, units);
	const use = (setup.use ??= {}) as Record<string, unknown>;
	use.duty ??= '';
	setup.shimStock = shimStockFrom(values, units);
	const overrides = overridesFrom(values, setup, units);
	if (overrides.length > 0) setup.overrides = overrides;
	else delete setup.overrides;
	return setup;
}

/** Parts that are left out whole when only their choices stand. */
const NEEDS_FIGURES = /\.(lift|lash)\./;

/** "kinds.intake.lift" of "kinds.intake.lift.lobe". */
const partOf = (path: string) => path.split('.').slice(0, 3).join('.');

/** Whether a field is on show, given what the others hold. */
export function isShown(field: SetupFieldSpec, values: Values): boolean {
	if (!field.when) return true;
	const [path, wanted] = field.when;
	const prefix = /^kinds\.[a-z]+\./.exec(field.path)?.[0] ?? '';
	return (values[path === 'lifters' ? path : prefix + path] || defaultChoice(path)) === wanted;
}

/** What a choice stands at before anybody chose. */
const defaultChoice = (path: string) => (path === 'lift.type' ? 'lobe' : '');

/**
 * Whether two texts of a field mean the same: "0.5 mm" and "0.50 mm". What is written round
 * in inches and in millimetres, as limits are, is the same where it rounds to the same.
 */
export function isSameFigure(a: string, b: string): boolean {
	if (a === b) return true;
	if (a === '' || b === '') return false;
	const [unitA, unitB] = [a, b].map((text) => text.replace(/^[\d.+-]+\s*/, ''));
	if (unitA === unitB) return Number.parseFloat(a) === Number.parseFloat(b);
	return (
		LENGTH_TEXT.test(a) && LENGTH_TEXT.test(b) && Math.abs(lengthOf(a) - lengthOf(b)) < ROUND_MM
	);
}
/** Limits in inch and metric are each written round: 0.050 in, 1.27 mm. */
const ROUND_MM = 0.021;

const SHIM_FIELDS = ['thickness', 'count', 'inside', 'outside'] as const;

/** The numbered rows of a list in the form: "overrides.0.lift" → [{ lift: … }]. */
function rowsOf(values: Values, list: string, wanted: string): Values[] {
	const rows = new Map<number, Values>();
	for (const [path, text] of Object.entries(values)) {
		const [, number, part] = new RegExp(`^${list}\\.(\\d{1,3})\\.(\\w+)$`).exec(path) ?? [];
		if (number === undefined) continue;
		const row = rows.get(Number(number)) ?? {};
		rows.set(Number(number), { ...row, [part!]: text.trim() });
	}
	return [...rows]
		.toSorted(([a], [b]) => a - b)
		.map(([, row]) => row)
		.filter((row) => row[wanted]);
}

/** Lift and lash of single cylinders; ratio, tolerance and source are as their kind has them. */
function overridesFrom(values: Values, setup: Record<string, unknown>, units: Units): unknown[] {
	const kinds = setup.kinds as Setup['kinds'];
	return rowsOf(values, 'overrides', 'cylinder').map(({ cylinder, kind, type, lift, lash }) => {
		const of = kinds[kind === 'exhaust' ? 'exhaust' : 'intake'];
		const source = of.lift?.source ?? 'data-sheet';
		const ratio = of.lift?.type === 'lobe' ? of.lift.ratio : 1;
		const figure = lift ? parsed(lift, 'length', units) : undefined;
		return {
			cylinder: parsed(cylinder!, 'number', units),
			kind,
			...(figure !== undefined && {
				lift:
					type === 'lobe'
						? { type: 'lobe', lobe: figure, ratio, source }
						: { type: 'valve', valve: figure, source }
			}),
			...(lash && { lash: { ...of.lash, setting: parsed(lash, 'length', units) } })
		};
	});
}

function shimStockFrom(values: Values, units: Units): unknown[] {
	return rowsOf(values, 'shimStock', 'thickness').map((row) =>
		Object.fromEntries(
			SHIM_FIELDS.map((part) => [part, row[part] ?? ''] as const)
				.filter(([, text]) => text !== '')
				.map(([part, text]) => [part, parsed(text, part === 'count' ? 'number' : 'length', units)])
		)
	);
}
