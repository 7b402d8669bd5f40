/** How valves were found to move over engine speed, kept with what that was worked out from. */
import { z } from 'zod';
import { issue } from '../../../foundation/message/index.ts';
import { Id, Moment } from '../../../foundation/units/schema.ts';
import { StationLabel } from './station.ts';

/** In rpm of the crankshaft, beyond any engine's. */
const Speed = z.number().positive().max(100_000);

/** The motion of one valve. */
export const KeptMotion = z.strictObject({
	label: StationLabel,
	/** The lowest speed at which the valve leaves its cam or its seat, were its train the softest it may be; null where it does at none that was looked at. */
	lost: Speed.nullable(),
	/** The lowest speed by which it does whatever its train is; null where it does not. */
	surely: Speed.nullable(),
	/** The highest speed that was looked at. */
	to: Speed,
	/** What it was worked out from: it counts only while that is still so. */
	basis: z.array(z.number()).min(1).max(64)
});

/** Motions worked out together; the newest of a station counts. */
export const Motions = z.strictObject({
	id: Id,
	stations: z.array(KeptMotion).min(1, issue('field.required')).max(80),
	person: Id,
	at: Moment
});

export type KeptMotion = z.infer<typeof KeptMotion>;
export type Motions = z.infer<typeof Motions>;
