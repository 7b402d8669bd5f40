/** What is asked of a kit, in the order of its paper: one list for the page and for reading it. */
import { CAP_SEATS, GROOVES, SPRING_BUILDS, type KitPlace } from '@zinc-ledger/core';
import type { FieldType, FieldSpec } from '$lib/forms/flat';
import { labelsOf, type Labels } from '@zinc-ledger/words';

/** A field of the paper; its path begins with the place of the part that it is of. */
export type PaperField = FieldSpec;
const field = (path: string, label: string, type: FieldType = 'length') => ({ path, label, type });
const choice = (path: string, label: string, choices: readonly string[], of: keyof Labels) => ({
	path,
	label,
	type: 'choice' as const,
	choices,
	names: labelsOf(of)
});

/** Where the lift stands that the open load is stated at: the open height is card height less it. */
export const AT_LIFT = 'spring.at';

/** What every paper says. */
export const ON_THE_PAPER: readonly PaperField[] = [
	field('spring.seat.height', 'Card height'),
	field('spring.seat.load', 'Seat load', 'load'),
	field('spring.open.load', 'Open load', 'load'),
	field(AT_LIFT, 'at a lift of'),
	field('spring.bind', 'Coil bind height'),
	field('spring.maxLift', 'Max lift'),
	field('locator.name', 'Locator to use', 'text'),
	field('locator.thickness', 'Locator thickness'),
	field('seal.name', 'Seal to use', 'text')
];

/** What some papers say; what is not known stays open until a rule needs it. */
export const MORE_OF_IT: readonly PaperField[] = [
	choice('spring.build', 'Spring type', SPRING_BUILDS, 'springBuild'),
	field('spring.innerBind', 'Inner coil bind'),
	field('spring.outer.outside', 'Outer OD'),
	field('spring.outer.wire', 'Outer, wire'),
	field('spring.inner.outside', 'Inner OD'),
	field('spring.inner.wire', 'Inner, wire'),
	field('spring.mass', 'Mass of the spring', 'mass'),
	field('spring.batch', 'Batch', 'text'),
	field('retainer.name', 'Retainer', 'text'),
	field('retainer.angle', 'Lock angle of the retainer, degrees', 'number'),
	field('retainer.step', 'Step of the retainer'),
	field('retainer.mass', 'Mass of the retainer', 'mass'),
	field('locks.name', 'Locks', 'text'),
	field('locks.offset', 'Locks, offset + or −; empty is standard', 'signed-length'),
	field('locks.angle', 'Lock angle, degrees', 'number'),
	choice('locks.bead', 'Bead of the locks', GROOVES, 'groove'),
	field('locks.stem', 'Locks for a stem of'),
	choice('locks.capSeat', 'Cap recess', CAP_SEATS, 'capRecess'),
	field('locator.outside', 'Locator OD'),
	field('seal.outside', 'Seal OD'),
	field('seal.stem', 'Seal for a stem of'),
	field('lashCap.name', 'Lash cap', 'text'),
	field('lashCap.thickness', 'Lash cap thickness')
];

export const PAPER_FIELDS: readonly PaperField[] = [...ON_THE_PAPER, ...MORE_OF_IT];

/** Fields of one part, within it. */
export const fieldsOfPlace = (place: KitPlace): readonly PaperField[] =>
	PAPER_FIELDS.filter(({ path }) => path.startsWith(`${place}.`) && path !== AT_LIFT).map(
		(one) => ({ ...one, path: one.path.slice(place.length + 1) })
	);
