/**
 * The shelf that a job is built from: what the shop's library counts, and what the job
 * itself says of sizes that the library does not. Source: docs/trade/sheet.md#target-height.
 */
import { lengthOf } from '../../../foundation/units/index.ts';
import type { LibraryPart } from '../../../parts/part/index.ts';
import type { Job } from '../../../job/document/index.ts';

export type ShimSize = Job['setup']['shimStock'][number];
/** A counted shim of the library. */
export type ShelvedShim = Pick<LibraryPart<'shim'>, 'part' | 'stock'>;

const sameOrUnsaid = (a: string | undefined, b: string | undefined) =>
	a === undefined || b === undefined || lengthOf(a) === lengthOf(b);

/** Whether a shim of the library is of a size that a job speaks of; what one does not say is no difference. */
export const isOfSize = (
	{ part }: ShelvedShim,
	{ thickness, inside, outside }: Pick<ShimSize, 'thickness' | 'inside' | 'outside'>
): boolean =>
	lengthOf(part.thickness) === lengthOf(thickness) &&
	sameOrUnsaid(part.inside, inside) &&
	sameOrUnsaid(part.outside, outside);

/**
 * The sizes of a job with what lies on the shop's shelf of each, instead of what the job says;
 * a size that the library does not count stays as the job has it.
 *
 * @param library shims of the library; those without a count say nothing
 */
export function shelfOf(
	sizes: readonly ShimSize[],
	library: readonly ShelvedShim[]
): readonly ShimSize[] {
	const counted = library.filter(({ stock }) => stock !== null);
	const taken = new Set<ShelvedShim>();
	return sizes.flatMap((size): readonly ShimSize[] => {
		const alike = counted.filter((shim) => isOfSize(shim, size));
		if (alike.length === 0) return [size];
		const fresh = alike.filter((shim) => !taken.has(shim));
		for (const shim of fresh) taken.add(shim);
		return fresh.map(({ part, stock }) => ({
			thickness: size.thickness,
			count: stock!,
			...((size.inside ?? part.inside) && { inside: size.inside ?? part.inside }),
			...((size.outside ?? part.outside) && { outside: size.outside ?? part.outside })
		}));
	});
}

/** The job with the shop's shelf in place of its own count. */
export const withShelf = (job: Job, library: readonly ShelvedShim[]): Job =>
	library.length === 0
		? job
		: {
				...job,
				setup: { ...job.setup, shimStock: [...shelfOf(job.setup.shimStock, library)] }
			};
