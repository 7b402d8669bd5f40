/** The job as it is beside the job as it might be: what is compared, in somebody's units. */
import {
	mm,
	showLength,
	showLoad,
	tallied,
	type Kind,
	type Millimetres,
	type Newtons,
	type PlanAnswer,
	type Sheet,
	type Units
} from '@zinc-ledger/core';
import { label } from '@zinc-ledger/words';
import { capital } from '$lib/ui/words';

/** One way the job may be, planned or not. */
export interface Side {
	readonly name: string;
	readonly sheet: Sheet;
	readonly plan: PlanAnswer | null;
}

export interface Row {
	readonly name: string;
	/** One of each side; bad where a station stops. */
	readonly figures: readonly { readonly text: string; readonly bad?: boolean }[];
}

const UNKNOWN = '·';
const length = (of: Millimetres | null | undefined, units: Units) =>
	of == null ? UNKNOWN : showLength(of, units);

function range(of: { least: Newtons; most: Newtons } | null | undefined, units: Units): string {
	return of ? `${showLoad(of.least, units)} to ${showLoad(of.most, units)}` : UNKNOWN;
}

/** What is compared of a kind. */
export function rowsOf(kind: Kind, sides: readonly Side[], units: Units): Row[] {
	const who = capital(label('kind', kind));
	const row = (name: string, figure: (sheet: Sheet) => string): Row => ({
		name: `${who} ${name}`,
		figures: sides.map(({ sheet }) => ({ text: figure(sheet) }))
	});
	return [
		row(`target, ${units.length}`, (sheet) => length(sheet.kinds[kind].target.height, units)),
		row(`seat loads, ${units.load}`, (sheet) => range(sheet.seatLoads[kind], units)),
		row(`open loads, ${units.load}`, (sheet) => range(tallied(sheet, kind).open, units)),
		row(`min bind margin, ${units.length}`, (sheet) => length(tallied(sheet, kind).bind, units)),
		row(`min seal clearance, ${units.length}`, (sheet) => length(tallied(sheet, kind).seal, units)),
		{
			name: `${who} stations at stop, too close to call, watch`,
			figures: sides.map(({ sheet }) => {
				const { stop, close, watch } = tallied(sheet, kind);
				return { text: `${stop}, ${close}, ${watch}`, bad: stop > 0 };
			})
		}
	];
}

/** How far from its target the worst station of a plan stays. */
export function worstOf(plan: PlanAnswer, units: Units): string {
	if (plan.sort === 'plan') return length(mm(plan.worst), units);
	return plan.sort === 'no-plan' ? 'no plan' : 'stopped';
}
