/** The fields of a job's set-up: one list that the page shows and the server reads. */
import {
	ADJUSTERS,
	INSPECTED_FIGURE,
	METALS_OF_ENGINE,
	POLICIES,
	TARGET_METHODS,
	SOURCES,
	MEASURING_ORDERS,
	TRAINS,
	type InspectedFigure,
	type Kind
} from '@zinc-ledger/core';
import type { FieldType, FieldSpec } from '$lib/forms/flat';
import { label, labelsOf, type Labels } from '@zinc-ledger/words';

/** A field of the set-up; the paths of a kind's fields begin within the kind. */
export interface SetupFieldSpec extends FieldSpec {
	/** Shown only when another field of the same kind, or the job, has this value. */
	readonly when?: readonly [path: string, value: string];
}

export interface Group {
	readonly title: string;
	/** Whether it stands open from the start. */
	readonly isFirst?: boolean;
	readonly fields: readonly SetupFieldSpec[];
}

const field = (
	path: string,
	named: string,
	type: FieldType = 'length',
	more: Partial<SetupFieldSpec> = {}
): SetupFieldSpec => ({ path, label: named, type, ...more });
const choice = (
	path: string,
	named: string,
	choices: readonly string[],
	of?: keyof Labels
): SetupFieldSpec => ({
	path,
	label: named,
	type: 'choice',
	choices,
	...(of && { names: labelsOf(of) })
});

const SEAT_INSERTS = ['none', 'iron', 'hard-steel', 'soft-bronze'] as const;

/** What intake and exhaust each have, in the order a machinist thinks. */
export const KIND_GROUPS: readonly Group[] = [
	{
		title: 'Lift and lash',
		isFirst: true,
		fields: [
			choice('lift.type', 'Lift given at', ['lobe', 'valve']),
			field('lift.lobe', 'Lobe lift', 'length', { when: ['lift.type', 'lobe'] }),
			field('lift.ratio', 'Rocker ratio', 'number', { when: ['lift.type', 'lobe'] }),
			field('lift.valve', 'Valve lift', 'length', { when: ['lift.type', 'valve'] }),
			choice('lift.source', 'Source', SOURCES, 'source'),
			field('lash.setting', 'Lash', 'length', { when: ['lifters', 'solid'] }),
			field('preload', 'Lifter preload', 'length', { when: ['lifters', 'hydraulic'] })
		]
	},
	{
		title: 'Details of lift, lash and load',
		fields: [
			field('lift.uncertainty', 'Lift known within ±'),
			field('lash.tolerance', 'Lash tolerance', 'length', { when: ['lifters', 'solid'] }),
			{
				...choice('lash.engine', 'Lash set on engine', ['cold', 'hot'], 'engineState'),
				when: ['lifters', 'solid']
			},
			{ ...choice('lash.source', 'Lash source', SOURCES, 'source'), when: ['lifters', 'solid'] },
			field('maxOpenLoad', 'Max open load', 'load')
		]
	},
	{
		title: 'Valve control',
		fields: [
			field('pushrodMass', 'Pushrod mass, with its ends', 'mass'),
			field('portPressure', 'Port pressure on the closed valve', 'pressure')
		]
	},
	{
		title: 'Head dimensions',
		fields: [
			choice('seatInsert', 'Seat inserts, where not as the head’s', SEAT_INSERTS, 'seatInsert'),
			field('pocket.diameter', 'Spring pocket diameter'),
			field('pocket.boss', 'Guide boss OD'),
			field('pocket.guide', 'Guide bore, stem diameter'),
			field('retainer.groundOff', 'Ground off the retainer’s underside', 'length', {
				when: ['has.retainer', 'yes']
			})
		]
	},
	{
		title: 'Target height',
		isFirst: true,
		fields: [
			choice('aim.method', 'Target method', TARGET_METHODS, 'targetMethod'),
			field('aim.cushion', 'Cushion before bind', 'length', {
				when: ['aim.method', 'bind-cushion']
			}),
			field('aim.load', 'Required load', 'load', { when: ['aim.method', 'seat-load'] }),
			field('aim.load', 'Required load', 'load', { when: ['aim.method', 'open-load'] }),
			field('aim.minSeatLoad', 'Min seat load', 'load', {
				when: ['aim.method', 'as-it-stands']
			})
		]
	}
];

export const LIMIT_FIELDS: readonly SetupFieldSpec[] = [
	field('limits.heightTolerance', 'Height tolerance ±'),
	field('limits.heightStop', 'Height stop beyond ±'),
	field('limits.bindFloor', 'Min bind margin'),
	field('limits.bindAim', 'Bind margin aimed for'),
	field('limits.bindMarginMax', 'Max bind margin'),
	field('limits.sealFloor', 'Min seal clearance'),
	field('limits.rockerFloor', 'Min rocker clearance'),
	field('limits.loadTolerance', 'Load tolerance ±, as a fraction', 'number'),
	field('limits.deadBand', 'Dead band: shim when off by more than'),
	field('limits.maxShims', 'Max shims under one spring', 'number'),
	field('limits.lashWatch', 'Lash drift, watch beyond'),
	field('limits.lashStop', 'Lash drift, stop from'),
	field('limits.preloadTolerance', 'Preload tolerance ±'),
	field('limits.pistonFloors.intake', 'Min piston to intake valve'),
	field('limits.pistonFloors.exhaust', 'Min piston to exhaust valve'),
	field('limits.vacuum.min', 'Min vacuum', 'text'),
	field('limits.vacuum.seconds', 'Vacuum time, seconds', 'number'),
	field('limits.outlierMin', 'Outlier threshold, min'),
	field('limits.outlierFactor', 'Outlier threshold, × spread', 'number'),
	field('limits.outlierMax', 'Outlier threshold, max'),
	field('limits.sealHeight', 'Seal height, off its record'),
	field('limits.leakDown', 'Leak-down, max part lost', 'number'),
	field('limits.sagWatch', 'Load loss against card, watch, as a fraction', 'number'),
	field('limits.sagStop', 'Load loss against card, stop, as a fraction', 'number'),
	field('limits.controlHeadroom', 'Control headroom, as a fraction', 'number'),
	field('limits.netSeatLoad', 'Min net seat load under port pressure', 'load'),
	field('limits.unknownRepeat', 'Repeatability of one reading, at least × resolution', 'number'),
	field('limits.oneReading.height', 'Repeatability of a height reading, 1 sigma'),
	field('limits.oneReading.sealGap', 'Repeatability of a seal gap reading, 1 sigma'),
	field('limits.oneReading.indicator', 'Repeatability of a dial indicator reading, 1 sigma'),
	field('limits.oneReading.clay', 'Repeatability of a clay reading, 1 sigma'),
	field('limits.oneReading.feeler', 'Repeatability of a feeler gauge reading, 1 sigma'),
	field(
		'limits.oneReading.tester',
		'Repeatability of a bench tester load, 1 sigma, as a fraction',
		'number'
	),
	field(
		'limits.oneReading.onHead',
		'Repeatability of an on-head load, 1 sigma, as a fraction',
		'number'
	),
	field('limits.fit.stemMatch', 'Stem diameter tolerance'),
	field('limits.fit.sealClearance', 'Inner spring to seal, on diameter, min'),
	field('limits.fit.damperClearance', 'Damper to seal, on diameter, min'),
	field('limits.fit.landingClearance', 'Spring on its landing, max clearance'),
	field('limits.fit.railTip', 'Min tip height for a rail rocker'),
	field('limits.fit.highLoad', 'Round groove preferred above', 'load'),
	field('limits.fit.singleSpringMaxLoad', 'Single spring, max load', 'load'),
	field('limits.fit.singleSpringMaxRpm', 'Single spring, max rpm', 'number')
];

/** What can be set of a figure of an inspection: worn beyond which it stops, how far apart it is looked at. */
const ENDS = { min: 'min', max: 'max', apart: 'apart from its kind' } as const;
const ENDS_OF: Readonly<Record<InspectedFigure, readonly (keyof typeof ENDS)[]>> = {
	valveLength: ['min', 'apart'],
	tipLength: ['min', 'apart'],
	stemDiameter: ['min', 'apart'],
	stemClearance: ['min', 'max'],
	seatWidth: ['min', 'max', 'apart'],
	seatRunOut: ['max'],
	valveMargin: ['min'],
	stemHeight: ['min', 'max', 'apart'],
	headBelowDeck: ['min', 'max', 'apart'],
	valveLift: ['min', 'apart'],
	chamberVolume: ['min', 'max', 'apart']
};
const inspectedFields = (of: Kind | 'chamber'): SetupFieldSpec[] =>
	Object.values(INSPECTED_FIGURE)
		.filter((figure) => (figure === 'chamberVolume') === (of === 'chamber'))
		.flatMap((figure) =>
			ENDS_OF[figure].map((end) =>
				field(
					`limits.inspected.${of}.${figure}.${end}`,
					`${label('figure', figure)}${of === 'chamber' ? '' : `, ${label('kind', of)}`}, ${ENDS[end]}`,
					of === 'chamber' ? 'volume' : 'length'
				)
			)
		);
/** Limits of what is measured on valves, seats and chambers. */
export const INSPECTED_FIELDS: readonly SetupFieldSpec[] = [
	...inspectedFields('intake'),
	...inspectedFields('exhaust'),
	...inspectedFields('chamber')
];

/** Fields of the whole job. The first group changes everything else, and is asked first. */
export const JOB_GROUPS: readonly Group[] = [
	{
		title: 'The job',
		isFirst: true,
		fields: [
			choice('lifters', 'Lifters', ['solid', 'hydraulic']),
			choice('workLocation', 'Work location', ['bench', 'vehicle'], 'workLocation'),
			field('atHand', 'Valves worked on, as 3I 3E; empty: all', 'labels'),
			field('use.duty', 'Application', 'text'),
			field('use.engineSpeed', 'Highest engine speed, rpm', 'number')
		]
	},
	{
		title: 'Engine and use',
		fields: [
			field('use.boosted', 'Boosted', 'yes-no'),
			field('use.longDuty', 'Long duty', 'yes-no'),
			choice('use.water', 'Cooling water', ['fresh', 'salt']),
			choice('head.material', 'Head material', ['iron', 'aluminium']),
			choice('head.seatInsert', 'Seat inserts', SEAT_INSERTS, 'seatInsert'),
			choice('camAt', 'Cam in the', ['block', 'head']),
			choice('train', 'Valve train', TRAINS, 'train'),
			field('valveAngle', 'Valve to cylinder axis, degrees', 'number')
		]
	},
	{
		title: 'Customer and order',
		fields: [
			field('use.workDone', 'Work done before', 'text'),
			field('customerStatement', 'Customer’s statement', 'text'),
			field('order.due', 'Wanted by, as 2026-12-04', 'text'),
			field('order.price', 'Price', 'text')
		]
	},
	{
		title: 'Targets, loads and order of measuring',
		fields: [
			choice('aimLift', 'Target by the lift of', ['own', 'larger']),
			choice('loadsAgainst', 'Loads compared with', ['card', 'set-median'], 'loadsAgainst'),
			field('cardBeyondTested', 'Use card’s line where not tested', 'yes-no'),
			choice('measuringOrder', 'Measuring order', MEASURING_ORDERS, 'measuringOrder')
		]
	},
	{
		title: 'Policies for this job',
		fields: [
			choice('policies.damper', 'Dampers', POLICIES.damper),
			choice('policies.usedSprings', 'Used springs', POLICIES.usedSprings),
			choice('policies.locks', 'Locks', POLICIES.locks, 'usedLocks'),
			choice('policies.measuring', 'Measured valves', POLICIES.measuring, 'measuring'),
			choice('policies.control', 'Control limit in plans', POLICIES.control, 'controlInPlan')
		]
	},
	{
		title: 'Valvetrain stiffness',
		fields: [
			field('trainStiffness', 'Valvetrain stiffness at the valve', 'rate'),
			field('trainTest.load', 'Stiffness test: load at the valve', 'load'),
			field('trainTest.deflection', 'Stiffness test: deflection'),
			field('trainTest.within', 'Stiffness test: deflection known within ±'),
			field('trainDamping', 'Train damping, part of critical', 'number')
		]
	},
	{
		title: 'Adjusters and lash over temperature',
		fields: [
			choice('adjuster.at', 'Adjuster type', ADJUSTERS, 'adjuster'),
			field('adjuster.pitch', 'Adjuster thread pitch'),
			field('shimFaceUp', 'Shims: which face up', 'text'),
			choice('growth.block', 'Block material', METALS_OF_ENGINE),
			field('growth.measured', 'Lash change cold to hot, measured')
		]
	}
];

export const JOB_FIELDS: readonly SetupFieldSpec[] = JOB_GROUPS.flatMap(({ fields }) => fields);

const isFitLimit = ({ path }: SetupFieldSpec) => path.startsWith('limits.fit.');
const isOfReadings = ({ path }: SetupFieldSpec) =>
	/^limits\.(oneReading|unknownRepeat|outlier)/.test(path);

/** What the shop decides once, and a job may change: where practitioners disagree, and limits. */
export const SHOP_GROUPS: readonly Group[] = [
	{
		title: 'Where shops differ',
		fields: JOB_FIELDS.filter(({ path }) =>
			/^(policies\.|aimLift$|loadsAgainst$|measuringOrder$|cardBeyondTested$)/.test(path)
		)
	},
	{
		title: 'Heights, loads and clearances',
		fields: LIMIT_FIELDS.filter((field) => !isFitLimit(field) && !isOfReadings(field))
	},
	{ title: 'Parts that must fit together', fields: LIMIT_FIELDS.filter(isFitLimit) },
	{ title: 'How closely readings repeat', fields: LIMIT_FIELDS.filter(isOfReadings) },
	{ title: 'Valves, seats and chambers', fields: INSPECTED_FIELDS }
];
export const SHOP_FIELDS: readonly SetupFieldSpec[] = SHOP_GROUPS.flatMap(({ fields }) => fields);

/** Empty rows offered behind those of a list. */
export const SPARE_ROWS = 2;

/** For the compression ratio before and after a cut. */
export const COMPRESSION_FIELDS: readonly SetupFieldSpec[] = [
	field('compression.bore', 'Bore'),
	field('compression.stroke', 'Stroke'),
	field('compression.ratio', 'Ratio before, as stated', 'number'),
	field('compression.chamber', 'Chamber volume as received', 'volume'),
	field('compression.gasket', 'Gasket', 'volume'),
	field('gasketThickness', 'Gasket thickness, clamped'),
	field('compression.deck', 'Deck clearance volume, less dome', 'volume'),
	field('compression.chamberOpen', 'Chamber opening ÷ bore area', 'number')
];
