import { describe, expect, it } from 'vitest';
import { hashed, matches, passwordProblem, pinProblem } from './passwords';
import { codeKey, newCode, newToken } from './tokens';

const problem = (password: string, name = 'runa') => passwordProblem(password, name)?.code ?? null;

describe('a password', () => {
	it('is long enough, of any characters, and not too long', () => {
		expect(problem('eleven char')).toBe('access.password-short');
		expect(problem('twelve chars')).toBeNull();
		expect(problem('æøå日本語 🔩🔩🔩 ok')).toBeNull();
		expect(problem('a lot of words '.repeat(5))).toBeNull();
		expect(problem('x'.repeat(64) + 'yz'.repeat(33))).toBe('access.password-long');
	});
	it('is on no list of common ones, names nobody, and is not one letter', () => {
		for (const easy of ['passwordpassword', 'PasswordPassword', 'aaaaaaaaaaaaaa', 'runa.runa.runa'])
			expect(problem(easy), easy).toBe('access.password-common');
	});
	it('is kept so that nobody reads it, and is known again', async () => {
		const kept = await hashed('four plain words');
		expect(kept).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
		expect(await hashed('four plain words')).not.toBe(kept);
		expect(await matches(kept, 'four plain words')).toBe(true);
		expect(await matches(kept, 'four plain word')).toBe(false);
		// Where nobody has the name, nothing is right, not even nothing.
		expect(await matches(null, '')).toBe(false);
	});
});

describe('a PIN', () => {
	it.each(['123', '123456789', '12a4', ''])('is of four to eight digits: %j is none', (pin) => {
		expect(pinProblem(pin)?.code).toBe('access.pin-digits');
	});
	it.each(['1111', '1234', '98765', '00000000'])('is not the first that is tried: %s', (pin) => {
		expect(pinProblem(pin)?.code).toBe('access.pin-common');
	});
	it('may be any other', () => {
		expect(pinProblem('7391')).toBeNull();
	});
});

describe('codes and tokens', () => {
	it('are never alike', () => {
		expect(new Set(Array.from({ length: 500 }, newToken)).size).toBe(500);
		expect(newToken()).toHaveLength(43);
	});
	it('are typed as they are read: small, without hyphens, with blanks', () => {
		const code = newCode();
		expect(code).toMatch(/^([A-HJ-NP-Z2-9]{4}-){3}[A-HJ-NP-Z2-9]{4}$/);
		for (const typed of [code.toLowerCase(), code.replaceAll('-', ''), ` ${code} `])
			expect(codeKey(typed)).toBe(codeKey(code));
	});
});
