import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { RollingFile } from './rolling-file.ts';

let folder: string;
beforeEach(() => {
	folder = mkdtempSync(join(tmpdir(), 'zinc-log-'));
});
afterEach(() => {
	vi.useRealTimers();
	rmSync(folder, { recursive: true });
});

describe('the log', () => {
	it('rolls over by size and keeps the last few', () => {
		const log = new RollingFile(join(folder, 'app.log'), 100);
		for (let i = 0; i < 60; i++) log.write(`{"line":${i},"of":"sixty"}\n`);
		expect(readdirSync(folder).toSorted()).toEqual([
			'app.log',
			'app.log.1',
			'app.log.2',
			'app.log.3'
		]);
		const all = readdirSync(folder).map((name) => readFileSync(join(folder, name), 'utf8'));
		for (const text of all) expect(text.length).toBeLessThan(200);
		expect(readFileSync(join(folder, 'app.log'), 'utf8')).toContain('"line":59');
	});
	it('drops lines where nothing can be written, goes on, and says how many', () => {
		vi.useFakeTimers();
		// A device that is always full stands for the disk.
		const full = new RollingFile('/dev/full');
		for (let i = 0; i < 3; i++) expect(() => full.write('line\n')).not.toThrow();
		const path = join(folder, 'not yet', 'app.log');
		const log = new RollingFile(path);
		for (let i = 0; i < 3; i++) log.write('lost\n');
		mkdirSync(join(folder, 'not yet'));
		log.write('too soon\n');
		vi.advanceTimersByTime(2000);
		log.write('back\n');
		expect(readFileSync(path, 'utf8')).toBe('{"level":40,"msg":"4 lines dropped"}\nback\n');
	});
});
