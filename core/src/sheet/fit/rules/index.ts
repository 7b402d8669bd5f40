/** All rules of compatibility (docs/trade/parts.md#compatibility), in the order in which they are shown. */
import { DUTY_RULES } from './duty.ts';
import { GRIP_RULES } from './grip.ts';
import { KIT_RULES } from './kit.ts';
import { ROOM_RULES } from './room.ts';
import { RULE_IDS, type Rule } from '../rule.ts';

export const RULES: readonly Rule[] = [
	...GRIP_RULES,
	...ROOM_RULES,
	...DUTY_RULES,
	...KIT_RULES
].toSorted((a, b) => RULE_IDS.indexOf(a.id) - RULE_IDS.indexOf(b.id));
