import { describe, expect, it } from 'vitest';
import { formTexts } from './body';

const sent = (body: string) =>
	new Request('http://shop/', {
		method: 'POST',
		headers: { 'content-type': 'application/x-www-form-urlencoded' },
		body
	});

describe('a form', () => {
	it('is the texts of its fields', async () => {
		expect(await formTexts(sent('a=1&b.c=2'))).toEqual({ a: '1', 'b.c': '2' });
	});
	it.each(['__proto__=1', 'setup.__proto__=1', 'kinds.intake.__proto__.rate=1'])(
		'with a field named as what every object has is refused: %s',
		async (body) => {
			await expect(formTexts(sent(body))).rejects.toMatchObject({ status: 400 });
		}
	);
	it('with a field that is no text is refused', async () => {
		await expect(formTexts(sent('a=%00'))).rejects.toMatchObject({ status: 400 });
	});
});
