/**
 * Acceptances of version 1 are keyed on the words they were shown with. These are
 * those words, in millimetres and newtons, so that such an acceptance is still
 * found; nothing else asks for them, and they never change.
 */
import type { Message } from '../message/message.ts';
import { METRIC, showLength, showLoad } from '../units/display.ts';
import type { Millimetres, Newtons } from '../units/quantity.ts';

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

/** The figures that a failing rule compared, as version 1 wrote them; null for what it never wrote. */
export function comparedInVersion1(compared: Message): string | null {
	switch (compared.code) {
		case 'fit.stems': {
			const { stems, tolerance } = compared.params;
			const all = stems.map(({ of, stem }) => `${words(of)} ${length(stem)}`).join(', ');
			return `${all}; alike within ${length(tolerance)}`;
		}
		case 'fit.bead':
			return `locks ${compared.params.bead}, stem ${compared.params.groove}`;
		case 'fit.angles':
			return `locks ${compared.params.locks}°, retainer ${compared.params.retainer}°`;
		case 'fit.cap-on-tip':
			return `${words(compared.params.material)} valve, ${compared.params.tip} tip, lash cap`;
		case 'fit.wafer-not-held':
			return 'wafer tip, locks that end below it';
		case 'fit.titanium-uncapped':
			return `titanium valve, ${compared.params.tip} tip, no lash cap`;
		case 'fit.tip-length': {
			const { tip, locks, min, max } = compared.params;
			const which = locks === 'captive' ? 'captive locks' : 'locks';
			return `tip length ${length(tip)}, ${which} ${length(min)} to ${length(max)}`;
		}
		case 'fit.cap-without-recess':
			return 'lash cap, locks without a recess';
		case 'fit.square-groove': {
			const { load: open, max } = compared.params;
			return `square groove, open load ${load(open)}, high above ${load(max)}`;
		}
		case 'fit.makers':
			return compared.params.makers.map(({ of, maker }) => `${words(of)} ${maker}`).join(', ');
		case 'fit.retainer-ground': {
			const { ground, height } = compared.params;
			const left =
				height === null
					? 'what is left is not known'
					: `${length((height - ground) as Millimetres)} of ${length(height)} left`;
			return `${length(ground)} off its underside, ${left}: maker’s approval needed`;
		}
		case 'fit.locks-used-not-allowed':
			return 'used locks; this job fits new ones only';
		case 'fit.rail-with-cap':
			return 'rail rocker, lash cap';
		case 'fit.rail-tip':
			return `rail rocker, tip height ${length(compared.params.tip)}, least ${length(compared.params.min)}`;
		case 'fit.room-to-seal': {
			const { inside, seal, room, min } = compared.params;
			return `spring inside ${length(inside)}, seal ${length(seal)}: room ${length(room)}, wanted ${length(min)}`;
		}
		case 'fit.spring-in-pocket': {
			const { outside, within, withinIs, inside, round, roundIs } = compared.params;
			return `spring ${length(outside)} in ${words(within)} ${length(withinIs)}; inside ${length(inside)} round ${words(round)} ${length(roundIs)}`;
		}
		case 'fit.landing-count': {
			const { springs, landings } = compared.params;
			return `${springs} ${springs === 1 ? 'spring' : 'springs'}, ${landings} ${landings === 1 ? 'landing' : 'landings'}`;
		}
		case 'fit.landings': {
			const { pairs, max } = compared.params;
			const all = pairs.map(
				({ inside, landing }) => `spring inside ${length(inside)} on landing ${length(landing)}`
			);
			return `${all.join('; ')}; at most ${length(max)} loose`;
		}
		case 'fit.aluminium-bare':
			return 'aluminium head, no locator, no shim';
		case 'fit.spring-lift':
			return `lift ${length(compared.params.lift)}, spring’s greatest ${length(compared.params.max)}`;
		case 'fit.damper-removed':
			return 'damper removed on this job: more surge, and a coil less friction';
		case 'fit.way-up': {
			const { build: of, ways } = compared.params;
			return `${build(of)} spring: ${ways.map((way) => WAYS[way]).join(', ')}`;
		}
		case 'fit.too-many-shims':
			return `${compared.params.shims} shims under one spring, at most ${compared.params.max}`;
		case 'fit.shim-placed': {
			const { inside, outside, boss, pocket } = compared.params;
			return `shim ${orUnknown(inside)} to ${orUnknown(outside)}, boss ${orUnknown(boss)}, pocket ${orUnknown(pocket)}`;
		}
		case 'fit.lifter-load':
			return `open load ${load(compared.params.open)}, lifter ${load(compared.params.max)}`;
		case 'fit.lifter-type':
			return `${words(compared.params.type)} lifter on a job with ${compared.params.lifters} lifters`;
		case 'fit.lash-given':
			return `${compared.params.lifters} lifters, a lash figure`;
		case 'fit.no-lash':
			return `${compared.params.lifters} lifters, no lash figure`;
		case 'fit.springs-new-and-used':
			return 'new and used springs in one head';
		case 'fit.spring-batches-mixed':
			return `${compared.params.spring}: batches ${compared.params.batches.join(' and ')}`;
		case 'fit.single-spring': {
			const { build: of, load: open, speed, maxLoad, maxSpeed } = compared.params;
			return `${build(of)} spring at ${load(open)} and ${speed} rpm; remarked on above ${load(maxLoad)} or ${maxSpeed} rpm`;
		}
		case 'fit.long-duty': {
			const { insert, facing } = compared.params;
			return `${words(insert)} seat, ${facing === 'hard' ? 'hard-faced' : 'plain'} valve, long duty`;
		}
		case 'fit.new-required':
			return `the set asks for new, ${compared.params.reused.join(' and ')} reused`;
		case 'fit.springs-used-not-allowed':
			return 'used springs; this job fits none';
		case 'fit.springs-not-retested':
			return 'used springs, to be retested, and not tested yet';
		default:
			return null;
	}
}
