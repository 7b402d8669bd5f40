/** A gauge of the shop, and its checks against a reference. */
import { z } from 'zod';
import { issue } from '../../foundation/message/index.ts';
import { Id, Length, Line, Load, Moment, Name, Size } from '../../foundation/units/schema.ts';
import { LINE_PATTERN, linePattern } from '../gauge-link/index.ts';
import { GAUGE_TYPES } from './types.ts';

declare module '../../foundation/message/issue.ts' {
	interface FieldMessages {
		'gauge.host': null;
		'gauge.port': null;
		'gauge.pattern-names': null;
		'gauge.pattern-unusable': { readonly why: string };
	}
}

/** Where a gauge that sends its readings is reached, and how its lines are read. */
export const DeviceLink = z.strictObject({
	host: z
		.string()
		.trim()
		.regex(/^[a-z0-9.:-]{1,120}$/i, issue('gauge.host')),
	port: z.int(issue('gauge.port')).min(1, issue('gauge.port')).max(65535, issue('gauge.port')),
	pattern: z
		.string()
		.max(200, issue('field.max', { max: 200, unit: 'characters' }))
		.default(LINE_PATTERN)
		.superRefine((text, context) => {
			const message = patternProblem(text);
			if (message) context.addIssue({ code: 'custom', message });
		})
});

/** What is wrong with a pattern of a gauge's lines; null where nothing is. */
function patternProblem(text: string): string | null {
	try {
		const { height, load } = linePattern(text).namedGroups();
		return height || load ? null : issue('gauge.pattern-names');
	} catch (error) {
		const what = (error as Error).message.replace(/^error parsing regexp: /, '');
		return issue('gauge.pattern-unusable', { why: what });
	}
}

export const Gauge = z.strictObject({
	id: Id,
	name: Name,
	type: z.enum(GAUGE_TYPES),
	resolution: Size.optional(),
	loadResolution: Load.optional(),
	/** How far a single reading repeats, one standard deviation, where the shop states it. */
	repeatability: Size.optional(),
	loadRepeatability: Load.optional(),
	/** What its maker states that it reads wrong by at most; stands until its first check. */
	accuracy: Size.optional(),
	loadAccuracy: Load.optional(),
	lengthUnit: z.enum(['in', 'mm']).default('mm'),
	loadUnit: z.enum(['lbf', 'N', 'kgf']).default('N'),
	range: Line.optional(),
	/** Months after a check until the next one is due. */
	dueMonths: z.int(issue('field.whole-number')).min(1).max(120).default(12),
	link: DeviceLink.optional(),
	note: Line.optional()
});

export const GaugeCheck = z.strictObject({
	id: Id,
	gauge: Id,
	/** What it was held against: "height standard 1.800", "dead weight", "spring A on the big tester". */
	against: Name,
	reference: z.union([Length, Load]),
	read: z.union([Length, Load]),
	person: Id,
	at: Moment
});

export type Gauge = z.infer<typeof Gauge>;
export type GaugeCheck = z.infer<typeof GaugeCheck>;
