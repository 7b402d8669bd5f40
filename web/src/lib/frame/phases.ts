/** The way through a job: phases in the order of the work, the stages of each, and the views it needs. */
import {
	nextStage,
	PHASE_OF,
	PHASES,
	walk,
	type Phase,
	type Stage,
	type StageName
} from '@zinc-ledger/core';
import { capital, label } from '@zinc-ledger/words';
import type { Book } from '$lib/job/book.svelte';

export interface Item {
	readonly name: string;
	readonly href: string;
	/** Left out for a view that nobody finishes. */
	readonly stage?: Stage;
	/** A file to be saved, and no page. */
	readonly isFile?: boolean;
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

/** Views that belong to a phase without being a stage of it. */
function viewsOf(phase: Phase, root: string, engine: string): Item[] {
	switch (phase) {
		case 'measure':
			return [
				{ name: 'Tip heights', href: `${root}/round?of=tip-height` },
				{ name: 'Springs', href: '/springs' },
				{ name: 'Bare heights', href: `${root}/bare` }
			];
		case 'plan':
			return [
				{ name: 'Max lift', href: `${root}/lift` },
				{ name: 'What if', href: `${root}/what-if` }
			];
		case 'hand-over':
			return [
				{ name: 'Print the sheet', href: `${root}/paper` },
				{ name: 'Save as a file', href: `${root}/file`, isFile: true },
				{ name: 'Engine’s jobs', href: `/engines/${engine}` }
			];
		default:
			return [];
	}
}

export function phasesOf({ job, stages }: Pick<Book, 'job' | 'stages'>): PhaseItems[] {
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
				...viewsOf(phase, root, job.engine.id)
			],
			done: [own.filter(({ done }) => done).length, own.length],
			blocks: own.some(({ blocks }) => blocks)
		};
	});
}

/** The pages of a job, by the names they have in the rail. */
export const jobPages = ({
	id,
	number,
	engine
}: Pick<Book['job'], 'id' | 'number' | 'engine' | 'stations'>) => {
	const root = `/jobs/${id}`;
	const stages = (Object.keys(PAGES) as StageName[]).filter((name) => name !== 'check-in');
	return [
		...stages.map((name) => ({
			name: capital(label('stage', name)),
			href: `${root}${PAGES[name]}`
		})),
		...PHASES.flatMap((phase) => viewsOf(phase, root, engine.id)).filter(({ isFile }) => !isFile)
	].map(({ name, href }) => ({ sort: 'page' as const, name, detail: number, href }));
};

/** Whether an address is that of an item; a page's own questions do not make it another. */
export const isAt = ({ href }: Item, url: URL): boolean =>
	href.includes('?') ? href === url.pathname + url.search : href === url.pathname;

/** What to do next, and where: with the station it begins at where stations are measured. */
export function nextOf({ job, sheet, stages }: Pick<Book, 'job' | 'sheet' | 'stages'>) {
	const stage = nextStage(stages);
	if (!stage) return null;
	const name = capital(label('stage', stage.name));
	const first =
		stage.name === 'heights'
			? walk(job.stations, job.setup.measuringOrder).find(
					(entry) =>
						!sheet.stations.find((station) => station.label === entry.label)?.inForce[
							'installed-height'
						]
				)?.label
			: undefined;
	return { name, station: first, href: `/jobs/${job.id}${PAGES[stage.name]}` };
}
