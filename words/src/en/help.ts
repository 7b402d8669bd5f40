import { across, between, force, part, type HelpTexts } from '../help-text.ts';

export const help: HelpTexts = {
	height: {
		mark: between('retainer', 'shim'),
		formula: 'sheet-heights',
		title: 'Installed height',
		what: 'The room the spring stands in with the valve closed: from what it stands on, locator and shims included, to the underside of the retainer.',
		how: 'Height micrometer in place of the spring, with the retainer and locks of this very station, turned out until it is snug; twice at every valve.',
		forgotten:
			'The locator under the gauge. Without it every height reads too tall by its thickness.'
	},
	bare: {
		mark: between('retainer', 'pocket'),
		formula: 'sheet-heights',
		title: 'Bare height',
		what: 'The height with nothing under the spring and standard locks: the station’s own number, which only work on head, seat or valve changes.',
		how: 'Worked out from the installed height less what stood under the gauge.',
		forgotten:
			'One that stands apart from its kind is a seat, a valve or a locator left out: look before shimming it away.'
	},
	seatLoad: {
		mark: force('retainer'),
		formula: 'sheet-loads',
		title: 'Seat load',
		what: 'The force with which the spring holds the closed valve on its seat.',
		how: 'From the spring’s tested curve at the installed height, else from its card; or read on the head with an on-head tester.',
		forgotten: 'A card is a promise. A spring that has run has lost load, and it does not show.'
	},
	openLoad: {
		mark: force('atLift'),
		formula: 'sheet-loads',
		title: 'Open load',
		what: 'The force of the spring at full lift: what lifter, rocker and cam nose stand.',
		how: 'From the curve at installed height less the valve’s net lift.',
		forgotten: 'Lash takes lift away from solid lifters, and the rocker’s real ratio may differ.'
	},
	bindMargin: {
		mark: between('atLift', 'solid'),
		formula: 'sheet-clearances',
		title: 'Coil bind margin',
		what: 'What is left at full lift before the first coil is solid: outer, inner or third, whichever binds first.',
		how: 'Installed height less greatest lift less the bind height, each coil with its own step and rise.',
		forgotten: 'The inner spring often binds first. Gross lift counts, not the lift after lash.'
	},
	sealClearance: {
		mark: between(['atLift', 8], 'seal'),
		formula: 'sheet-clearances',
		title: 'Retainer-to-seal clearance',
		what: 'What is left at full lift between the underside of the retainer and the top of the seal.',
		how: 'Gap with the valve closed and the seal fully home, less the lift; or read at full lift with a checking spring.',
		forgotten: 'A seal that is not home reads too little, a ground retainer too much.'
	},
	tipHeight: {
		mark: between('tip', 'retainerTop'),
		formula: 'sheet-clearances',
		title: 'Tip height',
		what: 'How far the stem stands out of the retainer: what carries the rocker, or the lash cap.',
		how: 'Depth gauge from the tip to the top of the retainer.',
		forgotten: 'The cap, if there is one, belongs to it. A rail rocker slips off a short tip.'
	},
	rocker: {
		mark: between('rocker', 'retainerTop'),
		formula: 'sheet-clearances',
		title: 'Rocker clearance',
		what: 'The room between rocker and retainer, closed, at half and at full lift.',
		how: 'Feeler between rocker and retainer, the valve closed, half open and fully open.',
		forgotten: 'The least of the three counts, and it is seldom the closed one.'
	},
	lash: {
		mark: between('rocker', 'tip'),
		formula: 'valvetrain-lash',
		title: 'Lash',
		what: 'The play of a solid valve train with the lifter on the base circle.',
		how: 'Feeler between rocker and tip, cylinder by cylinder in the setting order, engine cold or hot as the card says.',
		forgotten:
			'To write it down. A paint mark without a figure proves nothing; say cold or hot, and look at the lifter before blaming the gauge.'
	},
	preload: {
		mark: between('rocker', 'tip'),
		formula: 'valvetrain-lash',
		title: 'Preload',
		what: 'How far the plunger of a hydraulic lifter is pushed in.',
		how: 'Zero lash first, then turns of the adjuster, or the plunger’s depth.',
		forgotten: 'A deck cut pushes it in further with every pushrod engine.'
	},
	built: {
		mark: between('retainer', 'shim'),
		formula: 'sheet-heights',
		title: 'As built',
		what: 'The height, or the load, once the spring itself is in: what proves the plan.',
		how: 'Scale or caliper beside the spring, or an on-head tester, every station against its plan.',
		forgotten: 'A shim under the wrong spring shows here and nowhere else.'
	},
	headLoad: {
		mark: force('retainer'),
		formula: 'sheet',
		title: 'On-head load',
		what: 'Seat load read with the spring fitted.',
		how: 'On-head tester on the retainer, the figure at the moment the valve leaves its seat; three gentle pulls.',
		forgotten:
			'Eyes covered, face out of line with the stem: locks not fully seated let go without warning.'
	},
	loss: {
		mark: force('retainer'),
		formula: 'springs-bench-tests',
		title: 'Load loss',
		what: 'How much less a spring carries than its card promises at the same height.',
		how: 'Its test against the card, at the height it stands at.',
		forgotten: 'A tired spring sits well on its own curve: hold it against the card.'
	},
	netSeatLoad: {
		mark: force('seat'),
		formula: 'valvetrain-control',
		title: 'Net seat load',
		what: 'Seat load less what the port’s pressure pushes with on the closed valve’s head: boost on an intake, back pressure on an exhaust.',
		how: 'From the seat load, the head’s diameter and the pressure given in the setup.',
		forgotten:
			'Pressure in the port is what counts, above that in the cylinder, and not the gauge on the dash alone.'
	},
	controlLimit: {
		mark: force('atLift'),
		formula: 'valvetrain-control',
		title: 'Control limit',
		what: 'The engine speed by which the spring loses the valve at the latest, were the whole train rigid. An upper bound: a real train parts well below it.',
		how: 'Worked out from lobe, ratio, moving mass and the spring’s own curve at its own height; the worst angle lies off the nose.',
		forgotten:
			'An aid, not a promise: it says stop or watch and never clear. A made-up lobe, an estimated mass and a card’s spring widen it.'
	},
	piston: {
		mark: between('seat', 'piston'),
		formula: 'job-head-work',
		title: 'Piston to valve',
		what: 'The least room between valve and piston about the overlap.',
		how: 'Clay, or a dial indicator with checking springs so that hydraulic lifters stay extended; the least over the overlap, less what a lifter may pump up.',
		forgotten: 'Every cut at the deck, a thinner gasket, more lift or another timing takes it away.'
	},
	vacuum: {
		mark: part(['seat', -8], 'seat'),
		formula: 'sheet',
		title: 'Vacuum',
		what: 'What the port holds with the valve on its seat: whether it seals.',
		how: 'Tester on the port; the figure reached and the seconds it held.',
		forgotten: 'The seconds that it held: a figure reached and not held proves nothing.'
	},
	locator: {
		mark: part('locator', 'pocket'),
		formula: 'sheet',
		title: 'Locator',
		what: 'The cup or step under the spring that centres it and saves an aluminium head.',
		how: 'Its thickness belongs to the stack; measure it once with a micrometer.',
		forgotten: 'Under the gauge. It is the classic one.'
	},
	shims: {
		mark: part('shim', 'locator'),
		formula: 'parts-shims',
		title: 'Shims',
		what: 'Hardened rings under the spring that take height away and add load.',
		how: 'The next that brings the height to its aim and leaves bind and seal their room.',
		forgotten:
			'They must clear the guide boss and lie inside the pocket; a tall stack is no substitute for the right spring.'
	},
	locks: {
		mark: part(['retainerTop', -2], 'retainer'),
		formula: 'parts-compatibility',
		title: 'Locks',
		what: 'The two halves that hold the retainer on the stem; offset ones stand it higher or lower.',
		how: 'Plus makes the height taller by its figure, minus shorter.',
		forgotten: 'Angle and bead must be those of retainer and groove, and both halves level.'
	},
	cushion: {
		mark: between('atLift', 'solid'),
		formula: 'sheet-target-height',
		title: 'Cushion over bind',
		what: 'The margin aimed for between full lift and solid, when the height is chosen by bind.',
		how: 'Bind height + greatest lift + cushion is the height to aim for.',
		forgotten: 'Too much is no safety: a spring far from solid surges.'
	},
	valveLength: {
		mark: between('tip', 'seat'),
		formula: 'sheet',
		title: 'Valve length',
		what: 'The whole valve, from tip to the face of its head.',
		how: 'Valve out and clean: height gauge on a surface plate, or a long micrometer.',
		forgotten: 'A ground tip shortens it, a sunk seat does not: that is how the two are told apart.'
	},
	tipLength: {
		mark: between('tip', 'retainerTop'),
		formula: 'sheet',
		title: 'Tip length',
		what: 'From the lock groove to the tip, the valve out.',
		how: 'Depth gauge or micrometer from the groove’s edge to the tip.',
		forgotten: 'It does not move when the seat sinks, only when the tip wears or is ground.'
	},
	stemDiameter: {
		mark: across('guide', 10),
		formula: 'sheet',
		title: 'Stem diameter',
		what: 'The stem where it runs in the guide.',
		how: 'Micrometer at three places, two ways across; the least is kept.',
		forgotten: 'It wears most at the ends of the guide, where nobody measures.'
	},
	stemClearance: {
		mark: across('guide', 14),
		formula: 'sheet',
		title: 'Stem-to-guide clearance',
		what: 'The room between stem and guide.',
		how: 'Guide by bore gauge less stem by micrometer; or the valve’s wobble with a dial indicator, as the maker says.',
		forgotten: 'Guides wear bell-mouthed: the middle of the bore reads tight and tells nothing.'
	},
	seatWidth: {
		mark: across(['seat', -6], 10, 24),
		formula: 'sheet',
		title: 'Seat width',
		what: 'How broad the ring is that the valve seals and cools on.',
		how: 'Blue or a lapped ring, measured with a caliper or a scale under a lens.',
		forgotten: 'Narrow seals well and runs hot; exhausts want more than intakes.'
	},
	seatRunOut: {
		mark: across(['seat', -3], 60),
		formula: 'sheet',
		title: 'Seat run-out',
		what: 'How far the seat is out of round about the guide’s axis.',
		how: 'Dial indicator on a pilot that fits the guide, turned once round.',
		forgotten: 'A loose pilot reads the pilot. Guides come first, seats after them.'
	},
	valveMargin: {
		mark: between(['seat', -4], 'seat'),
		formula: 'sheet',
		title: 'Valve margin',
		what: 'The thickness of the valve’s edge between its face and its head.',
		how: 'Caliper or scale at the edge, all the way round.',
		forgotten: 'A thin edge glows and burns. Each grinding takes some of it away.'
	},
	stemHeight: {
		mark: between('tip', 'pocket'),
		formula: 'sheet',
		title: 'Stem height',
		what: 'How far the tip stands above the spring’s pocket, or the deck, with the valve on its seat.',
		how: 'Height gauge from pocket to tip, no spring, valve held on its seat.',
		forgotten:
			'Always from the same face on one job. Uneven stems tilt rockers and empty lash ranges.'
	},
	headBelowDeck: {
		mark: between('seat', 'deck'),
		formula: 'sheet',
		title: 'Valve head below deck',
		what: 'How deep the closed valve’s head lies under the deck.',
		how: 'Depth gauge across the chamber, valve held on its seat.',
		forgotten: 'It parts a sunk seat from a stretched stem when the head comes back.'
	},
	valveLift: {
		mark: between('retainer', 'atLift'),
		formula: 'sheet',
		title: 'Valve lift',
		what: 'How far the valve opens at the top of its lobe, with its lash set.',
		how: 'Dial indicator in line with the stem, on the retainer; zero on the base circle, then turn by hand to full lift.',
		forgotten:
			'A worn lobe opens less and leaves the lash as it was. A pumped-down lifter does the same: bleed it first.'
	},
	chamberVolume: {
		mark: part('seat', 'deck'),
		formula: 'sheet',
		title: 'Chamber volume',
		what: 'What the chamber holds, valves and plug in, at the deck.',
		how: 'Burette and a clear plate sealed with grease, one cylinder after another, no bubble left.',
		forgotten: 'Uneven chambers are uneven compression. A deck cut and a valve job both change it.'
	}
};
