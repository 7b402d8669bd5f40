/** The parts library: find, add, copy, retire, stock, files in and out, photos. */
import { deflateSync } from 'node:zlib';
import sharp from 'sharp';
import Papa from 'papaparse';
import { beforeAll, describe, expect, it } from 'vitest';
import { query } from './support/app.ts';
import { until } from './support/app.ts';
import { Key } from './support/browser.ts';
import { visit } from './support/visit.ts';
import { form } from './support/pages/form.ts';
import { parts } from './support/pages/parts.ts';

const at = visit('demo');
let job = '';
beforeAll(async () => {
	await at.browser.workAs('Idun Moss');
	job = await at.browser.openJob('2409');
});

const library = () => query(at.app, 'select id, type, doc, stock, retired from part order by id');
async function download(path: string): Promise<string> {
	return await (await fetch(at.app.url + path)).text();
}
async function takeIn(name: string, text: string) {
	const { browser } = at;
	await browser.go('/parts?type=locks');
	await browser.run(
		`const [name, text] = arguments;
		const input = document.querySelector('input[type=file]');
		const data = new DataTransfer();
		data.items.add(new File([text], name));
		input.files = data.files;
		input.dispatchEvent(new Event('change', { bubbles: true }));`,
		name,
		text
	);
}

describe('the demo’s library', () => {
	it('has at least 12 springs, 8 retainers, 8 lock sets, 6 seals and 8 valves', async () => {
		const rows = (await query(
			at.app,
			'select type, count(*)::int as n from part group by type'
		)) as { type: string; n: number }[];
		const count = Object.fromEntries(rows.map(({ type, n }) => [type, n]));
		expect(count.spring).toBeGreaterThanOrEqual(12);
		expect(count.retainer).toBeGreaterThanOrEqual(8);
		expect(count.locks).toBeGreaterThanOrEqual(8);
		expect(count.seal).toBeGreaterThanOrEqual(6);
		expect(count.valve).toBeGreaterThanOrEqual(8);
	});
	it('is searched by any field, word by word', async () => {
		const { browser } = at;
		await browser.go('/parts?type=spring&find=yellow+beehive');
		expect(await browser.text('tbody')).toContain('Fennick N-40');
		expect(await browser.text('tbody')).not.toContain('D-37');
	});
});

describe('one part', () => {
	it('is refused at the field, nothing typed is lost, and then kept', async () => {
		const { browser } = at;
		await browser.go('/parts/new?type=retainer');
		await parts(browser).partName('Trial retainer');
		await parts(browser).angle('ten');
		await browser.fill('landings', '1045; 705');
		await form(browser).save();
		await browser.sees('Must be a number such as 10');
		expect(await (await browser.field('name')).getAttribute('value')).toBe('Trial retainer');
		await parts(browser).angle('10');
		await form(browser).save();
		await browser.sees('1.045 in; 0.705 in');
	});
	it('is copied, retired, and never offered again', async () => {
		const { browser } = at;
		await browser.click('Copy Trial retainer', 'a');
		await browser.sees('Save');
		await form(browser).save();
		await browser.sees('Trial retainer, copy');
		await browser.click('Retire Trial retainer', 'button');
		await browser.sees('retired');
		await browser.go(`${job}/parts`);
		const offered = await browser.offered('intake: Retainer');
		expect(offered).toContain('Trial retainer, copy');
		expect(offered).not.toContain('Trial retainer');
	});
	it('is put on the shelf and taken off, never below nothing', async () => {
		const { browser } = at;
		await browser.go('/parts?type=seal&find=5/16');
		await browser.click('Adjust stock: Pellow stem seal 5/16', 'button');
		await browser.press('-40', Key.TAB, 'sold', Key.ENTER);
		await browser.sees('Not enough in stock: 40 of Pellow stem seal 5/16 required');
		await browser.fill('How many, + in or − out', '-2');
		await browser.fill('Why', 'job 2409');
		await browser.press(Key.ENTER);
		await until(async () => (await browser.text('tbody')).includes(' 30 '));
		const moves = await query(
			at.app,
			"select change, reason from stock_move where reason <> 'counted at first'"
		);
		expect(moves).toEqual([{ change: -2, reason: 'job 2409' }]);
	});
});

describe('files', () => {
	it('CSV: out, through a strict reader, in again, nothing changed', async () => {
		const before = await library();
		for (const type of [
			'spring',
			'retainer',
			'locks',
			'locator',
			'shim',
			'follower-shim',
			'seal',
			'valve',
			'lash-cap',
			'rocker',
			'lifter',
			'cam'
		]) {
			const csv = await download(`/parts/file?type=${encodeURIComponent(type)}&as=csv`);
			const strict = Papa.parse<string[]>(csv, { delimiter: ',', newline: '\r\n' });
			expect(strict.errors, type).toEqual([]);
			const rows = strict.data.filter((row) => row.length > 1);
			expect(new Set(rows.map((row) => row.length)).size, type).toBe(1);
			await takeIn(`${type}.csv`, Papa.unparse(rows, { newline: '\r\n', quotes: true }));
			await at.browser.sees(`${rows.length - 1} parts imported.`);
		}
		expect(await library()).toEqual(before);
	});
	it('JSON: out and in again, nothing changed', async () => {
		const before = await library();
		await takeIn('parts.json', await download('/parts/file'));
		await at.browser.sees(`${before.length} parts imported.`);
		expect(await library()).toEqual(before);
	});
	it.each([
		[
			'type,name,offset\nlocks,Short,0.010 ft\nlocks,,0.010 in\nboots,Hat,1',
			['line 2, offset: Must be a length', 'line 3, name', 'line 4, type: Must be one of spring']
		],
		['colour,size\nred,4', ['line 1: the first line must name the columns']],
		['', ['choose a parts file first']],
		['{"format":"zinc-ledger/parts","version":1,"parts":[{"sort":"locks"', ['it was cut off']],
		[
			'{"format":"zinc-ledger/parts","version":9,"parts":[]}',
			['version: was written by a newer program']
		]
	])('reports what is wrong in %j by line and changes nothing', async (text, problems) => {
		const before = await library();
		await takeIn('wrong.csv', text);
		for (const one of problems) await at.browser.sees(one);
		expect(await library()).toEqual(before);
	});
});

describe('photos', () => {
	const send = async (bytes: Uint8Array, type = 'image/png') => {
		const cookie = await at.browser.driver.manage().getCookie('zinc-person');
		const response = await fetch(`${at.app.url}/api${job}/photos?station=1Ia`, {
			method: 'POST',
			headers: { cookie: `zinc-person=${cookie.value}`, 'content-type': type },
			body: bytes as BodyInit
		});
		return { status: response.status, text: await response.text() };
	};
	const stored = async () => (await query(at.app, 'select 1 from photo')).length;

	/** A PNG that says it is huge: 40,000 × 40,000 pixels of nothing, a few kilobytes long. */
	function pictureBomb(): Uint8Array {
		const crcTable = Array.from({ length: 256 }, (_, n) => {
			let c = n;
			for (let k = 0; k < 8; k++) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1;
			return c >>> 0;
		});
		const crc = (bytes: Buffer) => {
			let c = 0xffffffff;
			for (const byte of bytes) c = crcTable[(c ^ byte) & 0xff]! ^ (c >>> 8);
			return (c ^ 0xffffffff) >>> 0;
		};
		const chunk = (type: string, data: Buffer) => {
			const body = Buffer.concat([Buffer.from(type), data]);
			const out = Buffer.alloc(8 + body.length);
			out.writeUInt32BE(data.length, 0);
			body.copy(out, 4);
			out.writeUInt32BE(crc(body), 4 + body.length);
			return out;
		};
		const header = Buffer.alloc(13);
		header.writeUInt32BE(40_000, 0);
		header.writeUInt32BE(40_000, 4);
		header.set([1, 0, 0, 0, 0], 8);
		return Buffer.concat([
			Buffer.from([137, 80, 78, 71, 13, 10, 26, 10]),
			chunk('IHDR', header),
			chunk('IDAT', deflateSync(Buffer.alloc(5001 * 2000))),
			chunk('IEND', Buffer.alloc(0))
		]);
	}

	it('are made small and lose where they were taken', async () => {
		const photo = await sharp({
			create: { width: 3000, height: 2000, channels: 3, background: '#889' }
		})
			.withExif({ IFD0: { Copyright: 'somebody' }, IFD3: { GPSLatitude: '51/1 0/1 0/1' } })
			.jpeg()
			.toBuffer();
		expect((await sharp(photo).metadata()).exif).toBeDefined();
		const { status, text } = await send(photo, 'image/jpeg');
		expect(status).toBe(200);
		const { id } = JSON.parse(text) as { id: string };
		const kept = await sharp(
			Buffer.from(await (await fetch(`${at.app.url}/photos/${id}`)).arrayBuffer())
		).metadata();
		expect([kept.format, kept.width, kept.height, kept.exif]).toEqual([
			'webp',
			1600,
			1067,
			undefined
		]);
		await at.browser.go(`${job}/inspect`);
		await at.browser.find(`img[src="/photos/${id}?small"]`);
	});
	it.each([
		['a script named .png', () => Buffer.from('#!/bin/sh\nrm -rf /\n'), 415, 'Unsupported image'],
		[
			'a drawing with a script in it',
			() => Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>'),
			415,
			'Unsupported image'
		],
		['a picture bomb', pictureBomb, 415, 'more than 60 megapixels'],
		[
			'half a picture',
			() => Buffer.from('ffd8ffe000104a46494600', 'hex'),
			415,
			'Unsupported image'
		],
		['14 MB', () => Buffer.alloc(14 * 1024 * 1024), 413, 'over 12 MB']
	])('%s is refused with a clear word', async (_, bytes, status, words) => {
		const before = await stored();
		const answer = await send(bytes());
		expect(answer.status).toBe(status);
		expect(answer.text).toContain(words);
		expect(await stored()).toBe(before);
	});
	it('200 MB is refused before it is read, in the browser and at the server', async () => {
		const before = await stored();
		const { browser } = at;
		await browser.run(
			`const input = document.querySelector('input[type=file]');
			const data = new DataTransfer();
			data.items.add(new File([new Uint8Array(200 * 1024 * 1024)], 'huge.png', { type: 'image/png' }));
			input.files = data.files;
			input.dispatchEvent(new Event('change', { bubbles: true }));`
		);
		await browser.sees('huge.png is over 12 MB: make it smaller first.');
		const answer = await send(Buffer.alloc(200 * 1024 * 1024)).catch((error: Error) => ({
			status: 0,
			text: error.message
		}));
		expect([413, 0]).toContain(answer.status);
		expect(await stored()).toBe(before);
		expect((await fetch(`${at.app.url}/healthz`)).status).toBe(200);
	});
});
