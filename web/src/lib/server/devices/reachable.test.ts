import { describe, expect, it } from 'vitest';
import { networksOf, reachable } from './reachable';

describe('where a gauge may be', () => {
	const networks = networksOf('192.168.7.0/24, 10.1.2.3');
	it.each(['127.0.0.1', '127.8.9.1', '::1', '[::1]', 'localhost', '192.168.7.200', '10.1.2.3'])(
		'on this machine or the shop’s own networks: %s',
		async (host) => {
			expect(await reachable(host, networks)).not.toBeNull();
		}
	);
	it.each([
		'192.168.8.1',
		'10.1.2.4',
		'169.254.169.254',
		'8.8.8.8',
		'0.0.0.0',
		'::ffff:8.8.8.8',
		''
	])('nowhere else: %j', async (host) => {
		expect(await reachable(host, networks)).toBeNull();
	});
	it('is not hidden by writing IPv4 as IPv6', async () => {
		expect(await reachable('::ffff:127.0.0.1', networks)).toBe('127.0.0.1');
	});
	it('is in the networks of this machine where none are listed', async () => {
		expect(await reachable('127.0.0.1', networksOf(''))).toBe('127.0.0.1');
		expect(await reachable('203.0.113.9', networksOf(''))).toBeNull();
	});
});
