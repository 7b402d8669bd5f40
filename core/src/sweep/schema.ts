/** A sweep as a file: digits as read, units named once, and what stood in the press. */
import { z } from 'zod';
import { readFile, writeFile, type FileRead } from '../file/file.ts';
import { Id, Line, Moment, Name, Size } from '../units/schema.ts';

export const SWEEP_FORMAT = 'zinc-ledger/sweep';
export const SWEEP_VERSION = 1;

const digits = z
	.string()
	.regex(/^-?\d+(\.\d+)?$/, 'a figure such as "46.212"')
	.max(14, 'too many digits');
const gain = z.number().min(0.5, 'at least 0.5').max(2, 'at most 2');
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
	heightUnit: z.enum(['mm', 'in']),
	loadUnit: z.enum(['N', 'lbf', 'kgf']),
	/** Correction in force when it was taken, in millimetres and newtons. */
	correction: z
		.strictObject({
			height: Applied,
			load: Applied,
			/** Newtons that a millimetre of the frame holds, from a pull on a solid block. */
			frame: z.number().min(10, 'at least 10 N/mm').max(1e6, 'at most 1,000,000 N/mm').optional()
		})
		.optional(),
	/** Dial height, load, and which way the press was going, in the order they were taken. */
	points: z
		.array(z.tuple([digits, digits, z.enum(['down', 'up'])]))
		.min(1, 'a sweep has points')
		.max(50_000, 'at most 50,000 points'),
	person: Name,
	at: Moment
});
export type Sweep = z.infer<typeof Sweep>;

/** Reads the text of a sweep file: the sweep, or every problem found. */
export const readSweep = (text: string): FileRead<Sweep> =>
	readFile(text, { format: SWEEP_FORMAT, version: SWEEP_VERSION, what: 'sweep', schema: Sweep });

export const writeSweep = (sweep: Sweep): string => writeFile(sweep);
