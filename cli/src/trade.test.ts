/** What the code cites of docs/trade is there, and nothing cites a page that is not in the repository. */
import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

const files = execFileSync('git', [
	'ls-files',
	'core',
	'words',
	'web',
	'cli',
	'gauges',
	'e2e',
	'scripts'
])
	.toString()
	.split('\n')
	.filter((name) => /\.(ts|svelte|js|mjs)$/.test(name) && existsSync(name));
const CITED = /docs\/trade\/([\w-]+\.md)(?:#([\w-]+))?/g;

/** A heading as its link names it. */
const anchorOf = (heading: string) =>
	heading
		.toLowerCase()
		.replaceAll(/[^\w\s-]/g, '')
		.trim()
		.replaceAll(/\s+/g, '-');

/** Why a page or a place of it is no place to send a reader to; null where it is there. */
function missing(page: string, anchor: string | undefined): string | null {
	const path = `docs/trade/${page}`;
	if (!existsSync(path)) return `${path} is not there`;
	const headings = [...readFileSync(path, 'utf8').matchAll(/^#+ (.*)$/gm)];
	if (!anchor || headings.some(([, heading]) => anchorOf(heading!) === anchor)) return null;
	return `${path} has no place “${anchor}”`;
}

describe('what the code says of the trade', () => {
	it('leads to a place in docs/trade', () => {
		const wrong = files.flatMap((file) =>
			[...readFileSync(file, 'utf8').matchAll(CITED)].flatMap(([, page, anchor]) => {
				const why = missing(page!, anchor);
				return why ? [`${file}: ${why}`] : [];
			})
		);
		expect(wrong).toEqual([]);
	});
	it('cites nothing that is not in the repository', () => {
		const own = 'cli/src/trade.test.ts';
		const cites = files.filter(
			(file) => file !== own && /handbook/i.test(readFileSync(file, 'utf8'))
		);
		expect(cites).toEqual([]);
	});
	it('is found missing where it is', () => {
		expect(missing('springs.md', 'uncertainty')).toBeNull();
		expect(missing('springs.md', 'nowhere')).not.toBeNull();
		expect(missing('nothing.md', undefined)).not.toBeNull();
	});
});
