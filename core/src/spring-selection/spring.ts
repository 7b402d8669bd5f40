/**
 * Which springs of the library could serve at these stations: with the lift,
 * pocket, seal, retainer, lifter, engine speed and duty of the job, and what
 * rules each of the others out.
 */
import { coilBindMargin } from '../clearance/index.ts';
import { RULES, withPart, type FitContext, type RuleId } from '../fit/index.ts';
import { kindSheet } from '../figures/index.ts';
import {
	lengthOf,
	massOf,
	mm,
	toComparisonStep,
	type Kilograms,
	type Millimetres,
	type Newtons
} from '../units/index.ts';
import { message, type Message, type Need } from '../message/index.ts';
import type { LibraryPart } from '../part/index.ts';

declare module '../message/message.ts' {
	interface Messages {
		'spring.bind-margin-short': { readonly margin: Millimetres; readonly min: Millimetres };
		'spring.bind-margin-wide': { readonly margin: Millimetres; readonly wide: Millimetres };
		'fit.rule-needs': { readonly rule: RuleId; readonly needs: readonly Need[] };
	}
}

export interface SpringCandidate {
	readonly part: LibraryPart<'spring'>;
	/** Height that the job's method would aim at with it. */
	readonly height: Millimetres | null;
	readonly seatLoad: Newtons | null;
	readonly openLoad: Newtons | null;
	readonly bindMargin: Millimetres | null;
	readonly mass: Kilograms | null;
	/** Why it cannot serve; empty for one that could. */
	readonly ruledOut: readonly Message[];
	/** What is to be watched, or is not known, with it. */
	readonly remarks: readonly Message[];
}

/** Only what another spring could mend speaks against a spring. */
const SPRING_RULES = RULES.filter((rule) => rule.fixableBy.includes('spring'));

/**
 * Every spring of the library that is not retired, those that could serve
 * first: fewest remarks, then bind margin nearest to its aim from above, then
 * the lightest. Source: handbook §4.
 *
 * @returns every candidate with its figures in mm and N and what speaks against it; none is left out
 */
export function chooseSprings(
	context: FitContext,
	library: readonly LibraryPart[]
): SpringCandidate[] {
	const aim = lengthOf(context.setup.limits.bindAim);
	const off = ({ bindMargin }: SpringCandidate) =>
		bindMargin === null ? Number.POSITIVE_INFINITY : Math.abs(bindMargin - aim);
	return library
		.filter((part): part is LibraryPart<'spring'> => part.sort === 'spring' && !part.retired)
		.map((part) => candidate(context, part))
		.toSorted(
			(a, b) =>
				Number(a.ruledOut.length > 0) - Number(b.ruledOut.length > 0) ||
				a.remarks.length - b.remarks.length ||
				off(a) - off(b) ||
				(a.mass ?? 0) - (b.mass ?? 0)
		);
}

function candidate(context: FitContext, part: LibraryPart<'spring'>): SpringCandidate {
	const swapped = withPart(context, 'spring', part.part);
	const { setup, kind, parts } = swapped;
	const { curve, lift, bind, target } = kindSheet(kind, parts, setup, null);
	const { height } = target;
	const openLoad = curve && lift && height !== null ? curve.load(mm(height - lift.net)) : null;
	const bindMargin =
		bind && lift && height !== null ? coilBindMargin(height, lift.worst, bind.height) : null;

	const ruledOut: Message[] = [];
	const remarks: Message[] = [];
	const floor = lengthOf(setup.limits.bindFloor);
	if (bindMargin !== null && toComparisonStep(bindMargin - floor, 'length') < 0) {
		ruledOut.push(message('spring.bind-margin-short', { margin: bindMargin, min: floor }));
	}
	const wide = lengthOf(setup.limits.bindMarginMax);
	if (bindMargin !== null && toComparisonStep(bindMargin - wide, 'length') > 0) {
		remarks.push(message('spring.bind-margin-wide', { margin: bindMargin, wide }));
	}
	if (height === null) remarks.push(target.because);
	for (const rule of SPRING_RULES) {
		const check = rule.check({ ...swapped, lift, openLoad });
		if (check.outcome === 'missing') {
			remarks.push(message('fit.rule-needs', { rule: rule.id, needs: check.missing }));
		} else if (check.outcome === 'fails') {
			const severity = check.severity ?? rule.severity;
			(severity === 'stop' ? ruledOut : remarks).push(check.compared);
		}
	}
	return {
		part,
		height,
		seatLoad: curve && height !== null ? curve.load(height) : null,
		openLoad,
		bindMargin,
		mass: part.part.mass ? massOf(part.part.mass) : null,
		ruledOut,
		remarks
	};
}
