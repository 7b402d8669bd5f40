/** The job as it is beside the job as it might be: what is compared, in somebody's units. */
import {
	controlTally,
	KINDS,
	mm,
	newtons,
	showSpeed,
	tallied,
	type ControlTally,
	type Kind,
	type Newtons,
	type PlanAnswer,
	type Range,
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
	/** Highest engine speed in rpm; null where nobody named it. */
	readonly highest: number | null;
}

export interface Row {
	readonly name: string;
	/** One of each side; bad where a station stops. */
	readonly figures: readonly { readonly text: string; readonly bad?: boolean }[];
}

/** How somebody reads figures. */
type Reader = Pick<Bench, 'units' | 'length' | 'load'>;

/** "128 to 133"; one figure where all read alike. */
export function rangeText<Q extends number>(
	of: Range<Q> | null,
	shown: (figure: Q) => string
): string {
	if (!of) return '·';
	const [min, max] = [shown(of.min), shown(of.max)];
	return min === max ? min : `${min} to ${max}`;
}

/** What is compared of a kind. */
export function rowsOf(kind: Kind, sides: readonly Side[], { units, length, load }: Reader): Row[] {
	const loads = (of: Range<Newtons> | null) => rangeText(of, load);
	const who = capital(label('kind', kind));
	/** Before any height is measured, figures are those of the height aimed for, and say so. */
	const atTarget = sides.some(({ sheet }) => tallied(sheet, kind).atTarget);
	const row = (name: string, figure: (sheet: Sheet) => string, isOfHeight = false): Row => ({
		name: `${who} ${name}${atTarget && isOfHeight ? ', at target height' : ''}`,
		figures: sides.map(({ sheet }) => ({ text: figure(sheet) }))
	});
	const tallies = sides.map(({ sheet, highest }) => controlTally(sheet, kind, highest));
	/** What control at speed costs; no rows where nothing is known of it. */
	const controlRow = (name: string, figure: (of: ControlTally) => string): Row[] =>
		tallies.every((one) => one === null)
			? []
			: [
					{
						name: `${who} ${name}`,
						figures: tallies.map((one) => ({ text: one ? figure(one) : '·' }))
					}
				];
	return [
		row(`target, ${units.length}`, (sheet) => length(sheet.kinds[kind].target.height)),
		row(`seat loads, ${units.load}`, (sheet) => loads(tallied(sheet, kind).seat), true),
		row(`open loads, ${units.load}`, (sheet) => loads(tallied(sheet, kind).open), true),
		row(`min bind margin, ${units.length}`, (sheet) => length(tallied(sheet, kind).bind), true),
		row(`min seal clearance, ${units.length}`, (sheet) => length(tallied(sheet, kind).seal)),
		...controlRow('min control limit, rpm', ({ limit }) => showSpeed(limit)),
		...controlRow(`nose load there, ${units.load}`, ({ nose }) => load(nose)),
		...controlRow('seating velocity at the highest speed, m/s', ({ seating }) =>
			seating === null ? '·' : seating.toFixed(2)
		),
		...controlRow('energy stored, J', ({ energy }) => (energy === null ? '·' : energy.toFixed(1))),
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
	if (plan.type === 'plan') return length(mm(plan.worst));
	return plan.type === 'no-plan' ? 'no plan' : 'stopped';
}

/** With its sign, in somebody's units; '' where nothing is known or nothing shows. */
function change(
	before: number | null,
	after: number | null,
	shown: (figure: number) => string
): string {
	if (before === null || after === null) return '';
	const text = shown(Math.abs(after - before));
	return Number(text) === 0 ? '' : `${after > before ? '+' : '−'}${text}`;
}

/** What a change buys and costs, in a line: only what moves as far as it is shown. */
export function gainLine(now: Sheet, then: Sheet, { length, load }: Reader): string {
	const lengths = (figure: number) => length(mm(figure));
	const loads = (figure: number) => load(newtons(figure));
	const parts = KINDS.flatMap((kind) => {
		const [a, b] = [tallied(now, kind), tallied(then, kind)];
		const moved = (
			[
				['seat load', change(a.seat?.min ?? null, b.seat?.min ?? null, loads)],
				['open load', change(a.open?.max ?? null, b.open?.max ?? null, loads)],
				['bind margin', change(a.bind, b.bind, lengths)],
				['seal clearance', change(a.seal, b.seal, lengths)],
				['stations at stop', change(a.stop, b.stop, String)]
			] as const
		).flatMap(([name, by]) => (by ? `${name} ${by}` : []));
		return moved.length > 0 ? `${capital(label('kind', kind))}s: ${moved.join(', ')}` : [];
	});
	return parts.length > 0 ? `${parts.join('. ')}.` : 'No figure moves.';
}
