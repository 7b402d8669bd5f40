/** What is asked when a job is taken in: short, with sensible defaults. */
import { z } from 'zod';
import { NUMBERINGS, PAIRINGS, type Layout } from '@zinc-ledger/core';

export const ENGINES = {
	'inline 3': { arrangement: 'inline', cylinders: 3 },
	'inline 4': { arrangement: 'inline', cylinders: 4 },
	'inline 5': { arrangement: 'inline', cylinders: 5 },
	'inline 6': { arrangement: 'inline', cylinders: 6 },
	V6: { arrangement: 'V', cylinders: 6 },
	V8: { arrangement: 'V', cylinders: 8 },
	'flat 4': { arrangement: 'flat', cylinders: 4 },
	'flat 6': { arrangement: 'flat', cylinders: 6 }
} as const satisfies Record<string, Pick<Layout, 'arrangement' | 'cylinders'>>;

export type EngineChoice = keyof typeof ENGINES;
export const ENGINE_CHOICES = Object.keys(ENGINES) as [EngineChoice, ...EngineChoice[]];

const line = z.string().trim().max(200, 'At most 200 letters.');

export const TakeIn = z.object({
	number: line.min(1, 'A job needs a number.').default(''),
	customer: line.min(1, 'Whose head is it?').default(''),
	contact: line.default(''),
	engine: line.min(1, 'Which engine is it from?').default(''),
	layout: z.enum(ENGINE_CHOICES).default('inline 4'),
	valvesPerCylinder: z.enum(['2', '4']).default('2'),
	numbering: z.enum(NUMBERINGS).default('bank by bank'),
	pairing: z.enum(PAIRINGS).default('mirrored'),
	lifters: z.enum(['solid', 'hydraulic']).default('solid'),
	duty: line.default(''),
	toldByCustomer: line.default(''),
	workDone: line.default('')
});
export type TakeIn = z.infer<typeof TakeIn>;

export function layoutOf(form: TakeIn): Layout {
	return {
		...ENGINES[form.layout],
		valvesPerCylinder: form.valvesPerCylinder === '4' ? 4 : 2,
		numbering: form.numbering,
		pairing: form.pairing
	};
}
