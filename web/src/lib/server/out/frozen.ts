/** A signed sheet as its outputs read it: the frozen figures, never worked out anew. */
import {
	FIGURE_NAMES,
	showLength,
	showLoad,
	type FigureName,
	type Job,
	type Kind,
	type Millimetres,
	type Newtons,
	type Quantity,
	type Reading,
	type State,
	type Units
} from '@zinc-ledger/core';
import { checkJob } from '@zinc-ledger/core/file';
import { figureOfVersion1, stateOfVersion1, type AnySignedSheet } from '@zinc-ledger/core/signed';
import { label } from '@zinc-ledger/words';
import { COLUMN_VIEWS, showFigure, type ColumnView, type Shown } from '$lib/sheet/columns';

/** What was said, in the words it was signed in. */
interface FrozenRemark {
	readonly state: State;
	readonly text: string;
}

export interface FrozenStation {
	readonly label: string;
	readonly head: string;
	readonly kind: Kind;
	readonly state: State;
	readonly figures: Readonly<Partial<Record<FigureName, Shown | null>>>;
	readonly stack: { readonly shims: readonly number[] };
	readonly checks: { readonly vacuum: { readonly reached: string } | null };
	readonly inForce: Partial<Record<Quantity, Reading>>;
	readonly remarks: readonly FrozenRemark[];
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
	readonly remarks: readonly FrozenRemark[];
}

/** A signed sheet of any version as its outputs read it. */
export interface SignedOut extends Pick<AnySignedSheet, 'signing' | 'sha256' | 'section'> {
	readonly job: Job;
	readonly sheet: FrozenSheet;
	readonly open: readonly {
		readonly place: string;
		readonly text: string;
		readonly accepted?: { readonly by: string; readonly reason: string } | undefined;
	}[];
}

export function signedOut(signed: AnySignedSheet): SignedOut {
	const job = checkJob(signed.job);
	return {
		signing: signed.signing,
		sha256: signed.sha256,
		section: signed.section,
		job: job.ok ? job.value : (signed.job as Job),
		sheet: frozen(signed),
		open: signed.open.map((one) => ('says' in one ? { ...one, text: one.says.text } : one))
	};
}

/** What was frozen in one shape, with the words that were frozen. */
function frozen(signed: AnySignedSheet): FrozenSheet {
	// Written by this program or the one before it, and verified: its shape is known by its version.
	// eslint-disable-next-line @typescript-eslint/no-explicit-any
	const sheet = JSON.parse(JSON.stringify(signed.sheet)) as any;
	const isFirst = signed.version === 1;
	const words = (says: unknown): string =>
		typeof says === 'string' ? says : ((says as { text?: string } | null)?.text ?? '');
	const remark = ({ state, text }: { state: string; text: unknown }): FrozenRemark => ({
		state: stateOfVersion1(state),
		text: words(text)
	});
	return {
		units: sheet.units,
		kinds: Object.fromEntries(
			Object.entries(sheet.kinds).map(([kind, of]) => {
				const own = of as FrozenKind & { target: { because: unknown } };
				return [kind, { ...own, target: { ...own.target, because: words(own.target.because) } }];
			})
		) as FrozenSheet['kinds'],
		remarks: sheet.remarks.map(remark),
		// eslint-disable-next-line @typescript-eslint/no-explicit-any
		stations: sheet.stations.map((station: any) => ({
			...station,
			state: stateOfVersion1(station.state),
			remarks: station.remarks.map(remark),
			figures: isFirst
				? Object.fromEntries(FIGURE_NAMES.map((name) => [name, figureOfVersion1(station, name)]))
				: station.figures
		}))
	};
}

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
		unit: column.dimension === 'load' ? units.load : units.length,
		of: (station) => {
			const verdict = station.figures[column.key] ?? null;
			const text = showFigure(verdict, column, units);
			return verdict === null || text === null ? null : { text, state: verdict.state };
		}
	});
	const all: OutColumn[] = [
		...COLUMN_VIEWS.map(ofFigure),
		{
			title: label('figure', 'headLoad'),
			unit: units.load,
			of: ({ figures: { headLoad } }) =>
				headLoad?.figure == null
					? null
					: { text: showLoad(headLoad.figure as Newtons, units), state: headLoad.state }
		},
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
