/** The rules of fit in English: what each is called, and why it matters. */
import type { Language } from '../catalogue.ts';

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
