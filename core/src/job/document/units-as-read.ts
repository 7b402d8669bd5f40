/** The units in which a job was measured: who did not choose others reads it in these. */
import {
	INCH_POUND,
	measureOf,
	METRIC,
	unitOf,
	type LoadUnit,
	type Units
} from '../../foundation/units/index.ts';
import type { Job } from './schema.ts';

/** Quantities that are loads. */
const LOAD = /^\S+ (lbf|N|kgf)$/;

/**
 * Lengths in the unit in which most of them were read, else in that of the lifts and the card;
 * loads in the unit of those that were read, else of the spring's card, else in what goes with the lengths.
 *
 * @example unitsAsRead(job) // { length: 'mm', load: 'N' } where a head was read in millimetres
 */
export function unitsAsRead({ readings, setup }: Job): Units {
	const kinds = Object.values(setup.kinds);
	const texts = readings.map(({ read }) => read);
	const lengths = texts.filter((text) => measureOf(text) === 'length').map(unitOf);
	const given = kinds.flatMap(({ lift }) =>
		lift ? [unitOf(lift.type === 'valve' ? lift.valve : lift.lobe)] : []
	);
	const lengthsGiven = lengths.length > 0 ? lengths : given;
	const length =
		lengthsGiven.filter((unit) => unit === 'mm').length * 2 > lengthsGiven.length
			? ('mm' as const)
			: 'in';
	const load = [...texts, ...kinds.flatMap(({ spring }) => spring?.seat.load ?? [])]
		.map((text) => LOAD.exec(text)?.[1] as LoadUnit | undefined)
		.find((unit) => unit !== undefined);
	return { length, load: load ?? (length === 'mm' ? METRIC : INCH_POUND).load };
}
