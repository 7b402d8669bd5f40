/** A sweep as a file: digits as read, units named once, and what stood in the press. */
import { z } from 'zod';
import { issue } from '../../foundation/message/index.ts';
import { readFile, writeFile, type FileRead } from '../../foundation/file/index.ts';
import { Id, Line, Moment, Name, Size } from '../../foundation/units/schema.ts';

export const SWEEP_FORMAT = 'zinc-ledger/sweep';
export const SWEEP_VERSION = 1;

const digits = z
	.string()
	.regex(/^-?\d+(\.\d+)?$/, issue('field.number', { example: '46.212' }))
	.max(14, issue('field.max', { max: 14, unit: 'characters' }));
const gain = z
	.number()
	.min(0.5, issue('field.min', { min: 0.5 }))
	.max(2, issue('field.max', { max: 2 }));
const Applied = z.strictObject({ gain, offset: z.number() });

export const Sweep = z.strictObject({
	format: z.literal(SWEEP_FORMAT),
	version: z.literal(SWEEP_VERSION),
	id: Id,
	/** Which spring: its set's name and its tag. */
	set: Name,
	tag: Name,
	tester: Line,
	/** What stood in the press besides the spring: retainer at its landing, plate. */
	fixture: Size,
	retainer: Line.optional(),
	/** That retainer's step, which the inner spring stood on. */
	step: Size.optional(),
	heightUnit: z.enum(['mm', 'in']),
	loadUnit: z.enum(['N', 'lbf', 'kgf']),
	/** Correction in force when it was taken, in millimetres and newtons. */
	correction: z
		.strictObject({
			height: Applied,
			load: Applied.extend({
				/** One standard deviation of a load read on it, as a part of the load; left out where nobody checked it. */
				deviation: z.number().min(0).max(1).optional()
			}),
			/** Newtons that a millimetre of the frame holds, from a pull on a solid block. */
			frame: z
				.number()
				.min(10, issue('field.min', { min: 10, unit: 'N/mm' }))
				.max(1e6, issue('field.max', { max: 1000000, unit: 'N/mm' }))
				.optional()
		})
		.optional(),
	/** Dial height, load, and which way the press was going, in the order they were taken. */
	points: z
		.array(z.tuple([digits, digits, z.enum(['down', 'up'])]))
		.min(1, issue('field.min', { min: 1, unit: 'points' }))
		.max(50_000, issue('field.max', { max: 50000, unit: 'points' })),
	person: Name,
	at: Moment
});
export type Sweep = z.infer<typeof Sweep>;

/** Reads the text of a sweep file: the sweep, or every problem found. */
export const readSweep = (text: string): FileRead<Sweep> =>
	readFile(text, { format: SWEEP_FORMAT, version: SWEEP_VERSION, what: 'sweep', schema: Sweep });

export const writeSweep = (sweep: Sweep): string => writeFile(sweep);
