/**
 * Made-up heads whose faults are known, and what each check of one shows. Written from
 * docs/trade/visits.md, apart from the likelihoods that it tests: the chances are drawn anew for
 * every head, and none of them is one of the program's levels.
 */
import { combinedUncertainty, NORMAL } from '../../../../foundation/verdict/index.ts';
import { dice, GAUGES, LOAD, type Dice } from '../../../comparison/test/made-up.ts';
import { SIGNATURES, TRACES, type Happening, type Trace } from '../../../comparison/index.ts';
import {
	EVIDENCE,
	evidenceOf,
	type Cause,
	type CheckCode,
	type Complaint,
	type EvidenceCode
} from '../../../diagnosis/index.ts';
import type { QuantityComparison, StationComparison } from '../../changes/index.ts';

/** One thing that can be wrong with a valve or a few of them. */
interface Fault {
	/** Causes of the program that describe it. */
	readonly causes: readonly Cause[];
	/** None where nobody would complain of it by itself. */
	readonly complaints: readonly Complaint[];
	/** What it changes at each of its valves: mm from the least to the greatest, a spring's load as a part of it. */
	readonly changes?: Readonly<Partial<Record<Happening, readonly [number, number]>>>;
	/** Evidence that it nearly always leaves, and that it leaves now and then. */
	readonly often?: readonly EvidenceCode[];
	readonly sometimes?: readonly EvidenceCode[];
	/** Valves that have it, at most. */
	readonly valves: number;
	/** Whether the engine must not be run or cranked with it. */
	readonly isDangerous?: true;
}

const RECEDED = [0.25, 0.6] as const;

/** Faults by name. Where the program has no cause of its own for one, the nearest counts. */
export const FAULTS = {
	'weak-spring': {
		causes: ['spring-lost-load'],
		complaints: ['stops-pulling', 'misfire'],
		changes: { 'spring-sagged': [0.11, 0.18] },
		often: ['at-one-speed', 'on-head-low'],
		sometimes: ['control-short'],
		valves: 3
	},
	'receded-seat': {
		causes: ['height-grew'],
		complaints: ['stops-pulling', 'lash-moves'],
		changes: { 'seat-sank': RECEDED },
		sometimes: ['at-one-speed'],
		valves: 3
	},
	'pulled-locks': {
		causes: ['locks', 'locks-pulled'],
		complaints: ['lash-moves', 'dropped-valve'],
		changes: { 'locks-pulled': RECEDED },
		often: ['locks-marked', 'retainer-not-level'],
		valves: 1,
		isDangerous: true
	},
	'worn-tip': {
		causes: ['lash-opened'],
		complaints: ['noise-at-one-valve', 'lash-moves'],
		changes: { 'tip-worn': RECEDED },
		sometimes: ['hammered-tips'],
		valves: 1
	},
	'loose-adjuster': {
		causes: ['lash-opened', 'adjuster-loose'],
		complaints: ['noise-at-one-valve', 'lash-moves'],
		changes: { 'adjuster-opened': [0.25, 0.7] },
		sometimes: ['axle-play'],
		valves: 1
	},
	'worn-lobe': {
		causes: ['lobe-worn'],
		complaints: ['misfire', 'noise-at-one-valve', 'stops-pulling'],
		changes: { 'lobe-worn': [0.3, 1.5] },
		often: ['lobe-scored'],
		sometimes: ['also-far-below'],
		valves: 2
	},
	float: {
		causes: ['float'],
		complaints: ['stops-pulling', 'lash-moves'],
		often: ['control-short', 'at-one-speed'],
		sometimes: ['hammered-tips', 'bounce-ring', 'over-speed-event'],
		valves: 4
	},
	surge: {
		causes: ['surge'],
		complaints: ['stops-pulling', 'broken-spring'],
		often: ['low-order', 'at-one-speed'],
		sometimes: ['damper-worn', 'coils-polished', 'broken-near-end'],
		valves: 2
	},
	'coil-bind': {
		causes: ['coil-bind'],
		complaints: ['broken-spring', 'broken-rocker', 'broken-pushrod'],
		often: ['bind-short', 'coil-faces-shine'],
		sometimes: ['pushrod-bent'],
		valves: 2,
		isDangerous: true
	},
	'retainer-on-seal': {
		causes: ['retainer-on-seal'],
		complaints: ['oil-at-guide', 'noise-at-one-valve'],
		often: ['seal-short'],
		sometimes: ['seal-torn'],
		valves: 2,
		isDangerous: true
	},
	'port-pressure': {
		causes: ['port-pressure'],
		complaints: ['stops-pulling'],
		often: ['net-seat-short', 'only-under-boost'],
		sometimes: ['at-one-speed'],
		valves: 4,
		isDangerous: true
	},
	'rocker-nose': {
		causes: ['rocker-nose'],
		complaints: ['broken-rocker'],
		often: ['nose-short', 'marks-under-nose'],
		valves: 2,
		isDangerous: true
	},
	'rocker-pushrod-side': {
		causes: ['rocker-pushrod-side'],
		complaints: ['broken-rocker'],
		often: ['pushrod-rubs'],
		valves: 1
	},
	'burned-rocker': {
		causes: ['rocker-burnt'],
		complaints: ['noise-at-one-valve', 'broken-rocker'],
		often: ['blue-rocker'],
		sometimes: ['axle-play'],
		valves: 3
	},
	'overloaded-rocker': {
		causes: ['rocker-overloaded'],
		complaints: ['broken-rocker'],
		often: ['opening-force-high'],
		valves: 2
	},
	'collapsed-lifter': {
		causes: ['lifter'],
		complaints: ['noise-at-one-valve', 'misfire'],
		changes: { 'lobe-worn': [0.3, 1] },
		often: ['clears-after-bleed-down'],
		sometimes: ['comes-and-goes'],
		valves: 2
	},
	'bent-pushrod': {
		causes: ['pushrod'],
		complaints: ['broken-pushrod', 'noise-at-one-valve'],
		changes: { 'adjuster-opened': [0.25, 0.7] },
		often: ['pushrod-bent'],
		sometimes: ['wipe-off-centre'],
		valves: 1
	},
	'leaking-valve': {
		causes: ['valve-sealing'],
		complaints: ['lost-vacuum', 'misfire', 'oil-at-guide'],
		often: ['leaks-down'],
		sometimes: ['stem-clearance', 'also-far-below'],
		valves: 2
	},
	'piston-contact': {
		causes: ['valve-met-piston'],
		complaints: ['broken-pushrod', 'noise-at-one-valve'],
		often: ['piston-mark', 'leaks-down'],
		sometimes: ['piston-short', 'over-speed-event'],
		valves: 2,
		isDangerous: true
	},
	'cracked-spring': {
		causes: ['corroded-spring'],
		complaints: ['broken-spring', 'dropped-valve'],
		often: ['crack-at-pit'],
		valves: 1,
		isDangerous: true
	},
	'tired-spring': {
		causes: ['fatigue'],
		complaints: ['broken-spring', 'dropped-valve'],
		often: ['service-over'],
		sometimes: ['broken-near-end'],
		valves: 1
	},
	'mixed-springs': {
		causes: ['mixed-springs'],
		complaints: ['stops-pulling', 'broken-spring'],
		changes: { 'spring-sagged': [0.11, 0.18] },
		often: ['other-springs'],
		sometimes: ['on-head-low'],
		valves: 3
	}
} as const satisfies Record<string, Fault>;
export type FaultName = keyof typeof FAULTS;
const NAMES = Object.keys(FAULTS) as FaultName[];
const faultOf = (name: FaultName): Fault => FAULTS[name];

/** What makes all valves read alike and is no fault of any: nothing is to be replaced for it. */
interface Conditions {
	/** What the present tester reads of the earlier one; 1 where they are the same tester or agree. */
	readonly testerRatio: number;
	readonly isAnotherTester: boolean;
	/** The lash of a warm engine less that of a cold one, in mm; 0 where it is cold as before. */
	readonly warmer: number;
}

/** What a check shows of a head. */
export interface Revealed {
	/** Changes by station. */
	readonly moved: ReadonlyMap<string, Partial<Record<Trace, QuantityComparison>>>;
	/** Evidence other than those changes, with how surely it is there and where. */
	readonly evidence: Readonly<
		Partial<Record<EvidenceCode, { readonly surely: number; readonly stations: readonly string[] }>>
	>;
	/** Loads of a reference spring on the present tester over the earlier one. */
	readonly reference?: number;
	/** Whether lash was read on an engine as warm as it was set on. */
	readonly isAsWarm?: boolean;
}

export interface MadeUpHead {
	/** Faults and their valves; none where the valvetrain is in order. */
	readonly faults: readonly { readonly name: FaultName; readonly stations: readonly string[] }[];
	readonly conditions: Conditions;
	readonly complaint: Complaint;
	readonly stations: readonly StationComparison[];
	readonly check: (check: CheckCode) => Revealed;
}

/** Changes that each check reads. */
const READ_BY: Readonly<Partial<Record<CheckCode, readonly Trace[]>>> = {
	heights: ['height', 'seal-gap', 'tip-height'],
	'lash-as-found': ['lash'],
	'bench-loads': ['load'],
	'lift-round': ['lift'],
	'valves-out': ['tip-length', 'head-below-deck']
};
/** What was read of each before: mm, N. */
const BEFORE: Readonly<Record<Trace, number>> = {
	height: 46,
	'seal-gap': 14,
	'tip-height': 20,
	lash: 0.4,
	'head-below-deck': 2,
	'tip-length': 50,
	load: LOAD,
	lift: 13
};

/** Evidence that follows from the changes: nobody draws it. */
const FROM_CHANGES: ReadonlySet<EvidenceCode> = new Set<EvidenceCode>([
	'one-lash-opened',
	'lash-closed',
	'lash-spread',
	'heights-grown',
	'bench-low',
	'lift-fell',
	'reference-off',
	'all-lash-alike',
	'other-temperature',
	'locks-pulled-in',
	'tip-lower',
	'all-heights-alike',
	'all-loads-alike',
	'head-sunk'
]);

export interface Drawn {
	readonly faults: number;
	/** Whether the loads are read on another tester that reads low, and the lash on a warm engine. */
	readonly isOtherTester: boolean;
	readonly isWarm: boolean;
}

/** A head with so many faults. */
export function madeUpHead(
	{ faults: count, isOtherTester, isWarm }: Drawn,
	chance: Dice
): MadeUpHead {
	const between = (from: number, to: number) => from + (to - from) * chance.next();
	const labels = Array.from({ length: chance.pick([8, 12, 16]) }, (_, i) => {
		return `${(i >> 1) + 1}${i % 2 === 0 ? 'I' : 'E'}`;
	});
	const some = (max: number) => {
		const number = 1 + Math.floor(chance.next() * max);
		return labels
			.map((label) => ({ label, by: chance.next() }))
			.toSorted((a, b) => a.by - b.by)
			.slice(0, number)
			.map(({ label }) => label);
	};
	const names: FaultName[] = [];
	while (names.length < count) {
		const name = chance.pick(NAMES);
		if (!names.includes(name)) names.push(name);
	}
	const faults = names.map((name) => ({ name, stations: some(faultOf(name).valves) }));
	const conditions: Conditions = {
		isAnotherTester: isOtherTester,
		testerRatio: isOtherTester ? between(0.91, 0.95) : 1,
		warmer: isWarm ? between(0.1, 0.2) : 0
	};
	const [first] = names;
	const complaint = chance.pick<Complaint>(
		first ? faultOf(first).complaints : isWarm ? ['lash-moves'] : ['misfire', 'stops-pulling']
	);
	const truth = changesOf(faults, between);
	const there = evidenceLeft(faults, labels, between, chance);
	const reference = conditions.testerRatio * (1 + 0.003 * chance.normal());
	const moved = new Map(
		labels.map((label) => [label, readChanges(truth.get(label)!, conditions, chance)])
	);
	return {
		faults,
		conditions,
		complaint,
		stations: labels.map((station): StationComparison => {
			const kind = station.endsWith('I') ? 'intake' : 'exhaust';
			return { station, kind, spring: null, moved: {}, losses: null, happened: null };
		}),
		check: (check) => ({
			moved: new Map(
				[...moved].map(([label, all]) => [
					label,
					Object.fromEntries((READ_BY[check] ?? []).map((trace) => [trace, all[trace]]))
				])
			),
			evidence: Object.fromEntries(
				evidenceOf(check).flatMap((code) => (FROM_CHANGES.has(code) ? [] : [[code, there[code]!]]))
			),
			...(check === 'gauge-reference' && { reference }),
			...(check === 'lash-as-found' && { isAsWarm: !isWarm })
		})
	};
}

type Between = (from: number, to: number) => number;

/** What every fault changed at each valve. */
function changesOf(faults: MadeUpHead['faults'], between: Between) {
	const all = new Map<string, Partial<Record<Happening, number>>>();
	const at = (label: string) => {
		const known = all.get(label) ?? {};
		all.set(label, known);
		return known;
	};
	for (const { name, stations } of faults)
		for (const label of stations)
			for (const [happening, [from, to]] of Object.entries(faultOf(name).changes ?? {})) {
				const of = at(label);
				const key = happening as Happening;
				of[key] = (of[key] ?? 0) + between(from, to) * (key === 'spring-sagged' ? LOAD : 1);
			}
	return { get: at };
}

/** The changes of a valve as gauges read them. */
function readChanges(
	truth: Readonly<Partial<Record<Happening, number>>>,
	{ testerRatio, isAnotherTester, warmer }: Conditions,
	{ normal }: Dice
): Record<Trace, QuantityComparison> {
	const one = (trace: Trace): QuantityComparison => {
		const change = (Object.keys(truth) as Happening[]).reduce(
			(sum, happening) => sum + truth[happening]! * (SIGNATURES[happening][trace] ?? 0),
			trace === 'lash' ? warmer : 0
		);
		const was = BEFORE[trace];
		const is = trace === 'load' ? (was + change) * testerRatio : was + change;
		const uncertainty = trace === 'load' ? GAUGES.load * LOAD : GAUGES[trace];
		const read = (value: number) => value + (normal() * uncertainty) / NORMAL;
		const [then, now] = [read(was), read(is)];
		return {
			then: { value: then, uncertainty },
			now: { value: now, uncertainty },
			change: { by: now - then, uncertainty: combinedUncertainty(uncertainty, uncertainty) },
			isAnotherGauge: trace === 'load' && isAnotherTester
		};
	};
	return Object.fromEntries(TRACES.map((trace) => [trace, one(trace)])) as Record<
		Trace,
		QuantityComparison
	>;
}

/** Evidence that the faults left, and what is there by chance. */
function evidenceLeft(
	faults: MadeUpHead['faults'],
	labels: readonly string[],
	between: Between,
	chance: Dice
) {
	const chances = faults.map(() => ({ often: between(0.86, 0.99), sometimes: between(0.3, 0.7) }));
	// A figure is seldom over its line by chance; marks are seen that mean nothing, and much is said.
	const stray = {
		figure: between(0.001, 0.006),
		mark: between(0.005, 0.03),
		said: between(0.02, 0.1)
	};
	return Object.fromEntries(
		(Object.keys(EVIDENCE) as EvidenceCode[]).map((code) => {
			const stations = faults.flatMap(({ name, stations: at }, i) => {
				const { often = [], sometimes = [] } = faultOf(name);
				const likely = often.includes(code)
					? chances[i]!.often
					: sometimes.includes(code)
						? chances[i]!.sometimes
						: 0;
				return chance.next() < likely ? at : [];
			});
			const isStray =
				// Nobody takes a sound part for a cracked one, or a spot for a piston's mark.
				!UNMISTAKABLE.has(code) && chance.next() < stray[EVIDENCE[code].type];
			const where = stations.length === 0 && isStray ? [chance.pick(labels)] : stations;
			return [code, { surely: Number(where.length > 0), stations: where }];
		})
	);
}
/** Marks that are not seen where there is nothing. */
const UNMISTAKABLE: ReadonlySet<EvidenceCode> = new Set<EvidenceCode>([
	'crack-at-pit',
	'broken-near-end',
	'piston-mark',
	'spring-cracked',
	'valve-bent',
	'seat-loose',
	'locks-not-seated',
	'groove-damaged',
	'part-damaged',
	'no-oil',
	'stud-high',
	'seal-cut-by-spring',
	'damper-removed'
]);

/** So many heads: a fifth in order, two fifths with one fault, two fifths with two; every fourth on another tester, every fourth warm. */
export function madeUpHeads(count: number, seed: number): MadeUpHead[] {
	const chance = dice(seed);
	return Array.from({ length: count }, (_, i) =>
		madeUpHead(
			{
				faults: [0, 1, 2, 1, 2][i % 5]!,
				isOtherTester: chance.next() < 0.25,
				isWarm: chance.next() < 0.25
			},
			chance
		)
	);
}
