/** What a shop decides once for all its jobs: the careful usual, and what it changed of that. */
import {
	defaultSetup,
	loadText,
	messageOf,
	MM_PER,
	ONE_READING,
	UNKNOWN_REPEAT,
	UNSAID_LIMITS,
	type LengthUnit,
	type Setup
} from '@zinc-ledger/core';
import { Setup as SetupSchema } from '@zinc-ledger/core/schema';
import { tell } from '@zinc-ledger/words';
import { flatten, unflatten, parsed, type Values } from '$lib/forms/flat';
import { SHOP_FIELDS } from './fields';

const inUnits = (length: LengthUnit) => ({ length, load: length === 'in' ? 'lbf' : 'N' }) as const;

/** The texts of what jobs start with where the shop changed nothing. */
export const usualTexts = (unit: LengthUnit): Values =>
	flatten(defaultSetup(unit, ''), SHOP_FIELDS);

/**
 * What applies where a shop and its jobs say nothing, for each field of a shop's policies: what
 * jobs start with, and the defaults that a job does not carry.
 */
export function defaultTexts(unit: LengthUnit): Values {
	// Half a thousandth is a default of its own.
	const length = (of: number) => `${Number((of / MM_PER[unit]).toFixed(4))} ${unit}`;
	const { tester, onHead, ...lengths } = ONE_READING;
	const oneReading = {
		...Object.fromEntries(Object.entries(lengths).map(([of, usual]) => [of, length(usual)])),
		tester: String(tester),
		onHead: String(onHead)
	};
	return {
		'limits.outlierMax': length(UNSAID_LIMITS.outlierMax),
		'limits.sealHeight': length(UNSAID_LIMITS.sealHeight),
		'limits.leakDown': String(UNSAID_LIMITS.leakDown),
		'limits.sagWatch': String(UNSAID_LIMITS.sagWatch),
		'limits.sagStop': String(UNSAID_LIMITS.sagStop),
		'limits.controlHeadroom': String(UNSAID_LIMITS.controlHeadroom),
		'limits.netSeatLoad': loadText(UNSAID_LIMITS.netSeatLoad, inUnits(unit).load),
		'limits.unknownRepeat': String(UNKNOWN_REPEAT),
		...Object.fromEntries(
			Object.entries(oneReading).map(([of, usual]) => [`limits.oneReading.${of}`, usual])
		),
		...Object.fromEntries(Object.entries(usualTexts(unit)).filter(([, text]) => text !== ''))
	};
}

/** Unchecked: the usual set-up with the shop's own in its places. */
const setupFrom = (unit: LengthUnit, own: Values) =>
	unflatten({ ...usualTexts(unit), ...own }, SHOP_FIELDS, defaultSetup(unit, ''), inUnits(unit));

/** The set-up that a job starts with in a shop; the usual one where its own makes no sense together. */
export function setupWith(unit: LengthUnit, own: Values): Setup {
	const read = SetupSchema.safeParse(setupFrom(unit, own));
	return read.success ? read.data : defaultSetup(unit, '');
}

/** What is wrong with a shop's own values, by field; none where they make sense together. */
export function shopProblems(unit: LengthUnit, own: Values): Record<string, string> {
	const read = SetupSchema.safeParse(setupFrom(unit, own));
	if (read.success) return {};
	return Object.fromEntries(
		read.error.issues.map((issue) => [issue.path.join('.'), tell(messageOf(issue))])
	);
}

/** What was typed of a field, with its unit. */
export function ownText(path: string, typed: string, unit: LengthUnit): string {
	const field = SHOP_FIELDS.find((one) => one.path === path);
	return typed.trim() === '' || !field
		? ''
		: String(parsed(typed.trim(), field.type, inUnits(unit)));
}

export interface ShopChange {
	readonly field: string;
	readonly from: string | null;
	readonly to: string;
}

/** What a page's texts change of a shop's own: empty where the usual one is to stand again. */
export function changesOf(texts: Values, own: Values, unit: LengthUnit): ShopChange[] {
	return SHOP_FIELDS.flatMap(({ path }) => {
		const typed = texts[path];
		if (typed === undefined) return [];
		const to = ownText(path, typed, unit);
		const from = own[path] ?? null;
		return to === (from ?? '') ? [] : [{ field: path, from, to }];
	});
}
