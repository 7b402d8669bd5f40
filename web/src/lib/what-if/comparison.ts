/** The job as it is beside the job as it might be: what is compared, in somebody's units. */
import {
	mm,
	tallied,
	type Kind,
	type Newtons,
	type PlanAnswer,
	type Sheet
} from '@zinc-ledger/core';
import { label } from '@zinc-ledger/words';
import type { Bench } from '$lib/bench/bench.svelte';
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

/** How somebody reads figures. */
type Reader = Pick<Bench, 'units' | 'length' | 'load'>;

/** What is compared of a kind. */
export function rowsOf(kind: Kind, sides: readonly Side[], { units, length, load }: Reader): Row[] {
	const range = (of: { least: Newtons; most: Newtons } | null) =>
		of ? `${load(of.least)} to ${load(of.most)}` : load(null);
	const who = capital(label('kind', kind));
	const row = (name: string, figure: (sheet: Sheet) => string): Row => ({
		name: `${who} ${name}`,
		figures: sides.map(({ sheet }) => ({ text: figure(sheet) }))
	});
	return [
		row(`target, ${units.length}`, (sheet) => length(sheet.kinds[kind].target.height)),
		row(`seat loads, ${units.load}`, (sheet) => range(sheet.seatLoads[kind])),
		row(`open loads, ${units.load}`, (sheet) => range(tallied(sheet, kind).open)),
		row(`min bind margin, ${units.length}`, (sheet) => length(tallied(sheet, kind).bind)),
		row(`min seal clearance, ${units.length}`, (sheet) => length(tallied(sheet, kind).seal)),
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
export function worstOf(plan: PlanAnswer, { length }: Reader): string {
	if (plan.sort === 'plan') return length(mm(plan.worst));
	return plan.sort === 'no-plan' ? 'no plan' : 'stopped';
}
