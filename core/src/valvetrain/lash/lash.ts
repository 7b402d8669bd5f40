/** Lash of solid lifters against its setting (docs/trade/valvetrain.md#lash). All in millimetres. */
import { mm, type Millimetres } from '../../foundation/units/index.ts';
import { message } from '../../foundation/message/index.ts';
import {
	judge,
	notMeasured,
	type Limit,
	type Source,
	type Verdict
} from '../../foundation/verdict/index.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'lash.other-engine-state': { readonly read: EngineState; readonly setting: EngineState };
		'lash.none': { readonly setting: Millimetres; readonly engine: EngineState };
		'lash.set': { readonly setting: Millimetres; readonly engine: EngineState };
	}
}
declare module '../../foundation/verdict/verdict.ts' {
	interface LimitCodes {
		'min-lash': true;
		'max-lash': true;
		'any-lash': true;
	}
}

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
 * engine grows as it warms. Source: docs/trade/valvetrain.md#lash.
 *
 * @param uncertainty half-width of its 95 % interval, in mm
 * @returns not measured where the engine was in another state than the setting is for
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
				message('lash.other-engine-state', { read: engine, setting: wanted.engine })
			),
			figure: measured,
			sources: ['measured']
		};
	}
	const limits: Limit<Millimetres>[] = [
		{
			code: 'min-lash',
			side: 'floor',
			at: mm(wanted.setting - wanted.tolerance),
			severity: 'watch'
		},
		{
			code: 'max-lash',
			side: 'ceiling',
			at: mm(wanted.setting + wanted.tolerance),
			severity: 'watch'
		},
		{ code: 'any-lash', side: 'floor', at: mm(0.01), severity: 'stop' }
	];
	// No lash at all is told by a feeler that does not go in: a fact, not a figure near a limit.
	const verdict = judge(measured, {
		dimension: 'length',
		limits,
		sources: ['measured', { of: 'lash', source: wanted.source }],
		remedy: (limit) =>
			message(limit.severity === 'stop' ? 'lash.none' : 'lash.set', {
				setting: wanted.setting,
				engine
			})
	});
	return { ...verdict, uncertainty: mm(uncertainty) };
}
