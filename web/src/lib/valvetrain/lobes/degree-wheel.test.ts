import { expect, it } from 'vitest';
import { mm, type WheelRound } from '@zinc-ledger/core';
import { EMPTY_ROUND, storedRound } from './degree-wheel';

const round: WheelRound = { start: -20, at: 'valve', passes: [[mm(0), mm(1)], [mm(0)]] };

it('a degree-wheel round continues where it was left', () => {
	expect(storedRound(JSON.stringify(round))).toEqual(round);
});
it.each([
	null,
	'',
	'{}',
	'{"start":0,"at":"lobe","passes":[[1],["x"]]}',
	'{"start":0,"passes":[[],[]]}'
])('a degree-wheel round starts empty from %j', (text) =>
	expect(storedRound(text)).toEqual(EMPTY_ROUND)
);
