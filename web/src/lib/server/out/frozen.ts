/** A signed sheet as its outputs read it: the frozen figures, never worked out anew. */
import {
	holdsVacuum,
	showLength,
	showLoad,
	type Check,
	type Column,
	type Kind,
	type Millimetres,
	type Newtons,
	type Quantity,
	type Reading,
	type State,
	type Units
} from '@zinc-ledger/core';
import type { SignedSheet } from '@zinc-ledger/core/signed';
import {
	COLUMN_VIEWS,
	showFigure,
	verdictIn,
	type ColumnView,
	type Shown
} from '$lib/sheet/columns';

type Judged = Shown;

export interface FrozenStation {
	readonly label: string;
	readonly head: string;
	readonly kind: Kind;
	readonly state: State;
	readonly figures: Readonly<Record<Column, Judged | null>>;
	readonly stack: { readonly shims: readonly number[] };
	readonly built: Judged | null;
	readonly piston: Judged | null;
	readonly preload: Judged | null;
	readonly headLoad: number | null;
	readonly checks: { readonly vacuum: Extract<Check, { sort: 'vacuum' }> | null };
	readonly inForce: Partial<Record<Quantity, Reading>>;
	readonly remarks: readonly { readonly state: State; readonly text: string }[];
}

interface FrozenKind {
	readonly lift: { readonly gross: number; readonly net: number } | null;
	readonly bind: { readonly height: number; readonly first: string | null } | null;
	readonly target: { readonly height: number | null; readonly because: string };
}

export interface FrozenSheet {
	readonly units: { readonly sentences: Units };
	readonly stations: readonly FrozenStation[];
	readonly kinds: Readonly<Record<Kind, FrozenKind>>;
	readonly remarks: readonly { readonly state: State; readonly text: string }[];
}

export const frozen = (signed: SignedSheet) => signed.sheet as unknown as FrozenSheet;

/** A column of the sheet out: its title and unit, and the text of a station in it. */
export interface OutColumn {
	readonly title: string;
	readonly unit: string;
	readonly of: (station: FrozenStation) => { readonly text: string; readonly state: State } | null;
}

/** The columns that a signed sheet has anything in. */
export function outColumns(sheet: FrozenSheet): OutColumn[] {
	const units = sheet.units.sentences;
	const length = (figure: number) => showLength(figure as Millimetres, units);
	const ofFigure = (column: ColumnView): OutColumn => ({
		title: column.title,
		unit: column.sort === 'length' ? units.length : units.load,
		of: (station) => {
			const verdict = verdictIn(station, column.key);
			const text = showFigure(verdict, column, units);
			return verdict === null || text === null ? null : { text, state: verdict.state };
		}
	});
	const all: OutColumn[] = [
		...COLUMN_VIEWS.map(ofFigure),
		{
			title: 'On the head',
			unit: units.load,
			of: ({ headLoad }) =>
				headLoad === null ? null : { text: showLoad(headLoad as Newtons, units), state: 'clear' }
		},
		{
			title: 'Vacuum',
			unit: '',
			of: ({ checks: { vacuum } }) =>
				vacuum && { text: vacuum.reached, state: holdsVacuum(vacuum) ? 'clear' : 'stop' }
		},
		{
			title: 'Shims',
			unit: units.length,
			of: ({ stack }) =>
				stack.shims.length > 0
					? { text: stack.shims.map(length).join(' + '), state: 'clear' }
					: null
		}
	];
	return all.filter(({ of }) => sheet.stations.some((station) => of(station) !== null));
}
