/**
 * The plan of a whole job: which shims, which locks and which spring at every
 * station, from what is on the shelf (handbook §3, §4, §5).
 */
import { message, type Message } from '../message/index.ts';
import { lengthOf, type Millimetres } from '../units/index.ts';
import {
	costOf,
	solvePlan,
	type Answer,
	type HowToSolve,
	type Problem,
	type ShimStock,
	type Solved
} from '../plan/index.ts';
import { currentReadings, partsOf, type StationEntry } from '../document/index.ts';
import {
	forgottenOn,
	heightsRead,
	jobLimits,
	kindSheet,
	type KindSheet
} from '../figures/index.ts';
import {
	buildsOf,
	missingFor,
	QUANTUM,
	type BuildOption,
	type BuildLimit,
	type ToBuild
} from './builds.ts';
import { balanceLoads, type BuildChoice } from './balance-loads.ts';
import { withShelf } from './shelf.ts';
import { springsToPlace } from './springs-to-place.ts';
import type { PlanAnswer, PlannedStation, PlanQuestion } from './types.ts';

declare module '../message/message.ts' {
	interface Messages {
		'at-station': { readonly station: string; readonly says: Message };
		'plan.all-locked': null;
		'plan.too-few': {
			readonly part: Message;
			readonly required: number;
			readonly stock: number;
		};
		'plan.springs-do-not-place': null;
		'plan.limit-short': {
			readonly station: string;
			readonly limit: BuildLimit;
			readonly by: Millimetres;
		};
		'plan.nothing-holds': { readonly station: string };
		'plan.solved-from-stock': { readonly limit: Message; readonly parts: readonly Message[] };
		'plan.solved-on-order': { readonly limit: Message; readonly parts: readonly Message[] };
	}
}

interface Asked {
	readonly problem: Problem<BuildChoice>;
	readonly stations: readonly StationEntry[];
	readonly springs: readonly string[];
	/** What each part in stock is, to be said. */
	readonly names: readonly Message[];
	readonly leftOut: readonly (readonly [string, Message])[];
	readonly write: (shim: Millimetres) => string;
}

/** How a plan is worked out: a solver, how long it may take, and who is told of the best so far. */
export interface HowToPlan extends Pick<HowToSolve<BuildChoice>, 'solver' | 'seconds'> {
	readonly onProgress?: (answer: PlanAnswer) => void;
}

/**
 * Plans a job. Stations that cannot be planned are left out and named. Source: handbook §4.
 *
 * @returns the best plan found, whether it is proven, and why stations were left out; no plan where none can be planned
 */
export async function planJob(question: PlanQuestion, how: HowToPlan): Promise<PlanAnswer> {
	const asked = problemOf(question);
	if (asked.stations.length === 0) {
		const why = asked.leftOut.map(([station, says]) => message('at-station', { station, says }));
		return { sort: 'no-plan', why: why.length > 0 ? why : [message('plan.all-locked')] };
	}
	const { onProgress, ...rest } = how;
	const answer = await solvePlan(asked.problem, {
		...rest,
		...(onProgress && { onProgress: (best) => onProgress(planned(asked, best)) })
	});
	return toPlanAnswer(question, asked, answer);
}

function toPlanAnswer(
	question: PlanQuestion,
	asked: Asked,
	answer: Answer<BuildChoice>
): PlanAnswer {
	switch (answer.sort) {
		case 'plan':
			return planned(asked, answer);
		case 'stopped':
			return { sort: 'stopped' };
		case 'no-choice':
			return {
				sort: 'no-plan',
				why: answer.stations.map((station) => whyNot(question, asked.stations[station]!))
			};
		case 'short': {
			const why = answer.short.map(({ part, wanted, there }) =>
				message('plan.too-few', { part: asked.names[part]!, required: wanted, stock: there })
			);
			return {
				sort: 'no-plan',
				why: why.length > 0 ? why : [message('plan.springs-do-not-place')]
			};
		}
	}
}

function planned(asked: Asked, solved: Solved<BuildChoice>): PlanAnswer {
	const { value, bound, proven } = solved;
	const chosen = balanceLoads(
		solved.chosen,
		asked.problem.choices,
		asked.problem.springs,
		(station) => asked.stations[station]!.kind
	);
	const spare = [...asked.problem.stock];
	for (const { takes } of chosen) for (const [part, count] of takes) spare[part]! -= count;
	return {
		sort: 'plan',
		stations: chosen.map((choice) => toPlannedStation(asked, choice)),
		proven,
		worst: value.worst * QUANTUM,
		bound: bound.worst * QUANTUM,
		gap: proven || value.cost === 0 ? 0 : Math.max(0, 1 - bound.cost / value.cost),
		next: chosen.flatMap((choice) => {
			const other = nextBest(asked.problem, choice, spare);
			return other ? [toPlannedStation(asked, other)] : [];
		}),
		leftOut: asked.leftOut
	};
}

/** The cheapest other build of a station with the same spring that what is left over allows. */
function nextBest(
	{ choices }: Problem<BuildChoice>,
	chosen: BuildChoice,
	spare: readonly number[]
): BuildChoice | null {
	const returned = new Map(chosen.takes);
	return choices.reduce<BuildChoice | null>((best, choice) => {
		if (choice.station !== chosen.station || choice.spring !== chosen.spring) return best;
		if (choice === chosen || (best && costOf(best) <= costOf(choice))) return best;
		const fits = choice.takes.every(
			([part, count]) => count <= spare[part]! + (returned.get(part) ?? 0)
		);
		return fits ? choice : best;
	}, null);
}

function toPlannedStation(
	{ stations, springs, write }: Asked,
	choice: BuildChoice
): PlannedStation {
	const entry = stations[choice.station]!;
	const spring = choice.spring === null ? entry.spring : springs[choice.spring];
	return {
		label: entry.label,
		shims: choice.build.shims.map(write),
		...(choice.build.locks && { locks: choice.build.locks }),
		...(spring !== undefined && { spring })
	};
}

/** The job's plan as a problem of choosing. */
function problemOf({ job: asking, shims, lockStock, placeSprings, fixed }: PlanQuestion): Asked {
	const job = withShelf(asking, shims ?? []);
	const { setup } = job;
	const shared = jobLimits(job);
	const standing = currentReadings(job);
	const isFixed = new Set(fixed);
	const springs = placeSprings ? springsToPlace(job, isFixed) : [];
	const asked = forgottenOn(
		job,
		heightsRead(job, standing, shared.repeats),
		(entry) => kindSheet(entry.kind, partsOf(setup, entry), setup, null),
		shared
	);
	const sizes = poolOf(
		job.stations.filter(({ label }) => !isFixed.has(label)),
		shared.stock
	);
	const stock = [...sizes.map(({ count }) => count), ...lockStock.map(({ count }) => count)];
	const kinds = new Map<string, KindSheet>();
	const stations: StationEntry[] = [];
	const leftOut: (readonly [string, Message])[] = [];
	const choices: BuildChoice[] = [];

	/** A station with each spring that may go there; with none where none is to be placed. */
	const candidatesOf = (entry: StationEntry) => {
		const parts = partsOf(setup, entry);
		const own = springs.flatMap(({ card }, i) => (card === parts.spring?.id ? [i] : []));
		return (own.length > 0 ? own : [null]).map((spring) => {
			const fitted =
				spring === null ? parts : partsOf(setup, { ...entry, spring: springs[spring]!.tag });
			const key = `${entry.kind} ${entry.parts ? entry.label : ''} ${entry.cylinder} ${spring ?? entry.spring ?? ''}`;
			const kind = kinds.get(key) ?? kindSheet(entry.kind, fitted, setup, null);
			kinds.set(key, kind);
			const station: ToBuild = {
				entry,
				parts: fitted,
				standing: standing.get(entry.label)!,
				kind,
				shared,
				sizes,
				locks: [null, ...locksToTake(lockStock)]
			};
			return { spring, station };
		});
	};

	for (const entry of job.stations) {
		if (isFixed.has(entry.label)) continue;
		const candidates = candidatesOf(entry);
		const missing = asked.has(entry.head)
			? message('height.answer-first')
			: missingFor(candidates[0]!.station);
		if (missing) {
			leftOut.push([entry.label, missing]);
			continue;
		}
		const at = stations.push(entry) - 1;
		for (const { spring, station } of candidates) {
			for (const build of buildsOf(station)) {
				if (build.short > 0) continue;
				choices.push({
					station: at,
					spring,
					distance: build.distance,
					parts: build.parts,
					takes: takesOf(build, sizes, lockStock),
					build
				});
			}
		}
	}
	const text = new Map(setup.shimStock.map(({ thickness }) => [lengthOf(thickness), thickness]));
	for (const { shims } of job.stations) for (const shim of shims) text.set(lengthOf(shim), shim);
	return {
		problem: { stations: stations.length, springs: springs.length, stock, choices },
		stations,
		springs: springs.map(({ tag }) => tag),
		names: namesOf(sizes, lockStock),
		leftOut,
		write: (shim) => text.get(shim) ?? `${shim} mm`
	};
}

/** Lock sets of the shelf that the plan may take. */
const locksToTake = (lockStock: PlanQuestion['lockStock']) =>
	lockStock.flatMap(({ locks, count, excluded }) => (count > 0 && !excluded ? [locks] : []));

const namesOf = (
	sizes: readonly ShimStock[],
	lockStock: PlanQuestion['lockStock']
): readonly Message[] => [
	...sizes.map(({ thickness }) => message('part.shim', { thickness })),
	...lockStock.map(({ locks }) => message('name', { name: locks.name }))
];

function takesOf(
	build: BuildOption,
	sizes: readonly ShimStock[],
	lockStock: PlanQuestion['lockStock']
): (readonly [number, number])[] {
	const takes = sizes.flatMap((size, part): (readonly [number, number])[] => {
		const count = build.sizes.filter((one) => one === size).length;
		return count > 0 ? [[part, count]] : [];
	});
	const lock = lockStock.findIndex(({ locks }) => locks === build.locks);
	return lock < 0 ? takes : [...takes, [sizes.length + lock, 1]];
}

/** The shelf, alike sizes added up, and what is under the stations already and comes free. */
function poolOf(stations: readonly StationEntry[], stock: readonly ShimStock[]): ShimStock[] {
	const pool: { -readonly [K in keyof ShimStock]: ShimStock[K] }[] = [];
	for (const size of stock) {
		const alike = pool.find(
			({ thickness, inside, outside }) =>
				thickness === size.thickness && inside === size.inside && outside === size.outside
		);
		if (alike) alike.count += size.count;
		else pool.push({ ...size });
	}
	for (const { shims } of stations) {
		for (const shim of shims) {
			const thickness = lengthOf(shim);
			const alike = pool.find((size) => size.thickness === thickness);
			if (alike) alike.count++;
			else pool.push({ thickness, count: 1 });
		}
	}
	return pool;
}

/** Which limit keeps a station from being built, by how much, and what on the shelf or on order would free it. */
function whyNot(question: PlanQuestion, entry: StationEntry): Message {
	const { lockStock } = question;
	const job = withShelf(question.job, question.shims ?? []);
	const parts = partsOf(job.setup, entry);
	const shared = jobLimits(job);
	const base: ToBuild = {
		entry,
		parts,
		standing: currentReadings(job).get(entry.label)!,
		kind: kindSheet(entry.kind, parts, job.setup, null),
		shared,
		sizes: poolOf([entry], shared.stock),
		locks: [null, ...locksToTake(lockStock)]
	};
	const nearest = buildsOf(base).reduce<BuildOption | null>(
		(best, build) => (!best || build.short < best.short ? build : best),
		null
	);
	const { label: station } = entry;
	const limit = nearest?.floor
		? message('plan.limit-short', { station, limit: nearest.floor, by: nearest.short })
		: message('plan.nothing-holds', { station });
	const shelf = lockStock.filter(({ count }) => count > 0).map(({ locks }) => locks);
	const onShelf = solvedBy({ ...base, locks: [null, ...shelf] });
	if (onShelf) return message('plan.solved-from-stock', { limit, parts: onShelf });
	const onOrder = solvedBy({
		...base,
		sizes: shared.stock.map((size) => ({ ...size, count: shared.limits.maxShims })),
		locks: [null, ...lockStock.map(({ locks }) => locks)]
	});
	return onOrder ? message('plan.solved-on-order', { limit, parts: onOrder }) : limit;
}

/** The parts of the build nearest to the aim that meets every minimum; null where none does. */
function solvedBy(station: ToBuild): readonly Message[] | null {
	const build = buildsOf(station)
		.filter(({ short }) => short === 0)
		.toSorted((a, b) => a.distance - b.distance || a.parts - b.parts)[0];
	if (!build) return null;
	const parts = [
		...build.shims.map((thickness) => message('part.shim', { thickness })),
		...(build.locks ? [message('name', { name: build.locks.name })] : [])
	];
	return parts.length === 0 ? null : parts;
}
