/**
 * A rule of fit: what two parts must be to each other (docs/trade/parts.md#compatibility). Rules are
 * data with one small function each; what they are asked about is a context,
 * the parts of one kind of station or of a station that has its own.
 */
import { message, type Message, type Need } from '../../foundation/message/index.ts';
import type { Millimetres, Newtons } from '../../foundation/units/index.ts';
import type { Kind } from '../../foundation/station/index.ts';
import type { Lift } from '../../valvetrain/lift/index.ts';
import type { StationPart } from '../../parts/part/index.ts';
import type { KindSetup, Setup } from '../../job/document/index.ts';

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

/** What the rules ask for and parts may not say. */
export const FIT_INPUTS = [
	'valve.stem',
	'locks.stem',
	'seal.stem',
	'guide.stem',
	'lash-cap.stem',
	'locks.bead',
	'valve.groove',
	'locks.angle',
	'retainer.angle',
	'valve.material',
	'valve.tip',
	'locks.holds-tip',
	'locks.cap-recess',
	'valve.tip-length',
	'locks.min-tip',
	'locks.max-tip',
	'retainer.maker',
	'locks.maker',
	'lash-cap.maker',
	'rocker.nose',
	'tip-height',
	'spring.innermost-coil',
	'seal.outside',
	'spring.build',
	'spring.outside',
	'locator.locates-on',
	'locator.cup',
	'locator.spigot',
	'pocket.diameter',
	'guide.boss',
	'spring.coils',
	'retainer.landings',
	'head.material',
	'spring.max-lift',
	'open-load',
	'lift',
	'lifter.max-load',
	'spring',
	'spring.batch',
	'engine-speed',
	'head.seat-insert',
	'valve.facing',
	'spring.requires-new',
	'shim.diameters'
] as const;
export type FitInput = (typeof FIT_INPUTS)[number];
type FitNeeds = { readonly [I in FitInput as `need.${I}`]: null };

declare module '../../foundation/message/message.ts' {
	// eslint-disable-next-line @typescript-eslint/no-empty-object-type
	interface Messages extends FitNeeds {}
}

export type RuleCheck =
	| { readonly outcome: 'fails'; readonly compared: Message; readonly severity?: Severity }
	| { readonly outcome: 'passes'; readonly compared: Message }
	| { readonly outcome: 'missing'; readonly missing: readonly Need[] };

/** A rule of fit (docs/trade/parts.md#compatibility). */
export interface Rule<Id extends string = string> {
	/** What it compares. Files keep it with what was accepted: it never changes its meaning. */
	readonly id: Id;
	readonly severity: Severity;
	/** Parts of which another one could put it right, the likeliest first. */
	readonly fixableBy: readonly StationPart[];
	readonly check: (context: FitContext) => RuleCheck;
}

/** The rule is kept: what was compared, with its figures. */
export const passes = (compared: Message): RuleCheck => ({ outcome: 'passes', compared });

/** The rule is broken: what was compared, and how grave it is where that is not the rule's own severity. */
export const fails = (compared: Message, severity?: Severity): RuleCheck =>
	severity ? { outcome: 'fails', compared, severity } : { outcome: 'fails', compared };

/** Broken where `bad`, else kept; the same figures are shown either way. */
export const failsIf = (bad: boolean, compared: Message): RuleCheck => ({
	outcome: bad ? 'fails' : 'passes',
	compared
});

type Given<T> = { readonly [K in keyof T]: NonNullable<T[K]> };

/**
 * Goes on with the check only when every value is there; else says which are missing.
 *
 * @example given({ 'locks.angle': undefined }, …) // missing: [{ code: 'need.locks.angle' }]
 */
export function given<T extends Partial<Record<FitInput, unknown>>>(
	values: T,
	check: (all: Given<T>) => RuleCheck
): RuleCheck {
	let missing: Need[] | null = null;
	for (const name in values)
		if (values[name] == null) (missing ??= []).push(message(`need.${name as FitInput}`));
	return missing ? { outcome: 'missing', missing } : check(values as Given<T>);
}
