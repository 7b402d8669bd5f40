import { describe, expect, it } from 'vitest';
import { spent, type Shelved } from './shelf';

const at = (iso: string): Shelved => ({ name: iso, at: new Date(`${iso}:00Z`) });
const DAY = 24 * 3600 * 1000;
/** A shop that is backed up every night, and loses what is spent. */
function years(nights: number): Shelved[] {
	let shelf: Shelved[] = [];
	for (let night = 0; night < nights; night++) {
		const made = new Date(Date.UTC(2026, 0, 1, 2) + night * DAY);
		shelf.push({ name: made.toISOString(), at: made });
		const gone = new Set(spent(shelf));
		shelf = shelf.filter((one) => !gone.has(one));
	}
	return shelf;
}

describe('the shelf of backups', () => {
	it('keeps all of the first week', () => {
		expect(years(7)).toHaveLength(7);
	});
	it('holds seven days, five weeks and twelve months after two years, and no more', () => {
		const shelf = years(730).map((one) => one.at.getTime());
		const last = Math.max(...shelf);
		for (let back = 0; back < 7; back++) expect(shelf).toContain(last - back * DAY);
		expect(shelf.filter((time) => last - time < 35 * DAY).length).toBeGreaterThanOrEqual(10);
		expect(last - Math.min(...shelf)).toBeGreaterThan(330 * DAY);
		expect(shelf.length).toBeLessThanOrEqual(7 + 5 + 12);
	});
	it('keeps the newest of a day, and one of long ago as long as nothing newer takes its place', () => {
		const [morning, evening] = [at('2026-03-02T08:00'), at('2026-03-02T18:00')];
		expect(spent([morning, evening])).toEqual([morning]);
		const old = at('2019-05-05T02:00');
		expect(spent([old, evening])).toEqual([]);
	});
	it('tells weeks apart on Monday', () => {
		const days = Array.from({ length: 9 }, (_, i) =>
			at(`2026-03-${String(i + 1).padStart(2, '0')}T02:00`)
		);
		// The 1st of March 2026 is a Sunday: the 2nd is not of its week.
		expect(spent(days).map(({ name }) => name.slice(8, 10))).toEqual(['02']);
	});
});
