import { describe, expect, it } from 'vitest';
import { back } from './back';

const from = (path: string) =>
	back(new URL(`http://shop.test/bench?back=${encodeURIComponent(path)}`));

describe('the way back', () => {
	it('leads within the application', () => {
		expect(from('/jobs/1?of=A')).toBe('/jobs/1?of=A');
		expect(back(new URL('http://shop.test/bench'))).toBe('/');
	});
	it.each([
		'//evil.test',
		'/\\evil.test',
		'/\t/evil.test',
		'/\n/evil.test',
		'https://evil.test',
		'javascript:alert(1)',
		'\\/evil.test',
		' //evil.test',
		'http://here.invalid.evil.test/',
		'evil',
		'/.//evil.test/x',
		'/x/..//evil.test',
		'/./\\evil.test',
		'/x/../\t/evil.test'
	])('leads nowhere else: %j', (path) => {
		expect(new URL(from(path), 'http://shop.test').host).toBe('shop.test');
	});
});
