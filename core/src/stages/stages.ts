/** How far a job has come, stage by stage, in the order of the work. */
import { KINDS } from '../station/layout.ts';
import { assemblyOf } from '../assembly/of-job.ts';
import { halfBuilt } from '../assembly/progress.ts';
import { holdsVacuum, NO_CHECKS, passagesAtFault } from '../build-checks/check.ts';
import { openPoints } from '../open-items/open-points.ts';
import { entryCount } from '../document/append-only-lists.ts';
import type { Job, Plan } from '../document/schema.ts';
import type { Sheet } from '../evaluation/sheet.ts';
import type { StationSheet } from '../figures/sheet.ts';

export const STAGES = [
	'take in',
	'set up',
	'parts',
	'inspect',
	'heights',
	'seal gaps',
	'plan',
	'shims',
	'assembly',
	'as built',
	'checks',
	'lash',
	'sheet',
	'sign'
] as const;
export type StageName = (typeof STAGES)[number];

export interface Stage {
	readonly name: StageName;
	readonly done: boolean;
	/** "9 of 12", "2 to fit", "exhaust has no spring card". */
	readonly note: string;
	/** True when something here must be settled before the sheet can go out. */
	readonly blocks: boolean;
}

/** The newest signed sheet of a job. */
export interface Signed {
	readonly revision: number;
	/** Entries the job had when it was signed. */
	readonly entries: number;
}

/** The stages of a job with what is done, what is open and what blocks. */
export function stagesOf(job: Job, sheet: Sheet, signed: Signed | null = null): Stage[] {
	const total = sheet.stations.length;
	const counted = (name: StageName, done: number): Stage => ({
		name,
		done: done === total,
		note: `${done} of ${total}`,
		blocks: false
	});
	const lacking = KINDS.flatMap((kind) => {
		return job.setup.kinds[kind].lift ? [] : [`${kind}: no lift`];
	});
	const toShim = sheet.stations.filter((station) => station.shim?.answer.sort === 'fit').length;
	const heights = sheet.measured['installed height'];
	const stopped = sheet.stations.filter((station) => station.state === 'stop').length;
	const open = sheet.stations.filter((station) => station.state !== 'clear').length;

	return [
		{ name: 'take in', done: true, note: `${total} stations`, blocks: false },
		{
			name: 'set up',
			done: lacking.length === 0,
			note: lacking[0] ?? 'lift, aims, limits',
			blocks: lacking.length > 0
		},
		partsStage(job, sheet),
		counted('inspect', sheet.stations.filter((station) => station.seen).length),
		counted('heights', heights),
		counted('seal gaps', sheet.measured['seal gap']),
		planStage(job, heights === total, toShim),
		{
			name: 'shims',
			done: heights === total && toShim === 0,
			note: toShim > 0 ? `${toShim} to fit` : heights === 0 ? '' : 'none to fit',
			blocks: false
		},
		assemblyStage(job, sheet),
		counted('as built', sheet.stations.filter(isBuiltMeasured).length),
		checksStage(sheet),
		counted('lash', sheet.measured[job.setup.lifters === 'solid' ? 'lash' : 'preload']),
		{
			name: 'sheet',
			done: open === 0,
			note: stopped > 0 ? `${stopped} at stop` : open > 0 ? `${open} open` : 'all clear',
			blocks: stopped > 0
		},
		signStage(job, sheet, signed)
	];
}

/** A station that was verified once built: by its height, or by a load on the head. */
const isBuiltMeasured = ({ built, headLoad }: StationSheet) => built !== null || headLoad !== null;

function assemblyStage(job: Job, sheet: Sheet): Stage {
	const name = 'assembly';
	if (job.assembly.length === 0) return { name, done: false, note: '', blocks: false };
	const { steps, done } = assemblyOf(job, sheet);
	const [half] = halfBuilt(steps, done);
	return {
		name,
		done: done.size === steps.length,
		note: half ? `${half} half built` : `${done.size} of ${steps.length} steps`,
		blocks: half !== undefined
	};
}

/** What was tried on the built head: all that was tried holds, and every port was. */
function checksStage({ stations }: Sheet): Stage {
	const tried = stations.filter(({ checks }) => checks.vacuum).length;
	const isBegun = stations.some(({ checks }) => checks !== NO_CHECKS);
	const failed = stations.filter(
		({ checks, piston }) =>
			(checks.vacuum && !holdsVacuum(checks.vacuum)) ||
			passagesAtFault(checks).length > 0 ||
			piston?.state === 'stop'
	).length;
	return {
		name: 'checks',
		done: failed === 0 && tried === stations.length,
		note: failed > 0 ? `${failed} failed` : isBegun ? `vacuum ${tried} of ${stations.length}` : '',
		blocks: failed > 0
	};
}

function signStage(job: Job, sheet: Sheet, signed: Signed | null): Stage {
	const name = 'sign';
	const points = openPoints(job, sheet);
	const blocking = points.filter(
		({ weight, acceptance }) => weight !== 'said' && !acceptance
	).length;
	if (signed) {
		const isChanged = changedSince(job, signed);
		return {
			name,
			done: !isChanged,
			note: isChanged
				? `changed since sheet ${signed.revision}`
				: `sheet ${signed.revision} signed`,
			blocks: false
		};
	}
	return {
		name,
		done: false,
		note: blocking > 0 ? `${blocking} to settle` : 'can be signed',
		blocks: false
	};
}

/** Whether anything was added to a job since it was signed, whatever the clock of the bench it came from. */
export const changedSince = (job: Job, signed: Signed): boolean => entryCount(job) > signed.entries;

/** The plan is done once one is accepted, or none is wanted; what changed since asks for another look. */
function planStage(job: Job, canPlan: boolean, toShim: number): Stage {
	const plan = planInForce(job);
	const old = plan ? outdated(job, plan) : null;
	return {
		name: 'plan',
		done: plan ? old === null : canPlan && toShim === 0,
		note: plan
			? (old ?? 'accepted')
			: !canPlan
				? ''
				: toShim > 0
					? 'can be worked out'
					: 'none wanted',
		blocks: false
	};
}

/** The newest accepted plan that was not taken back; null where there is none. */
export function planInForce({ plans }: Pick<Job, 'plans'>): Plan | null {
	const withdrawn = new Set(plans.flatMap(({ withdraws }) => withdraws ?? []));
	return plans.findLast(({ id, withdraws }) => !withdraws && !withdrawn.has(id)) ?? null;
}

/** What makes an accepted plan old: heights read after it, or springs it placed that were taken off the job. */
function outdated({ readings, stations }: Job, plan: Plan): string | null {
	if (
		readings.some(
			({ at, quantity }) => quantity === 'installed height' && Date.parse(at) > Date.parse(plan.at)
		)
	)
		return 'heights read since';
	const stands = new Map(stations.map(({ label, spring }) => [label, spring]));
	const isOff = plan.stations.some(
		({ label, spring }) => spring !== undefined && stands.get(label) !== spring
	);
	return isOff ? 'springs changed since' : null;
}

/** Parts are done when every rule of fit passes or what trips is accepted. */
function partsStage(job: Job, sheet: Sheet): Stage {
	const without = KINDS.find((kind) => !job.setup.kinds[kind].spring);
	const tripped = sheet.fit.filter(
		({ outcome, severity }) => outcome === 'trips' && severity !== 'note'
	);
	const open = tripped.filter(({ acceptance }) => !acceptance);
	const stops = open.filter(({ severity }) => severity === 'stop').length;
	const unknown = sheet.fit.filter(({ outcome }) => outcome === 'missing').length;
	const accepted = tripped.length - open.length;
	return {
		name: 'parts',
		done: !without && open.length === 0 && unknown === 0,
		note: without
			? `${without}: no spring`
			: stops > 0
				? `fit: ${stops} at stop`
				: open.length > 0
					? `fit: ${open.length} to accept`
					: unknown > 0
						? `fit: ${unknown} not known`
						: accepted > 0
							? `fit: ${accepted} accepted`
							: 'all fit',
		blocks: without !== undefined || stops > 0
	};
}
