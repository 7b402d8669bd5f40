/** Gas against valves: what boost and back pressure take of a seat's force, and what opening an exhaust costs (docs/trade/valvetrain.md#control). */
import {
	newtons,
	type Kilopascals,
	type Millimetres,
	type Newtons
} from '../../foundation/units/index.ts';

const areaOf = (diameter: Millimetres) => (Math.PI * diameter ** 2) / 4;
/** 1 kPa on 1 mm² is a thousandth of a newton. */
const forceOf = (pressure: number, diameter: Millimetres) => (pressure / 1000) * areaOf(diameter);

/**
 * What holds a valve shut while pressure pushes on its head: `F − p · π/4 · d²`. Source: docs/trade/valvetrain.md#control.
 *
 * @param head diameter that the pressure acts on, in mm
 * @param pressure difference across the valve, in kPa
 * @returns N; below zero the valve is pushed off its seat
 * @example netSeatForce(newtons(400), mm(40), 200 as Kilopascals) // 148.7
 */
export const netSeatForce = (
	seatLoad: Newtons,
	head: Millimetres,
	pressure: Kilopascals
): Newtons => newtons(seatLoad - forceOf(pressure, head));

/**
 * The pressure that lifts a closed valve off its seat: the net seat force is nothing there.
 *
 * @returns kPa, port less cylinder
 */
export const liftOffPressure = (seatLoad: Newtons, head: Millimetres): Kilopascals =>
	((seatLoad / areaOf(head)) * 1000) as Kilopascals;

/** A cylinder, as far as its volume over the crankshaft's angle goes. */
export interface Cylinder {
	readonly bore: Millimetres;
	readonly stroke: Millimetres;
	/** Between the rod's eyes. */
	readonly rod: Millimetres;
	/** Compression ratio. */
	readonly ratio: number;
}

/**
 * Volume above the piston, in mm³.
 *
 * @param angle of the crankshaft after firing top dead centre, in degrees
 */
export function volumeAt({ bore, stroke, rod, ratio }: Cylinder, angle: number): number {
	const radians = (angle * Math.PI) / 180;
	const crank = stroke / 2;
	const down =
		crank +
		rod -
		(crank * Math.cos(radians) + Math.sqrt(rod ** 2 - (crank * Math.sin(radians)) ** 2));
	return areaOf(bore) * (stroke / (ratio - 1) + down);
}

/** Exponent of the expansion, and where the peak is taken to lie unless somebody says otherwise. */
export const EXPANSION = { exponent: 1.3, peakAt: 15 } as const;

/**
 * Pressure left in a cylinder as its exhaust valve opens, by polytropic expansion from the peak.
 *
 * @param peak pressure in kPa, absolute
 * @param opens angle in degrees of the crankshaft after firing top dead centre
 * @returns kPa, absolute
 */
export function pressureAtOpening(
	cylinder: Cylinder,
	peak: number,
	opens: number,
	{ exponent, peakAt }: { readonly exponent: number; readonly peakAt: number } = EXPANSION
): number {
	return peak * (volumeAt(cylinder, peakAt) / volumeAt(cylinder, opens)) ** exponent;
}

/** Of the air outside, in kPa. */
export const ATMOSPHERE = 101.3;

/** The same, for a valve that opens so many degrees of the crankshaft before bottom dead centre, as a cam card has it. */
export const pressureAtExhaustOpening = (
	cylinder: Cylinder,
	peak: number,
	beforeBottom: number
): number => pressureAtOpening(cylinder, peak, 180 - beforeBottom);

export interface OpeningForce {
	/** Besides what the spring takes, at the valve. */
	readonly valve: Newtons;
	readonly pushrod: Newtons;
	/** What the rocker's pivot carries of it. */
	readonly pivot: Newtons;
}

/**
 * What an exhaust valve has to be opened against: `(p_cyl − p_port)·π/4·d²`, by the ratio at
 * the pushrod, and both together at the pivot.
 *
 * @param cylinder and `port` pressures in kPa, both absolute
 * @param head diameter in mm
 */
export function openingForce(
	cylinder: number,
	port: number,
	head: Millimetres,
	ratio: number
): OpeningForce {
	const force = forceOf(cylinder - port, head);
	return {
		valve: newtons(force),
		pushrod: newtons(force * ratio),
		pivot: newtons(force * (1 + ratio))
	};
}
