/** Checks, the evidence that each gives, and how often each cause produces it. Source: docs/trade/visits.md. */
import type { Cause } from './causes.ts';

/** How often a cause produces a finding, in words, with the chance that each word stands for. */
export const STEPS = {
	always: 0.95,
	often: 0.7,
	sometimes: 0.3,
	seldom: 0.1,
	'hardly-ever': 0.03
} as const;
export type HowOften = keyof typeof STEPS;

/** Things to do at the engine or on the bench, in minutes. */
export const CHECKS = {
	ask: 3,
	'look-under-cover': 12,
	'lash-as-found': 15,
	'on-head-loads': 20,
	'lift-round': 15,
	'leak-down': 20,
	heights: 30,
	'bench-loads': 50,
	margins: 20,
	'control-figure': 3,
	'cam-seen': 20,
	'springs-seen': 10,
	'valves-out': 45,
	'pushrods-rolled': 12,
	'gauge-reference': 6,
	'service-record': 2
} as const;
export type CheckCode = keyof typeof CHECKS;
export const CHECK_CODES = Object.keys(CHECKS) as [CheckCode, ...CheckCode[]];

/** Checks that must all be done before the program says that the cause is not in the valvetrain. */
export const BEFORE_ELSEWHERE = [
	'lash-as-found',
	'heights',
	'bench-loads',
	'margins',
	'lift-round',
	'leak-down',
	'gauge-reference'
] as const satisfies readonly CheckCode[];

/** Checks for damage with which the engine must not be run; due before any answer is final. */
export const BEFORE_RUNNING = [
	'look-under-cover',
	'springs-seen',
	'margins'
] as const satisfies readonly CheckCode[];

/** One finding that a check can give. */
export interface EvidenceRule {
	readonly check: CheckCode;
	/** A figure or a mark can support a cause by itself; something the driver said cannot. */
	readonly type: 'figure' | 'mark' | 'said';
	/** Marks of one group that occur together count once. */
	readonly group?: string;
	/** A mark that nobody sees where it is not: a crack, a bend. */
	readonly isUnmistakable?: true;
	/** How often each of these causes produces it. */
	readonly by: Readonly<Partial<Record<Cause, HowOften>>>;
	/** How often it is found where none of them is present. */
	readonly else: HowOften;
}

const figure = (
	check: CheckCode,
	by: EvidenceRule['by'],
	rest: HowOften = 'hardly-ever'
): EvidenceRule => ({
	check,
	type: 'figure',
	by,
	else: rest
});
const mark = (
	check: CheckCode,
	by: EvidenceRule['by'],
	group?: string,
	rest: HowOften = 'hardly-ever'
): EvidenceRule => ({ check, type: 'mark', by, else: rest, ...(group && { group }) });
const damage = (check: CheckCode, by: EvidenceRule['by']): EvidenceRule => ({
	...mark(check, by),
	isUnmistakable: true
});
const statement = (by: EvidenceRule['by'], rest: HowOften): EvidenceRule => ({
	check: 'ask',
	type: 'said',
	by,
	else: rest
});

export const EVIDENCE = {
	'at-one-speed': statement(
		{
			float: 'always',
			surge: 'always',
			'spring-lost-load': 'often',
			'height-grew': 'often',
			'port-pressure': 'often',
			elsewhere: 'sometimes'
		},
		'sometimes'
	),
	'also-far-below': statement(
		{
			float: 'hardly-ever',
			surge: 'hardly-ever',
			elsewhere: 'often',
			'valve-sealing': 'often',
			'lobe-worn': 'often',
			'spring-lost-load': 'seldom',
			'height-grew': 'seldom'
		},
		'sometimes'
	),
	'only-under-boost': statement({ 'port-pressure': 'always', elsewhere: 'seldom' }, 'hardly-ever'),
	'over-speed-event': statement(
		{ float: 'often', 'valve-met-piston': 'often', locks: 'sometimes' },
		'seldom'
	),
	'comes-and-goes': statement({ elsewhere: 'often', lifter: 'sometimes' }, 'seldom'),
	'clears-after-bleed-down': statement({ lifter: 'often' }, 'hardly-ever'),

	'blue-rocker': mark('look-under-cover', { 'rocker-burnt': 'always' }),
	'hammered-tips': mark(
		'look-under-cover',
		{ float: 'often', 'lash-opened': 'sometimes' },
		'float'
	),
	'marks-under-nose': mark('look-under-cover', { 'rocker-nose': 'always' }),
	'pushrod-rubs': mark('look-under-cover', {
		'rocker-pushrod-side': 'always',
		pushrod: 'sometimes'
	}),
	'axle-play': mark('look-under-cover', {
		'lash-opened': 'often',
		'rocker-burnt': 'sometimes'
	}),
	'adjuster-turned': mark('look-under-cover', { 'adjuster-loose': 'often' }),
	'retainer-not-level': mark(
		'look-under-cover',
		{ locks: 'often', 'locks-pulled': 'often' },
		'locks'
	),
	'locks-not-seated': mark('look-under-cover', { locks: 'often' }, 'locks'),
	'wipe-off-centre': mark('look-under-cover', { pushrod: 'often' }),
	'stud-high': damage('look-under-cover', { 'stud-pulling': 'always' }),
	'part-damaged': damage('look-under-cover', {
		'rocker-overloaded': 'often',
		'rocker-nose': 'sometimes',
		'stud-pulling': 'sometimes'
	}),
	'no-oil': mark('look-under-cover', { 'rocker-burnt': 'often' }),

	'one-lash-opened': figure('lash-as-found', {
		'lash-opened': 'always',
		'adjuster-loose': 'always',
		'stud-pulling': 'always',
		'lobe-worn': 'sometimes',
		lifter: 'sometimes',
		pushrod: 'often'
	}),
	'lash-closed': figure('lash-as-found', { 'height-grew': 'always', 'stem-stretched': 'always' }),
	'lash-spread': figure('lash-as-found', { float: 'often', locks: 'sometimes' }),
	'all-lash-alike': figure('lash-as-found', {
		temperature: 'always',
		'thermal-growth': 'often',
		gauge: 'sometimes'
	}),
	'other-temperature': figure('lash-as-found', { temperature: 'always' }, 'seldom'),

	'on-head-low': figure('on-head-loads', {
		'spring-lost-load': 'always',
		'height-grew': 'often',
		'stem-stretched': 'often',
		'mixed-springs': 'sometimes',
		gauge: 'sometimes'
	}),
	'lift-fell': figure('lift-round', { 'lobe-worn': 'always', lifter: 'often', pushrod: 'seldom' }),
	'leaks-down': figure('leak-down', { 'valve-sealing': 'always', 'valve-met-piston': 'often' }),
	'heights-grown': figure('heights', { 'height-grew': 'always', 'stem-stretched': 'always' }),
	/** Height and seal gap have grown by as much as the tip has dropped. */
	'locks-pulled-in': figure('heights', { 'locks-pulled': 'always', locks: 'seldom' }),
	'tip-lower': figure('heights', { 'lash-opened': 'often' }),
	'all-heights-alike': figure('heights', { gauge: 'often' }),
	/** Lower than the others, or lower on the same tester: nothing that all share with another tester. */
	'bench-low': figure('bench-loads', {
		'spring-lost-load': 'always',
		'mixed-springs': 'often',
		fatigue: 'seldom'
	}),
	/** All equally low on another tester, with no reference spring read on both. */
	'all-loads-alike': figure('bench-loads', { gauge: 'always', 'spring-lost-load': 'seldom' }),
	'other-springs': figure('bench-loads', { 'mixed-springs': 'always' }),
	'bind-short': figure('margins', { 'coil-bind': 'always' }),
	'seal-short': figure('margins', { 'retainer-on-seal': 'always' }),
	'nose-short': figure('margins', { 'rocker-nose': 'always' }),
	'net-seat-short': figure('margins', { 'port-pressure': 'always' }),
	'piston-short': figure('margins', { 'valve-met-piston': 'often' }),
	'opening-force-high': figure('margins', { 'rocker-overloaded': 'always' }),

	'control-short': figure('control-figure', {
		float: 'always',
		'spring-lost-load': 'sometimes',
		'height-grew': 'sometimes'
	}),
	'low-order': figure('control-figure', { surge: 'always', damper: 'sometimes' }, 'seldom'),

	'lobe-scored': mark('cam-seen', { 'lobe-worn': 'always', lifter: 'sometimes' }),

	'coil-faces-shine': mark('springs-seen', { 'coil-bind': 'always' }, 'bind'),
	'damper-worn': mark('springs-seen', { damper: 'always', surge: 'sometimes' }, 'surge'),
	'damper-removed': damage('springs-seen', { damper: 'often' }),
	'coils-polished': mark('springs-seen', { surge: 'often', damper: 'sometimes' }, 'surge'),
	'broken-near-end': damage('springs-seen', { surge: 'sometimes', fatigue: 'sometimes' }),
	'crack-at-pit': damage('springs-seen', { 'corroded-spring': 'always' }),
	'spring-cracked': damage('springs-seen', {
		'corroded-spring': 'sometimes',
		fatigue: 'often',
		surge: 'sometimes',
		'coil-bind': 'sometimes'
	}),

	'bounce-ring': mark('valves-out', { float: 'often' }, 'float'),
	'locks-marked': mark(
		'valves-out',
		{ locks: 'often', 'locks-pulled': 'often', float: 'seldom' },
		'locks'
	),
	'groove-damaged': mark(
		'valves-out',
		{ locks: 'sometimes', 'locks-pulled': 'sometimes' },
		'locks'
	),
	'seal-torn': mark('valves-out', { 'retainer-on-seal': 'often' }),
	'seal-cut-by-spring': damage('valves-out', { 'seal-by-spring': 'always' }),
	'valve-bent': damage('valves-out', { 'valve-met-piston': 'often', 'valve-sealing': 'sometimes' }),
	'seat-loose': damage('valves-out', { 'valve-sealing': 'seldom', 'height-grew': 'seldom' }),
	/** The valve's head has sunk into the deck as far as the height has grown. */
	'head-sunk': figure('valves-out', { 'height-grew': 'always' }),
	'piston-mark': damage('valves-out', { 'valve-met-piston': 'always' }),
	'stem-clearance': figure('valves-out', { 'valve-sealing': 'often' }),

	'pushrod-bent': figure('pushrods-rolled', {
		pushrod: 'often',
		'coil-bind': 'sometimes',
		'valve-met-piston': 'sometimes',
		float: 'sometimes'
	}),
	'reference-off': figure('gauge-reference', { gauge: 'always' }),
	'service-over': figure('service-record', { fatigue: 'always' }, 'seldom')
} as const satisfies Record<string, EvidenceRule>;
export type EvidenceCode = keyof typeof EVIDENCE;
export const EVIDENCE_CODES = Object.keys(EVIDENCE) as [EvidenceCode, ...EvidenceCode[]];

/** Evidence as a list, each with its code. */
export const evidenceOf = (check: CheckCode): EvidenceCode[] =>
	EVIDENCE_CODES.filter((code) => EVIDENCE[code].check === check);
