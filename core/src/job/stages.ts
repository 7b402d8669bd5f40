/** How far a job has come, stage by stage, in the order of the work. */
import { KINDS } from '../station/layout.ts';
import type { Job } from './schema.ts';
import type { Sheet } from './sheet.ts';

export const STAGES = [
	'take in',
	'set up',
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
		const parts = job.setup.kinds[kind];
		if (!parts.spring) return [`${kind}: no spring`];
		if (!parts.lift) return [`${kind}: no lift`];
		return [];
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
			note: lacking[0] ?? 'parts and limits',
			blocks: lacking.length > 0
		},
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
