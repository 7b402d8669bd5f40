/** A list of figures, pasted. */
import { until } from '../app.ts';
import type { Browser } from '../browser.ts';

export const list = (browser: Browser) => ({
	/** Pastes so many heights of a job, over all its valves in turn, and waits until they are stored. */
	keep: async (
		jobId: string,
		stations: readonly { label: string }[],
		count: number,
		from: number
	): Promise<void> => {
		await browser.go(`/jobs/${jobId}/list?of=installed-height`);
		const lines = Array.from(
			{ length: count },
			(_, i) => `${stations[i % stations.length]!.label} 1.8${String(10 + ((from + i) % 20))}`
		);
		await browser.fill('Paste it here', lines.join('\n'));
		await browser.sees(`${count} understood`);
		const [inPlace] = await browser.all('[role=radio][data-value=yes]');
		await inPlace?.click();
		await browser.click(`Keep ${count} readings`, 'button');
		await until(() => browser.run<boolean>(`return !location.pathname.endsWith('/list')`));
		await until(async () => !(await browser.text()).includes('unsent'));
	}
});
