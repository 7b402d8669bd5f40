/**
 * Acceptances of version 1 are keyed on the words they were shown with. These are
 * those words, in millimetres and newtons, so that such an acceptance is still
 * found; nothing else asks for them, and they never change.
 */
import type { Code, Message, Messages } from '../../foundation/message/index.ts';
import {
	METRIC,
	showLength,
	showLoad,
	type Millimetres,
	type Newtons
} from '../../foundation/units/index.ts';

const length = (of: Millimetres) => showLength(of, METRIC);
const load = (of: Newtons) => `${showLoad(of, METRIC)} ${METRIC.load}`;
const orUnknown = (of: Millimetres | null) => (of === null ? '?' : length(of));
const words = (code: string) => code.replaceAll('-', ' ');
const BUILD: Readonly<Record<string, string>> = { beehive: 'narrowing' };
const build = (of: string) => BUILD[of] ?? words(of);
const WAYS: Readonly<Record<string, string>> = {
	'small-end-up': 'small end and its retainer on top',
	'close-coils-down': 'close coils down',
	'marked-end-up': 'marked end up'
};

/** What each rule wrote that compared something; those left out never did. */
const WROTE: { readonly [C in Code]?: (params: Messages[C]) => string } = {
	'fit.stems': (params) => {
		const { stems, tolerance } = params;
		const all = stems.map(({ of, stem }) => `${words(of)} ${length(stem)}`).join(', ');
		return `${all}; alike within ${length(tolerance)}`;
	},
	'fit.bead': (params) => `locks ${params.bead}, stem ${params.groove}`,
	'fit.angles': (params) => `locks ${params.locks}°, retainer ${params.retainer}°`,
	'fit.cap-on-tip': (params) => `${words(params.material)} valve, ${params.tip} tip, lash cap`,
	'fit.wafer-not-held': () => 'wafer tip, locks that end below it',
	'fit.titanium-uncapped': (params) => `titanium valve, ${params.tip} tip, no lash cap`,
	'fit.tip-length': (params) => {
		const { tip, locks, min, max } = params;
		const which = locks === 'captive' ? 'captive locks' : 'locks';
		return `tip length ${length(tip)}, ${which} ${length(min)} to ${length(max)}`;
	},
	'fit.cap-without-recess': () => 'lash cap, locks without a recess',
	'fit.square-groove': (params) => {
		const { load: open, max } = params;
		return `square groove, open load ${load(open)}, high above ${load(max)}`;
	},
	'fit.makers': (params) =>
		params.makers.map(({ of, maker }) => `${words(of)} ${maker}`).join(', '),
	'fit.retainer-ground': (params) => {
		const { ground, height } = params;
		const left =
			height === null
				? 'what is left is not known'
				: `${length((height - ground) as Millimetres)} of ${length(height)} left`;
		return `${length(ground)} off its underside, ${left}: maker’s approval needed`;
	},
	'fit.locks-used-not-allowed': () => 'used locks; this job fits new ones only',
	'fit.rail-with-cap': () => 'rail rocker, lash cap',
	'fit.rail-tip': (params) =>
		`rail rocker, tip height ${length(params.tip)}, least ${length(params.min)}`,
	'fit.room-to-seal': (params) => {
		const { inside, seal, room, min } = params;
		return `spring inside ${length(inside)}, seal ${length(seal)}: room ${length(room)}, wanted ${length(min)}`;
	},
	'fit.spring-in-pocket': (params) => {
		const { outside, within, withinIs, inside, round, roundIs } = params;
		return `spring ${length(outside)} in ${words(within)} ${length(withinIs)}; inside ${length(inside)} round ${words(round)} ${length(roundIs)}`;
	},
	'fit.landing-count': (params) => {
		const { springs, landings } = params;
		return `${springs} ${springs === 1 ? 'spring' : 'springs'}, ${landings} ${landings === 1 ? 'landing' : 'landings'}`;
	},
	'fit.landings': (params) => {
		const { pairs, max } = params;
		const all = pairs.map(
			({ inside, landing }) => `spring inside ${length(inside)} on landing ${length(landing)}`
		);
		return `${all.join('; ')}; at most ${length(max)} loose`;
	},
	'fit.aluminium-bare': () => 'aluminium head, no locator, no shim',
	'fit.spring-lift': (params) =>
		`lift ${length(params.lift)}, spring’s greatest ${length(params.max)}`,
	'fit.damper-removed': () => 'damper removed on this job: more surge, and a coil less friction',
	'fit.way-up': (params) => {
		const { build: of, ways } = params;
		return `${build(of)} spring: ${ways.map((way) => WAYS[way]).join(', ')}`;
	},
	'fit.too-many-shims': (params) => `${params.shims} shims under one spring, at most ${params.max}`,
	'fit.shim-placed': (params) => {
		const { inside, outside, boss, pocket } = params;
		return `shim ${orUnknown(inside)} to ${orUnknown(outside)}, boss ${orUnknown(boss)}, pocket ${orUnknown(pocket)}`;
	},
	'fit.lifter-load': (params) => `open load ${load(params.open)}, lifter ${load(params.max)}`,
	'fit.lifter-type': (params) =>
		`${words(params.type)} lifter on a job with ${params.lifters} lifters`,
	'fit.lash-given': (params) => `${params.lifters} lifters, a lash figure`,
	'fit.no-lash': (params) => `${params.lifters} lifters, no lash figure`,
	'fit.springs-new-and-used': () => 'new and used springs in one head',
	'fit.spring-batches-mixed': (params) =>
		`${params.spring}: batches ${params.batches.join(' and ')}`,
	'fit.single-spring': (params) => {
		const { build: of, load: open, speed, maxLoad, maxSpeed } = params;
		return `${build(of)} spring at ${load(open)} and ${speed} rpm; remarked on above ${load(maxLoad)} or ${maxSpeed} rpm`;
	},
	'fit.long-duty': (params) => {
		const { insert, facing } = params;
		return `${words(insert)} seat, ${facing === 'hard' ? 'hard-faced' : 'plain'} valve, long duty`;
	},
	'fit.new-required': (params) => `the set asks for new, ${params.reused.join(' and ')} reused`,
	'fit.springs-used-not-allowed': () => 'used springs; this job fits none',
	'fit.springs-not-retested': () => 'used springs, to be retested, and not tested yet'
};

/** The figures that a failing rule compared, as version 1 wrote them; null for what it never wrote. */
export function comparedInVersion1(compared: Message): string | null {
	const wrote = WROTE[compared.code] as ((params: unknown) => string) | undefined;
	return wrote?.('params' in compared ? compared.params : undefined) ?? null;
}
