/** Rules of fit in English: what each is called, why it matters, and the figures that it compares. */
import { mm } from '@zinc-ledger/core';
import type { Language, Sentences } from '../catalogue.ts';
import { joined, length, load, say } from '../phrase.ts';
import { and, orUnknown, plural } from './common.ts';
import { labels } from './labels.ts';

export const rules: Language['rules'] = {
	'stem-diameter': {
		title: 'One stem diameter',
		why: 'Locks of another size do not grip, and a seal or guide of another size leaks or seizes.'
	},
	'lock-bead': {
		title: 'Lock bead and stem groove',
		why: 'A bead of another shape sits on an edge of the groove and lets go.'
	},
	'lock-angle': {
		title: 'Lock and retainer angle',
		why: 'Locks of another angle touch the retainer on a ring only, and pull through.'
	},
	'cap-on-wafer': {
		title: 'Lash cap on a wafer tip',
		why: 'The cap rocks on the wafer let into a titanium tip and works it loose.'
	},
	'locks-for-wafer': {
		title: 'Locks for a wafer tip',
		why: 'A wafer needs locks that support the tip; ordinary ones end below it.'
	},
	'titanium-tip': {
		title: 'Bare titanium tip',
		why: 'A bare titanium tip wears away at once, the locks go and the valve drops.'
	},
	'cap-recess': {
		title: 'Lash cap on its locks',
		why: 'A cap must bear on the stem: on locks without a recess it pushes them out of the retainer.'
	},
	'captive-locks': {
		title: 'Tip length for captive locks',
		why: 'Too long a tip leaves the cap loose, too short a one hangs it on the locks.'
	},
	'groove-load': {
		title: 'Groove for high loads',
		why: 'A square groove has a sharp corner where a crack can start; a round one is kinder.'
	},
	'one-maker': {
		title: 'One maker: retainer, locks, cap',
		why: 'Retainer, locks and cap of one maker are made to each other’s tolerances; mixed ones are not.'
	},
	'inner-spring-to-seal': {
		title: 'Inner spring to seal clearance',
		why: 'An inner spring that touches the seal catches on it; springs and rocker bolts break.'
	},
	'pocket-and-locator': {
		title: 'Spring in pocket and on locator',
		why: 'A spring that rubs in its pocket or cup, or does not go over the boss, wears and breaks.'
	},
	'retainer-landings': {
		title: 'Retainer landings',
		why: 'A spring without a landing of its own size walks on the retainer and cuts into it.'
	},
	'spring-base': {
		title: 'Locator or hardened shim under spring',
		why: 'A spring that stands on bare aluminium digs in: the height grows and the load goes.'
	},
	'spring-max-lift': {
		title: 'Max lift of the spring',
		why: 'Above its maximum lift a spring is overstressed: it sags, and breaks early.'
	},
	'damper-to-seal': {
		title: 'Flat damper to seal clearance',
		why: 'A flat damper inside a spring that runs close to the seal unwinds onto it.'
	},
	'rail-rocker-tip': {
		title: 'Tip height for a rail rocker',
		why: 'A rail rocker is guided by the tip: with a short one, or with a cap, it slips off or strikes the retainer.'
	},
	'lifter-load': {
		title: 'Open load on the lifter',
		why: 'Above what its type stands, a lifter’s face, roller or axle wears and fails.'
	},
	'lash-for-lifters': {
		title: 'Lash for these lifters',
		why: 'Solid lifters need a lash figure; hydraulic ones take up their own and need none.'
	},
	'spring-way-up': {
		title: 'Which way up',
		why: 'A spring that is not the same at both ends works only one way up.'
	},
	'spring-batch': {
		title: 'Springs of one batch and age',
		why: 'Springs of mixed batches, or new beside used, give mixed loads in one head.'
	},
	'single-spring': {
		title: 'A single spring',
		why: 'There is no second coil to hold the valve if this one breaks.'
	},
	'seat-insert': {
		title: 'Seat insert for long duty',
		why: 'A hard-faced valve beats a soft bronze-type seat down when it works for hours on end.'
	},
	'shim-fit': {
		title: 'Shim fit in pocket',
		why: 'A shim that does not go over the boss or into the pocket stands crooked under the spring.'
	},
	'new-seals-and-locks': {
		title: 'New seals and locks where required',
		why: 'The spring maker requires new seals and locks with this set: worn ones leak and let go.'
	},
	'ground-retainer': {
		title: 'Ground retainer',
		why: 'Grinding thins a part that stands under thousands of newtons: its maker’s approval is needed.'
	},
	'used-springs': {
		title: 'Used springs',
		why: 'A spring that has run has lost load and life, and how much of each does not show on it.'
	},
	'used-locks': {
		title: 'Used locks',
		why: 'Locks that have run have taken the shape of another groove and taper, and may let go.'
	},
	'kit-parts': {
		title: 'Seal and locator as the kit asks',
		why: 'A kit’s figures hold with its own seal and locator: another one changes the gap or the height, or lets the inner spring hang.'
	},
	'tip-above-locks': {
		title: 'Tip above the locks',
		why: 'A rocker reaches a tip that stands above the locks; one that they bury it does not, and breaks.'
	},
	'lock-taper-load': {
		title: 'Lock taper under load',
		why: 'Under high loads a steeper taper bears on more of the retainer.'
	}
};

const STEM_OF = {
	valve: 'valve',
	locks: 'locks',
	seal: 'seal',
	guide: 'guide',
	'lash-cap': 'lash cap'
} as const;
const ROOM = {
	'locator-cup': 'locator cup',
	pocket: 'pocket',
	'locator-spigot': 'locator spigot',
	'guide-boss': 'guide boss'
} as const;

/** The codes of this part of the catalog. */
type FitCode = Extract<keyof Sentences, `fit.${string}` | 'kit.no-part'>;

export const fitSentences: Pick<Sentences, FitCode> = {
	'fit.rule': ({ rule }) => rules[rule].title,
	'fit.rule-needs': ({ rule, needs }, tell) =>
		say`${rules[rule].title}: ${joined(needs.map(tell), ', ')} not known`,
	'fit.stems': ({ stems, tolerance }) =>
		say`${joined(
			stems.map(({ of, stem }) => say`${STEM_OF[of]} ${length(stem)}`),
			', '
		)}; tolerance ${length(tolerance)}`,
	'fit.bead': ({ bead, groove }) => `locks ${labels.groove[bead]}, stem ${labels.groove[groove]}`,
	'fit.angles': ({ locks, retainer }) => `locks ${locks}°, retainer ${retainer}°`,
	'fit.no-lash-cap': 'no lash cap',
	'fit.cap-on-tip': ({ material, tip }) =>
		`${labels.metal[material]} valve, ${labels.valveTip[tip]} tip, lash cap`,
	'fit.valve-tip': ({ tip }) => `${labels.valveTip[tip]} tip`,
	'fit.wafer-held': 'wafer tip, locks that support the tip',
	'fit.wafer-not-held': 'wafer tip, locks that end below it',
	'fit.valve-material': ({ material }) => `${labels.metal[material]} valve`,
	'fit.titanium-capped': 'titanium valve, lash cap',
	'fit.titanium-uncapped': ({ tip }) => `titanium valve, ${labels.valveTip[tip]} tip, no lash cap`,
	'fit.bead-not-given': 'where the bead of the locks lies is not said, so not looked at',
	'fit.tip-above-locks': ({ above }) =>
		above > 0
			? say`tip ${length(above)} above the locks`
			: say`locks ${length(mm(-above))} above the tip`,
	'fit.taper': ({ angle }) => `${angle}° locks`,
	'fit.taper-under-load': ({ angle, load: open, max }) =>
		say`${angle}° locks, open load ${load(open)}, a steeper taper preferred from ${load(max)}`,
	'fit.tip-length': ({ tip, locks, min, max }) =>
		say`tip length ${length(tip)}, ${locks === 'captive' ? 'captive locks' : 'locks'} ${length(min)} to ${length(max)}`,
	'fit.cap-without-recess': 'lash cap, locks without a recess',
	'fit.captive-tip-length': 'captive locks: see their tip length',
	'fit.not-captive': 'locks not captive',
	'fit.groove': ({ groove }) => `${labels.groove[groove]} groove`,
	'fit.square-groove': ({ load: open, max }) =>
		say`square groove, open load ${load(open)}, high above ${load(max)}`,
	'fit.makers': ({ makers }) =>
		makers.map(({ of, maker }) => `${labels.part[of]} ${maker}`).join(', '),
	'fit.not-ground': 'not ground',
	'fit.retainer-ground': ({ ground, height }) => {
		const left =
			height === null
				? 'height of the rest not known'
				: say`${length((height - ground) as typeof ground)} of ${length(height)} left`;
		return say`${length(ground)} off its underside, ${left}: maker’s approval needed`;
	},
	'fit.locks-new': 'new locks',
	'fit.locks-inspected': 'used locks, inspected: this job’s choice',
	'fit.locks-used-not-allowed': 'used locks; this job fits new ones only',
	'fit.no-rocker': 'bucket follower, no rocker',
	'fit.rocker-nose': ({ nose }) => `${labels.rockerNose[nose]} rocker`,
	'fit.rail-with-cap': 'rail rocker, lash cap',
	'fit.rail-tip': ({ tip, min }) => say`rail rocker, tip height ${length(tip)}, min ${length(min)}`,
	'fit.room-to-seal': ({ inside, seal, room, min }) =>
		say`spring ID ${length(inside)}, seal OD ${length(seal)}: clearance ${length(room)}, min ${length(min)}`,
	'fit.spring-in-pocket': ({ outside, within, withinIs, inside, round, roundIs }) =>
		say`spring OD ${length(outside)} in ${ROOM[within]} ${length(withinIs)}; ID ${length(inside)} round ${ROOM[round]} ${length(roundIs)}`,
	'fit.landing-count': ({ springs, landings }) =>
		`${plural(springs, 'spring')}, ${plural(landings, 'landing')}`,
	'fit.landings': ({ pairs, max }) =>
		say`${joined(
			pairs.map(
				({ inside, landing }) => say`spring ID ${length(inside)} on landing ${length(landing)}`
			),
			'; '
		)}; max ${length(max)} loose`,
	'fit.iron-head': 'iron head',
	'fit.aluminium-with-locator': 'aluminium head, locator',
	'fit.aluminium-bare': 'aluminium head, no locator, no shim',
	'fit.aluminium-with-shim': 'aluminium head, no locator, hardened shim',
	'fit.spring-lift': ({ lift, max }) => say`lift ${length(lift)}, spring’s max ${length(max)}`,
	'fit.no-damper': ({ build }) => `${labels.springBuild[build]} spring, no damper`,
	'fit.damper-removed': 'damper removed on this job: more surge, and a coil less friction',
	'fit.way-up': ({ build, ways }) =>
		`${labels.springBuild[build]} spring: ${ways
			.map((way) =>
				way === 'small-end-up' ? 'small end and its retainer on top' : labels.wayUp[way]
			)
			.join(', ')}`,
	'fit.either-way-up': ({ build }) => `${labels.springBuild[build]} spring, the same both ways`,
	'fit.no-shims': 'no shims',
	'fit.too-many-shims': ({ shims, max }) => `${shims} shims under one spring, max ${max}`,
	'fit.shim-placed': ({ inside, outside, boss, pocket }) =>
		say`shim ${orUnknown(inside)} to ${orUnknown(outside)}, boss ${orUnknown(boss)}, pocket ${orUnknown(pocket)}`,
	'fit.lifter-load': ({ open, max }) => say`open load ${load(open)}, lifter ${load(max)}`,
	'fit.lifter-type': ({ type, lifters }) =>
		`${labels.lifter[type]} lifter on a job with ${labels.lifters[lifters]} lifters`,
	'fit.lash-given': ({ lifters }) => `${labels.lifters[lifters]} lifters, a lash figure`,
	'fit.no-lash': ({ lifters }) => `${labels.lifters[lifters]} lifters, no lash figure`,
	'fit.springs-new-and-used': 'new and used springs in one head',
	'fit.spring-batches-mixed': ({ spring, batches }) => `${spring}: batches ${and(batches)}`,
	'fit.spring-batches': ({ condition, batches }) =>
		`${condition}, ${batches.map((batch) => `batch ${batch}`).join(', ')}`,
	'fit.spring-build': ({ build }) => `${labels.springBuild[build]} spring`,
	'fit.single-spring': ({ build, load: open, speed, maxLoad, maxSpeed }) =>
		say`${labels.springBuild[build]} spring at ${load(open)} and ${speed} rpm; noted above ${load(maxLoad)} or ${maxSpeed} rpm`,
	'fit.no-long-duty': 'no long duty',
	'fit.long-duty': ({ insert, facing }) =>
		`${labels.seatInsert[insert]} seat, ${facing === 'hard' ? 'hard-faced' : 'plain'} valve, long duty`,
	'fit.new-not-required': 'the set does not require it',
	'fit.new-required': ({ reused }) =>
		`the set requires new, ${and(reused.map((part) => labels.slot[part]))} reused`,
	'fit.new-fitted': 'the set requires new, seals and locks new',
	'fit.no-kit': 'not built from a kit',
	'fit.kit-refuses': ({ kit, place, part }) =>
		`kit ${kit} must not be used with the ${labels.slot[place]} ${part}`,
	'fit.kit-asks': ({ kit, place, asks, has }) =>
		`kit ${kit} asks for the ${labels.slot[place]} ${asks}, ${has === null ? 'none is chosen' : `fitted is ${has}`}`,
	'fit.kit-as-asked': ({ kit }) => `seal and locator as kit ${kit} asks`,
	'kit.no-part': 'No such part of this type is there',
	'fit.springs-new': 'new springs',
	'fit.springs-used-not-allowed': 'used springs; this job fits none',
	'fit.springs-retested': 'used springs, retested',
	'fit.springs-not-retested': 'used springs, to be retested, and not tested yet'
};
