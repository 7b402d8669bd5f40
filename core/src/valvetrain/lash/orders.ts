/**
 * Orders in which lash is set on an engine, with where to turn the crankshaft
 * to (docs/trade/valvetrain.md#lash). Angles are degrees of the crankshaft, 0 to 720, 0 where
 * cylinder 1 is at firing top dead centre. A valve may be set only while it is
 * closed and its follower is on the base circle.
 */
import { message, type Message } from '../../foundation/message/index.ts';
import type { Kind } from '../../foundation/station/index.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'crank.firing-tdc': { readonly cylinder: number };
		'crank.overlap-tdc': null;
		'crank.exhaust-opening': { readonly cylinder: number };
		'crank.intake-closing': { readonly cylinder: number };
		'crank.after-firing-tdc': { readonly cylinder: number; readonly degrees: number };
	}
}

const CYCLE = 720;

/** When the valves move, in crankshaft degrees about the dead centres, as cam cards write it. */
export interface CamEvents {
	/** Before top dead centre of the gas exchange. */
	readonly intakeOpens: number;
	/** After bottom dead centre. */
	readonly intakeCloses: number;
	/** Before bottom dead centre. */
	readonly exhaustOpens: number;
	/** After top dead centre of the gas exchange. */
	readonly exhaustCloses: number;
}

/** A long cam, for engines whose cam is not known: what is closed with it is closed with any usual one. */
export const LONG_CAM: CamEvents = {
	intakeOpens: 60,
	intakeCloses: 95,
	exhaustOpens: 95,
	exhaustCloses: 60
};
/** Where usual cams have the middle of their lift, degrees from the top dead centre of the gas exchange. */
const USUAL_CENTRE = 110;

/** What is known of when a lobe lifts, crankshaft degrees as a cam card has them. */
export interface LobeTiming {
	readonly opens?: number | undefined;
	readonly closes?: number | undefined;
	readonly duration?: number | undefined;
}

/** Where the events of a lobe are from. */
export type TimingSource = 'card' | 'duration' | 'long-cam';

/** Where the events of a lobe are from: its card, its duration alone, or an assumed long cam. */
export const timingSource = ({ opens, closes, duration }: LobeTiming): TimingSource =>
	opens !== undefined && closes !== undefined
		? 'card'
		: duration !== undefined
			? 'duration'
			: 'long-cam';

/**
 * Events of a cam: as its card has them; where only a duration is known, with
 * the lift in the usual place; where nothing is, a long cam's.
 *
 * @returns degrees of the crankshaft: openings before, closings after their dead centres
 */
export function eventsOf({ intake, exhaust }: Readonly<Record<Kind, LobeTiming>>): CamEvents {
	const [intakeOpens, intakeCloses] = nearDeadCentres(intake, intake.opens, intake.closes) ?? [
		LONG_CAM.intakeOpens,
		LONG_CAM.intakeCloses
	];
	const [exhaustCloses, exhaustOpens] = nearDeadCentres(exhaust, exhaust.closes, exhaust.opens) ?? [
		LONG_CAM.exhaustCloses,
		LONG_CAM.exhaustOpens
	];
	return { intakeOpens, intakeCloses, exhaustOpens, exhaustCloses };
}

/**
 * The events of a lobe nearest to the top dead centre of the gas exchange and
 * to bottom dead centre; null where nothing is known.
 */
function nearDeadCentres(
	{ duration }: LobeTiming,
	top: number | undefined,
	bottom: number | undefined
): readonly [top: number, bottom: number] | null {
	if (top !== undefined && bottom !== undefined) return [top, bottom];
	if (duration === undefined) return null;
	return [duration / 2 - USUAL_CENTRE, duration / 2 + USUAL_CENTRE - 180];
}

const turned = (angle: number) => ((angle % CYCLE) + CYCLE) % CYCLE;

/** When a valve leaves its seat and comes back, degrees after its cylinder fires. */
export const opening = (events: CamEvents, kind: Kind): { from: number; to: number } =>
	kind === 'exhaust'
		? { from: 180 - events.exhaustOpens, to: 360 + events.exhaustCloses }
		: { from: 360 - events.intakeOpens, to: 540 + events.intakeCloses };

/**
 * Whether a valve is closed at a crankshaft angle, and stays so for `margin`
 * degrees either way.
 *
 * @param fires angle at which its cylinder is at firing top dead centre
 */
export function isClosed(
	angle: number,
	kind: Kind,
	fires: number,
	events: CamEvents,
	margin = 0
): boolean {
	const { from, to } = opening(events, kind);
	const since = turned(angle - fires - (from - margin));
	return since >= to - from + 2 * margin;
}

/**
 * At which angle each cylinder fires, cylinder 1 at 0.
 *
 * @param firingOrder cylinders as they fire
 * @param firingAngles crankshaft degrees at which each of them fires; even distances when left out
 * @returns degrees of 0 up to 720, by cylinder
 */
export function firingAngleOf(
	firingOrder: readonly number[],
	firingAngles?: readonly number[]
): ReadonlyMap<number, number> {
	const step = CYCLE / firingOrder.length;
	const fires = new Map(
		firingOrder.map((cylinder, i) => [cylinder, firingAngles?.[i] ?? i * step])
	);
	const first = fires.get(1) ?? 0;
	return new Map([...fires].map(([cylinder, angle]) => [cylinder, turned(angle - first)]));
}

export const SETTING_ORDERS = ['firing-order', 'opening-and-closing', 'two-positions'] as const;
export type SettingOrder = (typeof SETTING_ORDERS)[number];

export interface ValveOfCylinder {
	readonly label: string;
	readonly cylinder: number;
	readonly kind: Kind;
}

export interface CrankPosition {
	/** Where the crankshaft stands. */
	readonly angle: number;
	/** How far it was turned on from the stop before; 0 at the first. */
	readonly turn: number;
	/** How to know the position. */
	readonly position: Message;
	/** The valves to set here. */
	readonly valves: readonly string[];
}

/** How near to moving a valve may be when it is set, degrees. */
const MARGIN = 15;
/** An intake valve is nearly closed so many degrees before it is. */
const NEARLY = 15;

/**
 * The list of one order for one engine: every valve once, each on its base
 * circle, the crankshaft turned one way only.
 *
 * @param firingOrder cylinders as they fire
 * @param firingAngles crankshaft degrees at which each of them fires; even distances when left out
 */
export function settingStops(
	order: SettingOrder,
	firingOrder: readonly number[],
	valves: readonly ValveOfCylinder[],
	events: CamEvents,
	firingAngles?: readonly number[]
): CrankPosition[] {
	const fires = firingAngleOf(firingOrder, firingAngles);
	const firesAt = (cylinder: number) => fires.get(cylinder)!;
	const of = (cylinder: number, kind?: Kind) =>
		valves
			.filter((valve) => valve.cylinder === cylinder && (!kind || valve.kind === kind))
			.map(({ label }) => label);
	const fromOne = firingOrder.toSorted((a, b) => firesAt(a) - firesAt(b));
	const onBase = (stops: readonly Omit<CrankPosition, 'turn'>[]) =>
		withTurns(offBaseElsewhere(stops, valves, firesAt, events));

	switch (order) {
		case 'firing-order':
			return onBase(
				fromOne.map((cylinder) => ({
					angle: firesAt(cylinder),
					position: message('crank.firing-tdc', { cylinder }),
					valves: of(cylinder)
				}))
			);
		case 'opening-and-closing':
			return onBase(
				fromOne
					.flatMap((cylinder) => [
						{
							angle: turned(firesAt(cylinder) + 180 - events.exhaustOpens),
							position: message('crank.exhaust-opening', { cylinder }),
							valves: of(cylinder, 'intake')
						},
						{
							angle: turned(firesAt(cylinder) + 540 + events.intakeCloses - NEARLY),
							position: message('crank.intake-closing', { cylinder }),
							valves: of(cylinder, 'exhaust')
						}
					])
					.toSorted((a, b) => a.angle - b.angle)
			);
		case 'two-positions':
			return onBase(positions(fromOne, firesAt, valves, events));
	}
}

/**
 * The stops with every valve on its base circle where it is set: one that is not,
 * or that no stop sets, gets a stop of its own in the middle of its closed time.
 */
function offBaseElsewhere(
	stops: readonly Omit<CrankPosition, 'turn'>[],
	valves: readonly ValveOfCylinder[],
	firesAt: (cylinder: number) => number,
	events: CamEvents
): Omit<CrankPosition, 'turn'>[] {
	const of = new Map(valves.map((valve) => [valve.label, valve]));
	const isOnBase = (label: string, angle: number) => {
		const { kind, cylinder } = of.get(label)!;
		return isClosed(angle, kind, firesAt(cylinder), events);
	};
	const kept = stops.map((stop) => ({
		...stop,
		valves: stop.valves.filter((label) => isOnBase(label, stop.angle))
	}));
	const set = new Set(kept.flatMap(({ valves: here }) => here));
	const own = valves
		.filter(({ label }) => !set.has(label))
		.map(({ label, kind, cylinder }) => {
			const { from, to } = opening(events, kind);
			const after = turned((from + to) / 2 + CYCLE / 2);
			return {
				angle: turned(firesAt(cylinder) + after),
				position: message('crank.after-firing-tdc', {
					cylinder,
					degrees: Math.round(after)
				}),
				valves: [label]
			};
		});
	return [...kept.filter(({ valves: here }) => here.length > 0), ...own].toSorted(
		(a, b) => a.angle - b.angle
	);
}

/** Cylinder 1 at firing top dead centre, one whole turn on, and whatever stop is still wanted after that. */
function positions(
	cylinders: readonly number[],
	firesAt: (cylinder: number) => number,
	valves: readonly ValveOfCylinder[],
	events: CamEvents
): Omit<CrankPosition, 'turn'>[] {
	let left = [...valves];
	const stops: Omit<CrankPosition, 'turn'>[] = [];
	const stopAt = (angle: number, position: Message) => {
		const now = left.filter(({ cylinder, kind }) =>
			isClosed(angle, kind, firesAt(cylinder), events, MARGIN)
		);
		left = left.filter((valve) => !now.includes(valve));
		if (now.length > 0) stops.push({ angle, position, valves: now.map(({ label }) => label) });
	};
	stopAt(0, message('crank.firing-tdc', { cylinder: 1 }));
	stopAt(360, message('crank.overlap-tdc'));
	for (const cylinder of cylinders)
		if (left.some((valve) => valve.cylinder === cylinder))
			stopAt(firesAt(cylinder), message('crank.firing-tdc', { cylinder }));
	return stops.toSorted((a, b) => a.angle - b.angle);
}

const withTurns = (stops: readonly Omit<CrankPosition, 'turn'>[]): CrankPosition[] =>
	stops.map((stop, i) => ({ ...stop, turn: i === 0 ? 0 : stop.angle - stops[i - 1]!.angle }));

/** Firing orders in common use, to choose from; the engine's own is on its plate or in its maker's book. */
export const USUAL_FIRING_ORDERS: Readonly<Record<string, readonly (readonly number[])[]>> = {
	'inline 1': [[1]],
	'inline 2': [[1, 2]],
	'inline 3': [
		[1, 2, 3],
		[1, 3, 2]
	],
	'inline 4': [
		[1, 3, 4, 2],
		[1, 2, 4, 3]
	],
	'inline 5': [[1, 2, 4, 5, 3]],
	'inline 6': [
		[1, 5, 3, 6, 2, 4],
		[1, 4, 2, 6, 3, 5]
	],
	'V 6': [
		[1, 2, 3, 4, 5, 6],
		[1, 4, 2, 5, 3, 6],
		[1, 6, 5, 4, 3, 2]
	],
	'V 8': [
		[1, 8, 4, 3, 6, 5, 7, 2],
		[1, 5, 4, 2, 6, 3, 7, 8]
	],
	'flat 4': [
		[1, 3, 2, 4],
		[1, 4, 3, 2]
	],
	'flat 6': [
		[1, 6, 2, 4, 3, 5],
		[1, 4, 5, 2, 3, 6]
	]
};
