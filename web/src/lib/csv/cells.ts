/**
 * Cells of CSV that a spreadsheet would take for a formula. Words that begin like one go
 * out behind an apostrophe and come back without it; figures, signs and all, go as they are.
 */

const FORMULA = /^'*[=+\-@\t\r]/;
const FIGURE = /^[+-]?\d/;

const isFormula = (text: string) => FORMULA.test(text) && !FIGURE.test(text);

/** A cell as it may go out. */
export const cellOut = (text: string): string => (isFormula(text) ? `'${text}` : text);

/** A cell that came in, as it was before it went out. */
export const cellIn = (text: string): string =>
	text.startsWith("'") && isFormula(text) ? text.slice(1) : text;
