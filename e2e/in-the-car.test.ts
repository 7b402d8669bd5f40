/** Springs fitted in the car: one cylinder at a time, the air line before its first lock and after its last. */
import { beforeAll, describe, expect, it } from 'vitest';
import type { Job } from '@zinc-ledger/core';
import { until } from './support/app.ts';
import { Key } from './support/browser.ts';
import { visit } from './support/visit.ts';
import { assembly as assemblyPage } from './support/pages/assembly.ts';
import { round } from './support/pages/round.ts';
import { setup } from './support/pages/setup.ts';

const at = visit('demo');
let path = '';
beforeAll(async () => {
	await at.browser.workAs('Runa Tarn');
	path = await at.browser.openJob('2417');
});

const stored = async () => {
	const { body } = await at.browser.api('GET', `/api${path}`);
	return (body as { job: Job }).job;
};
/** Ticks the step that is asked for and waits until so many are done. */
async function tick(done: number) {
	await at.browser.click('Done', 'button');
	await at.browser.sees(`${done} of 236 steps`);
}

describe('a head in the car', () => {
	it('is set up as such', async () => {
		const { browser } = at;
		await browser.go(`${path}/setup`);
		await setup(browser).workLocation('in the vehicle');
		await setup(browser).save();
		await until(async () => (await stored()).setup.workLocation === 'vehicle');
	});
	it('has the piston found, the crankshaft held and the air proven before anything is undone', async () => {
		const { browser } = at;
		await browser.go(`${path}/assembly`);
		await browser.sees('in the vehicle, one cylinder at a time');
		await assemblyPage(browser).counted('24');
		await browser.press(Key.ENTER);
		await browser.sees('Cylinder 1 At true top dead centre');
		const lit = await browser.all('[data-lit]');
		expect(await Promise.all(lit.map((one) => one.getAttribute('data-station')))).toEqual([
			'1I',
			'1E'
		]);
		await browser.sees('Closed valves do not mean that the piston is up.');
		await tick(2);
		await browser.sees('hands and tools clear of it');
		await tick(3);
		await browser.sees('If the air drops, the valve drops.');
		await tick(4);
		await browser.sees('a magnet for the locks');
		await tick(5);
		expect(await browser.text('main')).toContain('1I');
		await browser.sees('Locator');
	});
	it('no other cylinder is begun before the air is off this one', async () => {
		const { browser } = at;
		await browser.click('2I', 'button');
		await browser.sees('Do first (1I)');
		const { body, status } = await browser.api('POST', `/api${path}/entries/assembly`, {
			id: '0197a555-0000-7000-8000-000000000002',
			place: 'cylinder 2',
			step: 'dead centre',
			done: true,
			person: (await stored()).people[0]!.id,
			at: new Date().toISOString()
		});
		expect(status).toBe(409);
		expect(JSON.stringify(body)).toContain('1I');
	});
	it('is stripped with what lay there written down, stops at a leak, and is measured under the air', async () => {
		const { browser } = at;
		await browser.go(`${path}/assembly`);
		await browser.sees('Compress the spring as far as the locks need');
		// Its height was read before: that is the tick of the step that measures it.
		await tick(7);
		await browser.sees('A half that is missing is found before anything else.');
		await assemblyPage(browser).counted('2');
		await tick(8);
		await browser.sees('write down what lay under and on it');
		await browser.fill('Shims under it, in', '0.015 + 0.030');
		await browser.fill('Put where', 'tray, row 1');
		await browser.click('The air fell', 'button');
		await browser.sees('The air does not hold at cylinder 1');
		await browser.sees('Prove that it holds before a lock is touched');
		await tick(8);
		// What was typed before the leak is there again.
		expect(await (await browser.field('Put where')).getAttribute('value')).toBe('tray, row 1');
		await browser.click('Save, spring is off', 'button');
		await browser.sees('Look at tip, groove and stem');
		const { asFound } = await stored();
		expect(asFound).toMatchObject([
			{ station: '1I', shims: ['0.015 in', '0.030 in'], put: 'tray, row 1' }
		]);
		await browser.go(`${path}/as-found`);
		expect(await browser.text('[aria-label="Counts of the strip-down"]')).toContain(
			'Lock halves 2 Shims of 0.030 1 Shims of 0.015 1'
		);
	});
	it('measures one valve from its step and comes back to it', async () => {
		const { browser } = at;
		await browser.go(`${path}/round?of=installed-height&only=1I&back=assembly`);
		await round(browser).readingsPerValve('1');
		await browser.begin();
		await round(browser).allOne();
		await browser.click('Back to the assembly', 'a');
		await browser.sees('in the vehicle, one cylinder at a time');
	});
	it('goes on with the next cylinder once both valves are built and the air is off', async () => {
		const { browser } = at;
		await browser.go(`${path}/assembly`);
		const count = async () => Number(/(\d+) of 236/.exec(await browser.text('main'))![1]);
		while (!(await browser.text('main')).includes('air off, rags and tools')) {
			const before = await count();
			if ((await browser.all('input[placeholder="2"]')).length > 0)
				await assemblyPage(browser).counted('2');
			const isFound = (await browser.text('main')).includes('Save, spring is off');
			await browser.click(isFound ? 'Save, spring is off' : 'Done', 'button');
			await until(async () => (await count()) > before);
		}
		await tick((await count()) + 1);
		await browser.sees('Cylinder 2 At true top dead centre');
		const { assembly } = await stored();
		expect(assembly.at(-1)).toMatchObject({ place: 'cylinder 1', step: 'air-off', done: true });
	});
});
