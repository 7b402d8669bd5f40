/** How far a job has come, stage by stage, in the order of the work. */
import { KINDS } from '../../foundation/station/index.ts';
import { isBegun, assemblyOf, halfBuilt } from '../../assembly/index.ts';
import { NO_CHECKS, passagesAtFault } from '../../sheet/checks/index.ts';
import { alikeFindings } from '../../sheet/fit/index.ts';
import { openItems } from '../open-items/index.ts';
import { message, type Message } from '../../foundation/message/index.ts';
import { furthest } from '../scope/index.ts';
import {
	entryCount,
	stationsAtHand,
	type Job,
	type Plan,
	type ScopeName
} from '../../job/document/index.ts';
import { countOf, type Sheet } from '../../sheet/evaluation/index.ts';
import type { StationSheet } from '../../sheet/figures/index.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'stage.of': { readonly done: number; readonly of: number };
		'stage.stations': { readonly count: number };
		'stage.set': null;
		'stage.to-fit': { readonly count: number };
		'stage.at-stop': { readonly count: number };
		'stage.open': { readonly count: number };
		'stage.all-clear': null;
		'stage.incomplete': { readonly place: string };
		'stage.steps': { readonly done: number; readonly of: number };
		'stage.failed': { readonly count: number };
		'stage.vacuum': { readonly done: number; readonly of: number };
		'stage.changed-since': { readonly revision: number };
		'stage.signed': { readonly revision: number };
		'stage.to-resolve': { readonly count: number };
		'stage.can-be-signed': { readonly scope: ScopeName };
		'stage.not-signable': null;
		'stage.accepted': null;
		'stage.not-needed': null;
		'stage.heights-since': null;
		'stage.springs-since': null;
		'stage.fit-at-stop': { readonly count: number };
		'stage.fit-to-accept': { readonly count: number };
		'stage.fit-not-known': { readonly count: number };
		'stage.fit-accepted': { readonly count: number };
		'stage.all-fit': null;
		'stage.no-spring': null;
	}
}

export const STAGES = [
	'check-in',
	'setup',
	'parts',
	'inspect',
	'heights',
	'seal-gaps',
	'plan',
	'assembly',
	'as-built',
	'checks',
	'lash',
	'sheet',
	'sign'
] as const;
export type StageName = (typeof STAGES)[number];

/** What the stages belong to, in the order of the work. */
export const PHASES = ['prepare', 'measure', 'plan', 'build', 'hand-over'] as const;
export type Phase = (typeof PHASES)[number];
export const PHASE_OF: Readonly<Record<StageName, Phase>> = {
	'check-in': 'prepare',
	setup: 'prepare',
	parts: 'prepare',
	inspect: 'prepare',
	heights: 'measure',
	'seal-gaps': 'measure',
	plan: 'plan',
	assembly: 'build',
	'as-built': 'build',
	checks: 'build',
	lash: 'build',
	sheet: 'hand-over',
	sign: 'hand-over'
};

export interface Stage {
	readonly name: StageName;
	readonly done: boolean;
	/** "9 of 12", "2 to fit"; null before it is begun. */
	readonly note: Message | null;
	/** True when something here must be settled before the sheet can go out. */
	readonly blocks: boolean;
}

/** Stages that only tell how the others went: nobody does them. */
const TOLD: readonly StageName[] = ['check-in', 'sheet'];

/** What is to be done next: the first stage that is not done; null once all are. */
export const nextStage = (stages: readonly Stage[]): Stage | null =>
	stages.find(({ name, done }) => !done && !TOLD.includes(name)) ?? null;

/** The newest signed sheet of a job. */
export interface Signed {
	readonly revision: number;
	/** Entries the job had when it was signed. */
	readonly entries: number;
}

/**
 * The stages of a job with what is done, what is open and what blocks. Source: docs/trade/assembly.md.
 *
 * @param signed the newest signed sheet; null where none was signed
 * @returns in the order of the work
 */
export function stagesOf(whole: Job, all: Sheet, signed: Signed | null = null): Stage[] {
	const { job, sheet } = atHand(whole, all);
	const total = sheet.stations.length;
	const counted = (name: StageName, done: number): Stage => ({
		name,
		done: done === total,
		note: message('stage.of', { done, of: total }),
		blocks: false
	});
	const lacking = KINDS.flatMap((kind) => {
		return job.setup.kinds[kind].lift
			? []
			: [message('of-kind', { kind, says: message('need.lift') })];
	});
	const toShim = sheet.stations.filter((station) => station.shim?.answer.type === 'fit').length;
	const heights = sheet.measured['installed-height'];
	const stopped = sheet.stations.filter((station) => station.state === 'stop').length;
	const open = sheet.stations.filter((station) => station.state !== 'clear').length;

	return [
		{
			name: 'check-in',
			done: true,
			note: message('stage.stations', { count: total }),
			blocks: false
		},
		{
			name: 'setup',
			done: lacking.length === 0,
			note: lacking[0] ?? message('stage.set'),
			blocks: lacking.length > 0
		},
		partsStage(job, sheet),
		counted('inspect', sheet.stations.filter((station) => station.seen).length),
		counted('heights', heights),
		counted('seal-gaps', sheet.measured['seal-gap']),
		planStage(job, heights === total, toShim),
		assemblyStage(job, sheet),
		counted('as-built', sheet.stations.filter(isBuiltMeasured).length),
		checksStage(sheet),
		counted('lash', sheet.measured[job.setup.lifters === 'solid' ? 'lash' : 'preload']),
		{
			name: 'sheet',
			done: open === 0,
			note:
				stopped > 0
					? message('stage.at-stop', { count: stopped })
					: open > 0
						? message('stage.open', { count: open })
						: message('stage.all-clear'),
			blocks: stopped > 0
		},
		signStage(job, sheet, signed)
	];
}

/** A job and its sheet as far as its valves are worked on. */
function atHand(job: Job, sheet: Sheet): { readonly job: Job; readonly sheet: Sheet } {
	const hand = stationsAtHand(job);
	if (hand.length === job.stations.length) return { job, sheet };
	const labels = new Set(hand.map(({ label }) => label));
	const stations = sheet.stations.filter(({ label }) => labels.has(label));
	const measured = countOf(stations);
	return { job: { ...job, stations: [...hand] }, sheet: { ...sheet, stations, measured } };
}

/** A station that was verified once built: by its height, or by a load on the head. */
const isBuiltMeasured = ({ figures: { built, headLoad } }: StationSheet) =>
	built !== null || headLoad !== null;

function assemblyStage(job: Job, sheet: Sheet): Stage {
	const name = 'assembly';
	if (!isBegun(job)) return { name, done: false, note: null, blocks: false };
	const { steps, done } = assemblyOf(job, sheet);
	const [half] = halfBuilt(steps, done);
	return {
		name,
		done: done.size === steps.length,
		note: half
			? message('stage.incomplete', { place: half })
			: message('stage.steps', { done: done.size, of: steps.length }),
		blocks: half !== undefined
	};
}

/** What was tried on the built head: all that was tried holds, and every port was. */
function checksStage({ stations }: Sheet): Stage {
	const tried = stations.filter(({ checks }) => checks.vacuum).length;
	const isBegun = stations.some(({ checks }) => checks !== NO_CHECKS);
	const failed = stations.filter(
		({ checks, figures: { piston, vacuum } }) =>
			vacuum?.state === 'stop' || passagesAtFault(checks).length > 0 || piston?.state === 'stop'
	).length;
	return {
		name: 'checks',
		done: failed === 0 && tried === stations.length,
		note:
			failed > 0
				? message('stage.failed', { count: failed })
				: isBegun
					? message('stage.vacuum', { done: tried, of: stations.length })
					: null,
		blocks: failed > 0
	};
}

function signStage(job: Job, sheet: Sheet, signed: Signed | null): Stage {
	const name = 'sign';
	const blocking = openItems(job, sheet).filter(
		({ severity, acceptance }) => severity !== 'info' && !acceptance
	).length;
	if (signed) {
		const isChanged = changedSince(job, signed);
		return {
			name,
			done: !isChanged,
			note: message(isChanged ? 'stage.changed-since' : 'stage.signed', {
				revision: signed.revision
			}),
			blocks: false
		};
	}
	const scope = furthest(job, sheet);
	const note = scope
		? message('stage.can-be-signed', { scope })
		: blocking > 0
			? message('stage.to-resolve', { count: blocking })
			: message('stage.not-signable');
	return { name, done: false, note, blocks: false };
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
			? (old ?? message('stage.accepted'))
			: toShim > 0
				? message('stage.to-fit', { count: toShim })
				: canPlan
					? message('stage.not-needed')
					: null,
		blocks: false
	};
}

/** The newest accepted plan that was not taken back; null where there is none. */
export function planInForce({ plans }: Pick<Job, 'plans'>): Plan | null {
	const withdrawn = new Set(plans.flatMap(({ withdraws }) => withdraws ?? []));
	return plans.findLast(({ id, withdraws }) => !withdraws && !withdrawn.has(id)) ?? null;
}

/** What makes an accepted plan old: heights read after it, or springs it placed that were taken off the job. */
function outdated({ readings, stations }: Job, plan: Plan): Message | null {
	if (
		readings.some(
			({ at, quantity }) => quantity === 'installed-height' && Date.parse(at) > Date.parse(plan.at)
		)
	)
		return message('stage.heights-since');
	const stands = new Map(stations.map(({ label, spring }) => [label, spring]));
	const isOff = plan.stations.some(
		({ label, spring }) => spring !== undefined && stands.get(label) !== spring
	);
	return isOff ? message('stage.springs-since') : null;
}

/** Parts are done when every rule of fit passes or what fails is accepted. */
function partsStage(job: Job, sheet: Sheet): Stage {
	const without = KINDS.find((kind) => !job.setup.kinds[kind].spring);
	const fit = alikeFindings(sheet.fit, job.stations);
	const failing = fit.filter(({ outcome, severity }) => outcome === 'fails' && severity !== 'note');
	const open = failing.filter(({ acceptance }) => !acceptance);
	const stops = open.filter(({ severity }) => severity === 'stop').length;
	const unknown = fit.filter(({ outcome }) => outcome === 'missing').length;
	const accepted = failing.length - open.length;
	const partsNote = () => {
		if (without) return message('of-kind', { kind: without, says: message('stage.no-spring') });
		if (stops > 0) return message('stage.fit-at-stop', { count: stops });
		if (open.length > 0) return message('stage.fit-to-accept', { count: open.length });
		if (unknown > 0) return message('stage.fit-not-known', { count: unknown });
		return accepted > 0
			? message('stage.fit-accepted', { count: accepted })
			: message('stage.all-fit');
	};
	return {
		name: 'parts',
		done: !without && open.length === 0 && unknown === 0,
		note: partsNote(),
		blocks: without !== undefined || stops > 0
	};
}
