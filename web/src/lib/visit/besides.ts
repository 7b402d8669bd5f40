/** Then and now as a table has it: texts in somebody's units, and what of them is news. */
import {
	isBeyond,
	mm,
	newtons,
	type Moved,
	type Explanation,
	type StationBeside,
	type Trace
} from '@zinc-ledger/core';
import { label } from '@zinc-ledger/words';
import type { Bench } from '$lib/bench/bench.svelte';

type Reader = Pick<Bench, 'length' | 'load'>;

/** Quantities that any station can be compared in, in the order of the table. */
export const shownTraces = (stations: readonly StationBeside[]): Trace[] =>
	(['height', 'seal-gap', 'tip-height', 'lash', 'load'] as const).filter((trace) =>
		stations.some(({ moved }) => moved[trace])
	);

export const figureText = (trace: Trace, value: number, { length, load }: Reader): string =>
	trace === 'load' ? load(newtons(value)) : length(mm(value));

/** A change with its sign. */
export function changeText(trace: Trace, change: Moved, reader: Reader): string {
	const text = figureText(trace, Math.abs(change.by), reader);
	return `${change.by < 0 ? '−' : '+'}${text}`;
}

/** Whether anything at a station moved further than it was read to. */
export const hasMoved = ({ moved }: StationBeside): boolean =>
	Object.values(moved).some(({ change }) => isBeyond(change));

/** "seat sank 0.016 and tip worn 0.012" */
export const explanationText = ({ happened }: Explanation, reader: Reader): string =>
	happened
		.map(
			({ happening, amount }) =>
				`${label('happening', happening)} ${figureText(happening === 'spring-sagged' ? 'load' : 'height', amount, reader)}`
		)
		.join(' and ');
