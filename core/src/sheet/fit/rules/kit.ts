/** Whether a kit is used with what its paper asks for (docs/trade/parts.md#kits). */
import { KIT_ASKS, type KitAsk } from '../../../parts/kit/index.ts';
import { message } from '../../../foundation/message/index.ts';
import { fails, passes, type Rule } from '../rule.ts';

declare module '../../../foundation/message/message.ts' {
	interface Messages {
		'fit.no-kit': null;
		'fit.kit-refuses': { readonly kit: string; readonly place: KitAsk; readonly part: string };
		'fit.kit-asks': {
			readonly kit: string;
			readonly place: KitAsk;
			readonly asks: string;
			/** Null where none is chosen. */
			readonly has: string | null;
		};
		'fit.kit-as-asked': { readonly kit: string };
	}
}

interface Named {
	readonly id?: string | undefined;
	readonly name: string;
}
const isSame = (a: Named, b: Named) =>
	(a.id !== undefined && a.id === b.id) || a.name.toLowerCase() === b.name.toLowerCase();

const asTheKitAsks: Rule<'kit-parts'> = {
	id: 'kit-parts',
	severity: 'watch',
	fixableBy: ['seal', 'locator'],
	check: ({ parts }) => {
		const { kit } = parts;
		if (!kit || parts.spring?.id !== kit.spring) return passes(message('fit.no-kit'));
		for (const { place, ...one } of kit.refused ?? []) {
			const part = parts[place];
			if (part && isSame(part, one))
				return fails(message('fit.kit-refuses', { kit: kit.name, place, part: part.name }), 'stop');
		}
		for (const place of KIT_ASKS) {
			const asks = kit[place];
			const part = parts[place];
			if (asks && !(part && isSame(part, asks)))
				return fails(
					message('fit.kit-asks', {
						kit: kit.name,
						place,
						asks: asks.name,
						has: part?.name ?? null
					})
				);
		}
		return passes(message('fit.kit-as-asked', { kit: kit.name }));
	}
};

export const KIT_RULES = [asTheKitAsks] as const;
