import { error } from '@sveltejs/kit';
import { QUANTITIES, SETTING_ORDERS, type Quantity, type SettingOrder } from '@zinc-ledger/core';
import { ask } from '$lib/server/ask';
import { listGaugesWithRepeats } from '$lib/server/gauges';

const named = (text: string | null) => text?.replaceAll('-', ' ');

export const load = async ({ url }) => {
	const name = named(url.searchParams.get('of')) ?? 'installed height';
	if (!QUANTITIES.includes(name as Quantity)) error(404, `There is no round of “${name}”.`);
	const order = named(url.searchParams.get('order'));
	if (order && !SETTING_ORDERS.includes(order as SettingOrder))
		error(404, `There is no setting order “${order}”.`);
	return {
		quantity: name as Quantity,
		settingOrder: (order ?? null) as SettingOrder | null,
		gauges: await ask(listGaugesWithRepeats)
	};
};
