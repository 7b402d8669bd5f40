/** All rules of fit (docs/trade/parts.md#compatibility), in the order in which they are shown. A new rule is one entry in a file beside this one, its words in words/src/en/fit.ts, and a test. */
import { DUTY_RULES } from './duty.ts';
import { GRIP_RULES } from './grip.ts';
import { KIT_RULES } from './kit.ts';
import { ROOM_RULES } from './room.ts';

export const RULES = [...GRIP_RULES, ...ROOM_RULES, ...DUTY_RULES, ...KIT_RULES] as const;

export type RuleId = (typeof RULES)[number]['id'];
