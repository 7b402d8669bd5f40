/**
 * Cells of CSV that a spreadsheet would take for a formula. What begins like one goes out behind
 * an apostrophe, by the CSV parser's own escaping, and comes back without it. A complete figure
 * with its unit, such as "-0.050 in", is not a formula and is written unchanged.
 */

/** What the parser escapes, for its `escapeFormulae`; an apostrophe before it is escaped along. */
export const FORMULA = /^'*(?:[=@\t\r]|[+-](?!\d+(?:[.,]\d+)?(?: ?[a-z°%/·²³]{1,8})?$))/i;

/** A cell that came in, as it was before it went out. */
export const cellIn = (text: string): string =>
	text.startsWith("'") && FORMULA.test(text) ? text.slice(1) : text;
