/** A headless browser, and what a person does with it. */
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
	Builder,
	By,
	error,
	Key,
	logging,
	type WebDriver,
	type WebElement
} from 'selenium-webdriver';
import chrome from 'selenium-webdriver/chrome.js';
import type { AxeResults } from 'axe-core';
import { labelDomains, labelsOf } from '@zinc-ledger/words';
import { until } from './app.ts';

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** Values that are kept as codes, and called something else where people read. */
const CODED = new Set(
	labelDomains.flatMap((of) =>
		Object.entries(labelsOf(of))
			.filter(([value, text]) => value.includes('-') && !text.includes(value))
			.map(([value]) => value)
	)
);
/**
 * What a page is given to work through: minutes, where much else runs, and less than
 * a test is given, so that one which never ends is told as such and tidied up after.
 */
const LONGEST_SCRIPT = 540_000;

/** A browser on another machine than the server's. */
export interface Abroad {
	/** The name it knows the server by, and the address that it stands for. */
	readonly name: string;
	readonly address: string;
	/** The home folder, in which the authorities stand that it trusts. */
	readonly home: string;
}

/** What the browser calls an error, and how Svelte warns of a page that hydrates differently. */
const SEVERE = logging.Level.SEVERE.value;
const HYDRATION = /hydration|svelte\.dev\/e\//;

/** Whether a press on what is on top at a place, `top`, is one on `element`. */
const IS_OWN = `(top !== null &&
	(element.contains(top) || top.closest('label')?.contains(element) || top.contains(element)))`;

/**
 * Runs in the page: scrolls an element into view, waits until it has stayed where it is for two
 * frames, as a person does before pressing it, and says where its middle is and what covers it.
 */
const AIM = `
	const [element] = arguments;
	const box = () => element.getBoundingClientRect();
	const place = () => { const { x, y, width, height } = box(); return [x, y, width, height].join(' '); };
	const frame = () => new Promise((drawn) => requestAnimationFrame(drawn));
	for (let before = '', same = 0, times = 0; same < 2 && times < 300; times++) {
		element.scrollIntoView({ block: 'center' });
		await frame();
		same = place() === before ? same + 1 : 0;
		before = place();
	}
	const { x, y, width, height } = element.getClientRects()[0] ?? box();
	const at = { x: x + width / 2, y: y + height / 2 };
	const top = document.elementFromPoint(at.x, at.y);
	const isOwn = ${IS_OWN};
	return { ...at, covered: isOwn ? '' : (top?.outerHTML.slice(0, 120) ?? 'nothing that shows') };
`;

/** Where the middle of an element is, and what lies on it, or nothing. */
interface Aim {
	readonly x: number;
	readonly y: number;
	readonly covered: string;
}

/** Runs in the page before an element is pressed, and notes when a press reaches it. */
const NOTE_PRESS = `
	const [element] = arguments;
	document.removeEventListener('click', window.notesPress, true);
	window.pressed = false;
	window.notesPress = ({ target: top }) => { if (${IS_OWN}) window.pressed = true; };
	document.addEventListener('click', window.notesPress, true)`;

/** Runs in each page before its own scripts: its service worker is not there yet. */
const NO_WORKER = `
	if (navigator.serviceWorker) navigator.serviceWorker.register = () => new Promise(() => undefined)`;

/** How it reports an answer of 4xx or 5xx. */
const REFUSED = 'Failed to load resource: the server responded with a status of';

/** What it reports of a server that is away, and of one whose database is. */
export const AWAY = /net::ERR_(CONNECTION|EMPTY_RESPONSE|FAILED|HTTP2)|status of 50[0234]/;

/** Every browser that is open in this file. */
export const opened = new Set<Browser>();

export class Browser {
	readonly driver: WebDriver;
	readonly #root: string;
	readonly #profile: string;
	/** What this test expects the browser to report, and so is no fault. */
	#expected: RegExp[] = [];

	private constructor(driver: chrome.Driver, root: string, profile: string) {
		this.driver = driver;
		this.#root = root;
		this.#profile = profile;
	}

	/**
	 * A new browser with an empty profile, its page the size of a bench laptop's.
	 *
	 * @param how whether it may keep the program, so as to open pages while the server is away:
	 * it downloads all of it then, which most tests need not wait for; and, on another machine,
	 * where its names lead and whom its owner trusts
	 */
	static async open(
		root: string,
		{ keepsProgram = false, abroad }: { keepsProgram?: boolean; abroad?: Abroad } = {}
	): Promise<Browser> {
		const profile = mkdtempSync(join(tmpdir(), 'zinc-browser-'));
		const options = new chrome.Options();
		options.addArguments(
			'--headless=new',
			'--no-sandbox',
			'--disable-gpu',
			'--disable-quic',
			'--no-first-run',
			'--disable-background-networking',
			'--disable-component-update',
			'--disable-sync',
			'--disable-dev-shm-usage',
			'--hide-scrollbars',
			// A press outside of the window is lost, whatever size the page is made to be.
			'--window-size=2000,1400',
			`--user-data-dir=${profile}`,
			...(abroad ? [`--host-resolver-rules=MAP ${abroad.name} ${abroad.address}`] : [])
		);
		const prefs = new logging.Preferences();
		prefs.setLevel(logging.Type.BROWSER, logging.Level.ALL);
		options.setLoggingPrefs(prefs);
		options.setChromeBinaryPath('/usr/bin/chromium');
		const driver = (await new Builder()
			.forBrowser('chrome')
			.setChromeOptions(options)
			.setChromeService(
				new chrome.ServiceBuilder('/usr/bin/chromedriver').setEnvironment({
					...(process.env as Record<string, string>),
					...(abroad && { HOME: abroad.home })
				})
			)
			.build()) as chrome.Driver;
		await driver.manage().setTimeouts({ script: LONGEST_SCRIPT });
		const browser = new Browser(driver, root, profile);
		if (!keepsProgram)
			await browser.devtools('Page.addScriptToEvaluateOnNewDocument', { source: NO_WORKER });
		await browser.size(1280, 800);
		opened.add(browser);
		return browser;
	}

	async close(): Promise<void> {
		opened.delete(this);
		await this.driver.quit();
		rmSync(this.#profile, { recursive: true, force: true, maxRetries: 5 });
	}

	/** The test goes on to provoke what the browser reports: it is no fault of the page's. */
	expects(...patterns: readonly RegExp[]): void {
		this.#expected.push(...patterns);
	}

	/**
	 * What the browser has reported since this was last asked and no test expected: uncaught
	 * errors, console errors, violations of the policy, and pages that hydrate differently from
	 * what the server sent. It asks at the end of each test.
	 */
	async reported(): Promise<string[]> {
		const entries = await this.driver.manage().logs().get(logging.Type.BROWSER);
		const expected = this.#expected;
		this.#expected = [];
		return entries
			.filter(({ level, message }) => level.value >= SEVERE || HYDRATION.test(message))
			.map(({ message }) => message)
			.filter((message) => !expected.some((pattern) => pattern.test(message)));
	}

	async size(width: number, height: number): Promise<void> {
		await this.devtools('Emulation.setDeviceMetricsOverride', {
			width,
			height,
			deviceScaleFactor: 1,
			mobile: false
		});
	}

	async devtools<T>(command: string, parameters: object = {}): Promise<T> {
		const driver = this.driver as chrome.Driver;
		return (await driver.sendAndGetDevToolsCommand(command, parameters)) as unknown as T;
	}

	/** Goes to a path and waits until the page answers to keys. */
	async go(path: string): Promise<void> {
		await this.driver.get(this.#root + path);
		await this.ready();
	}

	/** Waits until the scripts of the page have taken hold of it. */
	async ready(): Promise<void> {
		await until(
			() => this.run<boolean>('return document.documentElement.dataset.ready === "yes"'),
			'the page did not wake up'
		);
	}

	/** The path of a job just taken in, once it asks for its first height. */
	async takenIn(): Promise<string> {
		const path = () =>
			this.run<string>('return /^(.jobs.[^/]+).round$/.exec(location.pathname)?.[1] ?? ""');
		await until(async () => (await path()) !== '', 'no job was taken in');
		await this.ready();
		return path();
	}

	/** Presses keys one after another, wherever the focus is: texts, or names of {@link Key}. */
	async press(...keys: string[]): Promise<void> {
		await this.driver
			.actions()
			.sendKeys(...keys)
			.perform();
	}

	/** Types over what stands in the field that has the focus. */
	async retype(text: string): Promise<void> {
		await this.#typeOver(await this.driver.switchTo().activeElement(), text);
	}

	/**
	 * Types over a field: in one go, as a paste or a tablet's keyboard does, which is several
	 * times as fast as key after key. Where keys are what is tested they are pressed.
	 */
	async #typeOver(element: WebElement, text: string): Promise<void> {
		const takesText = await this.run<boolean>(
			`const [field] = arguments;
			field.focus();
			if (field.type === 'date' || document.activeElement !== field) return false;
			field.select();
			return true`,
			element
		);
		if (takesText && text !== '') await this.devtools('Input.insertText', { text });
		else await element.sendKeys(Key.chord(Key.CONTROL, 'a'), text === '' ? Key.DELETE : text);
	}

	find(css: string): Promise<WebElement> {
		return this.#located(By.css(css), `no ${css}`);
	}

	/** Waits for an element to be there. */
	async #located(by: By, complaint: string): Promise<WebElement> {
		let found: WebElement | undefined;
		await until(async () => {
			[found] = await this.driver.findElements(by);
			return found !== undefined;
		}, complaint);
		return found!;
	}

	async all(css: string): Promise<WebElement[]> {
		return this.driver.findElements(By.css(css));
	}

	/**
	 * The element of one of these tags that reads so, or else that has the text in what it reads.
	 * What is as short as a unit or a valve is what it begins with: “in” is also within “Find”.
	 */
	async named(text: string, tags = 'button, a, label, summary'): Promise<WebElement> {
		return this.#waited(
			`const [text, tags] = arguments;
			const said = (e) => e.textContent.replaceAll(/\\s+/g, ' ').trim();
			const all = [...document.querySelectorAll(tags)];
			return all.find((e) => said(e) === text || e.ariaLabel === text) ??
				all.find((e) => (text.length > 3 ? said(e).includes(text) : said(e).startsWith(text))) ?? null`,
			[text, tags],
			`nothing reads “${text}”`
		);
	}

	/** Waits until a script finds an element. */
	async #waited(
		script: string,
		values: readonly unknown[],
		complaint: string
	): Promise<WebElement> {
		let found: WebElement | null = null;
		await until(async () => {
			found = await this.run<WebElement | null>(script, ...values);
			return found !== null;
		}, complaint);
		return found!;
	}

	async click(text: string, tags?: string): Promise<void> {
		await this.#mouse(await this.named(text, tags));
	}

	/**
	 * Presses an element with the mouse: real events at its middle, sent by the browser's own
	 * protocol, which takes a third of the driver's time. A press that the page moved away from
	 * under the pointer is made again, as a person would.
	 *
	 * @throws where something else stays on top of it
	 */
	async #mouse(element: WebElement): Promise<void> {
		await this.run(NOTE_PRESS, element);
		let onTop = '';
		await until(
			async () => {
				const { x, y, covered } = await this.wait<Aim>(AIM, element);
				onTop = covered;
				// What a page that still moves has on top of it may go; what stays is told at the end.
				if (covered) return false;
				const at = { x, y, button: 'left', clickCount: 1 };
				await this.#dispatch({ ...at, type: 'mouseMoved', button: 'none' });
				await this.#dispatch({ ...at, type: 'mousePressed' });
				await this.#dispatch({ ...at, type: 'mouseReleased' });
				return this.#wasPressed();
			},
			() => (onTop ? `${onTop} is on top of it` : 'the press did not reach it')
		);
	}

	#dispatch(mouse: object): Promise<void> {
		return this.devtools('Input.dispatchMouseEvent', mouse);
	}

	/** Whether the last press reached its element; a page that it led away from took it as well. */
	#wasPressed(): Promise<boolean> {
		return this.run<boolean>('return window.pressed !== false');
	}

	/** Taps an element with a finger: touch events at its middle, and none of a mouse. */
	async tap(element: WebElement): Promise<void> {
		await this.run('arguments[0].scrollIntoView({ block: "center" })', element);
		const [x, y] = await this.run<[number, number]>(
			'const r = arguments[0].getBoundingClientRect(); return [r.x + r.width / 2, r.y + r.height / 2]',
			element
		);
		await this.devtools('Input.dispatchTouchEvent', {
			type: 'touchStart',
			touchPoints: [{ x, y }]
		});
		await this.devtools('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
	}

	/** Opens the menu of the bench, which takes a moment to show: units, person, light or dark. */
	async benchMenu(): Promise<void> {
		await (await this.find('[data-menu=bench]')).click();
		await this.find('[data-menu=bench][data-state=open]');
	}

	/** Begins the round that the page offers; heights ask if the locator is in place. */
	async begin(locator: 'yes' | 'no' = 'yes'): Promise<void> {
		const answers = await this.driver.findElements(By.css(`[role=radio][data-value=${locator}]`));
		if (answers[0]) await answers[0].click();
		await this.click('Start', 'button');
	}

	/** Fills the field with this label or name anew; one that the page draws anew meanwhile is found again. */
	async fill(label: string, text: string): Promise<void> {
		try {
			await this.#fill(label, text);
		} catch (problem) {
			if (!(problem instanceof error.StaleElementReferenceError)) throw problem;
			await this.#fill(label, text);
		}
	}

	async #fill(label: string, text: string): Promise<void> {
		const element = await this.field(label);
		// A list is opened and chosen from; a text of one's own is typed, whatever is offered under it.
		const isList = 'return arguments[0].matches("button, [data-searches]")';
		if (await this.run<boolean>(isList, element)) return this.#choose(element, text);
		await this.#typeOver(element, text);
	}

	/** Opens a list and takes the line that reads so; a field that searches is typed into. */
	async #choose(element: WebElement, text: string): Promise<void> {
		// What searches listens for keys.
		if ((await element.getTagName()) === 'input')
			await element.sendKeys(Key.chord(Key.CONTROL, 'a'), text === '' ? Key.DELETE : text);
		else {
			await this.run('arguments[0].scrollIntoView({ block: "center" })', element);
			await element.click();
		}
		if (text === '' && (await element.getTagName()) === 'input') return;
		const line = await this.find(`[role=option][data-label=${JSON.stringify(text || '')}]`);
		await this.run('arguments[0].scrollIntoView({ block: "nearest" })', line);
		await line.click();
		await until(
			async () => (await element.getAttribute('aria-expanded')) === 'false',
			`the list of “${text}” stays open`
		);
	}

	/** What a list offers, read by opening it and closing it again. */
	async offered(label: string): Promise<readonly string[]> {
		const element = await this.field(label);
		await element.click();
		await this.find('[role=option]');
		const lines = await this.run<string[]>(
			`return [...document.querySelectorAll('[role=option]')].map((e) => e.dataset.label)`
		);
		await this.press(Key.ESCAPE);
		return lines;
	}

	field(label: string): Promise<WebElement> {
		return this.#waited(`${FIELDS} ${UNFOLDED}`, [label], `no field “${label}”`);
	}

	/** All fields that have this label or name. */
	async fields(label: string): Promise<WebElement[]> {
		await this.field(label);
		return this.run<WebElement[]>(`${FIELDS} return fields`, label);
	}

	/** Waits until the page shows the text. */
	async sees(text: string): Promise<void> {
		let page = '';
		await until(
			async () => (page = await this.text()).includes(text),
			() => `“${text}” is not on the page, which reads: ${page}`
		);
	}

	/** The visible text of an element, the page's by default, white space folded. */
	async text(css = 'body'): Promise<string> {
		const text = await this.run<string>(
			'return document.querySelector(arguments[0])?.innerText ?? ""',
			css
		);
		return text.replaceAll(/\s+/g, ' ');
	}

	run<T>(script: string, ...values: unknown[]): Promise<T> {
		return this.driver.executeScript<T>(script, ...values);
	}

	/** Runs the body of an async function in the page; what fails there fails here. */
	async wait<T>(body: string, ...values: unknown[]): Promise<T> {
		const { error, result } = await this.driver.executeAsyncScript<{ error?: string; result: T }>(
			`const done = arguments[arguments.length - 1];
			(async function () { ${body} }).apply(null, arguments).then(
				(result) => done({ result }),
				(error) => done({ error: String(error) })
			);`,
			...values
		);
		if (error !== undefined) throw new Error(`in the page: ${error}`);
		return result;
	}

	/** Values that the page shows by their code, and what is no text at all. */
	async rawValues(): Promise<string[]> {
		const text = await this.run<string>(`
			const said = [...document.querySelectorAll('[aria-label], [placeholder], [title], [role=option]')].map(
				(e) => [e.ariaLabel, e.placeholder, e.title, e.textContent].join(' '));
			return [document.title, document.body.innerText, ...said].join(' ')`);
		return [
			...(text.match(/[a-z]+(-[a-z]+)+/g) ?? []).filter((word) => CODED.has(word)),
			...(text.match(/\[object|undefined|NaN|§/g) ?? [])
		];
	}

	/** Asks the application's API from within the page; the test looks at a refusal itself. */
	async api(
		method: string,
		path: string,
		body?: unknown
	): Promise<{ status: number; body: unknown }> {
		const answer = await this.wait<{ status: number; body: unknown }>(
			`const [method, path, body] = arguments;
			const response = await fetch(path, {
				method,
				headers: { 'content-type': 'application/json' },
				body: body === null ? undefined : typeof body === 'string' ? body : JSON.stringify(body)
			});
			const text = await response.text();
			try { return { status: response.status, body: JSON.parse(text) }; }
			catch { return { status: response.status, body: text }; }`,
			method,
			path,
			body ?? null
		);
		if (answer.status >= 400)
			this.expects(new RegExp(`${path.replaceAll(/[^\w/]/g, '.')} - ${REFUSED}`));
		return answer;
	}

	/** Faults that axe calls serious or critical, each with where it is. */
	async faults(rules: { only?: string; without?: string } = {}): Promise<string[]> {
		if (!(await this.run<boolean>('return "axe" in window'))) await this.run(AXE);
		const { only, without } = rules;
		const results = await this.wait<AxeResults>('return axe.run(document, arguments[0])', {
			resultTypes: ['violations'],
			...(only && { runOnly: [only] }),
			...(without && { rules: { [without]: { enabled: false } } })
		});
		return results.violations
			.filter((violation) => violation.impact === 'serious' || violation.impact === 'critical')
			.map(
				({ id, nodes }) => `${id}, ${nodes.length} times, first ${nodes[0]?.html.slice(0, 160)}`
			);
	}

	/** Picks who works at this bench. */
	async workAs(name: string): Promise<void> {
		await this.go('/bench');
		await this.click(name, 'button');
		await this.sees('Find by number');
		await this.ready();
	}

	/** Begins a round with what is in place as it is offered, and waits for its field. */
	async beginRound(job: string, of = 'installed-height'): Promise<void> {
		await this.go(`${job}/round?of=${of}`);
		await this.fill('Readings per valve', '1');
		await this.begin();
		await this.find('aside[aria-label="This round"]');
		await this.find('main input[aria-describedby="understood"]:focus');
	}

	/** Opens the job of this number and returns its path. */
	async openJob(number: string): Promise<string> {
		await this.go(`/?find=${number}`);
		const path = new URL(
			(await (await this.find('a[data-job]')).getAttribute('href')) ?? '',
			this.#root
		).pathname;
		await this.go(path);
		return path;
	}
}

export { Key };

/** Runs in the page: the first of those fields, once what it is folded away in is open, as somebody would open it. */
const UNFOLDED = `
	const folded = fields[0]?.closest('[data-collapsible-content][hidden]');
	folded?.parentElement.querySelector('[data-collapsible-trigger]').click();
	return folded ? null : (fields[0] ?? null)`;

/** Runs in the page: the fields that have this label or name. */
const FIELDS = `
	const [label] = arguments;
	const ids = [...document.querySelectorAll('label[for]')]
		.filter((e) => e.textContent.replaceAll(/\\s+/g, ' ').trim() === label)
		.map((e) => e.htmlFor);
	const fields = [...document.querySelectorAll('input:not([type=hidden]), textarea, [role=combobox]')]
		.filter((e) => e.ariaLabel === label || e.getAttribute('name') === label ||
			e.dataset.name === label || ids.includes(e.id));
`;
