/** The links to gauges that somebody listens to, one for each however many listen. */
import type { Gauge } from '@zinc-ledger/core';
import { DeviceLink, type LinkState, type News } from './link';

const links = new Map<string, DeviceLink>();

/** Listens to a gauge until the returned function is called; null for one that sends nothing. */
export function listenTo(gauge: Gauge, listener: (news: News) => void): (() => void) | null {
	const { link } = gauge;
	if (!link) return null;
	// A gauge whose link was changed gets a new one; who listens to the old one goes on with that.
	const key = JSON.stringify([gauge.id, link, gauge.lengthUnit, gauge.loadUnit]);
	const known = links.get(key) ?? new DeviceLink({ ...gauge, link });
	links.set(key, known);
	const leave = known.listen(listener);
	return () => {
		leave();
		if (known.listeners === 0) links.delete(key);
	};
}

/** The state of every link. */
export const gaugesHeard = (): LinkState[] => [...links.values()].map(({ state }) => state);

/** Ends every link. */
export function hangUp(): void {
	for (const link of links.values()) link.close();
	links.clear();
}
