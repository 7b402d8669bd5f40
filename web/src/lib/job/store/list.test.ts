import { describe, expect, it } from 'vitest';
import { jobQueryOf, listAddress } from './list.ts';

const of = (query: string) => jobQueryOf(new URLSearchParams(query));

describe('the address of a list', () => {
	it('says how it was asked for, and nothing where it is as usual', () => {
		expect(listAddress(of(''), {})).toBe('/');
		const query = of('find=tarn&filter=open&order=engine&reversed');
		expect(query).toEqual({ find: 'tarn', filter: 'open', order: 'engine', reversed: true });
		expect(of(listAddress(query, {}).slice(2))).toEqual(query);
		expect(listAddress(query, { filter: 'all', reversed: false })).toBe('/?find=tarn&order=engine');
	});
	it('takes what it does not know for what is usual', () => {
		expect(of('filter=none&order=__proto__')).toMatchObject({ filter: 'all', order: 'received' });
	});
});
