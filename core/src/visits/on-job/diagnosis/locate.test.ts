import { expect, it } from 'vitest';
import type { EvidenceCode } from '../../diagnosis/index.ts';
import { mayFollow } from './locate.ts';

it.each([
	['4E', '4E', true],
	['1E', '4E', false],
	[null, '4E', true]
] as const)('a piston mark at %s after locks pulled at %s: %s', (mark, locks, follows) => {
	const found = { 'piston-mark': 1, 'locks-pulled-in': 1 };
	const at = new Map<EvidenceCode, string[]>([
		['piston-mark', mark ? [mark] : []],
		['locks-pulled-in', [locks]]
	]);
	expect(mayFollow('valve-met-piston', 'locks-pulled', { found, at })).toBe(follows);
});
