/** What valves, seats and chambers are held against where nobody says otherwise. */
import type { LengthUnit } from '../../foundation/units/index.ts';
import type { InspectedLimits } from './schema/inspected-limits.ts';

const VALVE = {
	in: {
		valveLength: { apart: '0.010 in' },
		tipLength: { apart: '0.010 in' },
		stemDiameter: { apart: '0.001 in' },
		seatWidth: { apart: '0.012 in' },
		seatRunOut: { max: '0.002 in' },
		valveMargin: { min: '0.031 in' },
		stemHeight: { apart: '0.015 in' },
		headBelowDeck: { apart: '0.010 in' }
	},
	mm: {
		valveLength: { apart: '0.25 mm' },
		tipLength: { apart: '0.25 mm' },
		stemDiameter: { apart: '0.02 mm' },
		seatWidth: { apart: '0.30 mm' },
		seatRunOut: { max: '0.05 mm' },
		valveMargin: { min: '0.80 mm' },
		stemHeight: { apart: '0.40 mm' },
		headBelowDeck: { apart: '0.25 mm' }
	}
} as const;
/** Room of a stem in its guide: exhausts run hotter and want more. */
const STEM_ROOM = {
	in: { intake: '0.004 in', exhaust: '0.005 in' },
	mm: { intake: '0.10 mm', exhaust: '0.13 mm' }
} as const;

/** The careful usual, in the unit the shop works in; also what stands where a job says nothing. */
export const usualInspectedLimits = (unit: LengthUnit) =>
	({
		intake: { ...VALVE[unit], stemClearance: { max: STEM_ROOM[unit].intake } },
		exhaust: { ...VALVE[unit], stemClearance: { max: STEM_ROOM[unit].exhaust } },
		chamber: { chamberVolume: { apart: '0.5 cc' } }
	}) satisfies InspectedLimits;
