/** Which fields are asked for where something is wanted, and the set-up that they make. */
import type { Job, Kind, Need, PartType, Setup, StationPart, Units } from '@zinc-ledger/core';
import { flatten, unflatten, type Values } from '$lib/forms/flat';
import { fieldsOf } from '$lib/parts/library/fields';
import { JOB_FIELDS, KIND_GROUPS, type SetupFieldSpec } from '$lib/job/setup/fields';
import { setupFrom, valuesOf, withChoices } from '$lib/job/setup/values';
import { fieldOfNeed } from './needs';

export interface Asked {
	/** The field that the need is met at. */
	readonly first: string;
	readonly ofPart: boolean;
	readonly groups: readonly {
		/** Null for what all valves of the job share. */
		readonly kind: Kind | null;
		/** The part's name, where it is a figure of one. */
		readonly part: string | null;
		readonly fields: readonly SetupFieldSpec[];
	}[];
	readonly values: Values;
}

const KIND_FIELDS = KIND_GROUPS.flatMap(({ fields }) => fields);
const TYPES: Partial<Record<StationPart, PartType>> = { lashCap: 'lash-cap' };
const typeOf = (part: StationPart) => TYPES[part] ?? (part as PartType);
const at = (root: string, field: SetupFieldSpec): SetupFieldSpec => ({
	...field,
	path: `${root}${field.path}`
});

/** The fields that a need is met at, of each kind that wants it, with what goes with them: a ratio with its lobe. */
export function askedFor(need: Need, kinds: readonly Kind[], { setup }: Pick<Job, 'setup'>): Asked {
	const found = kinds.flatMap((kind) => {
		const field = fieldOfNeed(need, kind, { setup });
		return field ? [{ kind, ...field }] : [];
	});
	const isOfKind = found[0]!.path.startsWith('kinds.');
	const groups = (isOfKind ? found : found.slice(0, 1)).map(({ kind, path, part }) => {
		if (!isOfKind)
			return { kind: null, part, fields: JOB_FIELDS.filter((field) => field.path === path) };
		const root = `kinds.${kind}.${part ? `${part}.` : ''}`;
		const own = path.slice(root.length);
		const head = own.split('.')[0]!;
		const fields = part
			? fieldsOf(typeOf(part)).filter((field) => field.path === own)
			: KIND_FIELDS.filter((field) => field.path === own || field.path.startsWith(`${head}.`));
		return {
			kind,
			part: part ? setup.kinds[kind][part]!.name : null,
			fields: fields.map((field) => at(root, field))
		};
	});
	const fields = groups.flatMap((group) => group.fields);
	const ofPart = found[0]!.part !== null;
	const values = ofPart ? flatten(setup, fields) : withChoices(valuesOf(setup));
	return { first: found[0]!.path, ofPart, groups, values };
}

/** The set-up with what was typed, unchecked. */
export const setupWith = (values: Values, asked: Asked, setup: Setup, units: Units): unknown =>
	asked.ofPart
		? unflatten(
				values,
				asked.groups.flatMap(({ fields }) => fields),
				setup,
				units
			)
		: setupFrom(values, setup, units);
