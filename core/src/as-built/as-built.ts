/** A station as it was built against what was planned (handbook §9, step 8). Millimetres. */
import { message, type Message } from '../message/index.ts';
import { mm, type Millimetres } from '../units/index.ts';
import { judge, type Verdict } from '../verdict/index.ts';

declare module '../message/message.ts' {
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
declare module '../verdict/verdict.ts' {
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

/**
 * The verdict on a height measured with everything fitted. Beyond the tolerance
 * it is a stop, with what that distance looks like.
 */
export function asBuiltVerdict(
	measured: Millimetres,
	planned: Planned,
	tolerance: Millimetres,
	uncertainty: number
): Verdict<Millimetres> {
	const limit = { code: 'planned-height', severity: 'stop' } as const;
	return judge(measured, {
		dimension: 'length',
		limits: [
			{ ...limit, side: 'floor', at: mm(planned.height - tolerance) },
			{ ...limit, side: 'ceiling', at: mm(planned.height + tolerance) }
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
 * What a build that differs by so much most likely has or lacks. Source: handbook §9.
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
