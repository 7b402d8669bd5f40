/**
 * A rule of fit: what two parts must be to each other (handbook §6). Rules are
 * data with one small function each; what they are asked about is a context,
 * the parts of one kind of station or of a station that has its own.
 */
import type { Phrase } from '../units/phrase.ts';
import type { Millimetres, Newtons } from '../units/quantity.ts';
import type { Kind } from '../station/layout.ts';
import type { Lift } from '../lift/lift.ts';
import type { StationPart } from '../part/words.ts';
import type { KindSetup, Setup } from '../document/schema.ts';

export type Severity = 'stop' | 'watch' | 'note';

/** A spring that stands somewhere in the same head. */
export interface SpringUse {
	readonly name: string;
	readonly batch: string | undefined;
	readonly used: boolean;
}

export interface FitContext {
	readonly kind: Kind;
	readonly parts: KindSetup;
	readonly setup: Setup;
	readonly lift: Lift | null;
	/** Load at full lift: with the spring at its aim, or at a station where it is more. */
	readonly openLoad: Newtons | null;
	/** Stacks of shims in the build, as length texts. */
	readonly shims: readonly (readonly string[])[];
	/** Least tip height of the stations in question, lash cap included. */
	readonly tipHeight: Millimetres | null;
	readonly springsOfHead: readonly SpringUse[];
}

export type Check =
	| { readonly outcome: 'trips'; readonly compared: Phrase; readonly severity?: Severity }
	| { readonly outcome: 'passes'; readonly compared: Phrase }
	| { readonly outcome: 'missing'; readonly missing: readonly string[] };

export interface Rule {
	/** F1 to F25 of handbook §6; F26 to F28 from its §3 and §11. */
	readonly id: string;
	readonly title: string;
	readonly severity: Severity;
	/** Why it matters, in a sentence. */
	readonly why: string;
	/** Parts of which another one could put it right, the likeliest first. */
	readonly mends: readonly StationPart[];
	readonly check: (context: FitContext) => Check;
}

export const passes = (...compared: Phrase): Check => ({ outcome: 'passes', compared });
export const trips = (compared: Phrase, severity?: Severity): Check =>
	severity ? { outcome: 'trips', compared, severity } : { outcome: 'trips', compared };
export const tripsIf = (bad: boolean, compared: Phrase): Check => ({
	outcome: bad ? 'trips' : 'passes',
	compared
});

type Given<T> = { readonly [K in keyof T]: NonNullable<T[K]> };

/**
 * Goes on with the check only when every value is there; else says, by their
 * names, which are missing.
 *
 * @example given({ 'angle of the locks': undefined }, …) // missing: ['angle of the locks']
 */
export function given<T extends Record<string, unknown>>(
	values: T,
	check: (all: Given<T>) => Check
): Check {
	let missing: string[] | null = null;
	for (const name in values) if (values[name] == null) (missing ??= []).push(name);
	return missing ? { outcome: 'missing', missing } : check(values as Given<T>);
}
