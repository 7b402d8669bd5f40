/** What all cuts of a job together do to compression, piston to valve, lash and preload (docs/trade/job.md#head-work). */
import { KINDS, type Kind } from '../../foundation/station/index.ts';
import { lengthOf, mm, volumeOf, type Millimetres } from '../../foundation/units/index.ts';
import {
	compressionRatio,
	cutEffect,
	deckNearer,
	ratioAfter,
	worksDone,
	type CutEffect,
	type HeadWork,
	type Job
} from '../../job/document/index.ts';
import { ratioOf } from './ratio.ts';

export interface CutEffects {
	/** How much nearer piston and head have come; negative for further away. */
	readonly nearer: Millimetres;
	/** Compression before and after; null where neither the volumes nor a ratio are given, a ratio where nothing is left above the piston. */
	readonly compression: { readonly before: number | null; readonly after: number | null } | null;
	/** By kind, where it is known where the cam lies and at which ratio its rocker works. */
	readonly kinds: readonly { readonly kind: Kind; readonly effect: CutEffect }[];
}

/** Works out what the cuts that stand do, those taken back left out; to be measured again, all of it. */
export function cutEffects({ headWork, setup }: Pick<Job, 'headWork' | 'setup'>): CutEffects {
	const works = worksDone(headWork);
	const total = (of: (work: HeadWork) => string | undefined) =>
		mm(works.reduce((sum, work) => sum + lengthOf(of(work) ?? '0 mm'), 0));
	const nearer = deckNearer({
		head: total(({ work, cut }) => (work === 'block-cut' ? undefined : cut)),
		block: total(({ work, cut }) => (work === 'block-cut' ? cut : undefined)),
		thicker: total(({ thicker }) => thicker)
	});
	const kinds = KINDS.flatMap((kind) => {
		const ratio = ratioOf(setup.kinds[kind]);
		if (!setup.camAt || ratio === null) return [];
		const { camAt, lifters, valveAngle = 0 } = setup;
		return [{ kind, effect: cutEffect(nearer, { valveAngle, camAt, lifters, ratio }) }];
	});
	return { nearer, compression: compressionOf(setup.compression, nearer), kinds };
}

/** From all volumes where they are given, else from the ratio stated before the cut. */
function compressionOf(given: Job['setup']['compression'], nearer: Millimetres) {
	if (!given) return null;
	const { chamber, gasket, deck, ratio, chamberOpen } = given;
	const cylinder = { bore: lengthOf(given.bore), stroke: lengthOf(given.stroke), chamberOpen };
	if (chamber !== undefined && gasket !== undefined && deck !== undefined) {
		const volumes = {
			...cylinder,
			chamber: volumeOf(chamber),
			gasket: volumeOf(gasket),
			deck: volumeOf(deck)
		};
		return { before: compressionRatio(volumes), after: compressionRatio(volumes, nearer) };
	}
	return ratio === undefined ? null : { before: ratio, after: ratioAfter(ratio, cylinder, nearer) };
}
