/** The types of parts, and the codes for what they are like. */

export const PART_TYPES = [
	'spring',
	'retainer',
	'locks',
	'locator',
	'shim',
	'follower-shim',
	'seal',
	'valve',
	'lash-cap',
	'rocker',
	'lifter',
	'cam'
] as const;
export type PartType = (typeof PART_TYPES)[number];

export const SPRING_BUILDS = [
	'single',
	'single-with-damper',
	'beehive',
	'conical',
	'dual',
	'dual-with-damper',
	'triple',
	'dual-conical'
] as const;
export type SpringBuild = (typeof SPRING_BUILDS)[number];
/** Bead of the locks and groove of the stem: the two must be of one shape. */
export const GROOVES = ['square', 'round', 'multi-bead'] as const;
export type Groove = (typeof GROOVES)[number];
export const METALS = [
	'steel',
	'tool-steel',
	'stainless-steel',
	'nickel-alloy',
	'titanium',
	'aluminium'
] as const;
export type Metal = (typeof METALS)[number];
export const TIPS = ['plain', 'hardened', 'wafer'] as const;
export type ValveTip = (typeof TIPS)[number];
export const CENTRES = ['inside', 'outside'] as const;
export const CAP_SEATS = ['none', 'recess', 'captive'] as const;
export const SEAL_REST = ['locator', 'guide'] as const;
export const SEAL_TURNS = ['seal-first', 'valve-first'] as const;
export const ROCKER_NOSES = ['roller-tip', 'pad', 'rail'] as const;
export type RockerNose = (typeof ROCKER_NOSES)[number];
/** How a cam's lift comes to the valve: by what follows it and what turns. */
export const TRAINS = ['pushrod', 'rocker-on-head', 'finger', 'bucket'] as const;
export type Train = (typeof TRAINS)[number];
export const LIFTERS = [
	'solid-flat',
	'solid-roller',
	'solid-bucket',
	'hydraulic-flat',
	'hydraulic-roller',
	'hydraulic-bucket'
] as const;
export type LifterType = (typeof LIFTERS)[number];

/** Parts that a kind of station is built of, in the order of the stack. */
export const STATION_PARTS = [
	'valve',
	'spring',
	'retainer',
	'locks',
	'locator',
	'seal',
	'lashCap',
	'rocker',
	'lifter'
] as const;
export type StationPart = (typeof STATION_PARTS)[number];
export const TYPE_OF: Readonly<Record<StationPart, PartType>> = {
	valve: 'valve',
	spring: 'spring',
	retainer: 'retainer',
	locks: 'locks',
	locator: 'locator',
	seal: 'seal',
	lashCap: 'lash-cap',
	rocker: 'rocker',
	lifter: 'lifter'
};
