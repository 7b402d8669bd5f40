/** Lash on the engine of a job: in which order, how far to turn, what to expect hot, which shims go where. */
import { partsOf } from '../job/parts-of.ts';
import type { Job, StationEntry } from '../job/schema.ts';
import type { Sheet } from '../job/sheet.ts';
import type { Kind } from '../station/layout.ts';
import { lengthOf, type LengthUnit, type Millimetres } from '../units/quantity.ts';
import { changePerTurn, hotLash, turnsFor, usualGrowth } from './adjuster.ts';
import {
	eventsOf,
	settingStops,
	timingSource,
	type CamEvents,
	type SettingOrder,
	type SettingStop,
	type TimingSource
} from './orders.ts';
import { swapPlan, type Follower, type SwapStep } from './swap.ts';

/** When this engine's valves move, and where that is from: of its two lobes the less certain. */
export function camEvents({ setup }: Job): { events: CamEvents; from: TimingSource } {
	const lobes = { intake: setup.cam?.intake ?? {}, exhaust: setup.cam?.exhaust ?? {} };
	const sources = [timingSource(lobes.intake), timingSource(lobes.exhaust)];
	const from = (['long cam', 'duration'] as const).find((source) => sources.includes(source));
	return { events: eventsOf(lobes), from: from ?? 'card' };
}

/** The stops of an order on this engine; none until its firing order is known. */
export function stopsOf(job: Job, order: SettingOrder): SettingStop[] {
	const { firingOrder } = job.engine.layout;
	return firingOrder ? settingStops(order, firingOrder, job.stations, camEvents(job).events) : [];
}

/** Change of lash for a turn of the adjuster of this kind; null while thread or ratio are not known. */
export function perTurn(job: Job, kind: Kind): Millimetres | null {
	const { adjuster, kinds } = job.setup;
	const { lift, rocker } = kinds[kind];
	const ratio = rocker?.ratio ?? (lift?.sort === 'lobe' ? lift.ratio : undefined);
	if (!adjuster) return null;
	if (ratio === undefined && adjuster.at !== 'at the valve end') return null;
	return changePerTurn(adjuster.at, lengthOf(adjuster.pitch), ratio ?? 1);
}

/** "turn 12° in": how far to turn from a lash just read to the one wanted; null where it is not known. */
export function turnAdvice(job: Job, entry: StationEntry, read: string): string | null {
	const { lash } = partsOf(job.setup, entry);
	const step = perTurn(job, entry.kind);
	if (!lash || step === null) return null;
	const degrees = 360 * turnsFor(lengthOf(read), lengthOf(lash.setting), step);
	if (Math.abs(degrees) < 1) return 'leave the adjuster';
	return `turn the adjuster ${Math.abs(degrees).toFixed(0)}° ${degrees > 0 ? 'in' : 'out'}`;
}

export interface Growth {
	readonly growth: Millimetres;
	readonly from: 'measured' | 'usual for these metals';
}

/** What lash gains from cold to hot on this engine. */
export function growthOf({ setup }: Job): Growth | null {
	if (setup.growth?.measured) return { growth: lengthOf(setup.growth.measured), from: 'measured' };
	const head = setup.head?.material;
	const block = setup.growth?.block;
	const usual = head && block ? usualGrowth(head, block) : null;
	return usual === null ? null : { growth: usual, from: 'usual for these metals' };
}

/** Lash to be expected with the engine hot, from its cold setting; null for a hot setting. */
export function expectedHot(job: Job, kind: Kind): Millimetres | null {
	const { lash } = job.setup.kinds[kind];
	const growth = growthOf(job);
	return lash?.engine === 'cold' && growth ? hotLash(lengthOf(lash.setting), growth.growth) : null;
}

/** The shims of the followers, and where each is to go; empty where they are not measured. */
export function followerSwaps(job: Job, sheet: Sheet): SwapStep[] {
	const followers = job.stations.flatMap((entry): Follower[] => {
		const station = sheet.stations.find(({ label }) => label === entry.label);
		const shim = station?.inForce['follower shim'];
		const measured = station?.figures.lash?.figure;
		const { lash } = partsOf(job.setup, entry);
		if (!shim || measured == null || !lash) return [];
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
	const stock = (job.setup.followerStock ?? []).map(({ thickness, count }) => ({
		thickness: lengthOf(thickness),
		count
	}));
	return swapPlan(followers, stock);
}

/** "2.50 x 4, 2.55": sizes and counts as they are typed; null where one cannot be read. */
export function readStock(
	text: string,
	unit: LengthUnit
): { thickness: string; count: number }[] | null {
	const items = text
		.split(/[,;\n]/)
		.map((item) => item.trim())
		.filter(Boolean);
	const sizes = items.map((item) =>
		/^(\d+(?:\.\d+)?)\s*(mm|in)?\s*(?:[x×*]\s*(\d{1,4}))?$/.exec(item)
	);
	if (sizes.some((size) => !size || Number(size[1]) <= 0)) return null;
	return sizes.map((size) => ({
		thickness: `${size![1]} ${size![2] ?? unit}`,
		count: Number(size![3] ?? 1)
	}));
}

export const writeStock = (stock: Job['setup']['followerStock']): string =>
	(stock ?? []).map(({ thickness, count }) => `${thickness} x ${count}`).join(', ');
