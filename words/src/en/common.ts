/** Turns of phrase that several sentences share. */
import { length } from '../phrase.ts';

export const and = (texts: readonly string[]) => texts.join(' and ');
export const plural = (count: number, one: string, many = `${one}s`) =>
	`${count} ${count === 1 ? one : many}`;
export const orUnknown = (of: Parameters<typeof length>[0] | null) =>
	of === null ? '?' : length(of);
export const faced = (up: string | null) => (up === null ? '' : ` (${up})`);
