/** What the stations of one kind share: lift, spring, bind and aim. */
import { inches, lengthOf, loadOf, mm, newtons, rateOf } from '../units/quantity.ts';
import { say } from '../units/phrase.ts';
import type { Curve } from '../spring/curve.ts';
import { cardRate, curveOf } from '../spring/of-card.ts';
import { pairBind, type Bind } from '../spring/bind.ts';
import { grossLift, hydraulicLift, solidLift, type Lift } from '../lift/lift.ts';
import { SCHOOLS, targetHeight, type Aim, type School, type Target } from '../target/target.ts';
import type { Kind } from '../station/layout.ts';
import type { Middle } from '../station/outlier.ts';
import type { Source } from '../verdict/verdict.ts';
import type { KindSheet, Remark } from './sheet.ts';
import type { SpringCard } from '../part/schema.ts';
import type { KindSetup, Setup } from './schema.ts';

/** How far a card's rate may lie from the line through its own two loads before it is remarked on. */
const CARD_DISAGREES = 0.05;

/** The bind cushion to compare by where the job names none (handbook §4). */
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
	bare: Middle | null
): KindSheet {
	const lift = liftOf(parts, setup.lifters);
	const curve = parts.spring ? curveOf(parts.spring) : null;
	const bind = parts.spring ? bindOf(parts.spring, parts) : null;
	const target = targetOf(parts, lift, curve, bind);
	return {
		kind,
		lift,
		curve,
		rate: parts.spring ? cardRate(parts.spring) : null,
		bind,
		target,
		lowestHeight:
			bind && lift ? mm(bind.height + lift.worst + lengthOf(setup.limits.bindFloor)) : null,
		bareMedian: bare ? mm(bare.median) : null,
		bareReach: bare ? mm(bare.reach) : null,
		sources: { spring: springSource(parts.spring), lift: parts.lift?.source ?? null },
		remarks: kindRemarks(kind, parts)
	};
}

/** What each school would aim at with these parts; a school that wants a figure of its own gets the job's or a usual one. */
export function schoolsOf(kind: KindSheet, parts: KindSetup): Record<School, Target> {
	const { curve, lift, bind } = kind;
	const card = parts.spring ? lengthOf(parts.spring.seat.height) : null;
	const seat = parts.spring ? loadOf(parts.spring.seat.load) : null;
	const open = curve && card !== null && lift ? curve.load(mm(card - lift.net)) : null;
	const known = { cardHeight: card, bind: bind?.height ?? null, lift, curve };
	const own = aimOf(parts.aim);
	const usual: Record<School, Aim | null> = {
		'card height': { school: 'card height' },
		'bind cushion': { school: 'bind cushion', cushion: USUAL_CUSHION },
		'seat load': seat === null ? null : { school: 'seat load', load: seat },
		'open load': open === null ? null : { school: 'open load', load: open },
		'as it stands': { school: 'as it stands', leastSeatLoad: newtons(0) }
	};
	return Object.fromEntries(
		SCHOOLS.map((school) => {
			const aim = own.school === school ? own : usual[school];
			return [
				school,
				aim
					? targetHeight(aim, known)
					: { height: null, because: ['no spring card'], fromCardLine: false }
			];
		})
	) as Record<School, Target>;
}

/** The lift of a kind; null until lobe or valve lift is given. */
function liftOf(parts: KindSetup, lifters: Setup['lifters']): Lift | null {
	const given = parts.lift;
	if (!given) return null;
	const ratio = given.sort === 'lobe' ? given.ratio : 1;
	const gross =
		given.sort === 'lobe' ? grossLift(lengthOf(given.lobe), ratio) : lengthOf(given.valve);
	return lifters === 'solid'
		? solidLift(gross, parts.lash ? lengthOf(parts.lash.setting) : mm(0))
		: hydraulicLift(gross, parts.preload ? lengthOf(parts.preload) : mm(0), ratio);
}

/** Tested bind wins over the card's; a card's pair is judged with the retainer and locator of the job. */
function bindOf(card: SpringCard, parts: KindSetup): Bind {
	if (card.tested?.bind) return { height: lengthOf(card.tested.bind), first: null };
	return pairBind(
		lengthOf(card.bind),
		card.innerBind ? lengthOf(card.innerBind) : null,
		lengthOf(parts.retainer?.step ?? '0 mm'),
		lengthOf(parts.locator?.innerRise ?? '0 mm')
	);
}

function springSource(card: SpringCard | undefined): Source | null {
	if (!card) return null;
	return card.tested ? 'tested' : card.source;
}

function targetOf(
	parts: KindSetup,
	lift: Lift | null,
	curve: Curve | null,
	bind: Bind | null
): Target {
	return targetHeight(aimOf(parts.aim), {
		cardHeight: parts.spring ? lengthOf(parts.spring.seat.height) : null,
		bind: bind?.height ?? null,
		lift,
		curve
	});
}

function aimOf(aim: KindSetup['aim']): Aim {
	switch (aim.school) {
		case 'card height':
			return aim;
		case 'bind cushion':
			return { school: aim.school, cushion: lengthOf(aim.cushion) };
		case 'seat load':
		case 'open load':
			return { school: aim.school, load: loadOf(aim.load) };
		case 'as it stands':
			return { school: aim.school, leastSeatLoad: loadOf(aim.leastSeatLoad) };
	}
}

function kindRemarks(kind: Kind, parts: KindSetup): Remark[] {
	const remarks: Remark[] = [];
	const card = parts.spring;
	const missing = [
		!card && 'spring card',
		!parts.lift && 'lift',
		!parts.locks && 'locks',
		!parts.locator && 'locator'
	].filter((part) => part !== false);
	if (missing.length > 0) {
		remarks.push({
			state: 'not measured',
			text: say`${kind}: no ${missing.join(', no ')} given yet`
		});
	}
	if (card?.tested?.notThis) {
		remarks.push({
			state: 'stop',
			text: [
				`${kind}: what was tested is not the ${card.name} on the job; it fits ${card.tested.notThis}`
			]
		});
	}
	if (card?.open && card.rate) {
		const stated = rateOf(card.rate);
		const rate = cardRate(card);
		if (Math.abs(stated - rate) > CARD_DISAGREES * rate) {
			remarks.push({
				state: 'watch',
				text: say`${kind}: the card’s rate does not fit its two loads; the loads are used. Test the spring`
			});
		}
	}
	return remarks;
}
