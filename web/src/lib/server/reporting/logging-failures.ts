import { log } from '../log';

/** Derives without standing in the way of what was kept: what fails is told, and made by the next rebuild. */
export async function loggingFailures(work: () => Promise<void>): Promise<void> {
	try {
		await work();
	} catch (error) {
		log.warn({ error: (error as Error).message }, 'not derived');
	}
}
