/** A card beside the spring in the hand, as figures. */
import { mm, newtons, newtonsPerMm, type Evidence } from '@zinc-ledger/core';
import type { Bench } from '$lib/bench/bench.svelte';
import { byPercent } from '$lib/ui/words';

type Shows = Pick<Bench, 'length' | 'load' | 'rate'>;

/** "128 → 118, −7.8 %": the card, what was found, and by how much; lengths by a length. */
export function evidenceText({ what, card, hand }: Evidence, bench: Shows): string {
	if (what === 'load-at-card-height')
		return `${bench.load(newtons(card))} → ${bench.load(newtons(hand))}, ${byPercent(hand / card - 1)}`;
	if (what === 'rate')
		return `${bench.rate(newtonsPerMm(card))} → ${bench.rate(newtonsPerMm(hand))}, ${byPercent(hand / card - 1)}`;
	const by = bench.length(mm(Math.abs(hand - card)));
	return `${bench.length(mm(card))} → ${bench.length(mm(hand))}, ${hand < card ? '−' : '+'}${by}`;
}
