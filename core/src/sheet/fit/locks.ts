/** Which lock sets can take the place of another (docs/trade/springs.md, docs/trade/parts.md#compatibility). */
import type { StationParts } from '../../job/document/index.ts';
import { lengthOf } from '../../foundation/units/index.ts';

type Locks = NonNullable<StationParts['locks']>;

/** Stems are told apart by more than this, millimetres. */
const SAME_STEM = 0.1;

/** Whether another lock set fits the same stem and retainer: same angle, bead and stem, both known. */
export const canReplaceLocks = (own: Locks, other: Locks): boolean =>
	own.name !== other.name &&
	own.angle === other.angle &&
	own.bead === other.bead &&
	own.stem !== undefined &&
	other.stem !== undefined &&
	Math.abs(lengthOf(own.stem) - lengthOf(other.stem)) < SAME_STEM;
