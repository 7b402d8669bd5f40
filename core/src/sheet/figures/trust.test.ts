import { describe, expect, it } from 'vitest';
import type { Source } from '../../foundation/verdict/index.ts';
import type { KindSheet } from './kind.ts';
import { trustOf } from './trust.ts';

const shared = (
	spring: Source | null,
	bind: readonly Source[] = spring ? [spring] : [],
	lift: Source | null = 'card'
) => ({ sources: { spring, card: 'card', lift, bind, target: [] } }) as unknown as KindSheet;

describe('what a figure stands on', () => {
	it.each([
		['seatLoad', 'tested', true, 'tested'],
		['seatLoad', 'tested', false, 'set'],
		['seatLoad', 'card', true, 'card'],
		['openLoad', 'data-sheet', false, 'card'],
		['bindMargin', 'recalled', false, 'hearsay']
	] as const)('%s by a spring that is %s, own %s: %s', (figure, source, own, trust) => {
		expect(trustOf(shared(source), figure, own)).toBe(trust);
	});
	it('a lift that somebody recalls makes hearsay of what it is taken from, not of the seat load', () => {
		const kind = shared('tested', ['tested'], 'customer');
		expect(trustOf(kind, 'openLoad', true)).toBe('hearsay');
		expect(trustOf(kind, 'bindMargin', true)).toBe('hearsay');
		expect(trustOf(kind, 'seatLoad', true)).toBe('tested');
	});
	it('a bind of which one coil is the card’s is the card’s', () => {
		expect(trustOf(shared('tested', ['tested', 'card']), 'bindMargin', true)).toBe('card');
	});
	it('is nothing without a spring, and for figures that stand on none', () => {
		expect(trustOf(shared(null), 'seatLoad', false)).toBeNull();
		expect(trustOf(shared(null), 'bindMargin', false)).toBeNull();
		expect(trustOf(shared('card'), 'height', false)).toBeNull();
	});
});
