/** What is asked, read and seen, and how often each cause brings it. Source: docs/trade/visits.md. */
import type { Cause } from './causes.ts';

/** How often a cause brings a finding. */
export const STEPS = {
	always: 0.95,
	often: 0.7,
	sometimes: 0.3,
	seldom: 0.1,
	'hardly-ever': 0.03
} as const;
export type HowOften = keyof typeof STEPS;

/** A thing to do at the engine or the bench, and its minutes. */
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

/** Checks that must all be done before it is said to lie elsewhere. */
export const BEFORE_ELSEWHERE = [
	'lash-as-found',
	'heights',
	'bench-loads',
	'margins',
	'lift-round',
	'leak-down',
	'gauge-reference'
] as const satisfies readonly CheckCode[];

/** One thing a check tells. */
export interface EvidenceRule {
	readonly check: CheckCode;
	/** Figures and marks stand behind a cause; what is only said does not. */
	readonly type: 'figure' | 'mark' | 'said';
	/** Marks that come together count once. */
	readonly group?: string;
	/** How often a cause brings it; {@link EvidenceRule.else} of the rest. */
	readonly by: Readonly<Partial<Record<Cause, HowOften>>>;
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
		'lash-opened': 'sometimes',
		'rocker-burnt': 'sometimes'
	}),
	'retainer-not-level': mark('look-under-cover', { locks: 'often' }, 'locks'),
	'wipe-off-centre': mark('look-under-cover', { pushrod: 'often' }),

	'one-lash-opened': figure('lash-as-found', {
		'lash-opened': 'always',
		'lobe-worn': 'sometimes',
		lifter: 'sometimes',
		pushrod: 'often'
	}),
	'lash-closed': figure('lash-as-found', { 'height-grew': 'always' }),
	'lash-spread': figure('lash-as-found', { float: 'often', locks: 'sometimes' }),

	'on-head-low': figure('on-head-loads', {
		'spring-lost-load': 'always',
		'height-grew': 'often',
		'mixed-springs': 'sometimes',
		gauge: 'often'
	}),
	'lift-fell': figure('lift-round', { 'lobe-worn': 'always', lifter: 'often', pushrod: 'seldom' }),
	'leaks-down': figure('leak-down', { 'valve-sealing': 'always', 'valve-met-piston': 'often' }),
	'heights-grown': figure('heights', { 'height-grew': 'always' }),
	'bench-low': figure('bench-loads', {
		'spring-lost-load': 'always',
		gauge: 'always',
		'mixed-springs': 'often',
		fatigue: 'seldom'
	}),
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
	'low-order': figure('control-figure', { surge: 'always' }, 'seldom'),

	'lobe-scored': mark('cam-seen', { 'lobe-worn': 'always', lifter: 'sometimes' }),

	'coil-faces-shine': mark('springs-seen', { 'coil-bind': 'always' }, 'bind'),
	'damper-worn': mark('springs-seen', { surge: 'often' }, 'surge'),
	'coils-polished': mark('springs-seen', { surge: 'often' }, 'surge'),
	'broken-near-end': mark('springs-seen', { surge: 'sometimes', fatigue: 'sometimes' }),
	'crack-at-pit': mark('springs-seen', { 'corroded-spring': 'always' }),

	'bounce-ring': mark('valves-out', { float: 'often' }, 'float'),
	'locks-marked': mark('valves-out', { locks: 'often', float: 'seldom' }, 'locks'),
	'seal-torn': mark('valves-out', { 'retainer-on-seal': 'often' }),
	'piston-mark': mark('valves-out', { 'valve-met-piston': 'always' }),
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
