/** What ran between two visits of a head, and how much of its life that was. Source: docs/trade/visits.md. */
import {
	concerns,
	worksDone,
	partsByStation,
	springAt,
	type Job,
	type Since,
	type StationEntry
} from '../../../job/document/index.ts';

/** Parts whose service is counted. */
export const SERVED = ['spring', 'rocker', 'lifter', 'valve'] as const;
export type Served = (typeof SERVED)[number];

/** One part that stood at a station of a head while it ran. */
export interface ServedPart {
	readonly station: string;
	readonly head: string;
	readonly part: Served;
	/** Of the library, where it is known there. */
	readonly card: string | null;
	readonly name: string | null;
	/** Whether it had run before it was signed, and was not new then. */
	readonly isCarried: boolean;
	/** The very spring, where it was tagged. */
	readonly tag: { readonly set: string; readonly tag: string } | null;
}

/** How long something ran. */
export interface Service {
	readonly hours: number;
	readonly runs: number;
	readonly kilometres: number;
	/** Of the cam. */
	readonly cycles: number;
	readonly overSpeed: number;
}
export type ServiceUnit = Exclude<keyof Service, 'overSpeed'>;
export const SERVICE_UNITS = [
	'hours',
	'runs',
	'kilometres',
	'cycles'
] as const satisfies readonly ServiceUnit[];

/** What a part may run; over-speed events count as so much of each. */
export type ServiceLimit = Readonly<Partial<Record<ServiceUnit, number>>> & {
	/** The part of its life that one over-speed event costs. */
	readonly overSpeed?: number | undefined;
};

/** Whether a part at a station had run before the visit at which it was signed. */
function wasCarried(
	signed: Job,
	entry: StationEntry,
	part: Served,
	reused: readonly string[] = []
) {
	if (!signed.visitOf) return false;
	if (part === 'spring') return reused.includes('spring') && !entry.newSpring;
	const replaced = part === 'valve' ? 'parts-changed' : 'valve-train-changed';
	return !worksDone(signed.headWork).some(
		(done) => done.work === replaced && concerns(done, entry)
	);
}

/** The parts that ran at the stations of a job as it was signed. */
export function servedParts(signed: Job): ServedPart[] {
	const parts = partsByStation(signed);
	return signed.stations.flatMap((entry: StationEntry) =>
		SERVED.flatMap((part): ServedPart[] => {
			const one = parts.get(entry.label)![part] as { id?: string; name?: string } | undefined;
			if (!one) return [];
			const tagged = part === 'spring' ? springAt(signed.setup, entry) : null;
			return [
				{
					station: entry.label,
					head: entry.head,
					part,
					card: one.id ?? null,
					name: one.name ?? null,
					isCarried: wasCarried(signed, entry, part, parts.get(entry.label)!.reused),
					tag: tagged && { set: tagged.set, tag: tagged.tag }
				}
			];
		})
	);
}

/** From this part of a life on it is told that something is due before long. */
export const DUE_FROM = 0.7;

/** Minutes of an hour, and turns of the crankshaft to one of the cam. */
const [MINUTES, TURNS] = [60, 2];

/**
 * What was told to have run since, with null for what nobody told.
 *
 * @returns cycles at most: as if all hours had been at the highest speed
 * @example serviceTold({ hours: 10, highestSpeed: 6000, … }).cycles // 1_800_000
 */
export function serviceTold({ hours, runs, kilometres, highestSpeed, overSpeed }: Since) {
	return {
		hours: hours ?? null,
		runs: runs ?? null,
		kilometres: kilometres ?? null,
		cycles:
			hours === undefined || highestSpeed === undefined
				? null
				: (hours * MINUTES * highestSpeed) / TURNS,
		overSpeed: overSpeed ?? null
	};
}

/**
 * The part of its life that something has run: the most by any of its limits, over-speed events
 * taken off as the shop says; null where no limit says anything.
 *
 * @example lifeUsed({ hours: 30, … }, { hours: 40 }) // 0.75
 */
export function lifeUsed(service: Service, limit: ServiceLimit): number | null {
	const parts = SERVICE_UNITS.flatMap((unit) => {
		const at = limit[unit];
		return at ? [service[unit] / at] : [];
	});
	const events = service.overSpeed * (limit.overSpeed ?? 0);
	return parts.length === 0 && limit.overSpeed === undefined
		? null
		: Math.max(0, ...parts) + events;
}

/** What a part costs for what it runs: its price over its life. */
export interface ServicePrice {
	/** In the shop's currency, for one of the unit. */
	readonly per: number;
	readonly unit: ServiceUnit;
	readonly life: number;
}

/**
 * The price of a spring an hour, a run or a kilometre: the shorter of what the shop lets it run
 * and what its load says it will last. Cycles are counted, not bought.
 *
 * @param lasts what its own loads say, where they were followed
 * @returns null where nothing says how long it lasts
 * @example priceOfService(15, { hours: 30 }) // { per: 0.5, unit: 'hours', life: 30 }
 */
export function priceOfService(
	price: number,
	limit: ServiceLimit,
	lasts: { readonly unit: ServiceUnit; readonly life: number } | null = null
): ServicePrice | null {
	const limited = SERVICE_UNITS.flatMap((unit) => {
		const at = limit[unit];
		return at && unit !== 'cycles' ? [{ unit, life: at }] : [];
	})[0];
	const known = limited ?? lasts;
	if (!known) return null;
	const life = lasts?.unit === known.unit ? Math.min(known.life, lasts.life) : known.life;
	return { per: price / life, unit: known.unit, life };
}
