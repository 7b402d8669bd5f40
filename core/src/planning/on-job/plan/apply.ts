/** A plan laid onto a job, and what must be picked for it. */
import {
	lengthOf,
	newtons,
	type Millimetres,
	type Newtons
} from '../../../foundation/units/index.ts';
import { KINDS, type Kind } from '../../../foundation/station/index.ts';
import { evaluate } from '../../../sheet/evaluation/index.ts';
import { partsOf, type Job, type StationEntry } from '../../../job/document/index.ts';
import type { PlannedStation } from './types.ts';
import { keyOf, message, type Message } from '../../../foundation/message/index.ts';

declare module '../../../foundation/message/message.ts' {
	interface Messages {
		'part.shim': { readonly thickness: Millimetres };
		'part.spring': { readonly tag: string; readonly kind: Kind | null };
		'part.new-spring': { readonly name: string };
	}
}

/** The job as it stands once the plan is built, its shims taken off the shelf. */
export function withPlan(job: Job, planned: readonly PlannedStation[]): Job {
	const by = new Map(planned.map((station) => [station.label, station]));
	const stations = job.stations.map((entry) => {
		const station = by.get(entry.label);
		return station ? plannedEntry(entry, station) : entry;
	});
	const shimStock = shelfAfter(job.setup.shimStock, job.stations, stations);
	return { ...job, stations, setup: { ...job.setup, shimStock } };
}

/** The job as if nothing were built yet: its shims are back on the shelf, no spring has a place. */
export function withoutBuilds(job: Job): Job {
	const stations = job.stations.map(
		({ label, head, cylinder, kind, along, across }): StationEntry => ({
			label,
			head,
			cylinder,
			kind,
			along,
			across,
			shims: []
		})
	);
	const shimStock = shelfAfter(job.setup.shimStock, job.stations, stations);
	return { ...job, stations, setup: { ...job.setup, shimStock } };
}

type ShimStock = Job['setup']['shimStock'];
type Built = Pick<StationEntry, 'shims'>;

/** What becomes of the shelf of one size: so many come onto it, or, less than 0, off it. */
export interface ShimChange {
	readonly thickness: string;
	readonly by: number;
}

/** What the shelf gains and gives, size by size, where stations are built otherwise. */
export function shimChanges(before: readonly Built[], after: readonly Built[]): ShimChange[] {
	const change = new Map<number, ShimChange>();
	const count = (builds: readonly Built[], by: number) => {
		for (const thickness of builds.flatMap(({ shims }) => shims)) {
			const known = change.get(lengthOf(thickness)) ?? { thickness, by: 0 };
			change.set(lengthOf(thickness), { ...known, by: known.by + by });
		}
	};
	count(before, 1);
	count(after, -1);
	return [...change.values()].filter(({ by }) => by !== 0);
}

/** The shelf once stations are built otherwise: shims newly fitted are off it, those taken out lie on it. */
export function shelfAfter(
	shelf: ShimStock,
	before: readonly Built[],
	after: readonly Built[]
): ShimStock {
	const change = new Map(
		shimChanges(before, after).map(({ thickness, by }) => [lengthOf(thickness), { thickness, by }])
	);
	const left = shelf.map((item) => {
		const size = change.get(lengthOf(item.thickness));
		if (!size || item.count === undefined) return item;
		const now = Math.max(0, item.count + size.by);
		size.by += item.count - now;
		return { ...item, count: now };
	});
	// A size the shelf did not have comes out of the head.
	const known = new Set(shelf.map(({ thickness }) => lengthOf(thickness)));
	const fresh = [...change.values()].filter(
		({ thickness, by }) => by > 0 && !known.has(lengthOf(thickness))
	);
	return [...left, ...fresh.map(({ thickness, by }) => ({ thickness, count: by }))];
}

/** A station as the plan has it. */
export function plannedEntry(entry: StationEntry, planned: PlannedStation): StationEntry {
	const { lockOffset, spring, newSpring, ...rest } = entry;
	const locks = planned.locks;
	const tag = planned.newSpring ? undefined : (planned.spring ?? spring);
	const isNew = tag === undefined && (planned.newSpring ?? newSpring);
	return {
		...rest,
		shims: [...planned.shims],
		...(!locks && lockOffset !== undefined && { lockOffset }),
		...(locks && { parts: { ...entry.parts, locks } }),
		...(tag !== undefined && { spring: tag }),
		...(isNew && { newSpring: true as const })
	};
}

export interface PartPick {
	readonly type: 'shim' | 'locks' | 'spring' | 'new-spring';
	readonly part: Message;
	/** Taken for the plan in all. */
	readonly wanted: number;
	/** Of these, already in the heads. */
	readonly fitted: number;
	/** On the shelf; null for what is not counted there. */
	readonly shelf: number | null;
	/** To be ordered. */
	readonly short: number;
	readonly stations: readonly string[];
}

/**
 * What a plan takes, part by part: shims by size, locks that replace others, springs by tag, new ones by card.
 *
 * @param counted locks and new springs on the shelf, by name; those that are not among them are not counted
 */
export function pickList(
	job: Job,
	planned: readonly PlannedStation[],
	counted: ReadonlyMap<string, number> = new Map()
): PartPick[] {
	const before = new Map(job.stations.map((entry) => [entry.label, entry]));
	const shelf = new Map<number, number | null>();
	for (const { thickness, count } of job.setup.shimStock) {
		const size = lengthOf(thickness);
		const known = shelf.get(size) ?? 0;
		shelf.set(size, count === undefined || shelf.get(size) === null ? null : known + count);
	}
	const picks = new Map<
		string,
		Pick<PartPick, 'type' | 'part' | 'shelf'> & {
			wanted: number;
			fitted: number;
			stations: string[];
		}
	>();
	const add = (type: PartPick['type'], part: Message, label: string, shelf: number | null) => {
		const key = keyOf(part);
		const pick = picks.get(key) ?? { type, part, shelf, wanted: 0, fitted: 0, stations: [] };
		pick.wanted++;
		pick.stations.push(label);
		picks.set(key, pick);
		return pick;
	};
	const freshOf = (card: string) =>
		planned.filter(({ label }) => {
			const entry = before.get(label);
			return entry?.newSpring && partsOf(job.setup, entry).spring?.id === card;
		}).length;
	const fitted = new Map<number, number>();
	for (const { label } of planned) {
		for (const shim of before.get(label)?.shims ?? [])
			fitted.set(lengthOf(shim), (fitted.get(lengthOf(shim)) ?? 0) + 1);
	}
	for (const { label, shims, locks, spring, newSpring } of planned) {
		const entry = before.get(label);
		for (const shim of shims) {
			const size = lengthOf(shim);
			add(
				'shim',
				message('part.shim', { thickness: size }),
				label,
				shelf.has(size) ? shelf.get(size)! : 0
			).fitted = fitted.get(size) ?? 0;
		}
		if (locks && entry && partsOf(job.setup, entry).locks?.name !== locks.name)
			add('locks', message('name', { name: locks.name }), label, counted.get(locks.name) ?? null);
		const card = entry && partsOf(job.setup, entry).spring;
		if (newSpring && card) {
			const part = message('part.new-spring', { name: card.name });
			add('new-spring', part, label, counted.get(card.name) ?? null).fitted = freshOf(card.id);
		}
		if (spring !== undefined && entry && spring !== entry.spring) {
			// Two sets on one job may have the same tags; the kinds then tell them apart.
			const isShared = (job.setup.springs ?? []).filter(({ tag }) => tag === spring).length > 1;
			const part = message('part.spring', { tag: spring, kind: isShared ? entry.kind : null });
			add('spring', part, label, null);
		}
	}
	return [...picks.values()].map((pick) => {
		const { type, part, wanted, fitted: inHeads, shelf: onShelf, stations } = pick;
		const reused = Math.min(inHeads, wanted);
		return {
			type,
			part,
			wanted,
			fitted: reused,
			shelf: onShelf,
			short: onShelf === null ? 0 : Math.max(0, wanted - reused - onShelf),
			stations
		};
	});
}

/** Greatest less least seat load of each kind, in newtons, and the shims in the build. */
export function loadSpread(job: Job): { spread: Record<Kind, Newtons | null>; shims: number } {
	const { seatLoads } = evaluate(job);
	return {
		spread: Object.fromEntries(
			KINDS.map((kind) => {
				const range = seatLoads[kind];
				return [kind, range ? newtons(range.max - range.min) : null];
			})
		) as Record<Kind, Newtons | null>,
		shims: job.stations.reduce((sum, { shims }) => sum + shims.length, 0)
	};
}
