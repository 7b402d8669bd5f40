import { TRADE } from '$lib/server/trade';

export const load = () => ({ pages: TRADE });
