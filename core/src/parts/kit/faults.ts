/** What no kit's paper can mean: a spring without load, or one that is solid where it is fitted (docs/trade/parts.md#kits). */
import { message, type Message } from '../../foundation/message/index.ts';
import type { LibraryPart, SpringCard } from '../part/index.ts';
import { inches, lengthOf, loadOf } from '../../foundation/units/index.ts';
import { KINDS } from '../../foundation/station/index.ts';
import type { Problem } from '../../foundation/file/index.ts';
import type { Kit } from './schema.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'kit.no-seat-load': null;
		'kit.bind-at-seat': null;
	}
}

/** No valve lifts less than this: a spring with less way down to solid is a slip of the pen. */
const MIN_TRAVEL = inches(0.1);

/** What is wrong with a kit's spring, by its field; empty for one that can be meant. */
export function springFaults({ seat, bind }: SpringCard): { field: string; text: Message }[] {
	return [
		...(loadOf(seat.load) <= 0 ? [{ field: 'seat.load', text: message('kit.no-seat-load') }] : []),
		...(bind !== undefined && lengthOf(seat.height) - lengthOf(bind) < MIN_TRAVEL
			? [{ field: 'bind', text: message('kit.bind-at-seat') }]
			: [])
	];
}

/**
 * What is impossible about the springs among the parts of a file, each problem with its path
 * (`parts[3].part.inner.rate`); parts of other types have no such rules.
 */
export const faultsOf = (parts: readonly LibraryPart[]): Problem[] =>
	parts.flatMap((one, i) =>
		one.type === 'spring'
			? springFaults(one.part).map(({ field, text }) => ({
					path: `parts[${i}].part.${field}`,
					text
				}))
			: []
	);

/**
 * The same of the springs that kits name and a library has, by the name of each.
 *
 * @param library every part that the kits may name
 */
export function faultsOfKits(kits: readonly Kit[], library: readonly LibraryPart[]): Problem[] {
	const named = new Set(kits.flatMap((kit) => KINDS.map((kind) => kit.kinds[kind].spring)));
	return library.flatMap((one) =>
		one.type === 'spring' && named.has(one.part.id)
			? springFaults(one.part).map(({ field, text }) => ({
					path: `${one.part.name}, ${field}`,
					text
				}))
			: []
	);
}
