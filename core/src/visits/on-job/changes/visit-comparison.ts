/**
 * Compares a head that came back with its last signed sheet, station by station and quantity by
 * quantity: like with like only, and a change within the uncertainty of both is no change.
 * Source: docs/trade/visits.md.
 */
import {
	lashAsFound,
	meanOfRepeats,
	partsByStation,
	stationsThen,
	testerRatio,
	type Job,
	type KindSetup,
	type Quantity
} from '../../../job/document/index.ts';
import { evaluate } from '../../../sheet/evaluation/index.ts';
import { lengthRead, type StationSheet } from '../../../sheet/figures/index.ts';
import {
	changeOf,
	lossesOf,
	whatHappened,
	type FigureRead,
	type Trace
} from '../../comparison/index.ts';
import {
	COMPARED,
	type Compared,
	type QuantityComparison,
	type StationComparison
} from './station-comparison.ts';
import { inCommon, loadsInCommon, ownChange } from './common.ts';
import { loadsOf, springsOf } from './springs.ts';

/** The reading that each compared quantity is from. */
const READ_AS: Readonly<Record<Compared, Quantity>> = {
	height: 'installed-height',
	'seal-gap': 'seal-gap',
	'tip-height': 'tip-height',
	lash: 'lash',
	'head-below-deck': 'head-below-deck',
	'tip-length': 'tip-length',
	lift: 'valve-lift'
};
/** Parts that a quantity is measured over: another one in place changes it by itself. */
const OVER: Readonly<Record<Compared, readonly (keyof KindSetup)[]>> = {
	height: ['locator', 'retainer', 'locks', 'valve'],
	'seal-gap': ['retainer', 'locks', 'valve', 'seal'],
	'tip-height': ['retainer', 'locks', 'valve', 'lashCap'],
	lash: ['rocker', 'valve', 'lashCap'],
	'head-below-deck': ['valve'],
	'tip-length': ['valve'],
	lift: ['rocker', 'lifter']
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
export function visitComparison(signed: Job, back: Job): StationComparison[] {
	const [then, now] = [lookAt(signed), lookAt(back)];
	const partners = stationsThen(signed, back);
	const sheets = new Map(then.sheet.stations.map((station) => [station.label, station]));
	const compared = now.sheet.stations.flatMap((station): StationComparison[] => {
		const entry = partners?.get(station.label);
		const before = entry && sheets.get(entry.label);
		if (!before) return [];
		const moved: Partial<Record<Trace, QuantityComparison>> = {};
		for (const trace of COMPARED) {
			const beside = comparisonOf(trace, before, station, then, now);
			if (beside) moved[trace] = beside;
		}
		const tested = springsOf(
			{ sheet: before, job: signed },
			{ sheet: station, job: back },
			testerRatio(back)
		);
		const loads = tested && loadsOf(tested);
		if (loads) moved.load = loads;
		return [
			{
				station: station.label,
				kind: station.kind,
				spring: entry.spring ?? null,
				moved,
				losses: tested && lossesOf(tested.then, tested.now),
				happened: null
			}
		];
	});
	return explainedChanges(compared, testerRatio(back));
}

/**
 * Returns each station with what explains its changes, after the shifts that all stations share
 * have been subtracted.
 *
 * @param reference load of a reference spring on the present tester over that on the earlier one; null where none was read
 */
export function explainedChanges(
	stations: readonly StationComparison[],
	reference: number | null
): StationComparison[] {
	const common = inCommon(stations);
	const loads = loadsInCommon(stations, reference);
	return stations.map((station) => {
		const own = (Object.entries(station.moved) as [Trace, QuantityComparison][]).map(
			([trace, compared]) => [trace, ownChange(trace, compared, common, loads)] as const
		);
		return {
			...station,
			happened: own.length > 0 ? whatHappened(Object.fromEntries(own)) : null
		};
	});
}

function comparisonOf(
	trace: Compared,
	before: StationSheet,
	station: StationSheet,
	then: Look,
	now: Look
): QuantityComparison | null {
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
		isAnotherGauge: gauge(before) !== gauge(station),
		...(trace === 'lash' && {
			isOtherTemperature:
				(before.inForce.lash?.engine ?? 'cold') !==
				(lashAsFound(now.job, station.label)?.engine ?? 'cold')
		})
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
		case 'lift':
			return known(figures.valveLift?.figure, figures.valveLift?.uncertainty ?? 0);
	}
}

/** The lash of a station as it came back; null where nobody read it before it was turned. */
function asFoundLash(job: Job, station: string): FigureRead | null {
	const found = lashAsFound(job, station);
	const mean = found && meanOfRepeats([found], lengthRead);
	return mean && { value: mean.value, uncertainty: mean.uncertainty };
}
