/** Service as it is shown: rows that say the same once, and words for amounts. */
import {
	DUE_FROM,
	FATES,
	meanWithin,
	priceOfService,
	SERVICE_UNITS,
	type Served,
	type ServiceLimit,
	type ServicePrice,
	type SpringFate
} from '@zinc-ledger/core';
import { label } from '@zinc-ledger/words';

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
	const texts = amounts.flatMap(([amount, unit]) =>
		amount > 0 ? [`${Number(amount.toFixed(1)).toLocaleString('en')} ${unit}`] : []
	);
	if (over_speed > 0) texts.push(`over-sped ${over_speed} ×`);
	return texts.join(', ') || 'nothing told';
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

/** Parts of one type that have run alike, in one row with their stations. */
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

/** How many heads want something soon. */
export function dueText(
	due: readonly { readonly head: string; readonly used: number | null }[]
): string {
	const heads = new Set(due.map(({ head }) => head)).size;
	const over = new Set(due.filter(({ used }) => used! >= 1).map(({ head }) => head)).size;
	if (heads === 0) return 'No head is due: none has parts near a limit';
	const many = `${heads} ${heads === 1 ? 'head has' : 'heads have'} run ${Math.round(100 * DUE_FROM)} % of a part’s life or more`;
	return over > 0 ? `${many}, ${over} over it` : many;
}

/** "60 h, 120 runs, an over-speed costs 10 %" */
export function limitText(limit: ServiceLimit): string {
	const { overSpeed } = limit;
	const amounts = SERVICE_UNITS.flatMap((unit) => {
		const at = limit[unit];
		return at ? [`${at.toLocaleString('en')} ${UNIT_WORDS[unit]}`] : [];
	});
	const costs = overSpeed ? [`an over-speed costs ${Math.round(100 * overSpeed)} %`] : [];
	return [...amounts, ...costs].join(', ') || 'none';
}
/** "14.50" */
export const priceText = (price: number): string =>
	price.toLocaleString('en', { minimumFractionDigits: 2, maximumFractionDigits: 2 });

/** "12 at 14.50 are 174.00: 2.90 an hour over 60 h" */
export function priceOfLife(
	price: number,
	springs: number,
	limit: ServiceLimit,
	lasts: Pick<ServicePrice, 'unit' | 'life'> | null = null
): string {
	const all = price * springs;
	const bought =
		springs === 1
			? `${priceText(price)} each`
			: `${springs} at ${priceText(price)} are ${priceText(all)}`;
	const life = priceOfService(all, limit, lasts);
	if (!life) return bought;
	const { per, unit } = life;
	const long = Number(life.life.toFixed(0)).toLocaleString('en');
	return `${bought}: ${priceText(per)} ${ONE_OF[unit]} over ${long} ${UNIT_WORDS[unit]}`;
}
const ONE_OF = {
	hours: 'an hour',
	runs: 'a run',
	kilometres: 'a km',
	cycles: 'a cycle'
} as const satisfies Record<ServicePrice['unit'], string>;
const UNIT_WORDS = { hours: 'h', runs: 'runs', kilometres: 'km', cycles: 'cycles' } as const;

/** "batch 7C: lost 4.1 ± 0.8 % in 20 h, 6 sets" */
export function batchText(
	batch: Omit<Ran, 'over_speed'> & {
		readonly batch: string | null;
		readonly sets: number;
		readonly lost: number;
		readonly spread: number | null;
	}
): string {
	const percent = (part: number) => (100 * part).toFixed(1);
	const within = meanWithin(batch.spread, batch.sets);
	const band = within === null ? '' : ` ± ${percent(within)}`;
	const name = batch.batch === null ? 'without a batch' : `batch ${batch.batch}`;
	const ran = ranText({ ...batch, over_speed: 0 });
	return `${name}: lost ${percent(batch.lost)}${band} % in ${ran}, ${batch.sets} ${batch.sets === 1 ? 'set' : 'sets'}`;
}

/** "9 reuse, 2 reshim and keep, 1 replace" */
export const fateCounts = (fates: readonly Pick<SpringFate, 'fate'>[]): string =>
	FATES.flatMap((fate) => {
		const count = fates.filter((one) => one.fate === fate).length;
		return count > 0 ? [`${count} ${label('fate', fate)}`] : [];
	}).join(', ');
