/** Lash of solid lifters against its setting (handbook §7). All in millimetres. */
import { mm, type Millimetres } from '../units/quantity.ts';
import { ofLength, say } from '../units/phrase.ts';
import { judge, notMeasured, type Limit, type Source, type Verdict } from '../verdict/verdict.ts';

export const ENGINE_STATES = ['cold', 'hot'] as const;
export type EngineState = (typeof ENGINE_STATES)[number];

export interface LashSetting {
	readonly setting: Millimetres;
	readonly tolerance: Millimetres;
	readonly engine: EngineState;
	readonly source: Source;
}

/**
 * The verdict on a measured lash. Outside the tolerance is a watch ("set it
 * again"); no lash at all is a stop, since the valve is then held off its
 * seat. A lash taken in the other engine state is not compared, because an
 * engine grows as it warms.
 */
export function lashVerdict(
	measured: Millimetres,
	engine: EngineState,
	wanted: LashSetting,
	uncertainty = 0
): Verdict<Millimetres> {
	if (engine !== wanted.engine) {
		return {
			...notMeasured<Millimetres>(
				say`Lash was read ${engine}, the setting is for a ${wanted.engine} engine: read it ${wanted.engine}`
			),
			figure: measured,
			sources: ['measured']
		};
	}
	const limits: Limit<Millimetres>[] = [
		{
			name: 'least lash',
			side: 'floor',
			at: mm(wanted.setting - wanted.tolerance),
			severity: 'watch'
		},
		{
			name: 'greatest lash',
			side: 'ceiling',
			at: mm(wanted.setting + wanted.tolerance),
			severity: 'watch'
		},
		{ name: 'any lash at all', side: 'floor', at: mm(0.01), severity: 'stop' }
	];
	// No lash at all is told by a feeler that does not go in: a fact, not a figure near a limit.
	const verdict = judge(measured, {
		sort: 'length',
		limits,
		sources: ['measured', wanted.source],
		remedy: (limit) =>
			limit.severity === 'stop'
				? say`No lash: the valve is held off its seat. Set ${ofLength(wanted.setting)} ${engine}`
				: say`Set lash to ${ofLength(wanted.setting)} ${engine}`
	});
	return { ...verdict, uncertainty: mm(uncertainty) };
}
