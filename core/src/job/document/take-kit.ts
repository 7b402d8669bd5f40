/** A kit put onto a job: its parts for both kinds, and what it asks for (docs/trade/parts.md#kits). */
import { KIT_ASKS, KIT_PLACES, type Kit, type KitTaken } from '../../parts/kit/index.ts';
import type { LibraryPart } from '../../parts/part/index.ts';
import { KINDS, type Kind } from '../../foundation/station/index.ts';
import type { KindSetup, Setup } from './schema.ts';

/**
 * The set-up with the parts of a kit in place of those that stood in its places, new and
 * not ground; what the kit does not fill stays as it was.
 *
 * @param parts of the library, by id; one that is not there is left as it was
 */
export function withKit(setup: Setup, kit: Kit, parts: ReadonlyMap<string, LibraryPart>): Setup {
	const { intake, exhaust } = setup.kinds;
	const of = (kind: Kind, before: KindSetup) => kindWithKit(before, kit, kind, parts);
	return { ...setup, kinds: { intake: of('intake', intake), exhaust: of('exhaust', exhaust) } };
}

/** One kind's parts with those of a kit in place: new ones. */
export function kindWithKit(
	before: KindSetup,
	kit: Kit,
	kind: Kind,
	parts: ReadonlyMap<string, LibraryPart>
): KindSetup {
	const fitted: Record<string, unknown> = {};
	for (const place of KIT_PLACES) {
		const part = parts.get(kit.kinds[kind][place] ?? '')?.part;
		if (part) fitted[place] = place === 'retainer' ? { ...part, groundOff: '0 mm' } : part;
	}
	const kept = { ...before };
	delete kept.reused;
	delete kept.kit;
	const taken = kitTaken(kit, kind, parts);
	return { ...kept, ...fitted, ...(taken && { kit: taken }) };
}

/** What a kind keeps of the kit; null where the kit has no spring for it. */
function kitTaken(kit: Kit, kind: Kind, parts: ReadonlyMap<string, LibraryPart>): KitTaken | null {
	const { spring } = kit.kinds[kind];
	if (spring === undefined) return null;
	const asks = KIT_ASKS.flatMap((place) => {
		const part = parts.get(kit.kinds[kind][place] ?? '')?.part;
		return part ? [[place, { id: part.id, name: part.name }]] : [];
	});
	return {
		id: kit.id,
		name: kit.name,
		spring,
		...(Object.fromEntries(asks) as Pick<KitTaken, 'seal' | 'locator'>),
		...(kit.refused.length > 0 && { refused: kit.refused })
	};
}

/** The kit that a job's parts were taken from, where one was; of either kind. */
export const kitOf = ({ kinds }: Setup): KitTaken | undefined =>
	KINDS.map((kind) => kinds[kind].kit).find((kit) => kit !== undefined);
