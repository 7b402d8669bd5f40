import { describe, expect, it } from 'vitest';
import { bodyLimitOf } from '$lib/access/body-limits';
import { bodyWithin } from './body-within';

const LIMIT = { bytes: 1000, fields: 10, values: 10, isFile: false };
const URLENCODED = 'application/x-www-form-urlencoded';

/** A request whose body comes in pieces; what was taken of them is counted. */
function sending(pieces: readonly string[], type = URLENCODED) {
	let taken = 0;
	const body = new ReadableStream<Uint8Array>({
		pull(controller) {
			const piece = pieces[taken++];
			if (piece === undefined) controller.close();
			else controller.enqueue(new TextEncoder().encode(piece));
		}
	});
	const request = new Request('http://shop/', {
		method: 'POST',
		headers: { 'content-type': type },
		body,
		duplex: 'half'
	} as RequestInit);
	return { request, taken: () => taken };
}

describe('a body', () => {
	it('within its limit is there as it came', async () => {
		const read = await bodyWithin(sending(['a=1&', 'b=2']).request, LIMIT);
		expect(read.ok && [...(await read.request.formData())]).toEqual([
			['a', '1'],
			['b', '2']
		]);
	});
	it('is read no further than its limit', async () => {
		const { request, taken } = sending(Array.from({ length: 1000 }, () => 'x'.repeat(400)));
		expect(await bodyWithin(request, LIMIT)).toEqual({ ok: false, why: 'too-large' });
		expect(taken()).toBeLessThan(6);
	});
	it('that says it is longer is not read at all', async () => {
		const { request, taken } = sending(['a=1']);
		const announced = new Request(request, { headers: { 'content-length': '15000000' } });
		expect(await bodyWithin(announced, LIMIT)).toEqual({ ok: false, why: 'too-large' });
		expect(taken()).toBeLessThan(2);
	});
	it.each([
		[URLENCODED, 'a&'.repeat(11)],
		['application/json', `[${'1,'.repeat(11)}1]`],
		['multipart/form-data; boundary=Xy', '--Xy\r\n\r\n'.repeat(11)]
	])('of %s with too many parts is refused while it arrives', async (type, text) => {
		const { request, taken } = sending([text, ...Array.from({ length: 50 }, () => 'x')], type);
		expect(await bodyWithin(request, LIMIT)).toEqual({ ok: false, why: 'too-many-parts' });
		expect(taken()).toBeLessThan(4);
	});
	it('is reported as broken off when the sender stops', async () => {
		const body = new ReadableStream({ pull: (controller) => controller.error(new Error('gone')) });
		const request = new Request('http://shop/', {
			method: 'POST',
			body,
			duplex: 'half'
		} as RequestInit);
		expect(await bodyWithin(request, LIMIT)).toEqual({ ok: false, why: 'broken-off' });
	});
	it('of a file waits until others were answered, and is refused where too many wait', async () => {
		const ends: (() => void)[] = [];
		const slow = () =>
			new Request('http://shop/', {
				method: 'POST',
				body: new ReadableStream({
					start: (controller) => void ends.push(() => controller.close())
				}),
				duplex: 'half'
			} as RequestInit);
		const all = Array.from({ length: 40 }, () => bodyWithin(slow(), { ...LIMIT, isFile: true }));
		const refused = await Promise.all(all.slice(34));
		expect(refused).toEqual(Array(6).fill({ ok: false, why: 'busy' }));
		for (const end of ends) end();
		let [read, inMemory, max] = [0, 0, 0];
		await Promise.all(
			all.map(async (one) => {
				const got = await one;
				if (!got.ok) return;
				max = Math.max(max, ++inMemory);
				await new Promise((answered) => setTimeout(answered, 1));
				inMemory--;
				read++;
				got.done();
			})
		);
		expect([read, max]).toEqual([34, 2]);
	});
});

describe('how much may be sent', () => {
	const asked = (route: string, method = 'POST', search = '') => ({
		route,
		method,
		url: new URL(`http://shop/x${search}`)
	});
	const bytes = (...how: Parameters<typeof asked>) => bodyLimitOf(asked(...how)).bytes;
	it('is little by whom nobody knows, and megabytes for files alone', () => {
		expect(bytes('/sign-in')).toBe(4096);
		expect(bytes('/join')).toBe(4096);
		expect(bytes('/api/jobs/[id=uuid]/readings')).toBe(256 * 1024);
		expect(bytes('/parts', 'POST', '?/import')).toBe(16 * 1024 * 1024);
		expect(bytes('/parts', 'POST', '?/stock')).toBe(256 * 1024);
		expect(bytes('/api/jobs/[id=uuid]/setup', 'PUT')).toBe(2 * 1024 * 1024);
		expect(bytes('/constructor')).toBe(256 * 1024);
		expect(bodyLimitOf({ route: null, method: 'POST', url: new URL('http://shop/') }).bytes).toBe(
			4096
		);
	});
});
