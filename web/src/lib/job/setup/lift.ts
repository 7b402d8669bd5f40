/** The lift as it is told at take-in: at the valve, at the lobe times a ratio, or by a cam of the library. */
import {
	message,
	readEntry,
	type Cam,
	type Kind,
	type KindSetup,
	type LengthUnit,
	type Message
} from '@zinc-ledger/core';

type Lift = NonNullable<KindSetup['lift']>;

interface Known {
	readonly unit: LengthUnit;
	/** Who says so; a cam's own card is a card. */
	readonly source: Lift['source'];
	readonly cams: readonly Cam[];
	/** Of the engine's rockers, where they are known. */
	readonly ratio?: number | undefined;
}

export type LiftRead =
	| {
			readonly ok: true;
			readonly lift: Readonly<Record<Kind, Lift>>;
			/** The cam that was named. */
			readonly cam?: Cam;
	  }
	| { readonly ok: false; readonly problem: Message };

/**
 * Reads one entry of lift for both kinds.
 *
 * @example readLift('0.360 × 1.5', known) // lobe 0.360 in, ratio 1.5
 * @returns null for an empty one: it can wait
 */
export function readLift(typed: string, known: Known): LiftRead | null {
	const text = typed.trim();
	if (text === '') return null;
	const [, before = text, after] = /^(.*\S)\s*[×x*]\s*(\d(?:[.,]\d+)?)$/i.exec(text) ?? [];
	const ratio = after === undefined ? known.ratio : Number(after.replace(',', '.'));
	const cam = known.cams.find(({ name }) => name.toLowerCase() === before.toLowerCase());
	if (cam) {
		if (ratio === undefined) return { ok: false, problem: message('lift.which-ratio') };
		const lobe = (kind: Kind): Lift => ({
			type: 'lobe',
			lobe: cam[kind].lobe,
			ratio,
			source: 'card'
		});
		return { ok: true, cam, lift: { intake: lobe('intake'), exhaust: lobe('exhaust') } };
	}
	const entry = readEntry(before, known.unit);
	if (!entry.ok) return entry;
	const { source } = known;
	const lift: Lift =
		after === undefined
			? { type: 'valve', valve: entry.text, source }
			: { type: 'lobe', lobe: entry.text, ratio: ratio!, source };
	return { ok: true, lift: { intake: lift, exhaust: lift } };
}

/**
 * Both kinds with their lift. A lash on the cam's card waits for the set-up: the card does not
 * say here if it is set cold or hot, and that is not for the program to guess.
 */
export const withLift = (
	{ intake, exhaust }: Readonly<Record<Kind, KindSetup>>,
	{ lift }: LiftRead & { ok: true }
): Record<Kind, KindSetup> => ({
	intake: { ...intake, lift: lift.intake },
	exhaust: { ...exhaust, lift: lift.exhaust }
});
