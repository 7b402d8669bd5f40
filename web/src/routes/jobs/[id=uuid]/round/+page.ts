import { error } from '@sveltejs/kit';
import { QUANTITIES, type Quantity } from '@zinc-ledger/core';

export const load = ({ url }) => {
	const name = (url.searchParams.get('of') ?? 'installed-height').replaceAll('-', ' ');
	if (!QUANTITIES.includes(name as Quantity)) error(404, `There is no round of “${name}”.`);
	return { quantity: name as Quantity };
};
