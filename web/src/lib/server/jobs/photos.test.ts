import { execFile } from 'node:child_process';
import { promisify } from 'node:util';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { message } from '@zinc-ledger/core';
import { makeSmall } from './photos.ts';

const blank = (width: number, height: number) =>
	sharp({ create: { width, height, channels: 3, background: '#567' } });

/**
 * What making some photos small at once takes at most, in MB, in a process of its own: the other
 * tests of this one come and go in its memory.
 */
async function mostTaken(sent: Buffer, count: number): Promise<number> {
	const script = `
		import { makeSmall } from '${new URL('./photos.ts', import.meta.url).href}';
		const sent = Buffer.from(await new Response(process.stdin).arrayBuffer());
		await makeSmall(sent);
		const before = process.memoryUsage().rss;
		let max = before;
		const watch = setInterval(() => (max = Math.max(max, process.memoryUsage().rss)), 5);
		const made = await Promise.all(Array.from({ length: ${count} }, () => makeSmall(sent)));
		clearInterval(watch);
		if (made.some((one) => one.width !== 1600)) throw new Error('not made');
		console.log((max - before) / 2 ** 20);`;
	const run = promisify(execFile)(process.execPath, [
		'--import=tsx',
		'--input-type=module',
		'--eval',
		script
	]);
	run.child.stdin!.end(sent);
	return Number((await run).stdout);
}

describe('photos that unpack to much', () => {
	it('eight progressive ones at once take the room of one', async () => {
		const sent = await blank(6000, 4200).jpeg({ progressive: true, quality: 10 }).toBuffer();
		expect(sent.length).toBeLessThan(800_000);
		expect(await mostTaken(sent, 8)).toBeLessThan(300);
	});
	it('one of too many megapixels is refused before it is decoded', async () => {
		const sent = await blank(9000, 7000).jpeg({ quality: 10 }).toBuffer();
		expect(await makeSmall(sent)).toEqual({
			problem: message('photo.unpacks-too-large')
		});
	});
});
