/** What the stations of one kind share: lift, spring, bind and aim. */
import {
	inches,
	lengthOf,
	loadOf,
	mm,
	newtons,
	rateOf,
	type Millimetres
} from '../../foundation/units/index.ts';
import { message, needsOf, type Message } from '../../foundation/message/index.ts';
import {
	cardLine,
	cardRate,
	COILS,
	curveOf,
	firstToBind,
	uncheckedTester,
	type Bind,
	type Coil,
	type Curve,
	type SolidCoil
} from '../../springs/spring/index.ts';
import { grossLift, hydraulicLift, solidLift, type Lift } from '../../valvetrain/lift/index.ts';
import {
	TARGET_METHODS,
	targetHeight,
	type Aim,
	type Target,
	type TargetMethod
} from '../target-height/index.ts';
import { KINDS, median, type Kind, type MedianBand } from '../../foundation/station/index.ts';
import { SURELY_INSIDE, type Source } from '../../foundation/verdict/index.ts';
import { controlRead } from './control-read.ts';
import type { KindSheet } from './kind.ts';
import { ratioOf } from './ratio.ts';
import type { Remark } from './remark.ts';
import type { SpringCard } from '../../parts/part/index.ts';
import type { KindSetup, Setup } from '../../job/document/index.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'need.locks': null;
		'need.locator': null;
		'of-kind': { readonly kind: Kind; readonly says: Message };
		'spring.not-its-card': { readonly card: string; readonly matches: string };
		'spring.rate-disagrees': null;
	}
}

/** How far a card's rate may lie from the line through its own two loads before it is remarked on. */
const CARD_DISAGREES = 0.05;

/** The bind cushion to compare by where the job names none (docs/trade/sheet.md#target-height). */
export const USUAL_CUSHION = inches(0.06);

/**
 * Works out what stations with these parts have in common.
 *
 * @param parts the kind's parts, or those of a station that has its own
 * @param bare the middle of the kind's measured bare heights
 */
export function kindSheet(
	kind: Kind,
	parts: KindSetup,
	setup: Setup,
	bare: MedianBand | null
): KindSheet {
	const lift = liftOf(parts, setup.lifters);
	const curve = parts.spring
		? byTester(curveOf(parts.spring, setup.cardBeyondTested), setup.limits)
		: null;
	const bind = parts.spring ? bindOf(parts.spring, parts) : null;
	const target = targetOf(parts, aimLiftOf(lift, setup), curve, bind);
	return {
		kind,
		lift,
		curve,
		rate: parts.spring ? cardRate(parts.spring) : null,
		line: parts.spring ? cardLine(parts.spring) : null,
		promised: parts.spring ? promisedCurve(parts.spring, setup) : null,
		bind,
		target,
		lowestHeight:
			bind && lift ? mm(bind.height + lift.worst + lengthOf(setup.limits.bindFloor)) : null,
		lowestAimHeight:
			bind && lift ? mm(bind.height + lift.worst + lengthOf(setup.limits.bindAim)) : null,
		...bareFigures(bare),
		sources: sourcesOf(parts, target),
		control: controlRead(setup, kind, parts),
		remarks: kindRemarks(kind, parts)
	};
}

/** A tested curve with the scatter that the shop takes for its tester, where nobody checked that. */
function byTester(curve: Curve, { oneReading }: Setup['limits']): Curve {
	const isUnknown = curve.from === 'tested' && curve.deviation === undefined;
	if (!isUnknown || oneReading?.tester === undefined) return curve;
	return { ...curve, deviation: uncheckedTester(oneReading.tester) };
}

/**
 * The middle of bare heights as a sheet has it.
 *
 * @returns median and reach in mm; null where too few were read
 */
export const bareFigures = (
	bare: MedianBand | null
): Pick<KindSheet, 'bareMedian' | 'bareReach'> => ({
	bareMedian: bare ? mm(bare.median) : null,
	bareReach: bare ? mm(bare.reach) : null
});

/**
 * What each method would aim at with these parts; a method that wants a figure of its own gets the job's or a usual one. Source: docs/trade/sheet.md#target-height.
 *
 * @returns by method a height in mm, or null and what it needs
 */
export function heightsByMethod(kind: KindSheet, parts: KindSetup): Record<TargetMethod, Target> {
	const { curve, lift, bind } = kind;
	const card = parts.spring ? lengthOf(parts.spring.seat.height) : null;
	const seat = parts.spring ? loadOf(parts.spring.seat.load) : null;
	const open = curve && card !== null && lift ? curve.load(mm(card - lift.net)) : null;
	const known = { cardHeight: card, bind, lift, curve };
	const own = aimOf(parts.aim);
	const usual: Record<TargetMethod, Aim | null> = {
		'card-height': { method: 'card-height' },
		'bind-cushion': { method: 'bind-cushion', cushion: USUAL_CUSHION },
		'seat-load': seat === null ? null : { method: 'seat-load', load: seat },
		'open-load': open === null ? null : { method: 'open-load', load: open },
		'as-it-stands': { method: 'as-it-stands', minSeatLoad: newtons(0) }
	};
	return Object.fromEntries(
		TARGET_METHODS.map((method) => {
			const aim = own.method === method ? own : usual[method];
			return [
				method,
				aim
					? targetHeight(aim, known)
					: {
							height: null,
							because: message('needs', { of: [message('need.spring')] }),
							fromCardLine: false,
							uncertainty: mm(0),
							standsOn: []
						}
			];
		})
	) as Record<TargetMethod, Target>;
}

/** The lift of a kind; null until lobe or valve lift is given. */
function liftOf(parts: KindSetup, lifters: Setup['lifters']): Lift | null {
	const given = parts.lift;
	if (!given) return null;
	// A lift at the valve says nothing of what a lifter that pumps up does to it: the rocker does.
	const ratio = ratioOf(parts) ?? 1;
	const gross =
		given.type === 'lobe' ? grossLift(lengthOf(given.lobe), ratio) : lengthOf(given.valve);
	const lift =
		lifters === 'solid'
			? solidLift(gross, parts.lash ? lengthOf(parts.lash.setting) : mm(0))
			: hydraulicLift(gross, parts.preload ? lengthOf(parts.preload) : mm(0), ratio);
	return given.uncertainty ? { ...lift, uncertainty: lengthOf(given.uncertainty) } : lift;
}

/** The lift that heights are aimed for by: the valves' own, or the largest on the job where it says so. */
function aimLiftOf(own: Lift | null, setup: Setup): Lift | null {
	if (setup.aimLift !== 'larger') return own;
	const all = [
		own,
		...KINDS.flatMap((kind) => {
			const parts = setup.kinds[kind];
			const overrides = (setup.overrides ?? []).filter((entry) => entry.kind === kind);
			return [parts, ...overrides.map(({ lift }) => (lift ? { ...parts, lift } : parts))].map(
				(one) => liftOf(one, setup.lifters)
			);
		})
	];
	return all.reduce<Lift | null>((a, b) => (b && (!a || b.gross > a.gross) ? b : a), null);
}

/** Stands for the interval of a tested bind that nobody stated: two resolutions of a gauge in thousandths are not clear. */
const UNSTATED = mm(inches(0.002) / SURELY_INSIDE);

/**
 * Where the springs go solid with the retainer and locator of the job. A set that
 * was tested whole wins over coils tested apart, and these over the card's; null where none tells.
 */
function bindOf(card: SpringCard, { retainer, locator }: KindSetup): Bind | null {
	const { tested } = card;
	const lower: Record<Coil, Millimetres> = {
		outer: mm(0),
		inner: mm(lengthOf(retainer?.step ?? '0 mm') + lengthOf(locator?.innerRise ?? '0 mm')),
		third: mm(lengthOf(retainer?.thirdStep ?? '0 mm') + lengthOf(locator?.thirdRise ?? '0 mm'))
	};
	const solid = { outer: card.bind, inner: card.innerBind, third: card.thirdBind };
	const coils = COILS.flatMap((coil): SolidCoil[] => {
		const text = tested?.coils?.[coil] ?? solid[coil];
		return text ? [{ coil, solid: lengthOf(text), lower: lower[coil] }] : [];
	});
	if (tested?.bind) {
		const first = tested.coils && coils.length > 0 ? firstToBind(coils).first : null;
		const uncertainty = tested.bindUncertainty ? lengthOf(tested.bindUncertainty) : UNSTATED;
		return { height: lengthOf(tested.bind), first, uncertainty };
	}
	// An inner spring's own solid height is not the pair's.
	return coils.some(({ coil }) => coil === 'outer')
		? { ...firstToBind(coils), uncertainty: mm(0) }
		: null;
}

/** What the bind stands on: the tester's word for every coil, or the card's as well. */
function bindSources({ tested, source, ...card }: SpringCard): Source[] {
	if (tested?.bind) return ['tested'];
	if (!tested?.coils) return card.bind === undefined ? [] : [source];
	const { coils } = tested;
	const isAll = coils.outer && (coils.inner || !card.innerBind) && (coils.third || !card.thirdBind);
	return isAll ? ['tested'] : ['tested', source];
}

/** Every source that loads, bind, lift and aim of these parts stand on. */
function sourcesOf(parts: KindSetup, target: Target): KindSheet['sources'] {
	const { spring: card, lift } = parts;
	const bind = card ? bindSources(card) : [];
	const curve = springSource(card);
	const of: Record<Target['standsOn'][number], readonly (Source | null | undefined)[]> = {
		'card-height': [card?.source],
		bind,
		lift: [lift?.source],
		curve: [curve]
	};
	const known = (sources: readonly (Source | null | undefined)[]) => [
		...new Set(sources.filter((source) => source !== null && source !== undefined))
	];
	return {
		spring: curve,
		card: card?.source ?? null,
		lift: lift?.source ?? null,
		bind,
		target: known(target.standsOn.flatMap((what) => of[what]))
	};
}

/**
 * The curve that a fitted spring is held against: its card's line, or the median
 * of its tested set where the job says so (docs/trade/springs.md).
 */
function promisedCurve(card: SpringCard, { loadsAgainst, springs = [] }: Setup): Curve {
	const line = cardLine(card);
	if (loadsAgainst !== 'set-median') return line;
	const set = springs.filter((spring) => spring.card === card.id);
	if (set.length === 0) return line;
	const curves = set.map(({ points }) => curveOf({ ...card, tested: { points } }));
	return {
		from: 'tested',
		lowest: mm(Math.max(...curves.map(({ lowest }) => lowest))),
		highest: mm(Math.min(...curves.map(({ highest }) => highest))),
		load: (height) => {
			const loads = curves.flatMap((curve) => curve.load(height) ?? []);
			return loads.length === 0 ? null : newtons(median(loads));
		}
	};
}

function springSource(card: SpringCard | undefined): Source | null {
	if (!card) return null;
	if (!card.tested) return card.source;
	return card.tested.earlier ? 'earlier-visit' : 'tested';
}

function targetOf(
	parts: KindSetup,
	lift: Lift | null,
	curve: Curve | null,
	bind: Bind | null
): Target {
	return targetHeight(aimOf(parts.aim), {
		cardHeight: parts.spring ? lengthOf(parts.spring.seat.height) : null,
		bind,
		lift,
		curve
	});
}

function aimOf(aim: KindSetup['aim']): Aim {
	switch (aim.method) {
		case 'card-height':
			return aim;
		case 'bind-cushion':
			return { method: aim.method, cushion: lengthOf(aim.cushion) };
		case 'seat-load':
		case 'open-load':
			return { method: aim.method, load: loadOf(aim.load) };
		case 'as-it-stands':
			return { method: aim.method, minSeatLoad: loadOf(aim.minSeatLoad) };
	}
}

function kindRemarks(kind: Kind, parts: KindSetup): Remark[] {
	const remarks: Remark[] = [];
	const card = parts.spring;
	const missing = [
		...(card ? [] : [message('need.spring')]),
		...(parts.lift ? [] : [message('need.lift')]),
		...(parts.locks ? [] : [message('need.locks')]),
		...(parts.locator ? [] : [message('need.locator')])
	];
	if (missing.length > 0)
		remarks.push({
			state: 'not-measured',
			text: message('of-kind', { kind, says: needsOf(missing) })
		});
	if (card?.tested?.mismatch)
		remarks.push({
			state: 'stop',
			text: message('of-kind', {
				kind,
				says: message('spring.not-its-card', { card: card.name, matches: card.tested.mismatch })
			})
		});
	if (card?.open && card.rate) {
		const stated = rateOf(card.rate);
		const rate = cardRate(card);
		if (rate !== null && Math.abs(stated - rate) > CARD_DISAGREES * rate) {
			remarks.push({
				state: 'watch',
				text: message('of-kind', { kind, says: message('spring.rate-disagrees') })
			});
		}
	}
	return remarks;
}
