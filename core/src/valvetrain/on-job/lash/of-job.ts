/** Lash on the engine of a job: in which order, how far to turn, what to expect hot, which shims go where. */
import {
	currentReadings,
	partsOf,
	type Job,
	type KindSetup,
	type StationEntry
} from '../../../job/document/index.ts';
import { lobeOf, ratioOf } from '../../../sheet/figures/index.ts';
import { durationAt } from '../../lobe/index.ts';
import type { Kind } from '../../../foundation/station/index.ts';
import type { Sheet } from '../../../sheet/evaluation/index.ts';
import type { LibraryPart } from '../../../parts/part/index.ts';
import { message, type Message } from '../../../foundation/message/index.ts';
import {
	isPlausible,
	lengthOf,
	mm,
	readEntry,
	type LengthUnit,
	type Millimetres
} from '../../../foundation/units/index.ts';
import {
	changePerTurn,
	eventsOf,
	firingAngleOf,
	hotLash,
	isClosed,
	plungerPerTurn,
	settingStops,
	timingSource,
	turnsFor,
	usualGrowth,
	type CamEvents,
	type CrankPosition,
	type LobeTiming,
	type SettingOrder,
	type TimingSource
} from '../../lash/index.ts';
import { swapPlan, type Follower, type SwapStep } from './swap.ts';

declare module '../../../foundation/message/message.ts' {
	interface Messages {
		'adjuster.leave': null;
		'adjuster.turn': { readonly degrees: number; readonly way: 'in' | 'out' };
		'entry.in-list': { readonly item: string; readonly says: Message };
		'entry.not-follower-shim': { readonly item: string; readonly read: string };
	}
}

/** Lift at the lobe from which its valve is not on the base circle any more. */
const OFF_BASE = mm(0.02);

/** When a lobe lifts: by its card, whose figures stand at some lift; a lift table tells how much sooner it begins. */
function timingOf(setup: Job['setup'], kind: Kind): LobeTiming {
	const card: LobeTiming = setup.cam?.[kind] ?? {};
	const lobe = lobeOf(setup, kind)?.lobe;
	if (lobe?.origin !== 'table') return card;
	const duration = durationAt(lobe, OFF_BASE);
	const sooner = Math.max(0, duration - (card.duration ?? duration)) / 2;
	const wider = (angle: number | undefined) => (angle === undefined ? angle : angle + sooner);
	return { duration, opens: wider(card.opens), closes: wider(card.closes) };
}

/** When this engine's valves move, and where that is from: of its two lobes the less certain. */
export function camEvents({ setup }: Job): { events: CamEvents; from: TimingSource } {
	const lobes = { intake: timingOf(setup, 'intake'), exhaust: timingOf(setup, 'exhaust') };
	const sources = [timingSource(lobes.intake), timingSource(lobes.exhaust)];
	const from = (['long-cam', 'duration'] as const).find((source) => sources.includes(source));
	return { events: eventsOf(lobes), from: from ?? 'card' };
}

/** The stops of an order on this engine; none until its firing order is known. */
export function stopsOf(job: Job, order: SettingOrder): CrankPosition[] {
	const { firingOrder, firingAngles } = job.engine.layout;
	return firingOrder
		? settingStops(order, firingOrder, job.stations, camEvents(job).events, firingAngles)
		: [];
}

/** A crankshaft's two turns: what fires where, and what stands still at one place of them. */
export interface CrankDial {
	/** Degrees of 0 up to 720 at which each cylinder fires, in the order in which they do. */
	readonly fires: readonly { readonly cylinder: number; readonly angle: number }[];
	/** Valves on their base circle at the angle, as they are numbered. */
	readonly onBase: readonly string[];
}

/**
 * The crankshaft of a job at an angle.
 *
 * @param angle crankshaft degrees from firing top dead centre of cylinder 1
 * @returns null until the firing order is known
 */
export function crankDial(job: Job, angle: number): CrankDial | null {
	const { firingOrder, firingAngles } = job.engine.layout;
	if (!firingOrder) return null;
	const fires = firingAngleOf(firingOrder, firingAngles);
	const { events } = camEvents(job);
	return {
		fires: [...fires]
			.map(([cylinder, at]) => ({ cylinder, angle: at }))
			.toSorted((a, b) => a.angle - b.angle),
		onBase: job.stations
			.filter(({ cylinder, kind }) => isClosed(angle, kind, fires.get(cylinder)!, events))
			.map(({ label }) => label)
	};
}

/**
 * Change for a turn of the adjuster: of lash at the valve, or of how deep a
 * hydraulic lifter's plunger sits; null while thread or ratio are not known.
 *
 * @param parts of the kind, or of a station that has a ratio of its own
 */
export function perTurn({ setup }: Job, parts: KindSetup): Millimetres | null {
	const { adjuster, lifters } = setup;
	const ratio = ratioOf(parts);
	if (!adjuster) return null;
	if (ratio === null && (adjuster.at !== 'valve-end' || lifters === 'hydraulic')) return null;
	const change = lifters === 'hydraulic' ? plungerPerTurn : changePerTurn;
	return change(adjuster.at, lengthOf(adjuster.pitch), ratio ?? 1);
}

/** How far to turn from a lash just read to the one wanted; null where it is not known. */
export function turnAdvice(job: Job, entry: StationEntry, read: string): Message | null {
	const parts = partsOf(job.setup, entry);
	const { lash } = parts;
	const step = perTurn(job, parts);
	if (!lash || step === null) return null;
	const degrees = 360 * turnsFor(lengthOf(read), lengthOf(lash.setting), step);
	if (Math.abs(degrees) < 1) return message('adjuster.leave');
	return message('adjuster.turn', {
		degrees: Math.round(Math.abs(degrees)),
		way: degrees > 0 ? 'in' : 'out'
	});
}

export interface Growth {
	readonly growth: Millimetres;
	readonly from: 'measured' | 'usual';
}

/** What lash gains from cold to hot on this engine. */
export function growthOf({ setup }: Job): Growth | null {
	if (setup.growth?.measured) return { growth: lengthOf(setup.growth.measured), from: 'measured' };
	const head = setup.head?.material;
	const block = setup.growth?.block;
	const usual = head && block ? usualGrowth(head, block) : null;
	return usual === null ? null : { growth: usual, from: 'usual' };
}

/**
 * Lash to be expected with the engine hot, from the cold setting of a kind or of a
 * station with one of its own; null for a hot setting.
 */
export function expectedHot(job: Job, { lash }: KindSetup): Millimetres | null {
	const growth = growthOf(job);
	return lash?.engine === 'cold' && growth ? hotLash(lengthOf(lash.setting), growth.growth) : null;
}

/** A follower shim of the shop's library, and how many of it this job has taken. */
export type ShelvedFollowerShim = Pick<LibraryPart<'follower-shim'>, 'part' | 'stock'> & {
	readonly taken?: number;
};

interface ShelvedSize {
	readonly thickness: Millimetres;
	/** There for the followers of this job: on the shelf, or taken off it and not in the head yet. */
	readonly count: number;
	/** Of the library; null for a size that only the job counts. */
	readonly part: string | null;
	/** Of these, taken and not in the head yet. */
	readonly inHand: number;
}

/**
 * What there is for the followers of a job: the shop's own count with what the job took and
 * has not put in, and the job's count of sizes that the library does not have.
 */
export function followerShelf(
	job: Job,
	library: readonly ShelvedFollowerShim[]
): readonly ShelvedSize[] {
	const came = shimsThatCame(job);
	const counted = library.flatMap(({ part, stock, taken = 0 }): ShelvedSize[] => {
		if (stock === null) return [];
		const thickness = lengthOf(part.thickness);
		const inHand = Math.max(0, taken - Math.max(0, came.get(thickness) ?? 0));
		return [{ thickness, count: stock + inHand, part: part.id, inHand }];
	});
	const known = new Set(counted.map(({ thickness }) => thickness));
	const own = (job.setup.followerStock ?? []).flatMap(({ thickness: text, count }) => {
		const thickness = lengthOf(text);
		return known.has(thickness) ? [] : [{ thickness, count, part: null, inHand: 0 }];
	});
	return [...counted, ...own];
}

/** Of each size, how many more the followers have by their newest readings than by their first: a swap among them is none. */
function shimsThatCame(job: Job): ReadonlyMap<Millimetres, number> {
	const came = new Map<Millimetres, number>();
	const count = (read: string, by: number) =>
		came.set(lengthOf(read), (came.get(lengthOf(read)) ?? 0) + by);
	for (const { 'follower-shim': readings } of currentReadings(job).values()) {
		const [newest, first] = [readings[0], readings.at(-1)];
		if (!newest || !first) continue;
		count(newest.read, 1);
		count(first.read, -1);
	}
	return came;
}

/** What is still to be taken off the library's shelf for a swap plan, and what may be given back; by part. */
export function followerPicks(
	job: Job,
	swaps: readonly SwapStep[],
	library: readonly ShelvedFollowerShim[]
): { readonly part: string; readonly take: number; readonly inHand: number }[] {
	return followerShelf(job, library).flatMap(({ part, thickness, inHand }) => {
		if (part === null) return [];
		const wanted = swaps.filter(
			({ from, shim }) => from.type === 'stock' && shim === thickness
		).length;
		return [{ part, take: Math.max(0, wanted - inHand), inHand }];
	});
}

/**
 * The shims of the followers, and where each is to go; empty where they are not measured.
 *
 * @param library follower shims that the shop counts
 */
export function followerSwaps(
	job: Job,
	sheet: Sheet,
	library: readonly ShelvedFollowerShim[] = []
): SwapStep[] {
	const followers = job.stations.flatMap((entry): Follower[] => {
		const station = sheet.stations.find(({ label }) => label === entry.label);
		const shim = station?.inForce['follower-shim'];
		const read = station?.figures.lash;
		const { lash } = partsOf(job.setup, entry);
		// A lash read hot says nothing against a cold setting: its verdict is "not measured".
		if (!shim || read?.figure == null || read.state === 'not-measured' || !lash) return [];
		const measured = read.figure;
		return [
			{
				label: entry.label,
				shim: lengthOf(shim.read),
				measured,
				wanted: lengthOf(lash.setting),
				tolerance: lengthOf(lash.tolerance)
			}
		];
	});
	return swapPlan(followers, followerShelf(job, library));
}

/** Shims thinner or thicker than these are asked about, in millimetres. */
const SHIM_BAND = { from: mm(0.5), to: mm(8) };

/** What parts one size from the next: a semicolon, a new line, a comma with a space or before a size with a point. */
const BETWEEN_SIZES = /[;\n]|,\s+|,(?=\d+\.)/;

export type StockRead =
	| { readonly ok: true; readonly stock: { thickness: string; count: number }[] }
	| { readonly ok: false; readonly problem: Message };

/**
 * Reads sizes and counts as they are typed: "2.50 x 4, 2.55". A comma between
 * digits is a decimal mark ("2,50 x 4"), and bare digits in inches are
 * thousandths, as everywhere. A size listed twice is one with both counts.
 *
 * @returns the sizes, or which of them cannot be what was meant
 */
export function readStock(text: string, unit: LengthUnit): StockRead {
	const stock = new Map<string, number>();
	for (const item of text.split(BETWEEN_SIZES).map((one) => one.trim())) {
		if (item === '') continue;
		const [, size = item, count = '1'] = /^(.*?)\s*(?:[x×*]\s*(\d{1,4}))?$/.exec(item) ?? [];
		const entry = readEntry(size, unit);
		if (!entry.ok)
			return { ok: false, problem: message('entry.in-list', { item, says: entry.problem }) };
		if (!isPlausible(entry.length, SHIM_BAND))
			return { ok: false, problem: message('entry.not-follower-shim', { item, read: entry.text }) };
		stock.set(entry.text, (stock.get(entry.text) ?? 0) + Number(count));
	}
	return { ok: true, stock: [...stock].map(([thickness, count]) => ({ thickness, count })) };
}

/** Follower shims as they are typed. @example "2.50 mm x 4, 2.65 mm x 1" */
export const writeStock = (stock: Job['setup']['followerStock']): string =>
	(stock ?? []).map(({ thickness, count }) => `${thickness} x ${count}`).join(', ');
