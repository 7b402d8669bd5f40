/** What may be behind a complaint about a valve train, and how it begins to be weighed. Source: docs/trade/visits.md. */

export const CAUSES = [
	'spring-lost-load',
	'height-grew',
	'float',
	'surge',
	'coil-bind',
	'retainer-on-seal',
	'port-pressure',
	'lash-opened',
	'rocker-nose',
	'rocker-pushrod-side',
	'rocker-burnt',
	'rocker-overloaded',
	'lobe-worn',
	'lifter',
	'pushrod',
	'locks',
	'valve-sealing',
	'valve-met-piston',
	'corroded-spring',
	'fatigue',
	'mixed-springs',
	'gauge',
	/** Spark, plugs, leads, cap, fuel: not the valve train. */
	'elsewhere',
	/** In the valve train, and none of these. */
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

/** Weights that causes begin with where a complaint says something of them; the rest begin with {@link USUAL_WEIGHT}. */
export type Weights = Readonly<Record<Complaint, Readonly<Partial<Record<Cause, number>>>>>;
export const USUAL_WEIGHT = 0.3;

/** What a shop begins with; it may weigh otherwise. */
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
		'lash-opened': 8,
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
		'lash-opened': 6,
		'height-grew': 5,
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
	'oil-at-guide': { 'valve-sealing': 8, 'retainer-on-seal': 5, elsewhere: 0.5 },
	'dropped-valve': { locks: 6, fatigue: 4, float: 3, 'corroded-spring': 2, 'coil-bind': 2 }
};
