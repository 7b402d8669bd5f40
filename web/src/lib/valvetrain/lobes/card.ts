/** A cam's lobe as its card has it, for a lift table to be held against. */
import {
	lengthOf,
	mm,
	type Cam,
	type Duration,
	type Kind,
	type TableLine
} from '@zinc-ledger/core';

/** Durations at stated lifts of the lobe. */
export function durationsOf({ duration, durationAt, second }: Cam[Kind]): Duration[] {
	return [
		...(duration !== undefined && durationAt
			? [{ lift: lengthOf(durationAt), degrees: duration }]
			: []),
		...(second ? [{ lift: lengthOf(second.at), degrees: second.duration }] : [])
	];
}

/** The lift table that the card carries; empty for none. */
export const tableOf = ({ table }: Cam[Kind]): TableLine[] =>
	(table ?? []).map(({ degree, lift }) => ({ degree, lift: mm(lengthOf(lift)) }));
