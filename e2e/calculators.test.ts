/** Calculators: before there is a job, and with the server away. */
import { describe, expect, it } from 'vitest';
import type { Job } from '@zinc-ledger/core';
import { until } from './support/app.ts';
import { Key } from './support/browser.ts';
import { visit } from './support/visit.ts';
import { newJob } from './support/pages/new-job.ts';
import { calculators } from './support/pages/calculators.ts';

const at = visit('demo', { keepsProgram: true });
const answer = (sum: string) => at.browser.text(`[data-sum="${sum}"] [data-result]`);

describe('calculators', () => {
	it('answer as they are typed, in any unit, and stand in the address', async () => {
		const { browser } = at;
		await browser.workAs('Runa Tarn');
		await browser.go('/calculators');
		await browser.fill('coil bind', '29.21 mm');
		await browser.fill('valve lift', '540');
		expect(await answer('aim-height')).toBe('');
		await calculators(browser).cushion('60 thou');
		await calculators(browser).showsWorking();
		await until(async () => (await browser.driver.getCurrentUrl()).includes('cushion'));
		const address = await browser.driver.getCurrentUrl();
		expect(new URL(address).searchParams.get('aim-height.bind')).toBe('29.21 mm');
		await browser.go(address.slice(at.app.url.length));
		await calculators(browser).showsWorking();
		await calculators(browser).cushion('much');
		await browser.sees('“much” is not a figure');
		await calculators(browser).cushion('60');
	});
	it('become a job, with the lift and the cushion they were made with', async () => {
		const { browser } = at;
		await calculators(browser).showsWorking();
		await browser.click('Make it a job', 'a');
		await browser.sees('From the sums: cushion over bind 0.060 in');
		await browser.ready();
		await newJob(browser).customer('Sten Aldous');
		await newJob(browser).engine('Orveld 2.0 four');
		await (await browser.field('Customer')).sendKeys(Key.ENTER);
		const path = await browser.takenIn();
		const { body } = await browser.api('GET', `/api${path}`);
		const { kinds } = (body as { job: Job }).job.setup;
		expect(kinds.exhaust).toMatchObject({
			lift: { type: 'valve', valve: '0.540 in', source: 'customer' },
			aim: { method: 'bind-cushion', cushion: '0.060 in' }
		});
	});
	it('and a job like another has its heads and parts, and none of its readings', async () => {
		const { browser } = at;
		const like = await browser.openJob('2405');
		await (await browser.find('[aria-label="More of Hand over"]')).click();
		await browser.click('A job like this', 'a');
		await browser.sees('Like job 2405, Tessaly 3.0 flat six');
		await browser.ready();
		await newJob(browser).customer('Maren Tolk');
		await newJob(browser).engine('Tessaly 3.0 flat six, second');
		await newJob(browser).create();
		const path = await browser.takenIn();
		const jobAt = async (from: string) =>
			((await browser.api('GET', `/api${from}`)).body as { job: Job }).job;
		const [made, first] = [await jobAt(path), await jobAt(like)];
		expect(made.stations.map(({ label }) => label)).toEqual(
			first.stations.map(({ label }) => label)
		);
		expect(made.engine.layout).toEqual(first.engine.layout);
		expect(made.setup.kinds.exhaust.valve).toEqual(first.setup.kinds.exhaust.valve);
		expect(made.setup.springs).toBeUndefined();
		expect([made.readings, made.inspections, made.plans]).toEqual([[], [], []]);
	});
	it('are found at their old address, with what was entered there', async () => {
		await at.browser.go('/sums?seal.gap=0.628');
		await until(async () =>
			(await at.browser.driver.getCurrentUrl()).endsWith('/calculators?seal.gap=0.628')
		);
	});
	it('go on with the server away, after one visit', async () => {
		const { browser } = at;
		await browser.go('/calculators');
		await until(() =>
			browser.wait<boolean>(
				`return (await caches.match(location.origin + '/calculators')) !== undefined`
			)
		);
		await at.app.stop();
		await browser.go('/calculators?seal.gap=0.628');
		await browser.run(
			`document.querySelector('[data-sum=seal] input[value], [data-sum=seal] input').scrollIntoView()`
		);
		const [, lift] = await browser.all('[data-sum=seal] input');
		await lift!.sendKeys('0.540');
		await until(async () => (await answer('seal')).includes('0.628 − 0.540 = 0.088'));
		await at.app.start();
	});
});
