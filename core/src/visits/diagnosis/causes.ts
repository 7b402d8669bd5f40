/** Possible causes of a complaint about a valvetrain, with the weight that each starts with. Source: docs/trade/visits.md. */

export const CAUSES = [
	'spring-lost-load',
	'height-grew',
	'stem-stretched',
	'float',
	'surge',
	'coil-bind',
	'retainer-on-seal',
	/** The inner or outer spring has cut the seal. */
	'seal-by-spring',
	'port-pressure',
	'adjuster-loose',
	/** Wear at the lifter, rocker, pushrod end or tip. */
	'lash-opened',
	'rocker-nose',
	'rocker-pushrod-side',
	'rocker-burnt',
	'rocker-overloaded',
	'lobe-worn',
	'lifter',
	'pushrod',
	'stud-pulling',
	/** Wrong, loose or not seated. */
	'locks',
	'locks-pulled',
	'valve-sealing',
	'valve-met-piston',
	'corroded-spring',
	'fatigue',
	'mixed-springs',
	/** Broken, worn or taken out. */
	'damper',
	'gauge',
	/** Lash was read on an engine warmer or colder than it was set on. */
	'temperature',
	/** The engine's own growth from cold to hot, which lash must allow for. */
	'thermal-growth',
	/** Spark, plugs, plug wires, cap, fuel: not the valvetrain. */
	'elsewhere',
	/** In the valvetrain, and none of these. */
	'unlisted'
] as const;
export type Cause = (typeof CAUSES)[number];

export const COMPLAINTS = [
	'stops-pulling',
	'misfire',
	'noise-at-one-valve',
	'lash-moves',
	'broken-spring',
	'broken-rocker',
	'broken-pushrod',
	'lost-vacuum',
	'oil-at-guide',
	'dropped-valve'
] as const;
export type Complaint = (typeof COMPLAINTS)[number];

/**
 * Causes that the same figures point to. The program names such a group as soon as it is sure of
 * the group, and gives the check that tells its members apart.
 */
export const ALIKE: readonly (readonly Cause[])[] = [
	['spring-lost-load', 'mixed-springs'],
	['height-grew', 'stem-stretched'],
	['lash-opened', 'adjuster-loose', 'stud-pulling'],
	['locks', 'locks-pulled'],
	['surge', 'damper'],
	['retainer-on-seal', 'seal-by-spring'],
	['temperature', 'thermal-growth']
];

/** The causes that look the same as one, itself first. */
export const alikeTo = (cause: Cause): readonly Cause[] => {
	const group = ALIKE.find((causes) => causes.includes(cause)) ?? [];
	return [cause, ...group.filter((other) => other !== cause)];
};

/** What a cause goes on to damage: found together, the first is the root cause. Source: docs/trade/visits.md. */
const CONSEQUENCES: Readonly<Partial<Record<Cause, readonly Cause[]>>> = {
	'spring-lost-load': ['float'],
	'mixed-springs': ['float'],
	'height-grew': ['float'],
	'port-pressure': ['float'],
	fatigue: ['float', 'locks-pulled', 'valve-met-piston'],
	'corroded-spring': ['fatigue'],
	damper: ['surge', 'fatigue'],
	surge: ['fatigue', 'float'],
	float: ['rocker-burnt', 'lash-opened', 'locks-pulled', 'valve-met-piston', 'stem-stretched'],
	'coil-bind': ['pushrod', 'rocker-overloaded', 'lobe-worn', 'fatigue', 'stud-pulling'],
	'retainer-on-seal': ['pushrod', 'locks-pulled'],
	'rocker-nose': ['locks-pulled'],
	'locks-pulled': ['valve-met-piston'],
	locks: ['locks-pulled'],
	'valve-met-piston': ['valve-sealing', 'pushrod'],
	'rocker-pushrod-side': ['pushrod']
};

/** The cause among others that this one may be a consequence of; null for none. */
export const rootOf = (cause: Cause, others: readonly Cause[]): Cause | null =>
	others.find((other) => CONSEQUENCES[other]?.includes(cause)) ?? null;

/** Causes that change what is read and nothing in the engine; they occur together with any other. */
export const OF_MEASURING = ['gauge', 'temperature'] as const satisfies readonly Cause[];

/** Starting weights of the causes that a complaint points to; all others start with {@link USUAL_WEIGHT}. */
export type Weights = Readonly<Record<Complaint, Readonly<Partial<Record<Cause, number>>>>>;
export const USUAL_WEIGHT = 0.3;

/** Starting weights as shipped; a shop can change them. */
export const USUAL_WEIGHTS: Weights = {
	'stops-pulling': {
		elsewhere: 10,
		float: 4,
		'spring-lost-load': 4,
		'height-grew': 3,
		'port-pressure': 2,
		lifter: 2,
		'lobe-worn': 2,
		'valve-sealing': 2,
		surge: 1.5,
		'coil-bind': 1
	},
	misfire: {
		elsewhere: 14,
		'valve-sealing': 4,
		lifter: 3,
		'lobe-worn': 2,
		'spring-lost-load': 2,
		'lash-opened': 2,
		float: 2,
		'height-grew': 1.5,
		fatigue: 1,
		pushrod: 1
	},
	'noise-at-one-valve': {
		'lash-opened': 5,
		'adjuster-loose': 4,
		lifter: 5,
		'lobe-worn': 3,
		pushrod: 3,
		'rocker-burnt': 2,
		'retainer-on-seal': 1,
		'coil-bind': 1,
		'valve-met-piston': 1,
		elsewhere: 1
	},
	'lash-moves': {
		'lash-opened': 4,
		'adjuster-loose': 4,
		'height-grew': 5,
		temperature: 3,
		'thermal-growth': 1,
		'locks-pulled': 1,
		'stud-pulling': 1,
		float: 3,
		locks: 2,
		'lobe-worn': 2,
		pushrod: 2,
		lifter: 1
	},
	'broken-spring': {
		fatigue: 5,
		surge: 4,
		'coil-bind': 4,
		'corroded-spring': 3,
		float: 2,
		'mixed-springs': 1
	},
	'broken-rocker': {
		'rocker-nose': 5,
		'rocker-pushrod-side': 4,
		'coil-bind': 3,
		'rocker-overloaded': 3,
		'rocker-burnt': 2,
		float: 2
	},
	'broken-pushrod': { pushrod: 5, 'coil-bind': 4, 'valve-met-piston': 3, float: 3, lifter: 1 },
	'lost-vacuum': { 'valve-sealing': 9, 'height-grew': 1, elsewhere: 0.5 },
	'oil-at-guide': {
		'valve-sealing': 8,
		'retainer-on-seal': 5,
		'seal-by-spring': 2,
		elsewhere: 0.5
	},
	'dropped-valve': {
		locks: 4,
		'locks-pulled': 3,
		fatigue: 4,
		float: 3,
		'corroded-spring': 2,
		'coil-bind': 2
	}
};
