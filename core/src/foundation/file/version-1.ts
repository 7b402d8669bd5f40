/**
 * Files of version 1 as files of version 2: names of fields became the trade's,
 * and values that are chosen from a list became codes. Figures, times, persons and
 * whatever somebody wrote stay as they are, to the letter.
 */
type Json = string | number | boolean | null | Json[] | { [key: string]: Json };

/** Fields that have another name since; they are looked for wherever they stand. */
const FIELDS: Readonly<Record<string, string>> = {
	walkingOrder: 'measuringOrder',
	toldByCustomer: 'customerStatement',
	place: 'workLocation',
	school: 'method',
	leastSeatLoad: 'minSeatLoad',
	greatestOpenLoad: 'maxOpenLoad',
	greatestLift: 'maxLift',
	leastTip: 'minTip',
	mostTip: 'maxTip',
	asksNew: 'requiresNew',
	notThis: 'mismatch',
	centres: 'locatesOn',
	restsOn: 'bottomsOn',
	turn: 'installOrder',
	bindWide: 'bindMarginMax',
	shimFrom: 'deadBand',
	shimsAtMost: 'maxShims',
	preloadWithin: 'preloadTolerance',
	loadBand: 'loadTolerance',
	outlierLeast: 'outlierMin',
	outlierMost: 'outlierMax',
	sealPlay: 'sealClearance',
	damperPlay: 'damperClearance',
	landingPlay: 'landingClearance',
	singleLoad: 'singleSpringMaxLoad',
	singleSpeed: 'singleSpringMaxRpm',
	holds: 'blocksSignOff',
	settles: 'resolves'
};
/** Here a field of that name is another one: a step of the assembly has a place as before. */
const KEEPS: Readonly<Record<string, readonly string[]>> = { assembly: ['place'] };

const QUANTITIES = {
	'installed height': 'installed-height',
	'seal gap': 'seal-gap',
	'seal gap at lift': 'seal-gap-at-lift',
	'tip height': 'tip-height',
	'rocker closed': 'rocker-closed',
	'rocker half lift': 'rocker-half-lift',
	'rocker full lift': 'rocker-full-lift',
	'seat load': 'on-head-load',
	'built height': 'built-height',
	'follower shim': 'follower-shim'
};
const METALS = { 'tool steel': 'tool-steel', 'stainless steel': 'stainless-steel' };

/** Values by the field they stand in, by its name of version 2. */
const VALUES: Readonly<Record<string, Readonly<Record<string, string>>>> = {
	quantity: QUANTITIES,
	source: { sheet: 'data-sheet', told: 'customer', memory: 'recalled' },
	work: {
		'deck cut': 'deck-cut',
		'block cut': 'block-cut',
		'other gasket': 'other-gasket',
		'other piston': 'other-piston',
		'cam timing': 'cam-timing',
		'valve job': 'valve-job',
		'pocket cut': 'pocket-cut',
		'tip ground': 'tip-ground',
		'parts changed': 'parts-changed',
		'valve train changed': 'valve-train-changed'
	},
	sort: {
		'piston to valve': 'piston-to-valve',
		'follower shim': 'follower-shim',
		'lash cap': 'lash-cap',
		'height gauge': 'height-gauge',
		'depth gauge': 'depth-gauge',
		'feeler set': 'feeler-set',
		'bench tester': 'bench-tester',
		'on-head tester': 'on-head-tester'
	},
	passage: { 'rocker slot': 'rocker-slot', 'tip wipe': 'tip-wipe' },
	method: {
		'card height': 'card-height',
		'bind cushion': 'bind-cushion',
		'seat load': 'seat-load',
		'open load': 'open-load',
		'as it stands': 'as-it-stands'
	},
	numbering: { 'bank by bank': 'bank-by-bank', own: 'custom' },
	pairing: { repeated: 'alternating' },
	rightHead: { 'its own casting': 'separate', 'same casting turned round': 'reversed' },
	measuringOrder: {
		'along the head': 'along-the-head',
		'by cylinder': 'by-cylinder',
		'intakes, then exhausts': 'intakes-then-exhausts'
	},
	at: {
		'pivot nut on a stud': 'stud-nut',
		'in the pushrod end': 'pushrod-end',
		'at the valve end': 'valve-end'
	},
	workLocation: { car: 'vehicle' },
	seatInsert: { 'hard steel': 'hard-steel', 'soft bronze': 'soft-bronze' },
	loadsAgainst: { 'set median': 'set-median' },
	locks: { 'new only': 'new-only', 'inspected and reused': 'inspected-and-reused' },
	measuring: { 'every valve': 'every-valve', 'a sample': 'sample' },
	about: { 'dropped part': 'dropped-part', 'damaged part': 'damaged-part' },
	build: {
		'single with damper': 'single-with-damper',
		narrowing: 'beehive',
		'dual with damper': 'dual-with-damper',
		'dual conical': 'dual-conical'
	},
	material: METALS,
	installOrder: { 'seal first': 'seal-first', 'valve first': 'valve-first' },
	nose: { 'roller tip': 'roller-tip' },
	type: {
		'solid flat': 'solid-flat',
		'solid roller': 'solid-roller',
		'solid bucket': 'solid-bucket',
		'hydraulic flat': 'hydraulic-flat',
		'hydraulic roller': 'hydraulic-roller',
		'hydraulic bucket': 'hydraulic-bucket'
	},
	step: {
		'count out': 'count-out',
		'count in': 'count-in',
		'dead centre': 'dead-centre',
		'air off': 'air-off',
		'seal height': 'seal-height'
	}
};

/** The name in version 2 of a field of version 1. */
export const fieldSince1 = (field: string): string => FIELDS[field] ?? field;

/** The code in version 2 of a value of version 1; `field` is the version 2 name of the field that holds it. */
export const valueSince1 = (field: string, value: string): string =>
	VALUES[field]?.[value] ?? value;

/** A value of version 1, and all that stands in it, as version 2 has it. */
export function fromVersion1<T>(value: T, field = ''): T {
	return walked(value as Json, field) as T;
}

function walked(value: Json, field: string): Json {
	if (typeof value === 'string') return valueSince1(field, value);
	if (Array.isArray(value)) return value.map((one) => walked(one, field));
	if (typeof value !== 'object' || value === null) return value;
	if (isDecision(value)) return decided(value);
	const kept = KEEPS[field] ?? [];
	return Object.fromEntries(
		Object.entries(value).map(([key, inner]) => {
			const now = kept.includes(key) ? key : fieldSince1(key);
			return [now, walked(inner, now)];
		})
	);
}

type Decision = { [key: string]: Json } & { subject: string };
const isDecision = (value: { [key: string]: Json }): value is Decision =>
	typeof value.subject === 'string' && 'person' in value && 'at' in value;

/** What was decided about a field: the path to it, and what it was and became. */
function decided(decision: Decision): Json {
	const path = decision.subject.split('.').map(fieldSince1);
	const field = path.at(-1)!;
	return Object.fromEntries(
		Object.entries(decision).map(([key, value]): [string, Json] => {
			if (key === 'subject') return [key, path.join('.')];
			return key === 'from' || key === 'to' ? [key, walked(value, field)] : [key, value];
		})
	);
}
