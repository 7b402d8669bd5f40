/**
 * Which springs of the library could serve at these stations: with the lift,
 * pocket, seal, retainer, lifter, engine speed and duty of the job, and what
 * rules each of the others out.
 */
import { coilBindMargin } from '../../../sheet/clearance/index.ts';
import {
	kindWithKit,
	kindWithParts,
	type KindSetup,
	type PartAt
} from '../../../job/document/index.ts';
import {
	companionsOf,
	RULES,
	type FitContext,
	type Rule,
	type RuleId
} from '../../../sheet/fit/index.ts';
import type { Kit } from '../../../parts/kit/index.ts';
import {
	controlLimitOf,
	headroomWanted,
	kindSheet,
	rigidTrainOf,
	wantedSpeed
} from '../../../sheet/figures/index.ts';
import {
	lengthOf,
	massOf,
	mm,
	toComparisonStep,
	type Kilograms,
	type Millimetres,
	type Newtons,
	type RevolutionsPerMinute
} from '../../../foundation/units/index.ts';
import { message, needsOf, type Message, type Need } from '../../../foundation/message/index.ts';
import type { LibraryPart } from '../../../parts/part/index.ts';

declare module '../../../foundation/message/message.ts' {
	interface Messages {
		'spring.bind-margin-short': { readonly margin: Millimetres; readonly min: Millimetres };
		'spring.bind-margin-wide': { readonly margin: Millimetres; readonly wide: Millimetres };
		'fit.rule-needs': { readonly rule: RuleId; readonly needs: readonly Need[] };
	}
}

export interface SpringCandidate {
	readonly part: LibraryPart<'spring'>;
	/** The kit that it comes out of, with all that is in its box; null for a spring by itself. */
	readonly kit: Kit | null;
	/** What would have to change besides the spring, and is not on the job. */
	readonly changes: readonly PartAt[];
	/** The kind's parts with it. */
	readonly parts: KindSetup;
	/** Height that the job's method would aim at with it. */
	readonly height: Millimetres | null;
	readonly seatLoad: Newtons | null;
	readonly openLoad: Newtons | null;
	readonly bindMargin: Millimetres | null;
	/** Where it loses its valve at the latest; null where not all is known that it needs. */
	readonly controlLimit: RevolutionsPerMinute | null;
	readonly mass: Kilograms | null;
	/** Why it cannot serve; empty for one that could. */
	readonly ruledOut: readonly Message[];
	/** What is to be watched, or is not known, with it. */
	readonly remarks: readonly Message[];
}

/** What another spring could mend speaks against a spring, and what fails only with what comes with it. */
const rulesOn = (before: FitContext, after: FitContext): readonly Rule<RuleId>[] =>
	RULES.filter(
		(rule) =>
			rule.fixableBy.includes('spring') ||
			(rule.check(after).outcome === 'fails' && rule.check(before).outcome !== 'fails')
	);

/**
 * Every kit for this kind, and every spring of the library that is not retired, those that
 * could serve first: kits before single springs, then what changes least, fewest remarks,
 * bind margin nearest to its aim, and the lightest. A spring that does not fit what stands
 * on the job is tried with another retainer, locator and locks. Source: docs/trade/sheet.md#target-height and docs/trade/parts.md#compatibility.
 *
 * @returns every candidate with its figures in mm and N and what speaks against it; none is left out
 */
export function chooseSprings(
	context: FitContext,
	library: readonly LibraryPart[],
	kits: readonly Kit[] = []
): SpringCandidate[] {
	const aim = lengthOf(context.setup.limits.bindAim);
	const off = ({ bindMargin }: SpringCandidate) =>
		bindMargin === null ? Number.POSITIVE_INFINITY : Math.abs(bindMargin - aim);
	const springs = library.filter(
		(part): part is LibraryPart<'spring'> => part.type === 'spring' && !part.retired
	);
	const byId = new Map(library.map((part) => [part.part.id, part]));
	return [
		...kits.flatMap((kit) => {
			const spring = springs.find(({ part }) => part.id === kit.kinds[context.kind].spring);
			if (!spring) return [];
			return candidate(context, spring, kindWithKit(context.parts, kit, context.kind, byId), kit);
		}),
		...springs.map((spring) => candidate(context, spring, withCompanions(context, spring, library)))
	].toSorted(
		(a, b) =>
			Number(a.ruledOut.length > 0) - Number(b.ruledOut.length > 0) ||
			Number(a.kit === null) - Number(b.kit === null) ||
			a.changes.length - b.changes.length ||
			a.remarks.length - b.remarks.length ||
			off(a) - off(b) ||
			(a.mass ?? 0) - (b.mass ?? 0)
	);
}

/** The kind's parts with this spring and what must come with it, where the library has that. */
function withCompanions(
	context: FitContext,
	{ part }: LibraryPart<'spring'>,
	library: readonly LibraryPart[]
): KindSetup {
	const swap = [{ place: 'spring', part }] as const;
	return kindWithParts(context.parts, [...swap, ...(companionsOf(context, swap, library) ?? [])]);
}

function candidate(
	context: FitContext,
	part: LibraryPart<'spring'>,
	fitted: KindSetup,
	kit: Kit | null = null
): SpringCandidate {
	const swapped = { ...context, parts: fitted };
	const { setup, kind, parts } = swapped;
	const { curve, lift, bind, target, control } = kindSheet(kind, parts, setup, null);
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
	if (!bind) remarks.push(needsOf([message('need.bind')]));
	const train = control && rigidTrainOf(control, curve, height);
	const controlled = train && controlLimitOf(train, control);
	if (controlled) {
		const [outs, remark] = speedAgainst(context, controlled);
		if (remark) (outs ? ruledOut : remarks).push(remark);
	}
	for (const rule of rulesOn(context, swapped)) {
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
		kit,
		parts,
		changes: changesOf(context.parts, parts),
		height,
		seatLoad: curve && height !== null ? curve.load(height) : null,
		openLoad,
		bindMargin,
		controlLimit: (controlled?.limit.speed ?? null) as RevolutionsPerMinute | null,
		mass: part.part.mass ? massOf(part.part.mass) : null,
		ruledOut,
		remarks
	};
}

/** What speaks against a spring by where it loses its valve, and whether that rules it out; nothing where the job names no speed. */
function speedAgainst(
	{ setup }: FitContext,
	{ limit, uncertainty }: NonNullable<ReturnType<typeof controlLimitOf>>
): [rulesOut: boolean, says: Message | null] {
	const [speed, wanted] = [setup.use.engineSpeed ?? 0, wantedSpeed({ setup }) ?? 0];
	const limitSpeed = limit.speed as RevolutionsPerMinute;
	if (limitSpeed + uncertainty < speed)
		return [true, message('control.below-speed', { limit: limitSpeed, speed })];
	if (limitSpeed < speed) return [false, message('control.too-close')];
	const headroom = headroomWanted(setup);
	return [
		false,
		limitSpeed < wanted
			? message('control.little-headroom', { limit: limitSpeed, wanted, headroom })
			: null
	];
}

/** The parts that stand otherwise than on the job, the spring aside. */
function changesOf(before: KindSetup, after: KindSetup): PartAt[] {
	return CHANGEABLE.flatMap((place) => {
		const part = after[place];
		return part && part.name !== before[place]?.name
			? [{ place, part: part as PartAt['part'] }]
			: [];
	});
}
const CHANGEABLE = ['retainer', 'locks', 'locator', 'seal', 'lashCap'] as const;
