/** Service as it is shown: rows that say the same once, and words for amounts. */
import type { Served } from '@zinc-ledger/core';

export interface ServiceRow {
	readonly part: Served;
	readonly name: string | null;
	readonly station: string;
	readonly hours: number;
	readonly runs: number;
	readonly kilometres: number;
	readonly over_speed: number;
	readonly used: number | null;
}

type Ran = Pick<ServiceRow, 'hours' | 'runs' | 'kilometres' | 'over_speed'>;

/** "41.5 h, 12 runs, over-sped twice" */
export function ranText({ hours, runs, kilometres, over_speed }: Ran): string {
	const amounts = [
		[hours, 'h'],
		[runs, runs === 1 ? 'run' : 'runs'],
		[kilometres, 'km']
	] as const;
	const told = amounts.flatMap(([amount, unit]) =>
		amount > 0 ? [`${Number(amount.toFixed(1)).toLocaleString('en')} ${unit}`] : []
	);
	if (over_speed > 0) told.push(`over-sped ${over_speed} ×`);
	return told.join(', ') || 'nothing told';
}

/** "62 %", and what it means from the whole of it on. */
export function lifeText(used: number | null): string {
	if (used === null) return 'no limit';
	const percent = `${Math.round(100 * used)} %`;
	return used >= 1 ? `${percent}: over` : percent;
}

export interface AlikeRow extends ServiceRow {
	readonly key: string;
	readonly stations: readonly string[];
}

/** Parts of one sort that have run alike, in one row with their stations. */
export function alike(items: readonly ServiceRow[]): AlikeRow[] {
	const rows = new Map<string, AlikeRow>();
	for (const item of items) {
		const { station, ...rest } = item;
		const key = JSON.stringify(rest);
		const before = rows.get(key)?.stations ?? [];
		rows.set(key, { ...item, key, stations: [...before, station] });
	}
	return [...rows.values()];
}
