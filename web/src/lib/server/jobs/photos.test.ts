import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { message } from '@zinc-ledger/core';
import { makeSmall } from './photos.ts';

const blank = (width: number, height: number) =>
	sharp({ create: { width, height, channels: 3, background: '#567' } });

describe('photos that unpack to much', () => {
	it('eight progressive ones at once take the room of one', async () => {
		const sent = await blank(6000, 4200).jpeg({ progressive: true, quality: 10 }).toBuffer();
		expect(sent.length).toBeLessThan(800_000);
		await makeSmall(sent);
		const before = process.memoryUsage().rss;
		let max = before;
		const watch = setInterval(() => (max = Math.max(max, process.memoryUsage().rss)), 5);
		const made = await Promise.all(Array.from({ length: 8 }, () => makeSmall(sent)));
		clearInterval(watch);
		for (const one of made) expect(one).toMatchObject({ width: 1600 });
		expect((max - before) / 2 ** 20).toBeLessThan(300);
	});
	it('one of too many megapixels is refused before it is decoded', async () => {
		const sent = await blank(9000, 7000).jpeg({ quality: 10 }).toBuffer();
		expect(await makeSmall(sent)).toEqual({
			problem: message('photo.unpacks-too-large')
		});
	});
});
