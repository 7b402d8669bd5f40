/** What is set in a group of fields, in one line. */
import { label } from '@zinc-ledger/words';
import type { Kind } from '@zinc-ledger/core';
import type { Values } from '$lib/forms/flat';
import type { SetupFieldSpec } from './fields';

/** More figures than this are counted and not named. */
const MOST = 4;

const shownAs = ({ names, label: name, type }: SetupFieldSpec, value: string): string =>
	type === 'yes-no' ? `${name}: ${value}` : (names?.[value] ?? value);

/**
 * Returns the values set in some fields, in one line. Empty fields are left out.
 *
 * @param kinds the kinds whose fields they are; none for those of the whole job
 * @example summaryOf(group.fields, values) // 'iron, hard steel, pushrod'
 */
export function summaryOf(
	fields: readonly SetupFieldSpec[],
	values: Values,
	kinds: readonly Kind[] = []
): string {
	const said = (path: (field: SetupFieldSpec) => string) =>
		fields.flatMap((field) => {
			const value = values[path(field)]?.trim();
			return value ? [shownAs(field, value)] : [];
		});
	const inLine = (texts: readonly string[]) =>
		texts.length > MOST
			? `${texts.slice(0, MOST).join(', ')} and ${texts.length - MOST} more`
			: texts.join(', ');
	if (kinds.length === 0) return inLine(said(({ path }) => path));
	return kinds
		.flatMap((kind) => {
			const texts = said(({ path }) => `kinds.${kind}.${path}`);
			return texts.length > 0 ? [`${label('kind', kind)}: ${inLine(texts)}`] : [];
		})
		.join('; ');
}
