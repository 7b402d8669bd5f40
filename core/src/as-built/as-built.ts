/** A station as it was built against what was planned (handbook §9, step 8). Millimetres. */
import { ofLength, say, type Phrase } from '../units/phrase.ts';
import { mm, type Millimetres } from '../units/quantity.ts';
import { judge, type Verdict } from '../verdict/verdict.ts';

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
	return judge(measured, {
		sort: 'length',
		limits: [
			{
				name: 'planned height',
				side: 'floor',
				at: mm(planned.height - tolerance),
				severity: 'stop'
			},
			{
				name: 'planned height',
				side: 'ceiling',
				at: mm(planned.height + tolerance),
				severity: 'stop'
			}
		],
		sources: ['measured'],
		uncertainty,
		remedy: (_, state) => {
			if (state === 'too close') return ['As-built height too close to call: measure it again'];
			const apart = mm(measured - planned.height);
			const by = ofLength(mm(Math.abs(apart)));
			return say`Built ${by} ${apart > 0 ? 'taller' : 'shorter'} than planned: ${likelyCause(apart, planned, tolerance)}`;
		}
	});
}

/** What a build that differs by so much most likely has or lacks. */
export function likelyCause(
	apart: Millimetres,
	{ shims, locator, lockOffset }: Planned,
	tolerance: Millimetres
): Phrase {
	const isAbout = (length: number) => Math.abs(Math.abs(apart) - Math.abs(length)) <= tolerance;
	const shim = shims.find(isAbout);
	if (apart > 0) {
		if (shim !== undefined) return say`the ${ofLength(shim)} shim left out?`;
		if (locator > 0 && isAbout(locator)) return ['locator left out?'];
		return ['locks not home, a shim left out, or the gauge'];
	}
	if (lockOffset > 0 && isAbout(lockOffset)) return ['plus locks planned, others fitted?'];
	if (shim !== undefined) return say`the ${ofLength(shim)} shim in twice?`;
	return ['a shim too many, another retainer or locks, or the gauge'];
}
