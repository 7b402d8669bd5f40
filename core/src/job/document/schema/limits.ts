/** What figures are held against; shop defaults that a job can change. */
import { z } from 'zod';
import { issue } from '../../../foundation/message/index.ts';
import { lengthOf } from '../../../foundation/units/index.ts';
import { Load, Size, Vacuum } from '../../../foundation/units/schema.ts';
import { InspectedLimits } from './inspected-limits.ts';
import { MAX_SECONDS } from '../check-words.ts';

declare module '../../../foundation/message/issue.ts' {
	interface FieldMessages {
		'limits.below': {
			readonly of: 'heightTolerance' | 'bindFloor' | 'bindAim' | 'outlierMin' | 'sagWatch';
		};
	}
}

export const seconds = z
	.int(issue('field.whole-number'))
	.min(0)
	.max(MAX_SECONDS, issue('field.max', { max: MAX_SECONDS, unit: 's' }));
export const fraction = z
	.number(issue('field.number', { example: '0.1' }))
	.min(0, issue('field.min', { min: 0 }))
	.max(1, issue('field.max', { max: 1 }));

/** What parts must leave each other; shop defaults that a job can change. */
export const FitLimits = z.strictObject({
	/** Stems that differ by less are of one size. */
	stemMatch: Size.default('0.10 mm'),
	/** Least room between inner spring and seal, on the diameter. */
	sealClearance: Size.default('1.00 mm'),
	/** With a flat damper between them, what they should have. */
	damperClearance: Size.default('2.50 mm'),
	/** A spring may be looser than this on its landing, its spigot or in its cup by no more. */
	landingClearance: Size.default('1.00 mm'),
	/** A tip that stands lower than this does not hold a rail rocker. */
	railTip: Size.default('2.00 mm'),
	/** Open load from which a round groove is preferred. */
	highLoad: Load.default('1800 N'),
	/** Open load and engine speed beyond which a single spring is remarked on. */
	singleSpringMaxLoad: Load.default('1300 N'),
	singleSpringMaxRpm: z.int(issue('field.whole-number')).min(0).max(25_000).default(7500)
});

/** How far one reading scatters that nobody has repeated: lengths, and parts of a load. */
const OneReading = z.strictObject({
	height: Size.optional(),
	sealGap: Size.optional(),
	indicator: Size.optional(),
	clay: Size.optional(),
	feeler: Size.optional(),
	tester: fraction.optional(),
	onHead: fraction.optional()
});

export const Limits = z
	.strictObject({
		heightTolerance: Size,
		heightStop: Size,
		bindFloor: Size,
		bindAim: Size,
		bindMarginMax: Size,
		sealFloor: Size,
		/** Least room between rocker and retainer, closed, at half and at full lift. */
		rockerFloor: Size.default('0.76 mm'),
		/** Loads further than this part from the load at the aimed height are a watch. */
		loadTolerance: fraction,
		/** A station is shimmed only when it is further than this off its aim. */
		deadBand: Size,
		maxShims: z
			.int(issue('field.whole-number'))
			.min(0, issue('field.min', { min: 0 }))
			.max(4, issue('field.max', { max: 4 })),
		/** Lash that moved further than these since it was set. */
		lashWatch: Size.default('0.003 in'),
		lashStop: Size.default('0.006 in'),
		/** A hydraulic preload further than this from the one wanted is a watch. */
		preloadTolerance: Size.default('0.010 in'),
		/** Least room between piston and valve. */
		pistonFloors: z
			.strictObject({ intake: Size.default('0.080 in'), exhaust: Size.default('0.100 in') })
			.prefault({}),
		/** Parts of the shop's vacuum test. */
		vacuum: z
			.strictObject({ min: Vacuum.default('15 inHg'), seconds: seconds.default(10) })
			.prefault({}),
		/** Part of its air that a cylinder may lose with its valves closed. */
		leakDown: fraction.optional(),
		outlierMin: Size,
		/** A station further than this stands apart however wide its head scatters. */
		outlierMax: Size.optional(),
		/** A seal that stands further than this from its record's height is looked at. */
		sealHeight: Size.optional(),
		/** Part of its card's load that a tested spring may have lost. */
		sagWatch: fraction.optional(),
		sagStop: fraction.optional(),
		/** Part of the highest engine speed that a valve is to stay with its cam beyond it. */
		controlHeadroom: fraction.optional(),
		/** What is to hold a valve shut against its port's pressure. */
		netSeatLoad: Load.optional(),
		/** One standard deviation of one reading, until the gauge's own repeats say. */
		oneReading: OneReading.optional(),
		/** Resolutions that such a reading scatters by at least. */
		unknownRepeat: z
			.number(issue('field.number', { example: '2' }))
			.min(0, issue('field.min', { min: 0 }))
			.max(20, issue('field.max', { max: 20 }))
			.optional(),
		outlierFactor: z
			.number(issue('field.number', { example: '3.5' }))
			.min(1, issue('field.min', { min: 1 }))
			.max(10, issue('field.max', { max: 10 })),
		fit: FitLimits.prefault({}),
		/** Where a job says nothing of them, the careful usual stands. */
		inspected: InspectedLimits.optional()
	})
	.superRefine((limits, context) => {
		const atLeast = (key: keyof typeof limits, other: keyof typeof limits, message: string) => {
			if (lengthOf(limits[key] as string) < lengthOf(limits[other] as string))
				context.addIssue({ code: 'custom', path: [key], message });
		};
		atLeast('heightStop', 'heightTolerance', issue('limits.below', { of: 'heightTolerance' }));
		atLeast('bindAim', 'bindFloor', issue('limits.below', { of: 'bindFloor' }));
		atLeast('bindMarginMax', 'bindAim', issue('limits.below', { of: 'bindAim' }));
		if (limits.outlierMax)
			atLeast('outlierMax', 'outlierMin', issue('limits.below', { of: 'outlierMin' }));
		if ((limits.sagStop ?? 1) < (limits.sagWatch ?? 0))
			context.addIssue({
				code: 'custom',
				path: ['sagStop'],
				message: issue('limits.below', { of: 'sagWatch' })
			});
	});

export type FitLimits = z.infer<typeof FitLimits>;
export type Limits = z.infer<typeof Limits>;
