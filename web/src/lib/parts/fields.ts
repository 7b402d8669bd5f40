/**
 * What is asked of a part of each sort, in the order a machinist thinks: one
 * list for the form, the columns of a CSV file and the library's table. A path
 * leads into the part's document: "outer.wire".
 */
import {
	CAP_SEATS,
	CENTRES,
	GROOVES,
	LIFTERS,
	METALS,
	ROCKER_NOSES,
	SEAL_REST,
	SEAL_TURNS,
	SOURCES,
	SPRING_BUILDS,
	TIPS,
	type PartSort
} from '@zinc-ledger/core';
import type { FieldSort, FieldSpec } from '$lib/forms/flat';

export interface PartField extends FieldSpec {
	/** Shown in the library's table. */
	readonly shown?: boolean;
}

const field = (path: string, label: string, sort: FieldSort = 'length'): PartField => ({
	path,
	label,
	sort
});
const choice = (path: string, label: string, choices: readonly string[]): PartField => ({
	path,
	label,
	sort: 'choice',
	choices
});
const shown = (one: PartField): PartField => ({ ...one, shown: true });

const NAMED: readonly PartField[] = [
	field('name', 'Name', 'text'),
	shown(field('maker', 'Maker', 'text')),
	field('batch', 'Batch', 'text'),
	field('mass', 'Mass', 'mass')
];
const NOTE = field('note', 'Note', 'text');
const angle = field('angle', 'Taper angle, degrees', 'number');
const stem = field('stem', 'Stem diameter');

const OWN: Readonly<Record<PartSort, readonly PartField[]>> = {
	spring: [
		choice('source', 'Figures from', SOURCES),
		shown(choice('build', 'Build', SPRING_BUILDS)),
		field('progressive', 'Progressive winding', 'yes or no'),
		field('markedTop', 'Marked end up', 'yes or no'),
		shown(field('seat.height', 'Card height')),
		shown(field('seat.load', 'Load there', 'load')),
		field('open.height', 'or a second height'),
		field('open.load', 'and its load', 'load'),
		shown(field('rate', 'Rate', 'rate')),
		shown(field('bind', 'Coil bind height')),
		field('innerBind', 'Inner’s own bind height'),
		field('thirdBind', 'Third’s own bind height'),
		shown(field('greatestLift', 'Greatest lift')),
		field('freeHeight', 'Free height'),
		field('outer.outside', 'Outer, outside diameter'),
		field('outer.wire', 'Outer, wire'),
		field('topOutside', 'Outside diameter on top'),
		field('inner.outside', 'Inner, outside diameter'),
		field('inner.wire', 'Inner, wire'),
		field('third.outside', 'Third, outside diameter'),
		field('third.wire', 'Third, wire'),
		field('paint', 'Paint marks', 'text'),
		field('asksNew', 'Asks for new seals and locks', 'yes or no')
	],
	retainer: [
		shown(angle),
		shown(field('step', 'Step')),
		field('thirdStep', 'Step of the third spring'),
		field('underside', 'Underside against the landing', 'signed length'),
		field('landingHeight', 'Landing against datum', 'signed length'),
		shown(field('landings', 'Landings, outermost first', 'lengths')),
		field('height', 'Height'),
		shown(choice('material', 'Material', METALS))
	],
	locks: [
		shown(angle),
		shown(choice('bead', 'Bead', GROOVES)),
		shown(field('offset', 'Offset, + or −', 'signed length')),
		shown(stem),
		choice('capSeat', 'Takes a lash cap', CAP_SEATS),
		field('holdsTip', 'Reaches up and holds the tip', 'yes or no'),
		field('leastTip', 'Tip length from'),
		field('mostTip', 'Tip length to')
	],
	locator: [
		shown(field('thickness', 'Thickness')),
		field('innerRise', 'Inner rise'),
		field('thirdRise', 'Rise of the third spring'),
		shown(choice('centres', 'Centres by', CENTRES)),
		field('outside', 'Outside diameter'),
		shown(field('spigot', 'Spigot')),
		shown(field('cup', 'Cup, inside')),
		field('bore', 'Bore')
	],
	shim: [
		shown(field('thickness', 'Thickness')),
		shown(field('inside', 'Inside diameter')),
		shown(field('outside', 'Outside diameter'))
	],
	'follower shim': [
		shown(field('thickness', 'Thickness')),
		shown(field('outside', 'Outside diameter'))
	],
	seal: [
		shown(stem),
		shown(field('outside', 'Outside diameter')),
		shown(field('height', 'Height above the guide')),
		shown(choice('restsOn', 'Home when it rests on the', SEAL_REST)),
		choice('turn', 'Goes on', SEAL_TURNS)
	],
	valve: [
		shown(stem),
		shown(field('length', 'Length')),
		shown(choice('groove', 'Groove', GROOVES)),
		choice('tip', 'Tip', TIPS),
		field('tipLength', 'Tip length'),
		shown(choice('material', 'Material', METALS)),
		shown(field('head', 'Head diameter')),
		field('hardFaced', 'Hard-faced', 'yes or no')
	],
	'lash cap': [shown(field('thickness', 'Thickness')), shown(stem)],
	rocker: [
		shown(field('ratio', 'Ratio', 'number')),
		shown(choice('nose', 'Nose', ROCKER_NOSES)),
		field('inertia', 'Inertia about the pivot', 'inertia'),
		field('arm', 'Pivot to valve tip')
	],
	lifter: [
		shown(choice('type', 'Type', LIFTERS)),
		shown(field('greatestOpenLoad', 'Greatest open load', 'load'))
	],
	cam: [
		shown(field('intake.lobe', 'Intake lobe lift')),
		field('intake.duration', 'Intake duration, degrees', 'number'),
		field('intake.opens', 'Intake opens, ° before top dead centre', 'number'),
		field('intake.closes', 'Intake closes, ° after bottom dead centre', 'number'),
		field('intake.lash', 'Intake lash'),
		shown(field('exhaust.lobe', 'Exhaust lobe lift')),
		field('exhaust.duration', 'Exhaust duration, degrees', 'number'),
		field('exhaust.opens', 'Exhaust opens, ° before bottom dead centre', 'number'),
		field('exhaust.closes', 'Exhaust closes, ° after top dead centre', 'number'),
		field('exhaust.lash', 'Exhaust lash')
	]
};

/** Every field of a sort of part, its name first, its note last. */
export const fieldsOf = (sort: PartSort): readonly PartField[] => [...NAMED, ...OWN[sort], NOTE];
