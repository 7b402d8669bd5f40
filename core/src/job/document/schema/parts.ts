/** The parts that a station is built of. */
import { z } from 'zod';
import {
	LashCap,
	Lifter,
	Locator,
	Locks,
	Retainer,
	Rocker,
	Seal,
	SpringCard,
	Valve
} from '../../../parts/part/schema.ts';
import { Size } from '../../../foundation/units/schema.ts';

/** The parts that a station is built of; a station may have its own in place of its kind's. */
export const stationParts = {
	valve: Valve.optional(),
	spring: SpringCard.optional(),
	retainer: Retainer.extend({
		/** What was taken off its underside. */
		groundOff: Size.default('0 mm')
	}).optional(),
	locks: Locks.optional(),
	locator: Locator.optional(),
	seal: Seal.optional(),
	lashCap: LashCap.optional(),
	rocker: Rocker.optional(),
	lifter: Lifter.optional()
};
export const StationParts = z.strictObject(stationParts);

export type StationParts = z.infer<typeof StationParts>;
