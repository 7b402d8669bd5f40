/** The fields of a job's set-up: one list that the page shows and the server reads. */
import { SCHOOLS, SOURCES, WALKING_ORDERS } from '@zinc-ledger/core';

export type FieldSort = 'text' | 'length' | 'signed length' | 'load' | 'rate' | 'number';

export interface FieldSpec {
	/** Path within the kind, or within the set-up: "spring.seat.height". */
	readonly path: string;
	readonly label: string;
	readonly sort: FieldSort;
	readonly choices?: readonly string[];
	/** Shown only when another field of the same kind, or the job, has this value. */
	readonly when?: readonly [path: string, value: string];
}

export interface Group {
	readonly title: string;
	readonly fields: readonly FieldSpec[];
}

const field = (
	path: string,
	label: string,
	sort: FieldSort = 'length',
	more: Partial<FieldSpec> = {}
): FieldSpec => ({ path, label, sort, ...more });
const choice = (path: string, label: string, choices: readonly string[]): FieldSpec => ({
	path,
	label,
	sort: 'text',
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
		title: 'Spring card',
		fields: [
			field('spring.name', 'Spring', 'text'),
			choice('spring.source', 'Figures from', SOURCES),
			field('spring.seat.height', 'Card height'),
			field('spring.seat.load', 'Load there', 'load'),
			field('spring.rate', 'Rate', 'rate'),
			field('spring.open.height', 'or a second height'),
			field('spring.open.load', 'and its load', 'load'),
			field('spring.bind', 'Coil bind height'),
			field('spring.innerBind', 'Inner’s own bind height'),
			field('spring.greatestLift', 'Greatest lift'),
			field('spring.outer.outside', 'Outer, outside diameter'),
			field('spring.outer.wire', 'Outer, wire'),
			field('spring.inner.outside', 'Inner, outside diameter'),
			field('spring.inner.wire', 'Inner, wire')
		]
	},
	{
		title: 'Parts in the stack',
		fields: [
			field('retainer.name', 'Retainer', 'text'),
			field('retainer.step', 'Retainer step'),
			field('locks.name', 'Locks', 'text'),
			field('locks.offset', 'Lock offset, + or −', 'signed length'),
			field('locator.name', 'Locator', 'text'),
			field('locator.thickness', 'Locator thickness'),
			field('locator.innerRise', 'Locator inner rise'),
			field('seal.name', 'Seal', 'text'),
			field('seal.height', 'Seal height'),
			field('valve.name', 'Valve', 'text'),
			field('valve.stem', 'Stem diameter')
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

export const LIMIT_FIELDS: readonly FieldSpec[] = [
	field('limits.heightTolerance', 'Height within ±'),
	field('limits.heightStop', 'Height stop beyond ±'),
	field('limits.bindFloor', 'Bind margin, floor'),
	field('limits.bindAim', 'Bind margin, aim'),
	field('limits.bindWide', 'Bind margin, wide above'),
	field('limits.sealFloor', 'Seal clearance, floor'),
	field('limits.loadBand', 'Loads within ±, as a part', 'number'),
	field('limits.shimFrom', 'Shim when off by more than'),
	field('limits.shimsAtMost', 'Shims under one spring, at most', 'number'),
	field('limits.outlierLeast', 'Station apart, at least'),
	field('limits.outlierFactor', 'Station apart, × spread', 'number')
];

export const JOB_FIELDS: readonly FieldSpec[] = [
	field('use.duty', 'What it is for', 'text'),
	field('use.engineSpeed', 'Highest engine speed, rpm', 'number'),
	field('use.workDone', 'Work done to the head', 'text'),
	field('toldByCustomer', 'What the customer says', 'text'),
	choice('lifters', 'Lifters', ['solid', 'hydraulic']),
	choice('walkingOrder', 'Measure', WALKING_ORDERS)
];

/** Empty rows offered behind the shim sizes already in stock. */
export const SPARE_SHIM_ROWS = 2;
