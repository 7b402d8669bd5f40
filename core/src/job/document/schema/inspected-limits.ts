/** What the valves, seats and chambers of a head are held against; shop defaults that a job can change. */
import { z } from 'zod';
import { Size, Volume } from '../../../foundation/units/schema.ts';

/** Worn beyond least or most is a stop; further apart from the middle of its kind is to be looked at. */
const range = (of: typeof Size | typeof Volume) =>
	z.strictObject({ min: of.optional(), max: of.optional(), apart: of.optional() }).optional();
const Valve = z
	.strictObject({
		valveLength: range(Size),
		tipLength: range(Size),
		stemDiameter: range(Size),
		stemClearance: range(Size),
		seatWidth: range(Size),
		seatRunOut: range(Size),
		valveMargin: range(Size),
		stemHeight: range(Size),
		headBelowDeck: range(Size),
		valveLift: range(Size)
	})
	.optional();

export const InspectedLimits = z.strictObject({
	intake: Valve,
	exhaust: Valve,
	chamber: z.strictObject({ chamberVolume: range(Volume) }).optional()
});
export type InspectedLimits = z.infer<typeof InspectedLimits>;
