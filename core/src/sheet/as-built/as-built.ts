/** A station as it was built against what was planned (docs/trade/assembly.md, step 8). Millimetres. */
import { message, type Message } from '../../foundation/message/index.ts';
import { mm, type Millimetres } from '../../foundation/units/index.ts';
import { around, judge, type Verdict } from '../../foundation/verdict/index.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'as-built.inconclusive': null;
		'as-built.off': {
			readonly by: Millimetres;
			readonly way: 'taller' | 'shorter';
			readonly cause: Message;
		};
		/** A shim of this thickness left out, or in twice. */
		'cause.shim-left-out': { readonly shim: Millimetres };
		'cause.shim-in-twice': { readonly shim: Millimetres };
		'cause.locator-left-out': null;
		'cause.other-locks': null;
		'cause.taller': null;
		'cause.shorter': null;
	}
}
declare module '../../foundation/verdict/verdict.ts' {
	interface LimitCodes {
		'planned-height': true;
	}
}

export interface Planned {
	readonly height: Millimetres;
	readonly shims: readonly Millimetres[];
	readonly locator: Millimetres;
	readonly lockOffset: Millimetres;
}

/** By how much an as-built height may differ from the planned one, in mm. */
export interface AsBuiltLimits {
	/** Beyond it the height is a watch. */
	readonly tolerance: Millimetres;
	/** Beyond it the height is a stop: it differs by about the thinnest part that could be missing. */
	readonly part: Millimetres;
}

/**
 * The limits of an as-built height. It is a stop once it is off by the thinnest shim, because a
 * shim may be missing or fitted twice, and never within the tolerance. Source: shop practice.
 *
 * @param shims thicknesses in stock and in the build, in mm
 * @param otherwise the stop where no shim is known, in mm
 */
export function asBuiltLimits(
	tolerance: Millimetres,
	shims: readonly Millimetres[],
	otherwise: Millimetres
): AsBuiltLimits {
	const thinnest = shims.length > 0 ? Math.min(...shims) : otherwise;
	return { tolerance, part: mm(Math.max(tolerance, thinnest)) };
}

/**
 * The verdict on a height measured with everything fitted. Beyond the tolerance it is a watch,
 * and a stop where it looks like a part, with what that distance looks like.
 */
export function asBuiltVerdict(
	measured: Millimetres,
	planned: Planned,
	{ tolerance, part }: AsBuiltLimits,
	uncertainty: number
): Verdict<Millimetres> {
	return judge(measured, {
		dimension: 'length',
		limits: [
			...around('planned-height', planned.height, tolerance, 'watch'),
			...around('planned-height', planned.height, part, 'stop')
		],
		sources: ['measured'],
		uncertainty,
		remedy: (_, state) => {
			if (state === 'inconclusive') return message('as-built.inconclusive');
			const differs = mm(measured - planned.height);
			return message('as-built.off', {
				by: mm(Math.abs(differs)),
				way: differs > 0 ? 'taller' : 'shorter',
				cause: likelyCause(differs, planned, tolerance)
			});
		}
	});
}

/**
 * What a build that differs by so much most likely has or lacks. Source: docs/trade/assembly.md.
 *
 * @param differs as-built less planned height, in mm
 * @param tolerance how near a part's thickness is to count as its absence
 * @returns the part that was left out, laid in twice or exchanged, by its thickness; else only which way it is off
 */
export function likelyCause(
	differs: Millimetres,
	{ shims, locator, lockOffset }: Planned,
	tolerance: Millimetres
): Message {
	const isAbout = (length: number) => Math.abs(Math.abs(differs) - Math.abs(length)) <= tolerance;
	const shim = shims.find(isAbout);
	if (differs > 0) {
		if (shim !== undefined) return message('cause.shim-left-out', { shim });
		if (locator > 0 && isAbout(locator)) return message('cause.locator-left-out');
		return message('cause.taller');
	}
	if (lockOffset > 0 && isAbout(lockOffset)) return message('cause.other-locks');
	if (shim !== undefined) return message('cause.shim-in-twice', { shim });
	return message('cause.shorter');
}
