import { describe, expect, it } from 'vitest';
import { stepOf, strengthOf } from './strength';

describe('how hard a password is to guess', () => {
	it.each([
		['password1234', 'easy'],
		['qwertyuiop12', 'easy'],
		['aaaaaaaaaaaa', 'at-once'],
		['four plain words in a row', 'very-hard']
	])('%s: %s', async (password, strength) => {
		expect(await strengthOf(password)).toBe(strength);
	});

	it('what is made of one’s own name is easier', async () => {
		const plain = stepOf(await strengthOf('wrenfield-m9'));
		expect(stepOf(await strengthOf('wrenfield-m9', ['wrenfield']))).toBeLessThan(plain);
	});
});
