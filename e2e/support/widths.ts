/** Whether a page is whole at every width it is used at, and has nothing serious for axe. */
import type { Browser } from './browser.ts';

/** Runs in the page: what runs off it, what lies on what, what is cut, and what is too small for a finger. */
const MEASURED = `
	const found = [];
	const shows = (e) => {
		const { width, height } = e.getBoundingClientRect();
		return width > 0 && height > 0 && !e.closest('.sr-only, [aria-hidden=true]') &&
			getComputedStyle(e).visibility !== 'hidden';
	};
	const words = (e) => (e.getAttribute('aria-label') ?? e.textContent ?? '').trim().slice(0, 40) || e.tagName;
	const scrolls = (e) => {
		for (let p = e.parentElement; p; p = p.parentElement)
			if (/auto|scroll/.test(getComputedStyle(p).overflowX)) return true;
		return false;
	};
	if (document.documentElement.scrollWidth > innerWidth) found.push('the page scrolls sideways');
	for (const e of document.querySelectorAll('body *')) {
		if (e.children.length > 0 || !e.textContent.trim() || !shows(e) || e.closest('svg')) continue;
		const { left, right } = e.getBoundingClientRect();
		if ((right > innerWidth + 1 || left < -1) && !scrolls(e)) found.push('off the page: ' + words(e));
		const style = getComputedStyle(e);
		const isCut = e.scrollWidth > e.clientWidth + 1 && style.overflowX === 'hidden' && style.textOverflow !== 'ellipsis';
		if (isCut) found.push('cut: ' + words(e));
	}
	for (const plan of document.querySelectorAll('[aria-label="Head plan"]')) {
		const valves = [...plan.querySelectorAll('[data-station] > span:first-child')].map((e) => [e, e.getBoundingClientRect()]);
		for (const [a, p] of valves)
			for (const [b, q] of valves) {
				if (a === b) continue;
				const apart = Math.hypot(p.x + p.width / 2 - q.x - q.width / 2, p.y + p.height / 2 - q.y - q.height / 2);
				if (apart < p.width / 2 + q.width / 2) found.push('on each other: ' + a.textContent.trim() + ' ' + b.textContent.trim());
			}
	}
	if (arguments[0])
		for (const e of document.querySelectorAll('a[href], button, [role=combobox], input:not([type=file], [type=hidden])')) {
			if (!shows(e) || e.classList.contains('sr-only')) continue;
			// A label is as good a target as its box, and a line of the list as good as its number.
			const target = e.closest('label') ?? (e.matches('[data-job]') ? e.closest('tr') : e);
			const { height } = target.getBoundingClientRect();
			if (height < 43.5) found.push('small, ' + Math.round(height) + ' px: ' + words(e));
		}
	return [...new Set(found)];
`;

const SIZES = [
	[390, 844],
	// A bench screen at twice its size.
	[640, 400],
	[768, 1024],
	[1024, 768],
	[1280, 800],
	[1920, 1080]
] as const;
/** Where axe is asked about the page's structure: folded on a phone, all of it on a bench. */
const ASKED: readonly number[] = [390, 1280];
/** What axe asks of which the answer hangs on the scheme, asked once in each. */
const OF_COLOR = 'color-contrast';

/** Two frames on, a page that was made wider or narrower is laid out and drawn. */
const SETTLED =
	'await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)))';

/** Opens a page. @returns all that is wrong with it, with the width at which it is; it is left open at 1280 */
export async function wrongAtWidths(browser: Browser, path: string): Promise<string[]> {
	const wrong: string[] = [];
	const note = (where: string, found: readonly string[]) =>
		wrong.push(...found.map((one) => `${where}: ${one}`));
	await browser.size(...SIZES[0]);
	await browser.go(path);
	for (const [width, height] of SIZES) {
		await browser.size(width, height);
		await browser.wait(SETTLED);
		note(`${path} at ${width}`, await browser.run<string[]>(MEASURED, width < 1024));
		if (ASKED.includes(width))
			note(`${path} at ${width}`, await browser.faults({ without: OF_COLOR }));
	}
	await browser.size(1280, 800);
	for (const scheme of ['dark', 'light']) {
		await browser.run('document.documentElement.dataset.scheme = arguments[0]', scheme);
		note(`${path}, ${scheme}`, await browser.faults({ only: OF_COLOR }));
	}
	return wrong;
}

/**
 * Controls of the page that is open which Tab does not reach.
 *
 * @param within where to look: the bars around a page are the same on all pages of a job
 */
export async function missedByTab(browser: Browser, within = '#main'): Promise<string[]> {
	const wanted = await browser.run<number>(
		`const within = document.querySelector(arguments[0]);
		window.reached = new Set();
		document.addEventListener('focusin', (event) => window.reached.add(event.target), true);
		document.activeElement?.blur();
		if (within !== document.body) {
			within.tabIndex = -1;
			within.focus();
		}
		window.controls = [...within.querySelectorAll('a[href], button, input')].filter(
			(e) => e.tabIndex >= 0 && !e.disabled && e.role !== 'radio' && e.offsetParent !== null);
		return window.controls.length`,
		within
	);
	const tab = { type: 'keyDown', key: 'Tab', code: 'Tab', windowsVirtualKeyCode: 9 };
	for (let pressed = 0; pressed < wanted + 8; pressed++)
		await browser.devtools('Input.dispatchKeyEvent', tab);
	return browser.run<string[]>(
		'return window.controls.filter((e) => !window.reached.has(e)).map((e) => e.outerHTML.slice(0, 120))'
	);
}

/** The button that a page is there for, pressed; nothing where it has none to press. */
export async function pressMainButton(browser: Browser): Promise<void> {
	await browser.run(
		`[...document.querySelectorAll('main .button-main, #main .button-main')]
			.find((e) => !e.disabled && e.offsetParent !== null)?.click()`
	);
	await browser.wait(SETTLED);
}
