/** What a train that gives is made of, and what its motion comes to. SI throughout: m, s, N, kg. */
import type { Kilograms } from '../../foundation/units/index.ts';
import type { RigidTrain } from './rigid-limit.ts';

/** A train that gives. */
export interface CompliantTrain extends RigidTrain {
	/** Of all between cam and valve, at the valve, in N/m. */
	readonly stiffness: number;
	/** In N·s/m. */
	readonly damping: number;
	readonly seat: { readonly stiffness: number; readonly damping: number };
	/** How the spring's own coils swing; left out, they are taken to follow at once. */
	readonly surge?: Surge;
}

/** The first mode of a coil between retainer and seat. */
export interface Surge {
	/** Of its coils that move; the train's mass holds a third of it. */
	readonly mass: Kilograms;
	/** In Hz. */
	readonly frequency: number;
	/** As a part of the critical: what a damper or an interference takes. */
	readonly damping: number;
}

export interface Motion {
	/** How long the train was parted above {@link PARTED_ABOVE}, in s; 0 where it never was. */
	readonly parted: number;
	/** Greatest height above cam and seat after the seat was first met, in m. */
	readonly bounce: number;
	/** Velocity of the hardest landing on the seat, in m/s; null where there was none within the cycle. */
	readonly seatingVelocity: number | null;
	/** Greatest force of the train on the valve, in N. */
	readonly maxForce: number;
	/** Energy of valve and springs less what it was, and what the cam put in, in J: for holding one against the other. */
	readonly energy: { readonly gained: number; readonly put: number };
}
