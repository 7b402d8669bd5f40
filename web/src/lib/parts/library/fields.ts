/**
 * What is asked of a part of each type, in the order a machinist thinks: one
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
	type PartType
} from '@zinc-ledger/core';
import type { FieldType, FieldSpec } from '$lib/forms/flat';
import { labelsOf, type Labels } from '@zinc-ledger/words';

export interface PartField extends FieldSpec {
	/** Shown in the library's table. */
	readonly shown?: boolean;
}

const field = (path: string, label: string, type: FieldType = 'length'): PartField => ({
	path,
	label,
	type
});
const choice = (
	path: string,
	label: string,
	choices: readonly string[],
	of: keyof Labels
): PartField => ({ path, label, type: 'choice', choices, names: labelsOf(of) });
const shown = (one: PartField): PartField => ({ ...one, shown: true });

const NAMED: readonly PartField[] = [
	field('name', 'Name', 'text'),
	shown(field('maker', 'Maker', 'text')),
	field('batch', 'Batch', 'text'),
	field('mass', 'Mass', 'mass'),
	field('price', 'Price of one', 'number')
];
const NOTE = field('note', 'Note', 'text');
const angle = field('angle', 'Lock angle, degrees', 'number');
const stem = field('stem', 'Stem diameter');

const OWN: Readonly<Record<PartType, readonly PartField[]>> = {
	spring: [
		choice('source', 'Source', SOURCES, 'source'),
		shown(choice('build', 'Spring type', SPRING_BUILDS, 'springBuild')),
		field('progressive', 'Progressive winding', 'yes-no'),
		field('markedTop', 'Marked end up', 'yes-no'),
		shown(field('seat.height', 'Card height')),
		shown(field('seat.load', 'Load at that height', 'load')),
		field('open.height', 'Second height'),
		field('open.load', 'Load at the second height', 'load'),
		shown(field('rate', 'Rate', 'rate')),
		shown(field('bind', 'Coil bind height')),
		field('innerBind', 'Inner coil bind'),
		field('thirdBind', 'Third coil bind'),
		shown(field('maxLift', 'Max lift')),
		field('freeHeight', 'Free height'),
		field('outer.outside', 'Outer OD'),
		field('outer.wire', 'Outer, wire'),
		field('topOutside', 'Top OD'),
		field('inner.outside', 'Inner OD'),
		field('inner.wire', 'Inner, wire'),
		field('third.outside', 'Third OD'),
		field('third.wire', 'Third, wire'),
		field('paint', 'Paint marks', 'text'),
		field('requiresNew', 'Requires new seals and locks', 'yes-no')
	],
	retainer: [
		shown(angle),
		shown(field('step', 'Step')),
		field('faceUp', 'Which face up', 'text'),
		field('thirdStep', 'Step of the third spring'),
		field('underside', 'Underside against the landing', 'signed-length'),
		field('landingHeight', 'Landing against datum', 'signed-length'),
		shown(field('landings', 'Landings, outermost first', 'lengths')),
		field('height', 'Height'),
		shown(choice('material', 'Material', METALS, 'metal'))
	],
	locks: [
		shown(angle),
		shown(choice('bead', 'Bead', GROOVES, 'groove')),
		field('beadAt', 'Bead below the top'),
		shown(field('offset', 'Offset, + or −', 'signed-length')),
		shown(stem),
		choice('capSeat', 'Cap recess', CAP_SEATS, 'capRecess'),
		field('holdsTip', 'Supports the tip', 'yes-no'),
		field('minTip', 'Min tip length'),
		field('maxTip', 'Max tip length')
	],
	locator: [
		shown(field('thickness', 'Thickness')),
		field('faceUp', 'Which face up', 'text'),
		field('innerRise', 'Inner rise'),
		field('thirdRise', 'Rise of the third spring'),
		shown(choice('locatesOn', 'Locates on (ID/OD)', CENTRES, 'locatesOn')),
		field('outside', 'OD'),
		shown(field('spigot', 'Spigot')),
		shown(field('cup', 'Cup ID')),
		field('bore', 'Bore')
	],
	shim: [
		shown(field('thickness', 'Thickness')),
		shown(field('inside', 'ID')),
		shown(field('outside', 'OD'))
	],
	'follower-shim': [shown(field('thickness', 'Thickness')), shown(field('outside', 'OD'))],
	seal: [
		shown(stem),
		shown(field('outside', 'OD')),
		shown(field('height', 'Height above the guide')),
		shown(choice('bottomsOn', 'Bottoms on', SEAL_REST, 'bottomsOn')),
		choice('installOrder', 'Install order', SEAL_TURNS, 'installOrder')
	],
	valve: [
		shown(stem),
		shown(field('length', 'Length')),
		shown(choice('groove', 'Groove', GROOVES, 'groove')),
		choice('tip', 'Tip', TIPS, 'valveTip'),
		field('tipLength', 'Tip length'),
		shown(choice('material', 'Material', METALS, 'metal')),
		field('coating', 'Coating', 'text'),
		shown(field('head', 'Head diameter')),
		field('hardFaced', 'Hard-faced', 'yes-no')
	],
	'lash-cap': [shown(field('thickness', 'Thickness')), shown(stem)],
	rocker: [
		shown(field('ratio', 'Ratio', 'number')),
		shown(choice('nose', 'Nose', ROCKER_NOSES, 'rockerNose')),
		field('inertia', 'Inertia about the pivot', 'inertia'),
		field('arm', 'Pivot to valve tip')
	],
	lifter: [
		shown(choice('type', 'Type', LIFTERS, 'lifter')),
		shown(field('maxOpenLoad', 'Max open load', 'load'))
	],
	cam: [
		shown(field('intake.lobe', 'Intake lobe lift')),
		field('intake.duration', 'Intake duration, degrees', 'number'),
		field('intake.durationAt', 'Intake duration given at lobe lift'),
		field('intake.second.duration', 'Intake second duration, degrees', 'number'),
		field('intake.second.at', 'Intake second duration at lobe lift'),
		field(
			'intake.confirmedDuration',
			'Intake duration at 0.050 in, confirmed though unusual',
			'number'
		),
		field('intake.opens', 'Intake opens, ° before TDC', 'number'),
		field('intake.closes', 'Intake closes, ° after BDC', 'number'),
		field('intake.lash', 'Intake lash'),
		shown(field('exhaust.lobe', 'Exhaust lobe lift')),
		field('exhaust.duration', 'Exhaust duration, degrees', 'number'),
		field('exhaust.durationAt', 'Exhaust duration given at lobe lift'),
		field('exhaust.second.duration', 'Exhaust second duration, degrees', 'number'),
		field('exhaust.second.at', 'Exhaust second duration at lobe lift'),
		field(
			'exhaust.confirmedDuration',
			'Exhaust duration at 0.050 in, confirmed though unusual',
			'number'
		),
		field('exhaust.opens', 'Exhaust opens, ° before BDC', 'number'),
		field('exhaust.closes', 'Exhaust closes, ° after TDC', 'number'),
		field('exhaust.lash', 'Exhaust lash')
	]
};

/** Every field of a type of part, its name first, its note last. */
export const fieldsOf = (type: PartType): readonly PartField[] => [...NAMED, ...OWN[type], NOTE];
