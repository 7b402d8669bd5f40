/**
 * The plan of a whole job: which shims, which locks and which spring at every
 * station, from what is on the shelf (docs/trade/sheet.md, docs/trade/sheet.md#target-height, docs/trade/springs.md).
 */
import { message, type Message } from '../../../foundation/message/index.ts';
import { lengthOf, type Millimetres } from '../../../foundation/units/index.ts';
import {
	costOf,
	solvePlan,
	type Answer,
	type HowToSolve,
	type Problem,
	type Solved
} from '../../solver/index.ts';
import { currentReadings, partsOf, type StationEntry } from '../../../job/document/index.ts';
import { forgottenOn, heightsRead, jobLimits, kindSheet } from '../../../sheet/figures/index.ts';
import { buildsOf, missingFor, QUANTUM } from './builds.ts';
import { balanceLoads, type BuildChoice } from './balance-loads.ts';
import { candidatesOf } from './candidates.ts';
import { withShelf } from './shelf.ts';
import { springsToPlace } from './springs-to-place.ts';
import { locksToTake, poolOf, stockOf, takesOf, withThoseInHeads } from './stock.ts';
import { whyNot } from './why-not.ts';
import type { PlanAnswer, PlannedStation, PlanQuestion } from './types.ts';

declare module '../../../foundation/message/message.ts' {
	interface Messages {
		'at-station': { readonly station: string; readonly says: Message };
		'plan.all-locked': null;
		'plan.too-few': {
			readonly part: Message;
			readonly required: number;
			readonly stock: number;
		};
		'plan.springs-do-not-place': null;
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
 * Plans a job. Stations that cannot be planned are left out and named. Source: docs/trade/sheet.md#target-height.
 *
 * @returns the best plan found, whether it is proven, and why stations were left out; no plan where none can be planned
 */
export async function planJob(question: PlanQuestion, how: HowToPlan): Promise<PlanAnswer> {
	const asked = problemOf(question);
	if (asked.stations.length === 0) {
		const why = asked.leftOut.map(([station, says]) => message('at-station', { station, says }));
		return { type: 'no-plan', why: why.length > 0 ? why : [message('plan.all-locked')] };
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
	switch (answer.type) {
		case 'plan':
			return planned(asked, answer);
		case 'stopped':
			return { type: 'stopped' };
		case 'no-choice':
			return {
				type: 'no-plan',
				why: answer.stations.map((station) => whyNot(question, asked.stations[station]!))
			};
		case 'short': {
			const why = answer.short.map(({ part, wanted, there }) =>
				message('plan.too-few', { part: asked.names[part]!, required: wanted, stock: there })
			);
			return {
				type: 'no-plan',
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
		type: 'plan',
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
		...(choice.isNew ? { newSpring: true as const } : spring !== undefined && { spring })
	};
}

/** The job's plan as a problem of choosing. */
function problemOf(question: PlanQuestion): Asked {
	const { lockStock, placeSprings, fixed, newSprings = [] } = question;
	const job = withShelf(question.job, question.shims ?? []);
	const { setup } = job;
	const shared = jobLimits(job);
	const current = currentReadings(job);
	const isFixed = new Set(fixed);
	const springs = placeSprings ? springsToPlace(job, isFixed, question) : [];
	const asked = forgottenOn(
		job,
		heightsRead(job, current, shared.repeats),
		(entry) => kindSheet(entry.kind, partsOf(setup, entry), setup, null),
		shared
	);
	const sizes = poolOf(
		job.stations.filter(({ label }) => !isFixed.has(label)),
		shared.stock
	);
	const stock = stockOf(sizes, lockStock, withThoseInHeads(newSprings, job, isFixed), job);
	const stations: StationEntry[] = [];
	const leftOut: (readonly [string, Message])[] = [];
	const choices: BuildChoice[] = [];
	const candidates = candidatesOf(job, springs, question, ({ label }) => ({
		current: current.get(label)!,
		shared,
		sizes,
		locks: [null, ...locksToTake(lockStock)]
	}));

	for (const entry of job.stations) {
		if (isFixed.has(entry.label)) continue;
		const mayGo = candidates.of(entry);
		const missing = asked.has(entry.head)
			? message('height.answer-first')
			: missingFor((mayGo[0] ?? candidates.asItStands(entry)).station);
		if (missing) {
			leftOut.push([entry.label, missing]);
			continue;
		}
		const at = stations.push(entry) - 1;
		for (const { spring, card, price, station } of mayGo) {
			for (const build of buildsOf(station)) {
				if (build.short > 0) continue;
				choices.push({
					station: at,
					spring,
					distance: build.distance,
					parts: build.parts + price,
					takes: takesOf(build, stock, card),
					isNew: card !== null,
					build
				});
			}
		}
	}
	const text = new Map(setup.shimStock.map(({ thickness }) => [lengthOf(thickness), thickness]));
	for (const { shims } of job.stations) for (const shim of shims) text.set(lengthOf(shim), shim);
	return {
		problem: {
			stations: stations.length,
			springs: springs.length,
			stock: stock.counts,
			choices
		},
		stations,
		springs: springs.map(({ tag }) => tag),
		names: stock.names,
		leftOut,
		write: (shim) => text.get(shim) ?? `${shim} mm`
	};
}
