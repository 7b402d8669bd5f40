/**
 * Where a gauge may be: on this machine, on a network that this machine is itself in, or on
 * one that the owner of the machine lists (ZINC_GAUGE_NETWORKS, "192.168.7.0/24 10.0.0.5/32").
 * Anything else a link of a gauge would let somebody ask in the shop's name.
 */
import { lookup } from 'node:dns/promises';
import { BlockList, isIP } from 'node:net';
import { networkInterfaces } from 'node:os';

const family = (address: string) => (isIP(address) === 6 ? 'ipv6' : 'ipv4');

/** @param listed networks as address/prefix, apart by blanks or commas */
export function networksOf(listed = process.env.ZINC_GAUGE_NETWORKS): BlockList {
	const list = new BlockList();
	const own = Object.values(networkInterfaces()).flatMap((all) => all ?? []);
	const given = listed
		? listed.split(/[\s,]+/).filter(Boolean)
		: own.flatMap(({ cidr }) => cidr ?? []);
	for (const one of ['127.0.0.0/8', '::1/128', ...given]) {
		const [address = '', prefix = isIP(address) === 6 ? '128' : '32'] = one.split('/');
		if (isIP(address) !== 0) list.addSubnet(address, Number(prefix), family(address));
	}
	return list;
}

/** The address that a host stands for, where a gauge may be there; null where none is. */
export async function reachable(
	host: string,
	networks: BlockList = networksOf()
): Promise<string | null> {
	const bare = host.replace(/^\[(.*)\]$/, '$1');
	const all = isIP(bare) ? [bare] : await addressesOf(bare);
	// An IPv4 address in the clothes of IPv6 is that IPv4 address.
	const plain = all.map((one) => /^::ffff:(\d+(?:\.\d+){3})$/i.exec(one)?.[1] ?? one);
	return plain.find((one) => networks.check(one, family(one))) ?? null;
}

const addressesOf = async (name: string) =>
	(await lookup(name, { all: true }).catch(() => [])).map(({ address }) => address);
