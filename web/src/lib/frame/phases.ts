/** The way through a job: phases in the order of the work, the stages of each, and the views it needs. */
import {
	assemblyOf,
	nextStage,
	PHASE_OF,
	PHASES,
	stationsAtHand,
	walk,
	type Phase,
	type Stage,
	type StageName
} from '@zinc-ledger/core';
import { capital, label } from '@zinc-ledger/words';
import type { JobStore } from '$lib/job/store/job-store.svelte';

export interface Item {
	readonly name: string;
	readonly href: string;
	/** Left out for a view that nobody finishes. */
	readonly stage?: Stage;
	/** A file to be saved, and no page. */
	readonly isFile?: boolean;
	/** Nothing on this job asks for it yet: it stands behind "More" of its phase. */
	readonly isExtra?: boolean;
}

export interface PhaseItems {
	readonly phase: Phase;
	readonly name: string;
	readonly items: readonly Item[];
	/** Stages of it that are done, of all; null where it has none. */
	readonly done: readonly [number, number];
	readonly blocks: boolean;
}

const PAGES: Readonly<Record<StageName, string>> = {
	'check-in': '/setup',
	setup: '/setup',
	parts: '/parts',
	inspect: '/inspect',
	heights: '/round?of=installed-height',
	'seal-gaps': '/round?of=seal-gap',
	plan: '/plan',
	assembly: '/assembly',
	'as-built': '/round?of=built-height',
	checks: '/checks',
	lash: '/lash',
	sheet: '',
	sign: '/sign'
};

type Viewed = Pick<
	JobStore['job'],
	'engine' | 'visitOf' | 'setup' | 'readings' | 'since' | 'looks' | 'asFound' | 'inspections'
>;

/** Views that belong to a phase without being a stage of it; those that this job has no use for yet are extras. */
function viewsOf(phase: Phase, root: string, job: Viewed): Item[] {
	const view = (name: string, href: string, isNeeded = false): Item => ({
		name,
		href,
		...(!isNeeded && { isExtra: true })
	});
	const { engine, visitOf, setup } = job;
	switch (phase) {
		case 'prepare':
			return [
				...(visitOf ? [view('Changes', `${root}/then`, true)] : []),
				view(
					'Diagnosis',
					`${root}/diagnosis`,
					!!visitOf || job.since.length > 0 || job.looks.length > 0
				),
				view('As found', `${root}/as-found`, job.asFound.length > 0),
				view('Valve figures', `${root}/inspect/figures`, job.inspections.length > 0)
			];
		case 'measure':
			return [
				view(
					'Tip heights',
					`${root}/round?of=tip-height`,
					job.readings.some(({ quantity }) => quantity === 'tip-height')
				),
				view('Springs', '/springs', (setup.springs?.length ?? 0) > 0),
				view('All rounds', `${root}/rounds`),
				view('Bare heights', `${root}/bare`)
			];
		case 'plan':
			return [
				view(
					'Valve control',
					`${root}/control`,
					setup.cam !== undefined && setup.use.engineSpeed !== undefined
				),
				view('Max lift', `${root}/lift`),
				view('What if', `${root}/what-if`)
			];
		case 'hand-over':
			return [
				view('Print the sheet', `${root}/paper`, true),
				{ name: 'Save as a file', href: `${root}/file`, isFile: true, isExtra: true },
				view('Engine’s jobs', `/engines/${engine.id}`),
				view('A job like this', `/jobs/new?like=${root.slice('/jobs/'.length)}`)
			];
		default:
			return [];
	}
}

export function phasesOf({ job, stages }: Pick<JobStore, 'job' | 'stages'>): PhaseItems[] {
	const root = `/jobs/${job.id}`;
	return PHASES.map((phase) => {
		const own = stages.filter(({ name }) => PHASE_OF[name] === phase && name !== 'check-in');
		return {
			phase,
			name: capital(label('phase', phase)),
			items: [
				...own.map((stage) => ({
					name: capital(label('stage', stage.name)),
					href: `${root}${PAGES[stage.name]}`,
					stage
				})),
				...viewsOf(phase, root, job)
			],
			done: [own.filter(({ done }) => done).length, own.length],
			blocks: own.some(({ blocks }) => blocks)
		};
	});
}

/** The pages of a job, by the names they have in the rail. */
export const jobPages = (job: Pick<JobStore['job'], 'id' | 'number' | 'stations'> & Viewed) => {
	const { id, number } = job;
	const root = `/jobs/${id}`;
	const stages = (Object.keys(PAGES) as StageName[]).filter((name) => name !== 'check-in');
	return [
		...stages.map((name) => ({
			name: capital(label('stage', name)),
			href: `${root}${PAGES[name]}`
		})),
		...PHASES.flatMap((phase) => viewsOf(phase, root, job)).filter(({ isFile }) => !isFile)
	].map(({ name, href }) => ({ type: 'page' as const, name, detail: number, href }));
};

/** Whether an address is that of an item; a page's own questions do not make it another. */
export const isAt = ({ href }: Item, url: URL): boolean =>
	href.includes('?') ? href === url.pathname + url.search : href === url.pathname;

type JobState = Pick<JobStore, 'job' | 'sheet' | 'stages'>;

const isMeasured = ({ sheet }: Pick<JobState, 'sheet'>, label: string) =>
	sheet.stations.find((station) => station.label === label)?.inForce['installed-height'] !==
	undefined;

/** Stages that in the car are gone through cylinder by cylinder, and not one after another. */
const BY_CYLINDER: ReadonlySet<StageName> = new Set(['heights', 'seal-gaps', 'plan', 'assembly']);

/**
 * In the car measuring and building alternate: a cylinder is held up and stripped, its valves
 * are measured, then built, before the next one is begun (docs/trade/assembly.md).
 *
 * @returns null where nothing is left to build
 */
function nextInCar(state: JobState): { stage: StageName; station: string | undefined } | null {
	const { job, sheet } = state;
	const { steps, done } = assemblyOf(job, sheet);
	const step = steps.find(({ key }) => !done.has(key));
	if (!step) return null;
	const entry = job.stations.find(({ label }) => label === step.place);
	const unmeasured = job.stations.find(
		({ cylinder, label }) => cylinder === entry?.cylinder && !isMeasured(state, label)
	);
	return unmeasured
		? { stage: 'heights', station: unmeasured.label }
		: { stage: 'assembly', station: entry?.label };
}

/** The first valve of the round whose height is still to be measured, of those that are worked on. */
export const nextUnmeasured = (state: Pick<JobState, 'job' | 'sheet'>): string | undefined =>
	walk(stationsAtHand(state.job), state.job.setup.measuringOrder).find(
		({ label }) => !isMeasured(state, label)
	)?.label;

/** What to do next, and where: with the station it begins at where one is at hand. */
export function nextOf(state: JobState) {
	const { job, stages } = state;
	const next = nextStage(stages);
	if (!next) return null;
	const inCar =
		job.setup.workLocation === 'vehicle' && BY_CYLINDER.has(next.name) ? nextInCar(state) : null;
	const stage = inCar?.stage ?? next.name;
	const station = inCar ? inCar.station : stage === 'heights' ? nextUnmeasured(state) : undefined;
	return {
		name: capital(label('stage', stage)),
		station,
		href: `/jobs/${job.id}${PAGES[stage]}`
	};
}
