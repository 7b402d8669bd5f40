/**
 * A head as it was signed beside the head as it came back, station by station and quantity by
 * quantity: like with like only, and what lies within the uncertainty of both is no news.
 * Source: handbook §10.
 */
import {
	lashAsFound,
	meanOfRepeats,
	partsByStation,
	newestLooks,
	springAt,
	stationsThen,
	type Job,
	type KindSetup,
	type Quantity
} from '../document/index.ts';
import { evaluate } from '../evaluation/index.ts';
import { lengthRead, type StationSheet } from '../figures/index.ts';
import { median, type Kind } from '../station/index.ts';
import { mm } from '../units/index.ts';
import { combinedUncertainty } from '../verdict/index.ts';
import {
	changeOf,
	commonCause,
	commonPart,
	lossesOf,
	whatHappened,
	type CommonCause,
	type CommonPart,
	type Moved,
	type FigureRead,
	type Losses,
	type Trace,
	type WhatHappened
} from '../visit/index.ts';

/** One quantity then and now. */
export interface QuantityBeside {
	readonly then: FigureRead;
	readonly now: FigureRead;
	readonly change: Moved;
	/** Read on another gauge: what all stations have in common may be the gauges'. */
	readonly isAnotherGauge: boolean;
}

export interface StationBeside {
	readonly station: string;
	readonly kind: Kind;
	/** What was measured then and now with the same parts in place. */
	readonly moved: Readonly<Partial<Record<Trace, QuantityBeside>>>;
	/** What the seat load was lost to; null where its spring was not tested both times. */
	readonly losses: Losses | null;
	/** What explains what moved; null where nothing can be compared. */
	readonly happened: WhatHappened | null;
}

/** Loads of a tested spring are read to this part of themselves. */
const TESTER = 0.01;

/** Quantities of length that are compared, with the reading each is from. */
type Compared = Exclude<Trace, 'load' | 'lift'>;
const READ_AS: Readonly<Record<Compared, Quantity>> = {
	height: 'installed-height',
	'seal-gap': 'seal-gap',
	'tip-height': 'tip-height',
	lash: 'lash',
	'head-below-deck': 'head-below-deck',
	'tip-length': 'tip-length'
};
/** Parts that a quantity is measured over: another one in place changes it by itself. */
const OVER: Readonly<Record<Compared, readonly (keyof KindSetup)[]>> = {
	height: ['locator', 'retainer', 'locks', 'valve'],
	'seal-gap': ['retainer', 'locks', 'valve', 'seal'],
	'tip-height': ['retainer', 'locks', 'valve', 'lashCap'],
	lash: ['rocker', 'valve', 'lashCap'],
	'head-below-deck': ['valve'],
	'tip-length': ['valve']
};

/** One look at a head: its job, the sheet of it, and the parts at each station. */
interface Look {
	readonly job: Job;
	readonly sheet: ReturnType<typeof evaluate>;
	readonly parts: ReadonlyMap<string, KindSetup>;
}
const lookAt = (job: Job): Look => ({ job, sheet: evaluate(job), parts: partsByStation(job) });

/**
 * The stations of a head then and now, in the order of its sheet.
 *
 * @param signed the job frozen in the last signed sheet, with its shims as built
 * @param back the job of this visit
 */
export function thenAndNow(signed: Job, back: Job): StationBeside[] {
	const [then, now] = [lookAt(signed), lookAt(back)];
	const partners = stationsThen(signed, back);
	const sheets = new Map(then.sheet.stations.map((station) => [station.label, station]));
	return now.sheet.stations.flatMap((station): StationBeside[] => {
		const before = sheets.get(partners?.get(station.label)?.label ?? '');
		if (!before) return [];
		const moved: Partial<Record<Trace, QuantityBeside>> = {};
		for (const trace of Object.keys(READ_AS) as Compared[]) {
			const beside = besideOf(trace, before, station, then, now);
			if (beside) moved[trace] = beside;
		}
		const tested = springsOf(before, station);
		const loads =
			tested && loadsOf(tested, isOnAnotherTester(before.label, station.label, then, now));
		if (loads) moved.load = loads;
		const changes = Object.fromEntries(
			Object.entries(moved).map(([trace, { change }]) => [trace, change])
		);
		return [
			{
				station: station.label,
				kind: station.kind,
				moved,
				losses: tested && lossesOf(tested.then, tested.now),
				happened: Object.keys(changes).length > 0 ? whatHappened(changes) : null
			}
		];
	});
}

function besideOf(
	trace: Compared,
	before: StationSheet,
	station: StationSheet,
	then: Look,
	now: Look
): QuantityBeside | null {
	const [was, is] = [figureOf(trace, before, then), figureOf(trace, station, now, true)];
	if (!was || !is || !hasSameParts(trace, before, station, then, now)) return null;
	const gauge = (of: StationSheet) => {
		const { id, name } = of.inForce[READ_AS[trace]]?.gauge ?? {};
		return id ?? name;
	};
	return {
		then: was,
		now: is,
		change: changeOf(was, is),
		isAnotherGauge: gauge(before) !== gauge(station)
	};
}

/** Whether what a quantity is measured over is the same then and now, the locks' offset with it. */
function hasSameParts(
	trace: Compared,
	before: StationSheet,
	station: StationSheet,
	then: Look,
	now: Look
): boolean {
	const [was, is] = [then.parts.get(before.label)!, now.parts.get(station.label)!];
	const nameAt = (parts: KindSetup, place: keyof KindSetup) =>
		(parts[place] as { name?: string } | undefined)?.name;
	return (
		before.stack.lockOffset === station.stack.lockOffset &&
		OVER[trace].every((place) => nameAt(was, place) === nameAt(is, place))
	);
}

/** A quantity of a station; null where nobody read it. Lash counts now only as it was found. */
function figureOf(
	trace: Compared,
	station: StationSheet,
	look: Look,
	isNow = false
): FigureRead | null {
	const { figures, stack } = station;
	const known = (value: number | null | undefined, uncertainty: number) =>
		value == null ? null : { value, uncertainty };
	switch (trace) {
		case 'height': {
			// Shims changed between are taken off first: the seat's own height is compared.
			const shims = stack.shims.reduce((sum, shim) => sum + shim, 0);
			const { figure } = figures.height;
			return known(figure === null ? null : figure + shims, station.uncertainty ?? 0);
		}
		case 'seal-gap':
			return known(station.sealGap, figures.sealClearance.uncertainty);
		case 'tip-height':
			return known(station.tipHeight, figures.tipHeight?.uncertainty ?? 0);
		case 'lash':
			return isNow
				? asFoundLash(look.job, station.label)
				: known(figures.lash?.figure, figures.lash?.uncertainty ?? 0);
		case 'head-below-deck':
			return known(figures.headBelowDeck?.figure, figures.headBelowDeck?.uncertainty ?? 0);
		case 'tip-length':
			return known(figures.tipLength?.figure, figures.tipLength?.uncertainty ?? 0);
	}
}

/** The lash of a station as it came back; null where nobody read it before it was turned. */
function asFoundLash(job: Job, station: string): FigureRead | null {
	const found = lashAsFound(job, station);
	const mean = found && meanOfRepeats([found], lengthRead);
	return mean && { value: mean.value, uncertainty: mean.uncertainty };
}

/** The spring of a station then and now; null where it was not tested both times, or nothing is new. */
function springsOf(before: StationSheet, station: StationSheet) {
	const [was, is] = [before.shared.curve, station.shared.curve];
	const [h0, h1] = [before.figures.height.figure, station.figures.height.figure];
	if (was?.from !== 'tested' || is?.from !== 'tested' || h0 === null || h1 === null) return null;
	const heights = [was.lowest, was.highest, is.lowest, is.highest];
	const isTheSameTest =
		was.lowest === is.lowest &&
		was.highest === is.highest &&
		heights.every((height) => was.load(height) === is.load(height));
	if (isTheSameTest) return null;
	const standing = (curve: typeof was, height: number, of: StationSheet) => ({
		curve,
		height: { value: height, uncertainty: of.uncertainty ?? 0 },
		tester: TESTER
	});
	return { then: standing(was, h0, before), now: standing(is, h1, station) };
}

/** Whether a station's spring of now was tested on something else than its spring of then. */
function isOnAnotherTester(before: string, label: string, then: Look, now: Look): boolean {
	const testerAt = ({ job }: Look, at: string) => {
		const entry = job.stations.find((one) => one.label === at)!;
		return springAt(job.setup, entry)?.tester;
	};
	const [was, is] = [testerAt(then, before), testerAt(now, label)];
	return was !== undefined && is !== undefined && was !== is;
}

/** Loads of both tests at the height that the spring stands at now; null where one of them was not tested there. */
function loadsOf(
	{ then, now }: NonNullable<ReturnType<typeof springsOf>>,
	isAnotherGauge: boolean
): QuantityBeside | null {
	const height = mm(now.height.value);
	const [was, is] = [then.curve.load(height), now.curve.load(height)];
	if (was === null || is === null) return null;
	const figure = (load: number) => ({ value: load, uncertainty: TESTER * load });
	const change = changeOf(figure(was), figure(is));
	return { then: figure(was), now: figure(is), change, isAnotherGauge };
}

/** What all stations moved by together on another gauge, in mm; shown apart, and not forgiven. */
export interface InCommon {
	readonly trace: Trace;
	readonly by: number;
	readonly uncertainty: number;
}

/** Fewer stations than this have nothing in common. */
const FEWEST = 4;

/** What every station read on another gauge has in common; nothing where it is within what they were read to. */
export function inCommon(stations: readonly StationBeside[]): InCommon[] {
	return (Object.keys(READ_AS) as Compared[]).flatMap((trace) => {
		const all = stations.flatMap(({ moved }) => {
			const beside = moved[trace];
			return beside?.isAnotherGauge ? [beside.change] : [];
		});
		if (all.length < FEWEST) return [];
		const by = median(all.map((one) => one.by));
		const single = combinedUncertainty(...all.map(({ uncertainty }) => uncertainty));
		const uncertainty = (1.25 * single) / all.length;
		return Math.abs(by) > uncertainty ? [{ trace, by, uncertainty }] : [];
	});
}

/** What the loads of springs tested on another tester have in common, and what that is to be taken for. */
export interface LoadsInCommon extends CommonPart {
	readonly cause: Exclude<CommonCause, 'none'>;
}

/**
 * What all loads on another tester have in common. Whether that is the tester's is known once a
 * reference was read on both, which a look tells; until then it is either's.
 *
 * @returns null where they have nothing in common, or were read on the same tester
 */
export function loadsInCommon(stations: readonly StationBeside[], back: Job): LoadsInCommon | null {
	const loads = stations.flatMap(({ moved: { load } }) => (load?.isAnotherGauge ? [load] : []));
	const part = commonPart(
		loads.map(({ then, now }) => now.value / then.value),
		combinedUncertainty(TESTER, TESTER)
	);
	const look = newestLooks(back).get('gauge-reference');
	const isOff = look?.seen.some(({ evidence }) => evidence === 'reference-off');
	// A reference that reads alike on both leaves the springs; one that reads off as they do, the tester.
	const reference = look && part ? { value: isOff ? part.ratio : 1, uncertainty: TESTER } : null;
	const cause = commonCause(part, false, reference);
	return part && cause !== 'none' ? { ...part, cause } : null;
}
