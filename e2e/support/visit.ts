/** What most browser tests begin with: an application and a browser at it. */
import { afterAll, beforeAll } from 'vitest';
import { startApp, type App } from './app.ts';
import { Browser } from './browser.ts';

export interface Visit {
	readonly app: App;
	readonly browser: Browser;
}

/** Serves the application and opens a browser for the tests of this file; both end with them. */
export function visit(mode: 'demo' | 'own'): Visit {
	let app: App | undefined;
	let browser: Browser | undefined;
	beforeAll(async () => {
		app = await startApp(mode);
		browser = await Browser.open(app.url);
	});
	afterAll(async () => {
		await browser?.close();
		await app?.stop();
	});
	return {
		get app() {
			return app!;
		},
		get browser() {
			return browser!;
		}
	};
}
