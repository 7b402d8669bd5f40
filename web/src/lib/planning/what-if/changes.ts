import type { TargetMethod } from '@zinc-ledger/core';

/** What else one kind of valve might have, as typed; '' leaves it as it is. */
export interface Change {
	spring: string;
	retainer: string;
	lift: string;
	method: TargetMethod | '';
}
