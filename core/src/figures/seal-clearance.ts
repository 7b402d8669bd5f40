/** Retainer to seal at full lift. Source: handbook §3 and §6. */
import { lengthOf, mm, type Millimetres } from '../units/quantity.ts';
import { ofLength, say } from '../units/phrase.ts';
import { sealClearance as clearanceAtLift } from '../clearance/clearance.ts';
import { combinedUncertainty } from '../verdict/uncertainty.ts';
import { judge, notMeasured, type Verdict } from '../verdict/verdict.ts';
import { resolutionOf } from './judging.ts';
import type { StationRead } from './read.ts';
import type { Remark } from './sheet.ts';

export function sealClearance({
	job,
	parts,
	kind,
	read,
	pumpUp,
	shared: { limits }
}: StationRead): Verdict<Millimetres> {
	// Read at full lift it is the clearance itself; from the closed gap the lift is taken off.
	const { gap, gapAtLift: atLift } = read;
	const known = atLift ?? gap;
	if (!known) return notMeasured(['seal gap not measured']);
	const mayPumpUp = job.setup.lifters === 'hydraulic' && parts.preload !== undefined;
	if (!kind.lift && (!atLift || mayPumpUp)) return notMeasured(['no lift']);
	const clearance = atLift ? atLift.value : clearanceAtLift(known.value, kind.lift!.worst);
	return judge(clearance, {
		sort: 'length',
		limits: [{ name: 'seal floor', side: 'floor', at: limits.sealFloor, severity: 'stop' }],
		sources: atLift && pumpUp === 0 ? ['measured'] : ['measured', kind.sources.lift!],
		uncertainty: atLift
			? known.uncertainty
			: combinedUncertainty(known.uncertainty, kind.lift!.uncertainty ?? 0),
		resolution: resolutionOf(known),
		remedy: (limit, state) =>
			state === 'too close'
				? ['Seal gap too close to call: measure it again']
				: say`Retainer ${ofLength(mm(limit.at - clearance))} too near the seal: seal home? Shorter seal or plus locks`
	});
}

/** A gap whose reading does not say how its retainer was ground counts as read with it ground. */
export function groundBeforeOrAfter({ parts, read }: StationRead): Remark[] {
	const known = read.gapAtLift ?? read.gap;
	if (!known || known.newest.inPlace.groundOff !== undefined) return [];
	if (lengthOf(parts.retainer?.groundOff ?? '0 mm') === 0) return [];
	return [
		{
			state: 'watch',
			text: ['Retainer is ground, and the gap’s reading does not say if it was then: read it again']
		}
	];
}

export function seatedSeal({ read }: StationRead): Remark[] {
	if (read.gap?.newest.inPlace.sealHome !== false) return [];
	return [
		{ state: 'watch', text: ['Gap was read with the seal not home: seat it and read again'] }
	];
}
