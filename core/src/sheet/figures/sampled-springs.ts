/** Where a few tested springs speak for the rest of a set (docs/trade/springs.md). */
import { partsOf, type Job } from '../../job/document/index.ts';
import { message } from '../../foundation/message/index.ts';
import { KINDS, type Kind } from '../../foundation/station/index.ts';
import type { Remark } from './remark.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		/** So many of the springs of a card were tested; the curve of these serves all of them. */
		'spring.sampled': { readonly kind: Kind; readonly tested: number; readonly of: number };
	}
}

/** Kinds whose loads stand on the curve of a sample: fewer springs were tested than stand there. */
export function sampledSprings({ setup, stations }: Pick<Job, 'setup' | 'stations'>): Remark[] {
	return KINDS.flatMap((kind): Remark[] => {
		const card = setup.kinds[kind].spring;
		if (!card?.tested) return [];
		const tested = (setup.springs ?? []).filter((spring) => spring.card === card.id).length;
		const of = stations.filter((entry) => partsOf(setup, entry).spring?.id === card.id).length;
		return tested > 0 && tested < of
			? [{ state: 'clear', text: message('spring.sampled', { kind, tested, of }) }]
			: [];
	});
}
