/** Somebody at work, counted: what is typed, chosen and marked, and the pages that are opened for it. */
import { Key, type Browser } from './browser.ts';

export class Counted {
	entries = 0;
	readonly #browser: Browser;
	readonly #pages: string[] = [];

	constructor(browser: Browser) {
		this.#browser = browser;
	}

	/** Pages that were opened, one after another; the same page again counts again. */
	async pages(): Promise<number> {
		await this.#look();
		return this.#pages.length;
	}

	/** Fills a field, or chooses from a list. */
	async fill(label: string, text: string): Promise<void> {
		await this.#entry();
		await this.#browser.fill(label, text);
	}

	/** Types a line where the focus is, and takes it. */
	async line(text: string): Promise<void> {
		await this.#entry();
		await this.#browser.press(text, Key.ENTER);
	}

	/** Says something by a press: a choice of a few, a mark, a decision. */
	async mark(text: string, tags?: string): Promise<void> {
		await this.#entry();
		await this.#browser.click(text, tags);
	}

	/** Goes on: to another page, or to have what was entered kept. It is no entry. */
	async go(text: string, tags?: string): Promise<void> {
		await this.#look();
		await this.#browser.click(text, tags);
		await this.#browser.ready();
	}

	/** What a page's own button does is going on, too. */
	click(text: string, tags?: string): Promise<void> {
		return this.go(text, tags);
	}

	sees(text: string): Promise<void> {
		return this.#browser.sees(text);
	}

	/** Goes on by the link of the job's own pages that leads there, whatever phase it stands in. */
	async open(path: string, page: string): Promise<void> {
		await this.#look();
		await this.#browser.driver.get(
			new URL(`${path}${page}`, await this.#browser.driver.getCurrentUrl()).href
		);
		await this.#browser.ready();
	}

	async #entry(): Promise<void> {
		this.entries++;
		await this.#look();
	}

	/** A round of another figure is another page, though one address serves them. */
	async #look(): Promise<void> {
		const page = await this.#browser.run<string>(
			'return location.pathname + (new URLSearchParams(location.search).get("of") ?? "")'
		);
		if (page !== this.#pages.at(-1)) this.#pages.push(page);
	}
}
