/** The springs of a plan for a head that came back: which may not run again, what the plan costs, and the life it leaves. Source: docs/trade/visits.md. */
import { springCards, type Job } from '../../../job/document/index.ts';
import type { PlannedStation } from '../../../planning/on-job/plan/index.ts';
import type { FateReason } from '../../comparison/index.ts';
import type { SpringFate } from './used-springs.ts';

/**
 * Why a spring is not installed anywhere: it is condemned, or nobody knows yet whether it is good.
 * Where only its own station has no room for it, the plan looks for another.
 */
const NOWHERE: ReadonlySet<FateReason> = new Set([
	'policy',
	'damaged',
	'service-over',
	'sagged',
	'not-tested',
	'too-close',
	'tester-unchecked'
]);

const isOut = ({ reason }: SpringFate) => NOWHERE.has(reason);

/** Springs that are not to run again, wherever they are now: one that was taken out is not put in elsewhere. */
export function wornSprings(
	job: Job,
	fates: readonly SpringFate[]
): { tag: string; card: string }[] {
	const cards = springCards(job);
	return fates.flatMap((one) => {
		const card = cards.get(one.station);
		return isOut(one) && one.spring !== null && card ? [{ tag: one.spring, card }] : [];
	});
}

/** Stations whose spring ran and is not to run again, as long as it stands there. */
export function springsToReplace(
	{ stations }: Pick<Job, 'stations'>,
	fates: readonly SpringFate[]
): string[] {
	const entries = new Map(stations.map((entry) => [entry.label, entry]));
	return fates.flatMap((one) => {
		const { station, spring } = one;
		const entry = entries.get(station);
		const isStillThere = entry && !entry.newSpring && (entry.spring ?? null) === spring;
		return isOut(one) && isStillThere ? [station] : [];
	});
}

/** What one would weigh a plan of used and new springs by, beside how even it is. */
export interface PlanSides {
	readonly newSprings: number;
	/** What the new ones cost, in the shop's currency; null where a price is not known. */
	readonly price: number | null;
	/** Part of its life that the spring with the least of it has left; null where the shop sets no limit. */
	readonly lifeLeft: number | null;
}

/**
 * The sides of a plan.
 *
 * @param planned what each station is to be built with; those it leaves out stay as they are
 * @param fates of the springs that ran
 * @param priceOf what a new spring of a card costs; null where nobody knows
 */
export function planSides(
	job: Job,
	planned: readonly PlannedStation[],
	fates: readonly SpringFate[],
	priceOf: (card: string) => number | null
): PlanSides {
	const plans = new Map(planned.map((station) => [station.label, station]));
	const cards = springCards(job);
	// Springs of two sets may have the same tags; one without a tag is that of its valve.
	const itself = (station: string, spring: string | null) =>
		spring === null ? station : `${cards.get(station)} ${spring}`;
	const leftOf = new Map(
		fates.map(({ station, spring, serviceLeft }) => [itself(station, spring), serviceLeft])
	);
	const isNew = (label: string) => plans.get(label)?.newSpring ?? false;
	const fresh = job.stations.filter(({ label }) => isNew(label));
	const prices = fresh.map(({ label }) => {
		const card = cards.get(label);
		return card === undefined ? null : priceOf(card);
	});
	const lives = job.stations.flatMap((entry) => {
		if (isNew(entry.label)) return [1];
		const spring = plans.get(entry.label)?.spring ?? entry.spring ?? null;
		return entry.newSpring && !plans.get(entry.label)?.spring
			? [1]
			: (leftOf.get(itself(entry.label, spring)) ?? []);
	});
	return {
		newSprings: fresh.length,
		price: prices.reduce<number | null>(
			(sum, price) => (sum === null || price === null ? null : sum + price),
			0
		),
		lifeLeft: fates.some(({ serviceLeft }) => serviceLeft !== null) ? Math.min(...lives) : null
	};
}
