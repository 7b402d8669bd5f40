/** How tall the springs of a card may have to stand on a job. */
import { partsOf, type Job } from '../../../job/document/index.ts';
import { evaluate } from '../../../sheet/evaluation/index.ts';
import { mm, type Millimetres } from '../../../foundation/units/index.ts';

/**
 * The tallest height that a measured valve would give a spring of a card, with the shims under
 * it taken out.
 *
 * @param card id of the card; every valve counts without one
 * @returns mm; null before a height is measured at any of them
 */
export function tallestHeight(job: Job, card: string | undefined): Millimetres | null {
	const sheet = new Map(evaluate(job).stations.map((station) => [station.label, station]));
	const heights = job.stations.flatMap((entry) => {
		const { figures, stack } = sheet.get(entry.label)!;
		const { figure } = figures.height;
		if (figure === null) return [];
		if (card !== undefined && partsOf(job.setup, entry).spring?.id !== card) return [];
		return [stack.shims.reduce((height: number, shim) => height + shim, figure)];
	});
	return heights.length === 0 ? null : mm(Math.max(...heights));
}
