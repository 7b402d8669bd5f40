/** All rules of compatibility in order (docs/trade/parts.md#compatibility): F1 to F25 compare parts, F26 to F28 are policies on grinding and on parts that have run, F29 is about kits, F30 and F31 about locks at the tip and under load. */
import { DUTY_RULES } from './duty.ts';
import { GRIP_RULES } from './grip.ts';
import { KIT_RULES } from './kit.ts';
import { ROOM_RULES } from './room.ts';
import type { Rule } from '../rule.ts';

export const RULES: readonly Rule[] = [
	...GRIP_RULES,
	...ROOM_RULES,
	...DUTY_RULES,
	...KIT_RULES
].toSorted((a, b) => Number(a.id.slice(1)) - Number(b.id.slice(1)));
