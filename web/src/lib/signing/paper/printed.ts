/** A sheet as paper and files read it: as it was signed, or as it stands. Never worked out anew. */
import {
	evaluate,
	openItems,
	sheetJson,
	showLength,
	type Drawing,
	type FigureName,
	type Job,
	type Kind,
	type Millimetres,
	type Quantity,
	type Reading,
	type RuleId,
	type State,
	type StationSheet,
	type Units
} from '@zinc-ledger/core';
import type { Signing } from '@zinc-ledger/core/signed';
import { label, write } from '@zinc-ledger/words';
import {
	COLUMN_VIEWS,
	INSPECTED_VIEWS,
	showFigure,
	type ColumnView,
	type Shown,
	unitOfColumn
} from '$lib/sheet/table/columns';

/** What was said, in the words it was signed in. */
interface PrintedRemark {
	readonly state: State;
	readonly text: string;
}

export interface PrintedStation {
	readonly label: string;
	readonly head: string;
	readonly kind: Kind;
	readonly state: State;
	readonly seen: StationSheet['seen'];
	readonly figures: Readonly<Partial<Record<FigureName, Shown | null>>>;
	readonly stack: { readonly shims: readonly number[] };
	readonly checks: { readonly vacuum: { readonly reached: string } | null };
	readonly inForce: Partial<Record<Quantity, Reading>>;
	readonly remarks: readonly PrintedRemark[];
}

interface PrintedKind {
	readonly lift: { readonly gross: number; readonly net: number } | null;
	readonly bind: { readonly height: number; readonly first: string | null } | null;
	readonly target: { readonly height: number | null; readonly because: string };
}

interface PrintedFinding {
	readonly rule: RuleId;
	readonly kind: Kind;
	readonly stations: readonly string[];
	readonly outcome: string;
	readonly severity: 'stop' | 'watch' | 'note';
	readonly compared: string;
	readonly acceptance: { readonly reason: string } | null;
}

export interface PrintedSheet {
	readonly units: { readonly sentences: Units };
	readonly stations: readonly PrintedStation[];
	readonly kinds: Readonly<Record<Kind, PrintedKind>>;
	readonly fit: readonly PrintedFinding[];
	readonly remarks: readonly PrintedRemark[];
}

/** All that paper is made of. */
export interface Printed {
	readonly job: Job;
	readonly sheet: PrintedSheet;
	readonly open: readonly {
		readonly place: string;
		readonly text: string;
		readonly accepted?: { readonly by: string; readonly reason: string } | undefined;
	}[];
	readonly section?: { readonly station: string; readonly drawing: Drawing } | undefined;
	/** Left out while the sheet is not signed. */
	readonly signed?: {
		readonly revision: number;
		readonly person: string;
		readonly at: string;
		readonly sha256: string;
		readonly supersedes: string | undefined;
		/** What the signature says; undefined in sheets signed before scopes. */
		readonly scope: Signing['scope'];
	};
}

/** How a sheet of another version kept its figures and states. */
export interface Kept {
	// Written by this program or the one before it, and verified: its shape is known by its version.
	// eslint-disable-next-line @typescript-eslint/no-explicit-any
	readonly figures: (station: any) => PrintedStation['figures'];
	readonly state: (state: string) => State;
}
const AS_NOW: Kept = {
	figures: ({ figures }: PrintedStation) => figures,
	state: (state) => state as State
};

/** A sheet in JSON, with the words that stand in it. */
export function printedSheet(json: object, kept: Kept = AS_NOW): PrintedSheet {
	// eslint-disable-next-line @typescript-eslint/no-explicit-any
	const sheet = json as any;
	const words = (says: unknown): string =>
		typeof says === 'string' ? says : ((says as { text?: string } | null)?.text ?? '');
	const remark = ({ state, text }: { state: string; text: unknown }): PrintedRemark => ({
		state: kept.state(state),
		text: words(text)
	});
	return {
		units: sheet.units,
		kinds: Object.fromEntries(
			Object.entries(sheet.kinds).map(([kind, of]) => {
				const own = of as PrintedKind & { target: { because: unknown } };
				return [kind, { ...own, target: { ...own.target, because: words(own.target.because) } }];
			})
		) as PrintedSheet['kinds'],
		fit: sheet.fit.map((finding: { compared: unknown }) => ({
			...finding,
			compared: words(finding.compared)
		})),
		remarks: sheet.remarks.map(remark),
		// eslint-disable-next-line @typescript-eslint/no-explicit-any
		stations: sheet.stations.map((station: any) => ({
			...station,
			state: kept.state(station.state),
			remarks: station.remarks.map(remark),
			figures: kept.figures(station)
		}))
	};
}

/** The sheet of a job as it stands, not signed. */
export function printedDraft(job: Job, units: Units): Printed {
	const sheet = evaluate(job);
	const nameOf = (id: string) => job.people.find((person) => person.id === id)?.name ?? '';
	return {
		job,
		sheet: printedSheet(sheetJson(sheet, units, write)),
		open: openItems(job, sheet).map(({ place, text, acceptance }) => ({
			place,
			text: write(text, units),
			accepted: acceptance
				? { by: nameOf(acceptance.person), reason: acceptance.reason }
				: undefined
		}))
	};
}

/** A figure of a station as it stands in a column. */
export interface Cell {
	readonly text: string;
	readonly state: State;
	/** What its scale is drawn by. */
	readonly shown?: Shown;
}

/** A column of the sheet out: its title and unit, and what a station has in it. */
export interface PrintedColumn {
	readonly title: string;
	readonly unit: string;
	readonly of: (station: PrintedStation) => Cell | null;
}

/** A figure of the registry as a column of the sheet out. */
const asPrinted =
	(units: Units) =>
	(column: ColumnView): PrintedColumn => ({
		title: column.title,
		unit: unitOfColumn(column, units),
		of: (station) => {
			const verdict = station.figures[column.key] ?? null;
			const text = showFigure(verdict, column, units);
			return verdict === null || text === null
				? null
				: { text, state: verdict.state, shown: verdict };
		}
	});

/** Columns of what was measured on valves, seats and chambers, where anything was. */
export const inspectedColumns = (sheet: PrintedSheet): PrintedColumn[] =>
	INSPECTED_VIEWS.map(asPrinted(sheet.units.sentences)).filter(({ of }) =>
		sheet.stations.some((station) => of(station) !== null)
	);

/** The columns that a sheet has anything in. */
export function printedColumns(sheet: PrintedSheet): PrintedColumn[] {
	const units = sheet.units.sentences;
	const length = (figure: number) => showLength(figure as Millimetres, units);
	const ofFigure = asPrinted(units);
	const all: PrintedColumn[] = [
		...COLUMN_VIEWS.map(ofFigure),
		{
			title: label('figure', 'vacuum'),
			unit: '',
			of: ({ checks, figures: { vacuum } }) =>
				checks.vacuum && { text: checks.vacuum.reached, state: vacuum?.state ?? 'clear' }
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
