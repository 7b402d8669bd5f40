import { error, json } from '@sveltejs/kit';
import { Reading } from '@zinc-ledger/core/schema';
import { ask } from '$lib/server/ask';
import { checkedBody } from '$lib/server/body';
import { loadJob, insertReading } from '$lib/server/jobs';
import { findPerson } from '$lib/server/people';

/**
 * Stores a reading and answers with all readings of its station, so that the
 * bench sees what somebody else read there meanwhile. The same id twice is
 * harmless. The reading names its own person: it may have waited in the
 * browser since somebody else stood there.
 */
export async function POST({ request, params }) {
	const reading = await checkedBody(request, Reading);
	return ask(async (db) => {
		const loaded = await loadJob(db, params.id);
		if (!loaded) error(404, 'There is no such job.');
		const { job } = loaded;
		if (!job.stations.some((station) => station.label === reading.station)) {
			error(404, `There is no station ${reading.station} on job ${job.number}.`);
		}
		if (!(await findPerson(db, reading.person))) {
			error(400, 'Nobody here has this name any more: pick who works at this bench.');
		}
		await insertReading(db, job.id, reading);
		const readings = [...job.readings.filter((other) => other.id !== reading.id), reading];
		return json({ readings: readings.filter((other) => other.station === reading.station) });
	});
}
