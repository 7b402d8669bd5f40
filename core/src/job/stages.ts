/** How far a job has come, stage by stage, in the order of the work. */
import { KINDS } from '../station/layout.ts';
import type { Job } from './schema.ts';
import type { Sheet } from './sheet.ts';

export const STAGES = [
	'take in',
	'set up',
	'parts',
	'inspect',
	'heights',
	'seal gaps',
	'shims',
	'lash',
	'sheet'
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

/** The stages of a job with what is done, what is open and what blocks. */
export function stagesOf(job: Job, sheet: Sheet): Stage[] {
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
		{
			name: 'shims',
			done: heights === total && toShim === 0,
			note: toShim > 0 ? `${toShim} to fit` : heights === 0 ? '' : 'none to fit',
			blocks: false
		},
		...(job.setup.lifters === 'solid' ? [counted('lash', sheet.measured.lash)] : []),
		{
			name: 'sheet',
			done: open === 0,
			note: stopped > 0 ? `${stopped} at stop` : open > 0 ? `${open} open` : 'all clear',
			blocks: stopped > 0
		}
	];
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
