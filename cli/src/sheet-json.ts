import { plainSheet, type Sheet, type Units } from '@zinc-ledger/core';

/** A sheet as JSON text, laid out for reading. */
export const sheetJson = (sheet: Sheet, units: Units): string =>
	`${JSON.stringify(plainSheet(sheet, units), null, 2)}\n`;
