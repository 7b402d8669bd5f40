/** Why a station cannot be built: the limit that keeps it, and what would free it. */
import { message, type Message } from '../../../foundation/message/index.ts';
import type { Millimetres } from '../../../foundation/units/index.ts';
import { currentReadings, partsOf, type StationEntry } from '../../../job/document/index.ts';
import { jobLimits, kindSheet } from '../../../sheet/figures/index.ts';
import { buildsOf, type BuildLimit, type BuildOption, type ToBuild } from './builds.ts';
import { withShelf } from './shelf.ts';
import { locksToTake, poolOf } from './stock.ts';
import type { PlanQuestion } from './types.ts';

declare module '../../../foundation/message/message.ts' {
	interface Messages {
		'plan.limit-short': {
			readonly station: string;
			readonly limit: BuildLimit;
			readonly by: Millimetres;
		};
		'plan.nothing-holds': { readonly station: string };
		'plan.no-spring-left': { readonly station: string };
		'plan.solved-from-stock': { readonly limit: Message; readonly parts: readonly Message[] };
		'plan.solved-on-order': { readonly limit: Message; readonly parts: readonly Message[] };
	}
}

/** Which limit keeps a station from being built, by how much, and what on the shelf or on order would free it. */
export function whyNot(question: PlanQuestion, entry: StationEntry): Message {
	const { lockStock, replaced = [], newSprings = [] } = question;
	const job = withShelf(question.job, question.shims ?? []);
	const parts = partsOf(job.setup, entry);
	const { label: station } = entry;
	if (replaced.includes(station) && !newSprings.some(({ card }) => card === parts.spring?.id))
		return message('plan.no-spring-left', { station });
	const shared = jobLimits(job);
	const base: ToBuild = {
		entry,
		parts,
		current: currentReadings(job).get(entry.label)!,
		kind: kindSheet(entry.kind, parts, job.setup, null),
		shared,
		sizes: poolOf([entry], shared.stock),
		locks: [null, ...locksToTake(lockStock)]
	};
	const nearest = buildsOf(base).reduce<BuildOption | null>(
		(best, build) => (!best || build.short < best.short ? build : best),
		null
	);
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
