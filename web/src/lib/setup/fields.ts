/** The fields of a job's set-up: one list that the page shows and the server reads. */
import {
	ADJUSTERS,
	METALS_OF_ENGINE,
	POLICIES,
	SCHOOLS,
	SOURCES,
	WALKING_ORDERS
} from '@zinc-ledger/core';
import type { FieldSort, FieldSpec } from '$lib/forms/flat';

/** A field of the set-up; the paths of a kind's fields begin within the kind. */
export interface SetupFieldSpec extends FieldSpec {
	/** Shown only when another field of the same kind, or the job, has this value. */
	readonly when?: readonly [path: string, value: string];
}

export interface Group {
	readonly title: string;
	readonly fields: readonly SetupFieldSpec[];
}

const field = (
	path: string,
	label: string,
	sort: FieldSort = 'length',
	more: Partial<SetupFieldSpec> = {}
): SetupFieldSpec => ({ path, label, sort, ...more });
const choice = (path: string, label: string, choices: readonly string[]): SetupFieldSpec => ({
	path,
	label,
	sort: 'choice',
	choices
});

/** What intake and exhaust each have, in the order a machinist thinks. */
export const KIND_GROUPS: readonly Group[] = [
	{
		title: 'Lift',
		fields: [
			choice('lift.sort', 'Given as', ['lobe', 'valve']),
			field('lift.lobe', 'Lobe lift', 'length', { when: ['lift.sort', 'lobe'] }),
			field('lift.ratio', 'Rocker ratio', 'number', { when: ['lift.sort', 'lobe'] }),
			field('lift.valve', 'Valve lift', 'length', { when: ['lift.sort', 'valve'] }),
			choice('lift.source', 'Figure from', SOURCES),
			field('lift.uncertainty', 'Lift known within ±'),
			field('lash.setting', 'Lash', 'length', { when: ['lifters', 'solid'] }),
			field('lash.tolerance', 'Lash tolerance', 'length', { when: ['lifters', 'solid'] }),
			{
				...choice('lash.engine', 'Lash set on engine', ['cold', 'hot']),
				when: ['lifters', 'solid']
			},
			{ ...choice('lash.source', 'Lash from', SOURCES), when: ['lifters', 'solid'] },
			field('preload', 'Lifter preload', 'length', { when: ['lifters', 'hydraulic'] })
		]
	},
	{
		title: 'The head’s own measures',
		fields: [
			field('pocket.diameter', 'Spring pocket, diameter'),
			field('pocket.boss', 'Guide boss, outside diameter'),
			field('pocket.guide', 'Guide, stem diameter'),
			field('retainer.groundOff', 'Ground off the retainer’s underside', 'length', {
				when: ['has.retainer', 'yes']
			})
		]
	},
	{
		title: 'What to aim for',
		fields: [
			choice('aim.school', 'Installed height by', SCHOOLS),
			field('aim.cushion', 'Cushion before bind', 'length', {
				when: ['aim.school', 'bind cushion']
			}),
			field('aim.load', 'Wanted load', 'load', { when: ['aim.school', 'seat load'] }),
			field('aim.load', 'Wanted load', 'load', { when: ['aim.school', 'open load'] }),
			field('aim.leastSeatLoad', 'Least seat load', 'load', {
				when: ['aim.school', 'as it stands']
			}),
			field('greatestOpenLoad', 'Greatest open load', 'load')
		]
	}
];

export const LIMIT_FIELDS: readonly SetupFieldSpec[] = [
	field('limits.heightTolerance', 'Height within ±'),
	field('limits.heightStop', 'Height stop beyond ±'),
	field('limits.bindFloor', 'Bind margin, floor'),
	field('limits.bindAim', 'Bind margin, aim'),
	field('limits.bindWide', 'Bind margin, wide above'),
	field('limits.sealFloor', 'Seal clearance, floor'),
	field('limits.rockerFloor', 'Rocker to retainer, floor'),
	field('limits.loadBand', 'Loads within ±, as a part', 'number'),
	field('limits.shimFrom', 'Shim when off by more than'),
	field('limits.shimsAtMost', 'Shims under one spring, at most', 'number'),
	field('limits.lashWatch', 'Lash moved since set, watch beyond'),
	field('limits.lashStop', 'Lash moved since set, stop from'),
	field('limits.preloadWithin', 'Preload within ±'),
	field('limits.pistonFloors.intake', 'Piston to intake valve, floor'),
	field('limits.pistonFloors.exhaust', 'Piston to exhaust valve, floor'),
	field('limits.vacuum.least', 'Vacuum a port must hold', 'text'),
	field('limits.vacuum.seconds', 'Vacuum held for, seconds', 'number'),
	field('limits.outlierLeast', 'Station apart, at least'),
	field('limits.outlierFactor', 'Station apart, × spread', 'number'),
	field('limits.outlierMost', 'Station apart, at most'),
	field('limits.sagWatch', 'Load lost against the card, watch, as a part', 'number'),
	field('limits.sagStop', 'Load lost against the card, stop, as a part', 'number'),
	field('limits.unknownRepeat', 'Gauge not known repeats by, × its resolution', 'number'),
	field('limits.fit.stemMatch', 'Stems alike within'),
	field('limits.fit.sealPlay', 'Inner spring to seal, on diameter'),
	field('limits.fit.damperPlay', 'the same with a flat damper'),
	field('limits.fit.landingPlay', 'Spring on its landing, at most'),
	field('limits.fit.railTip', 'Tip height for a rail rocker'),
	field('limits.fit.highLoad', 'Round groove preferred above', 'load'),
	field('limits.fit.singleLoad', 'Single spring up to', 'load'),
	field('limits.fit.singleSpeed', 'Single spring up to, rpm', 'number')
];

export const JOB_FIELDS: readonly SetupFieldSpec[] = [
	field('use.duty', 'What it is for', 'text'),
	field('use.engineSpeed', 'Highest engine speed, rpm', 'number'),
	field('use.boosted', 'Boosted', 'yes or no'),
	field('use.longDuty', 'Hours on end at load', 'yes or no'),
	choice('use.water', 'Cooled by water', ['fresh', 'salt']),
	choice('head.material', 'Head is of', ['iron', 'aluminium']),
	choice('head.seatInsert', 'Seat inserts', ['none', 'iron', 'hard steel', 'soft bronze']),
	field('use.workDone', 'Work done before it came', 'text'),
	field('toldByCustomer', 'What the customer says', 'text'),
	choice('lifters', 'Lifters', ['solid', 'hydraulic']),
	choice('aimLift', 'Aim by the lift of', ['own', 'larger']),
	choice('loadsAgainst', 'Loads held against', ['card', 'set median']),
	field('cardBeyondTested', 'Card’s line where not tested', 'yes or no'),
	choice('policies.damper', 'Dampers', POLICIES.damper),
	choice('policies.usedSprings', 'Used springs', POLICIES.usedSprings),
	choice('policies.locks', 'Locks', POLICIES.locks),
	choice('policies.measuring', 'Measure', POLICIES.measuring),
	choice('place', 'Springs are fitted on the', ['bench', 'car']),
	choice('camAt', 'Cam in the', ['block', 'head']),
	field('valveAngle', 'Valve to cylinder axis, degrees', 'number'),
	choice('growth.block', 'Block is of', METALS_OF_ENGINE),
	field('growth.measured', 'Lash gains from cold to hot, measured'),
	choice('adjuster.at', 'Lash is set by', ADJUSTERS),
	field('adjuster.pitch', 'Pitch of its thread'),
	choice('walkingOrder', 'Measuring order', WALKING_ORDERS)
];

/** Empty rows offered behind those of a list. */
export const SPARE_ROWS = 2;

/** For the compression ratio before and after a cut. */
export const COMPRESSION_FIELDS: readonly SetupFieldSpec[] = [
	field('compression.bore', 'Bore'),
	field('compression.stroke', 'Stroke'),
	field('compression.chamber', 'Chamber, as it came', 'volume'),
	field('compression.gasket', 'Gasket', 'volume'),
	field('compression.deck', 'Above the piston, less its dome', 'volume'),
	field('compression.chamberOpen', 'Chamber open at the deck, part of the bore', 'number')
];
