/** Springs of a plan put where their loads are most even, at no cost to the plan. */
import { assignment, type Choice } from '../../solver/index.ts';
import type { Kind } from '../../../foundation/station/index.ts';
import type { BuildOption } from './builds.ts';

export type BuildChoice = Choice & {
	readonly build: BuildOption;
	/** With a new spring in place of one that ran. */
	readonly isNew: boolean;
};

/** Loads are compared in steps of this many newtons. */
const STEP = 0.1;
/** What a millimetre of coil bind margin counts for beside loads, in newtons; no margin is wider than this, in millimetres. */
const MARGIN_WEIGHT = 1;
const WIDEST_MARGIN = 20;

/**
 * Each station keeps its shims, locks and distance; where another spring would
 * serve as well, springs change places so that seat loads lie nearest to the
 * middle of their kind, and bind margins are widest. An aim that is a height
 * leaves the springs free in this way; an aim that is a load hardly does.
 *
 * @param kindOf the kind of each station, by its index
 */
export function balanceLoads(
	chosen: readonly BuildChoice[],
	choices: readonly BuildChoice[],
	springs: number,
	kindOf: (station: number) => Kind
): BuildChoice[] {
	const placed = chosen.filter(({ spring }) => spring !== null);
	if (placed.length === 0) return [...chosen];
	const medianLoads = new Map<Kind, number>();
	for (const kind of ['intake', 'exhaust'] as const) {
		const loads = placed
			.filter(({ station }) => kindOf(station) === kind)
			.flatMap(({ build }) => build.seatLoad ?? [])
			.sort((a, b) => a - b);
		if (loads.length > 0) medianLoads.set(kind, loads[loads.length >> 1]!);
	}
	const rowOf = new Map(placed.map(({ station }, row) => [station, row]));
	const cost = placed.map(() => new Float64Array(springs).fill(Number.POSITIVE_INFINITY));
	const alike = new Map<string, BuildChoice>();
	for (const choice of choices) {
		const row = rowOf.get(choice.station);
		if (row === undefined || choice.spring === null) continue;
		const now = placed[row]!;
		if (choice.distance !== now.distance || !isSameBuild(choice.build, now.build)) continue;
		const medianLoad = medianLoads.get(kindOf(choice.station));
		const { seatLoad, bindMargin } = choice.build;
		const off = seatLoad === null || medianLoad === undefined ? 0 : Math.abs(seatLoad - medianLoad);
		// Hungarian costs are whole and not below zero.
		cost[row]![choice.spring] = Math.round(
			(off + MARGIN_WEIGHT * Math.max(0, WIDEST_MARGIN - (bindMargin ?? 0))) / STEP
		);
		alike.set(`${row} ${choice.spring}`, choice);
	}
	const springOf = assignment(cost);
	if (!springOf) return [...chosen];
	return chosen.map((choice) => {
		const row = choice.spring === null ? undefined : rowOf.get(choice.station);
		return row === undefined ? choice : alike.get(`${row} ${springOf[row]!}`)!;
	});
}

const isSameBuild = (a: BuildOption, b: BuildOption) =>
	a.locks === b.locks &&
	a.shims.length === b.shims.length &&
	a.shims.every((shim, i) => shim === b.shims[i]);
