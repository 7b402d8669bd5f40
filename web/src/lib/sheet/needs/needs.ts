/** Where what a figure or a rule still needs is entered: the very field, by its name. */
import type { Job, Kind, Need, StationPart } from '@zinc-ledger/core';

/** Read with a gauge, station by station. */
const READ: Readonly<Record<string, string>> = {
	height: 'installed-height',
	'four-heights': 'installed-height',
	'seal-gap': 'seal-gap',
	lash: 'lash',
	'tip-height': 'tip-height'
};
/** Fields of the set-up; those of a kind begin within it. */
const OF_KIND: Readonly<Record<string, string>> = {
	lift: 'lift.valve',
	'lash-setting': 'lash.setting',
	'preload-setting': 'preload',
	target: 'aim.method',
	'seat-load-target': 'aim.method',
	'open-load-target': 'aim.method',
	'pushrod-mass': 'pushrodMass',
	'pocket.diameter': 'pocket.diameter',
	'guide.boss': 'pocket.boss',
	'guide.stem': 'pocket.guide'
};
const OF_JOB: Readonly<Record<string, string>> = {
	'engine-speed': 'use.engineSpeed',
	train: 'train',
	'head.material': 'head.material',
	'head.seat-insert': 'head.seatInsert'
};
/** Fields of a part's own page, where they are not called as the need is. */
const OF_PART: Readonly<Record<string, string>> = {
	'locks.cap-recess': 'capSeat',
	'locks.holds-tip': 'holdsTip',
	'locks.min-tip': 'minTip',
	'locks.max-tip': 'maxTip',
	'valve.tip-length': 'tipLength',
	'valve.facing': 'hardFaced',
	'locator.locates-on': 'locatesOn',
	'spring.innermost-coil': 'inner.outside',
	'spring.outside': 'outer.outside',
	'spring.coils': 'build',
	'spring.max-lift': 'maxLift',
	'spring.requires-new': 'requiresNew',
	'lifter.max-load': 'maxOpenLoad'
};
const PLACES: Readonly<Record<string, StationPart>> = { 'lash-cap': 'lashCap' };
/** Needs that name a part's own figure without the part. */
const OF_SPRING: Readonly<Record<string, string>> = { bind: 'bind', rate: 'rate' };

/** The very field that a need is met at, by its path within the set-up; null for what is read with a gauge, or a part to choose. */
export function fieldOfNeed(
	{ code }: Need,
	kind: Kind,
	{ setup }: Pick<Job, 'setup'>
): { readonly path: string; readonly part: StationPart | null } | null {
	const name = code.slice('need.'.length);
	if (OF_KIND[name]) {
		const given = setup.kinds[kind].lift?.type === 'valve' || name !== 'lift';
		return { path: `kinds.${kind}.${given ? OF_KIND[name] : 'lift.lobe'}`, part: null };
	}
	if (OF_JOB[name]) return { path: OF_JOB[name], part: null };
	const [type = '', own] = OF_SPRING[name] ? ['spring', OF_SPRING[name]] : name.split('.');
	const part = PLACES[type] ?? (type as StationPart);
	return own !== undefined && setup.kinds[kind][part]
		? { path: `kinds.${kind}.${part}.${OF_PART[name] ?? own}`, part }
		: null;
}

/** The address of the field that a need is met at; the job's parts page where a part is not chosen. */
export function placeOfNeed(need: Need, kind: Kind, job: Job): string {
	const root = `/jobs/${job.id}`;
	const read = READ[need.code.slice('need.'.length)];
	if (read) return `${root}/round?of=${read}`;
	const field = fieldOfNeed(need, kind, job);
	if (!field) return `${root}/parts`;
	if (!field.part) return `${root}/setup#${field.path}`;
	const { id } = job.setup.kinds[kind][field.part]!;
	return id
		? `/parts/${id}#${field.path.slice(`kinds.${kind}.${field.part}.`.length)}`
		: `${root}/parts`;
}
