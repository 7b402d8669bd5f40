/**
 * What there is to say, apart from the words: a stable code, and the quantities
 * that go with it in SI units. The words are in a catalogue of their own
 * (`words/`), one for each language; nothing here, no branch, no key and no
 * stored value knows any of them.
 *
 * Every room adds its own codes to {@link Messages} where it says them:
 *
 * @example
 * declare module './message.ts' {
 *   interface Messages { 'seal.too-near': { readonly by: Millimetres } }
 * }
 * message('seal.too-near', { by: mm(0.4) })
 */
export interface Messages {
	/** Things that one figure needs and has not got; each of `of` is a code of its own. */
	readonly needs: { readonly of: readonly Message[] };
	/** Several things said in a row. */
	readonly list: { readonly of: readonly Message[] };
	/** A name that somebody gave: a part, a head, a set of springs. */
	readonly name: { readonly name: string };
}

export type Code = keyof Messages;
/** Codes that have nothing to go with them. */
export type PlainCode = { [C in Code]: Messages[C] extends null ? C : never }[Code];

export type Message<C extends Code = Code> = {
	[K in C]: Messages[K] extends null
		? { readonly code: K }
		: { readonly code: K; readonly params: Messages[K] };
}[C];

/** A need: what is missing before a figure can be told. */
export type NeedCode = Extract<Code, `need.${string}`>;
export type Need = Message<NeedCode>;

export function message<C extends PlainCode>(code: C): Message<C>;
export function message<C extends Exclude<Code, PlainCode>>(
	code: C,
	params: Messages[C]
): Message<C>;
export function message(code: Code, params?: unknown): Message {
	return (params === undefined ? { code } : { code, params }) as Message;
}

/** Whether a message says what is missing. */
export const isNeed = (one: Message): one is Need => one.code.startsWith('need.');

/** Several needs as one message: itself where it is the only one. */
export const needsOf = (needs: readonly Need[]): Message => message('needs', { of: needs });

/** What a message says is missing: itself, or those that it lists. */
export const needsIn = (one: Message): readonly Need[] =>
	one.code === 'needs'
		? (one as Message<'needs'>).params.of.filter(isNeed)
		: isNeed(one)
			? [one]
			: [];

/**
 * A message as a key: its code and its quantities to three places of their SI
 * unit. What is keyed by it holds only while these stay as they are.
 */
export function keyOf({ code, ...rest }: Message): string {
	if (!('params' in rest)) return code;
	const text = JSON.stringify(rest.params, (_, value: unknown) =>
		typeof value === 'number' ? Number(value.toFixed(3)) : value
	);
	return `${code} ${text}`;
}
