export { byPercent, capital } from '@zinc-ledger/words';

/** "23 Nov": the same in every browser and on the server. */
export function shortDate(iso: string): string {
	return new Date(iso).toLocaleDateString('en-GB', {
		day: 'numeric',
		month: 'short',
		timeZone: 'UTC'
	});
}

/** "23 Nov 2026, 15:40" in the shop's own time. */
export function moment(iso: string): string {
	return new Date(iso).toLocaleString('en-GB', {
		day: 'numeric',
		month: 'short',
		year: 'numeric',
		hour: '2-digit',
		minute: '2-digit'
	});
}
