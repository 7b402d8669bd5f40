/** A template of an engine as the texts of its page, and back. */
import {
	KINDS,
	messageOf,
	type KindSetup,
	type Setup,
	type Template,
	type Units
} from '@zinc-ledger/core';
import { Template as TemplateSchema } from '@zinc-ledger/core/template-schema';
import { label, tell } from '@zinc-ledger/words';
import type { Values } from '$lib/forms/flat';
import { COMPRESSION_FIELDS, KIND_GROUPS, type SetupFieldSpec } from '$lib/job/setup/fields';
import { layoutOf, layoutTexts, TakeIn } from '$lib/job/setup/take-in';
import { setupFrom, valuesOf } from '$lib/job/setup/values';

/** What a kind of valves has of the engine: rockers, pockets, what is usually aimed for. */
export const ENGINE_FIELDS: readonly SetupFieldSpec[] = [
	{ path: 'rocker.ratio', label: 'Rocker ratio', type: 'number' },
	...KIND_GROUPS.flatMap(({ fields }) => fields).filter(
		({ path }) => /^(pocket|aim)\./.test(path) || path === 'maxOpenLoad'
	)
];
export const CHAMBER_FIELDS = COMPRESSION_FIELDS;

/** The texts of a template's page. */
export function textsOfTemplate({ name, layout, setup }: Omit<Template, 'id'>): Values {
	const head = Object.entries(layoutTexts(layout)).map(([field, text]) => [field, String(text)]);
	const ratios = KINDS.map((kind) => [
		`kinds.${kind}.rocker.ratio`,
		String(setup.kinds[kind].rocker?.ratio ?? '')
	]);
	return {
		...valuesOf(setup),
		...(Object.fromEntries([...head, ...ratios]) as Values),
		name,
		lifters: setup.lifters
	};
}

/** The form of the heads that a page's texts stand for; its usual answers where they make none. */
export function headsOf(values: Values): TakeIn {
	const texts = { ...values, number: '-', customer: '-', engine: '-' };
	const read = TakeIn.safeParse(texts);
	return read.success ? read.data : { ...TakeIn.parse({ ...NOBODY }), ...(texts as object) };
}
const NOBODY = { number: '-', customer: '-', engine: '-' };

export type TemplateRead =
	| { readonly ok: true; readonly template: Template }
	| { readonly ok: false; readonly problems: Readonly<Record<string, string>> };

/**
 * The template that a page stands for.
 *
 * @param before what the page does not show is as it was there
 */
export function templateFrom(values: Values, before: Template, units: Units): TemplateRead {
	const problems: Record<string, string> = {};
	const heads = TakeIn.safeParse({ ...values, ...NOBODY });
	if (!heads.success)
		for (const issue of heads.error.issues) problems[issue.path.join('.')] = tell(messageOf(issue));
	const setup = setupFrom({ ...valuesOf(before.setup), ...values }, before.setup, units) as Setup;
	const kinds = Object.fromEntries(
		KINDS.map((kind) => [kind, withRatio(setup.kinds[kind], values[`kinds.${kind}.rocker.ratio`])])
	);
	const read = TemplateSchema.safeParse({
		id: before.id,
		name: values.name ?? '',
		layout: heads.success ? layoutOf(heads.data) : before.layout,
		setup: { ...setup, kinds }
	});
	if (!read.success)
		for (const issue of read.error.issues)
			problems[issue.path.join('.').replace(/^setup\./, '')] ??= tell(messageOf(issue));
	return read.success && Object.keys(problems).length === 0
		? { ok: true, template: read.data }
		: { ok: false, problems };
}

/** A kind with rockers of a ratio; those that it had keep what else is known of them. */
function withRatio(kind: KindSetup, typed = ''): KindSetup {
	const text = typed.trim().replace(',', '.');
	const rest = { ...kind };
	delete rest.rocker;
	if (text === '') return rest;
	const ratio = Number(text);
	const same = kind.rocker?.ratio === ratio;
	const rocker = same ? kind.rocker! : { name: `${label('slot', 'rocker')} ${text}`, ratio };
	return { ...rest, rocker };
}
