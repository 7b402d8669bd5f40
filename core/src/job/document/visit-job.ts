/** The job of a head that came back: as it was signed, with nothing read of it yet. Source: docs/trade/visits.md. */
import { walk } from '../../foundation/station/index.ts';
import { newJob } from './defaults.ts';
import { REUSABLE } from './policies.ts';
import { withoutStay } from './setup-like.ts';
import type { Job, KindSetup, StationEntry, VisitOf } from './schema.ts';

/** A spring's test as it is known at the next visit: of before it ran. */
function ranSince<Parts extends Pick<KindSetup, 'spring'>>(parts: Parts): Parts {
	const { spring } = parts;
	if (!spring?.tested) return parts;
	return { ...parts, spring: { ...spring, tested: { ...spring.tested, earlier: true } } };
}

/** Parts of a kind that all have run. */
const used = (kind: KindSetup): KindSetup => ({
	...ranSince(kind),
	reused: REUSABLE.filter((part) => kind[part] !== undefined)
});

/** What stood at a station as it was signed, at its place of now. */
function stationBack(now: StationEntry, signed: StationEntry): StationEntry {
	// What was new when it was signed has run since.
	const { newSpring: _, ...built } = signed;
	return {
		...built,
		...now,
		shims: signed.shims,
		...(signed.parts && { parts: ranSince(signed.parts) })
	};
}

/**
 * Which station of a signed sheet each station of a visit is: the same one along its head,
 * whatever it is called on the engine that the head is on now.
 *
 * @returns null where a head of the visit is not laid out as it was
 */
export function stationsThen(
	signed: Pick<Job, 'stations'>,
	back: Pick<Job, 'stations'> & Partial<Pick<Job, 'visitOf'>>
): ReadonlyMap<string, StationEntry> | null {
	const then = new Map<string, StationEntry>();
	if (!back.visitOf) {
		const known = new Map(signed.stations.map((entry) => [entry.label, entry]));
		for (const { label } of back.stations) if (known.has(label)) then.set(label, known.get(label)!);
		return then;
	}
	const { places = {} } = back.visitOf;
	const along = ({ stations }: Pick<Job, 'stations'>, of: string) =>
		walk(
			stations.filter(({ head }) => head === of),
			'along-the-head'
		);
	for (const head of new Set(back.stations.map((entry) => entry.head))) {
		const [now, before] = [along(back, head), along(signed, places[head] ?? head)];
		if (before.length !== now.length || now.some(({ kind }, i) => kind !== before[i]!.kind))
			return null;
		now.forEach(({ label }, i) => then.set(label, before[i]!));
	}
	return then;
}

/**
 * A job for heads that came back: set-up, parts, shims and tagged springs as they were signed.
 * What was tested then is kept as what it was then; readings, inspections and plans start empty.
 *
 * @param signed the job frozen in the last signed sheet
 * @param heads those that came back, each with which head it is
 * @returns null where a head does not lie on its engine of now as it was signed
 */
export function visitJob(
	signed: Job,
	taken: {
		readonly id: string;
		readonly number: string;
		readonly takenIn: string;
		readonly visitOf: VisitOf;
		readonly customer: Job['customer'];
		readonly engine: Job['engine'];
		readonly heads: Job['heads'];
	}
): Job | null {
	const kept = withoutStay(signed.setup);
	const { intake, exhaust } = kept.kinds;
	const { heads, visitOf, ...rest } = taken;
	const here = new Set(heads.map(({ id }) => id));
	const setup = {
		...kept,
		kinds: { intake: used(intake), exhaust: used(exhaust) },
		...(kept.springs && {
			springs: kept.springs.map((spring) => ({ ...spring, earlier: true as const }))
		})
	};
	const bare = newJob({ ...rest, setup });
	const places = bare.stations.filter(({ head }) => here.has(head));
	const then = stationsThen(signed, { stations: places, visitOf });
	return (
		then && {
			...bare,
			visitOf,
			heads,
			stations: places.map((entry) => stationBack(entry, then.get(entry.label)!))
		}
	);
}
