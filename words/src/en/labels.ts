/** What the values that are shown are called in English. */
import type { Labels } from '../labels.ts';

export const labels: Labels = {
	state: {
		clear: 'clear',
		'not-measured': 'not measured',
		watch: 'watch',
		inconclusive: 'too close to call',
		stop: 'stop'
	},
	source: {
		measured: 'measured',
		tested: 'tested',
		card: 'maker’s card',
		'data-sheet': 'data sheet',
		customer: 'customer',
		recalled: 'from memory'
	},
	kind: { intake: 'intake', exhaust: 'exhaust' },
	figure: {
		bare: 'Bare height',
		height: 'Installed height',
		seatLoad: 'Seat load',
		openLoad: 'Open load',
		bindMargin: 'Coil bind margin',
		sealClearance: 'Seal clearance',
		tipHeight: 'Tip height',
		rocker: 'Rocker clearance',
		lash: 'Lash',
		preload: 'Preload',
		built: 'As built',
		piston: 'Piston to valve',
		headLoad: 'On-head load',
		loss: 'Load loss',
		vacuum: 'Vacuum'
	},
	limit: {
		'bind-floor': 'min bind margin',
		'bind-aim': 'target bind margin',
		'bind-wide': 'max bind margin',
		'seal-floor': 'min seal clearance',
		'rocker-floor': 'min rocker clearance',
		'piston-floor': 'min piston to valve',
		'planned-height': 'planned height',
		'bare-height': 'median of its kind',
		target: 'target height',
		'lowest-for-bind': 'lowest height before bind',
		'preload-setting': 'preload setting',
		'tip-above-retainer': 'tip above the retainer',
		'tip-for-rail-rocker': 'min tip for a rail rocker',
		'seat-load-target': 'seat load at the target',
		'min-seat-load': 'min seat load',
		'open-load-target': 'open load at the target',
		'max-open-load': 'max open load',
		'load-loss': 'load loss',
		'load-loss-stop': 'load loss, stop',
		'min-lash': 'min lash',
		'max-lash': 'max lash',
		'any-lash': 'any lash at all',
		'min-vacuum': 'min vacuum',
		'seat-load-at-height': 'seat load at this height'
	},
	buildLimit: {
		'seal-floor': 'seal clearance',
		'tip-height': 'tip height',
		'rocker-floor': 'rocker clearance',
		'bind-floor': 'bind margin',
		'spring-tested-range': 'tested range of the spring',
		'min-seat-load': 'seat load'
	},
	liftLimit: {
		'coil-bind': 'coil bind',
		'retainer-to-seal': 'retainer to seal',
		'piston-to-valve': 'piston to valve',
		'rocker-to-retainer': 'rocker to retainer',
		'spring-card': 'spring card'
	},
	quantity: {
		'installed-height': 'installed height',
		'seal-gap': 'seal gap',
		'seal-gap-at-lift': 'seal gap at lift',
		'tip-height': 'tip height',
		'rocker-closed': 'rocker clearance closed',
		'rocker-half-lift': 'rocker clearance at half lift',
		'rocker-full-lift': 'rocker clearance at full lift',
		'on-head-load': 'on-head load',
		lash: 'lash',
		preload: 'preload',
		'built-height': 'as-built height',
		'follower-shim': 'follower shim'
	},
	work: {
		'deck-cut': 'deck cut',
		'block-cut': 'block cut',
		'other-gasket': 'other gasket',
		'other-piston': 'other piston',
		'cam-timing': 'cam timing',
		'valve-job': 'valve job',
		guides: 'guides',
		seats: 'seats',
		seals: 'seals',
		'pocket-cut': 'pocket cut',
		'tip-ground': 'tip ground',
		'parts-changed': 'parts changed',
		'valve-train-changed': 'valve train changed'
	},
	passage: {
		pushrod: 'pushrod',
		'rocker-slot': 'rocker slot',
		'tip-wipe': 'tip wipe',
		'piston-to-valve': 'piston to valve',
		vacuum: 'vacuum'
	},
	stage: {
		'check-in': 'check-in',
		setup: 'setup',
		parts: 'parts',
		inspect: 'valves',
		heights: 'heights',
		'seal-gaps': 'seal gaps',
		plan: 'plan',
		assembly: 'assembly',
		'as-built': 'as built',
		checks: 'checks',
		lash: 'lash',
		sheet: 'sheet',
		sign: 'sign'
	},
	step: {
		'count-out': 'count out',
		'dead-centre': 'dead centre',
		crankshaft: 'crankshaft',
		air: 'air',
		rags: 'rags',
		locator: 'locator',
		seal: 'seal',
		'seal-height': 'seal height',
		stem: 'stem',
		sleeve: 'sleeve',
		valve: 'valve',
		spring: 'spring',
		retainer: 'retainer',
		compress: 'compress',
		locks: 'locks',
		release: 'release',
		tap: 'tap',
		look: 'look',
		'air-off': 'air off',
		'count-in': 'count in'
	},
	way: { 'by-station': 'by station', 'by-step': 'by step' },
	targetMethod: {
		'card-height': 'card height',
		'bind-cushion': 'bind cushion',
		'seat-load': 'seat load',
		'open-load': 'open load',
		'as-it-stands': 'as it stands'
	},
	settingOrder: {
		'firing-order': 'firing order',
		'opening-and-closing': 'opening and closing',
		'two-positions': 'two positions'
	},
	adjuster: {
		'stud-nut': 'pivot nut on a stud',
		'pushrod-end': 'at the pushrod end',
		'valve-end': 'at the valve end'
	},
	engineState: { cold: 'cold', hot: 'hot' },
	measuringOrder: {
		'along-the-head': 'along the head',
		'by-cylinder': 'by cylinder',
		'intakes-then-exhausts': 'intakes, then exhausts'
	},
	arrangement: { inline: 'inline', V: 'V', flat: 'flat' },
	numbering: { 'bank-by-bank': 'bank by bank', alternating: 'alternating', custom: 'custom' },
	pairing: { mirrored: 'mirrored', alternating: 'alternating' },
	casting: { separate: 'its own casting', reversed: 'the same casting, reversed' },
	part: {
		spring: 'spring',
		retainer: 'retainer',
		locks: 'locks',
		locator: 'locator',
		shim: 'shim',
		'follower-shim': 'follower shim',
		seal: 'seal',
		valve: 'valve',
		'lash-cap': 'lash cap',
		rocker: 'rocker',
		lifter: 'lifter',
		cam: 'cam'
	},
	slot: {
		valve: 'valve',
		spring: 'spring',
		retainer: 'retainer',
		locks: 'locks',
		locator: 'locator',
		seal: 'seal',
		lashCap: 'lash cap',
		rocker: 'rocker',
		lifter: 'lifter'
	},
	gauge: {
		'height-gauge': 'height gauge',
		'depth-gauge': 'depth gauge',
		'feeler-set': 'feeler set',
		'bench-tester': 'bench tester',
		'on-head-tester': 'on-head tester'
	},
	springBuild: {
		single: 'single',
		'single-with-damper': 'single with damper',
		beehive: 'beehive',
		conical: 'conical',
		dual: 'dual',
		'dual-with-damper': 'dual with damper',
		triple: 'triple',
		'dual-conical': 'dual conical'
	},
	coil: { outer: 'outer', inner: 'inner', third: 'third' },
	wayUp: {
		'small-end-up': 'small end up',
		'close-coils-down': 'close coils down',
		'marked-end-up': 'marked end up'
	},
	groove: { square: 'square', round: 'round', 'multi-bead': 'multi-bead' },
	metal: {
		steel: 'steel',
		'tool-steel': 'tool steel',
		'stainless-steel': 'stainless steel',
		titanium: 'titanium',
		aluminium: 'aluminium'
	},
	valveTip: { plain: 'plain', hardened: 'hardened', wafer: 'wafer' },
	rockerNose: { 'roller-tip': 'roller tip', pad: 'pad', rail: 'rail' },
	lifter: {
		'solid-flat': 'solid flat',
		'solid-roller': 'solid roller',
		'solid-bucket': 'solid bucket',
		'hydraulic-flat': 'hydraulic flat',
		'hydraulic-roller': 'hydraulic roller',
		'hydraulic-bucket': 'hydraulic bucket'
	},
	lifters: { solid: 'solid', hydraulic: 'hydraulic' },
	capRecess: { none: 'none', recess: 'recess', captive: 'captive' },
	locatesOn: { inside: 'inside', outside: 'outside' },
	bottomsOn: { locator: 'locator', guide: 'guide' },
	installOrder: { 'seal-first': 'seal first', 'valve-first': 'valve first' },
	seatInsert: {
		none: 'none',
		iron: 'iron',
		'hard-steel': 'hard steel',
		'soft-bronze': 'soft bronze'
	},
	damper: { kept: 'kept', removed: 'removed' },
	usedSprings: { never: 'never', retested: 'retested' },
	usedLocks: { 'new-only': 'new only', 'inspected-and-reused': 'inspected and reused' },
	measuring: { 'every-valve': 'every valve', sample: 'a sample' },
	loadsAgainst: { card: 'spring card', 'set-median': 'median of the set' },
	aimLift: { own: 'own', larger: 'larger' },
	water: { fresh: 'fresh', salt: 'salt' },
	workLocation: { bench: 'bench', vehicle: 'in the vehicle' },
	camAt: { block: 'block', head: 'head' },
	note: {
		'hand-over': 'handover',
		'dropped-part': 'dropped part',
		'damaged-part': 'damaged part'
	},
	condition: { new: 'new', reused: 'reused' },
	tipSeen: {
		good: 'good',
		ground: 'ground',
		worn: 'worn',
		burred: 'burred',
		battered: 'battered'
	},
	grooveSeen: { good: 'good', worn: 'worn', burred: 'burred' },
	stemSeen: { good: 'good', worn: 'worn', scored: 'scored', bent: 'bent' },
	seatMark: { even: 'even', narrow: 'narrow', wide: 'wide', uneven: 'uneven', pitted: 'pitted' },
	pistonMethod: { clay: 'clay', indicator: 'indicator' },
	noBind: {
		'too-few-points': 'too few points',
		'not-reached': 'not reached',
		unclear: 'cannot be told from this sweep'
	},
	phase: {
		prepare: 'prepare',
		measure: 'measure',
		plan: 'plan',
		build: 'build',
		'hand-over': 'hand over'
	},
	found: {
		job: 'job',
		customer: 'customer',
		action: 'do',
		engine: 'engine',
		set: 'set',
		spring: 'spring',
		part: 'part',
		station: 'station',
		page: 'page'
	},
	trust: {
		tested: 'this spring tested',
		set: 'a spring of its set tested',
		card: 'by its card',
		hearsay: 'by word of mouth'
	},
	jobFilter: {
		all: 'all jobs',
		open: 'not signed',
		waiting: 'waiting for parts',
		'to-verify': 'to be verified',
		'came-back': 'came back',
		'signed-this-week': 'signed this week'
	},
	tester: { 'manual-entry': 'manual entry' },
	match: { fits: 'match', near: 'possible', mismatch: 'no match' },
	evidence: {
		'load-at-card-height': 'load at card height',
		rate: 'rate',
		'coil-bind': 'coil bind',
		'free-height': 'free height',
		outside: 'OD',
		wire: 'wire'
	},
	timing: { card: 'cam card', duration: 'duration', 'long-cam': 'long-duration cam' },
	severity: { stop: 'stop', watch: 'watch', note: 'note' }
};
