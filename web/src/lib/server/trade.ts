/** The pages of docs/trade as one page of the program, laid out once when the server starts. */
import { Marked, type Tokens } from 'marked';

const FILES = import.meta.glob<string>('../../../../docs/trade/*.md', {
	query: '?raw',
	import: 'default',
	eager: true
});
/** As one reads them: from what everything rests on to what comes last. */
const ORDER = [
	'foundation',
	'parts',
	'springs',
	'sheet',
	'valvetrain',
	'job',
	'assembly',
	'visits'
] as const;

const wordsOf = (heading: string) =>
	heading
		.toLowerCase()
		.replaceAll(/[^\w\s-]/g, '')
		.trim()
		.replaceAll(/\s+/g, '-');
/** The place of a heading: the page's own name at its top. */
const placeOf = (page: string, heading: string, depth: number) =>
	depth === 1 ? page : `${page}-${wordsOf(heading)}`;

const cellsOf = (tag: 'th' | 'td', cells: readonly string[]) =>
	`<tr>${cells.map((cell) => `<${tag}>${cell}</${tag}>`).join('')}</tr>`;
/**
 * A worked line as a reader needs it: the working and the figures. The test also needs the
 * calculator, its units, what is typed and the names of the results.
 */
const worked = (cells: readonly Tokens.TableCell[]) =>
	cells.slice(-2).map(({ text }) => text.replaceAll(/[\w-]+=(?=[\d-])/g, ''));

/** Sets the index of a symbol (h_m) as a subscript, and keeps compound words on one line. */
const typeset = (html: string) =>
	html
		.replaceAll(/\b([A-Za-z])_(\w+)/g, '$1<sub>$2</sub>')
		.replaceAll(/(?<=[>\s(][^<>"]*[a-z])-(?=[a-z][^<>"]*<)/g, '\u2011');

function layOut(page: string): string {
	const marked = new Marked({
		renderer: {
			heading({ text, depth }) {
				const level = Math.min(depth + 1, 6);
				return `<h${level} id="${placeOf(page, text, depth)}">${text}</h${level}>`;
			},
			// On a phone a link within a sentence is too small to press; the pages are all named above.
			link({ tokens }) {
				return this.parser.parseInline(tokens);
			},
			table({ header, rows }) {
				const isWorked = header[0]?.text === 'sum';
				const shown = (cells: readonly Tokens.TableCell[]) =>
					cells.map(({ tokens }) => this.parser.parseInline(tokens));
				const head = cellsOf('th', isWorked ? ['worked by hand', 'result'] : shown(header));
				const body = rows
					.map((cells) => cellsOf('td', isWorked ? worked(cells) : shown(cells)))
					.join('');
				return `<div class="table" tabindex="0"><table class="ledger"><thead>${head}</thead><tbody>${body}</tbody></table></div>`;
			}
		}
	});
	const text = FILES[`../../../../docs/trade/${page}.md`] ?? '';
	// Where the code is says nothing to a machinist.
	return typeset(marked.parse(text.replaceAll(/^Code: .*\n/gm, ''), { async: false }));
}

export interface TradePage {
	readonly place: string;
	readonly title: string;
	readonly html: string;
}

export const TRADE: readonly TradePage[] = ORDER.map((page) => ({
	place: page,
	title: /^# (.*)$/m.exec(FILES[`../../../../docs/trade/${page}.md`] ?? '')?.[1] ?? page,
	html: layOut(page)
}));
