import { Secret } from 'otpauth';
import { describe, expect, it } from 'vitest';
import { isSecret, offer, stepOf } from './second-factor';

/** The secret of RFC 6238, appendix B, and its codes; of eight digits there, the last six here. */
const SECRET = Secret.fromUTF8('12345678901234567890').base32;
const at = (seconds: number) => seconds * 1000;

describe('a second factor', () => {
	it.each([
		[59, '287082', 1],
		[1_111_111_109, '081804', 37_037_036],
		[1_234_567_890, '005924', 41_152_263],
		[2_000_000_000, '279037', 66_666_666]
	])('at %i s the code is %s', (seconds, code, step) => {
		expect(stepOf(SECRET, code, 0, at(seconds))).toBe(step);
	});

	it('takes the code before and after, and none further off', () => {
		const taken = (seconds: number) => stepOf(SECRET, '081804', 0, at(seconds));
		expect([-60, -30, 0, 30, 60].map((off) => taken(1_111_111_109 + off) !== null)).toEqual([
			false,
			true,
			true,
			true,
			false
		]);
	});

	it('takes each code once, and none before one that was used', () => {
		expect(stepOf(SECRET, '081804', 37_037_036, at(1_111_111_109))).toBeNull();
		expect(stepOf(SECRET, '081804', 37_037_035, at(1_111_111_109))).toBe(37_037_036);
	});

	it.each(['', '28708', '2870821', 'abcdef', '０８１８０４'])('“%s” is no code', (code) => {
		expect(stepOf(SECRET, code, 0, at(59))).toBeNull();
	});

	it('a space in the middle does no harm', () => {
		expect(stepOf(SECRET, '287 082', 0, at(59))).toBe(1);
	});

	it('is offered under the shop and the user name, and another each time', async () => {
		const [one, other] = await Promise.all([offer('wren'), offer('wren')]);
		expect(isSecret(one.secret)).toBe(true);
		expect(one.secret).not.toBe(other.secret);
		expect(one.picture).toContain('<svg');
		expect(isSecret('A2')).toBe(false);
	});
});
