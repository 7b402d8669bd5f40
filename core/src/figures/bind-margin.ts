/** Coil bind margin at full lift. Source: handbook §5. */
import { mm, type Millimetres } from '../units/quantity.ts';
import { ofLength, say } from '../units/phrase.ts';
import { coilBindMargin } from '../clearance/clearance.ts';
import { combinedUncertainty } from '../verdict/uncertainty.ts';
import { judge, notMeasured, type Verdict } from '../verdict/verdict.ts';
import { resolutionOf } from './judging.ts';
import type { StationRead } from './read.ts';

export function bindMargin({ height, kind, read, shared }: StationRead): Verdict<Millimetres> {
	if (height === null) return notMeasured(['height not measured']);
	if (!kind.bind) return notMeasured(['no bind height']);
	if (!kind.lift) return notMeasured(['no lift']);
	const { limits } = shared;
	const margin = coilBindMargin(height, kind.lift.worst, kind.bind.height);
	const { first, uncertainty } = kind.bind;
	const inner = first && first !== 'outer' ? ` The ${first} binds first.` : '';
	const isBindUnsure = uncertainty > read.height!.uncertainty;
	return judge(margin, {
		sort: 'length',
		limits: [
			{ name: 'bind floor', side: 'floor', at: limits.bindFloor, severity: 'stop' },
			{ name: 'bind aim', side: 'floor', at: limits.bindAim, severity: 'watch' },
			{ name: 'wide margin', side: 'ceiling', at: limits.bindWide, severity: 'watch' }
		],
		sources: ['measured', ...kind.sources.bind, kind.sources.lift!],
		uncertainty: combinedUncertainty(
			read.height!.uncertainty,
			uncertainty,
			kind.lift.uncertainty ?? 0
		),
		resolution: resolutionOf(read.height!),
		remedy: (limit, state) => {
			if (state === 'too close')
				return [
					`Bind margin too close to call: ${isBindUnsure ? 'test the bind' : 'measure the height'} again`
				];
			if (limit.name === 'wide margin')
				return ['Wide bind margin: a spring far from solid is lazy'];
			const more = ofLength(mm(limit.at - margin));
			return say`Bind margin ${more} short of the ${limit.name === 'bind floor' ? 'floor' : 'aim'}: less shim or plus locks.${inner}`;
		}
	});
}
