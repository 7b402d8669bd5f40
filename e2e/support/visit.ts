/** What most browser tests begin with: an application and a browser at it. */
import { afterAll, beforeAll } from 'vitest';
import { startApp, startGauges, type App, type Gauges } from './app.ts';
import { AWAY, Browser } from './browser.ts';

export interface Visit {
	readonly app: App;
	readonly browser: Browser;
	/** The stand-ins, where the tests asked for them. */
	readonly gauges: Gauges;
}

/** Serves the application and opens a browser for the tests of this file; both end with them. */
export function visit(
	mode: 'demo' | 'own',
	wants: { readonly gauges?: boolean; readonly keepsProgram?: boolean } = {}
): Visit {
	let gauges: Gauges | undefined;
	let app: App | undefined;
	let browser: Browser | undefined;
	beforeAll(async () => {
		if (wants.gauges) gauges = await startGauges();
		const served = await startApp(mode, gauges);
		app = {
			...served,
			stop: () => {
				browser?.expects(AWAY);
				return served.stop();
			}
		};
		browser = await Browser.open(app.url, wants);
	});
	afterAll(async () => {
		await browser?.close();
		await app?.stop();
		gauges?.stop();
	});
	return {
		get app() {
			return app!;
		},
		get browser() {
			return browser!;
		},
		get gauges() {
			return gauges!;
		}
	};
}
