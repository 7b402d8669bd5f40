import { QUANTITIES, SETTING_ORDERS, type Quantity, type SettingOrder } from '@zinc-ledger/core';
import { withDatabase } from '$lib/server/with-database';
import { listGaugesWithRepeats } from '$lib/server/parts/gauges';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

export const load = async ({ url }) => {
	const name = url.searchParams.get('of') ?? 'installed-height';
	if (!QUANTITIES.includes(name as Quantity)) refuse(404, message('server.no-round', { name }));
	const order = url.searchParams.get('order');
	if (order && !SETTING_ORDERS.includes(order as SettingOrder))
		refuse(404, message('server.no-setting-order', { name: order }));
	return {
		quantity: name as Quantity,
		only: url.searchParams.get('only')?.split(',').filter(Boolean) ?? [],
		back: url.searchParams.get('back') === 'assembly' ? 'assembly' : null,
		settingOrder: (order ?? null) as SettingOrder | null,
		gauges: await withDatabase(listGaugesWithRepeats)
	};
};
