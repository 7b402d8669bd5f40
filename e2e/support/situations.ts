/** Twelve situations that practitioners know, six of them with two faults, and what the diagnosis must name and stop. */
import type { Cause, StopCode } from '@zinc-ledger/core';
import type { Happened } from './returned-head.ts';

export interface Situation {
	readonly name: string;
	readonly happened: Happened;
	/** Causes that must be named, each with the valves it is named at. */
	readonly named: Readonly<Partial<Record<Cause, readonly string[]>>>;
	readonly stops?: Readonly<Partial<Record<StopCode, string>>>;
	/** Springs that must be replaced; no others may be condemned. */
	readonly springs?: readonly string[];
}

const WEAK = 0.86;
const OTHER_TESTER = { load: { all: 0.93 }, sameTester: false } as const;

export const SITUATIONS: readonly Situation[] = [
	{
		name: 'two seats receded',
		happened: {
			complaint: 'lash-moves',
			height: { '3I': 11, '5E': 9 },
			lash: { '3I': -11, '5E': -9 }
		},
		named: { 'height-grew': ['3I', '5E'] }
	},
	{
		name: 'one spring lost load and two seats receded',
		happened: {
			complaint: 'stops-pulling',
			height: { '3I': 11, '5E': 9 },
			lash: { '3I': -11, '5E': -9 },
			load: { '2E': WEAK }
		},
		named: { 'height-grew': ['3I', '5E'], 'spring-lost-load': ['2E'] },
		springs: ['2E']
	},
	{
		name: 'all loads low on another tester',
		happened: { complaint: 'stops-pulling', ...OTHER_TESTER },
		named: { gauge: [] }
	},
	{
		name: 'another tester, and one spring that lost load beyond it',
		happened: { complaint: 'stops-pulling', load: { all: 0.93, '4I': 0.8 }, sameTester: false },
		named: { 'spring-lost-load': ['4I'] },
		springs: ['4I']
	},
	{
		name: 'all lash moved alike on a warm engine',
		happened: { complaint: 'lash-moves', lash: { all: 6 }, engine: 'hot' },
		named: { temperature: [] }
	},
	{
		name: 'a warm engine, and one seat receded',
		happened: {
			complaint: 'lash-moves',
			lash: { all: 5, '6E': -6 },
			height: { '6E': 11 },
			engine: 'hot'
		},
		named: { temperature: [], 'height-grew': ['6E'] }
	},
	{
		name: 'locks pulled through at one valve',
		happened: { complaint: 'noise-at-one-valve', height: { '4E': 12 } },
		named: { 'locks-pulled': ['4E'] },
		stops: { 'locks-pulled': '4E' }
	},
	{
		name: 'locks pulled through at one valve, and a weak spring at another',
		happened: { complaint: 'stops-pulling', height: { '4E': 12 }, load: { '1I': WEAK } },
		named: { 'locks-pulled': ['4E'], 'spring-lost-load': ['1I'] },
		stops: { 'locks-pulled': '4E' },
		springs: ['1I']
	},
	{
		name: 'an adjuster that turned',
		happened: {
			complaint: 'noise-at-one-valve',
			lash: { '2I': 9 },
			looks: [{ check: 'look-under-cover', seen: [['adjuster-turned', '2I']] }]
		},
		named: { 'adjuster-loose': ['2I'] }
	},
	{
		name: 'an adjuster that turned, and a seat receded at another valve',
		happened: {
			complaint: 'lash-moves',
			lash: { '2I': 9, '5I': -10 },
			height: { '5I': 10 },
			looks: [{ check: 'look-under-cover', seen: [['adjuster-turned', '2I']] }]
		},
		named: { 'adjuster-loose': ['2I'], 'height-grew': ['5I'] }
	},
	{
		name: 'a valve that met its piston',
		happened: {
			complaint: 'misfire',
			looks: [
				{
					check: 'valves-out',
					seen: [
						['piston-mark', '6I'],
						['valve-bent', '6I']
					]
				}
			]
		},
		named: { 'valve-met-piston': ['6I'] },
		stops: { 'piston-contact': '6I', 'valve-bent': '6I' }
	},
	{
		name: 'a rocker that ran dry, and a weak spring at another valve',
		happened: {
			complaint: 'noise-at-one-valve',
			load: { '5I': WEAK },
			looks: [
				{
					check: 'look-under-cover',
					seen: [
						['blue-rocker', '1I'],
						['no-oil', '1I']
					]
				}
			]
		},
		named: { 'rocker-burnt': ['1I'], 'spring-lost-load': ['5I'] },
		stops: { 'no-oil': '1I' },
		springs: ['5I']
	}
];
