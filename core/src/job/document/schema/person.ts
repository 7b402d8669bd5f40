/** Who did something. */
import { z } from 'zod';
import { issue } from '../../../foundation/message/index.ts';
import { Id, Name } from '../../../foundation/units/schema.ts';

export const Person = z.strictObject({
	id: Id,
	name: Name,
	initials: z
		.string()
		.trim()
		.min(1, issue('field.required'))
		.max(4, issue('field.max', { max: 4, unit: 'characters' }))
});

export type Person = z.infer<typeof Person>;
