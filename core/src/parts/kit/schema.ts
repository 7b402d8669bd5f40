/**
 * A spring kit as a shop keeps it: which parts go together, what its paper asks for
 * and forbids, and what is in the box (docs/trade/parts.md#kits). Parts stand in the library.
 */
import { z } from 'zod';
import { issue } from '../../foundation/message/index.ts';
import { Id, Line, Name } from '../../foundation/units/schema.ts';
import { KIT_ASKS, KIT_PLACES } from './types.ts';

declare module '../../foundation/message/issue.ts' {
	interface FieldMessages {
		'kit.no-part': null;
	}
}

/** A part by its place in the library where it stands there, and by its name. */
const PartNamed = z.strictObject({ id: Id.optional(), name: Name });

/** What is in the box of one thing; locks are counted in pairs. */
const Count = z
	.int(issue('field.whole-number'))
	.min(0, issue('field.negative'))
	.max(500, issue('field.max', { max: 500 }));

const Places = z.partialRecord(z.enum(KIT_PLACES), Id);

/** A seal or locator that must not be used with the kit. */
const Refused = z.strictObject({ place: z.enum(KIT_ASKS), ...PartNamed.shape });

export const Kit = z.strictObject({
	id: Id,
	name: Name,
	maker: Line.optional(),
	/** Library parts of each kind, by their place in the stack. */
	kinds: z.strictObject({ intake: Places, exhaust: Places }),
	refused: z
		.array(Refused)
		.max(20, issue('field.max', { max: 20, unit: 'parts' }))
		.default([]),
	/** How many the box holds, for both kinds together; left out where nobody counted. */
	box: z.partialRecord(z.enum(KIT_PLACES), Count).default({}),
	/** The maker's instructions, as they are written. */
	instructions: z
		.string()
		.trim()
		.max(4000, issue('field.max', { max: 4000, unit: 'characters' }))
		.optional()
});

/** What a kind of valves keeps of the kit it was built from: enough to see that it is used as asked. */
export const KitTaken = z.strictObject({
	id: Id.optional(),
	name: Name,
	/** The kit's spring: with another one, what the kit asks for is no longer asked. */
	spring: Id,
	seal: PartNamed.optional(),
	locator: PartNamed.optional(),
	refused: z.array(Refused).max(20).optional()
});

export type Kit = z.infer<typeof Kit>;
export type KitTaken = z.infer<typeof KitTaken>;
