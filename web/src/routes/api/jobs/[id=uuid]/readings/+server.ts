import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { issue } from '@zinc-ledger/core';
import { Reading } from '@zinc-ledger/core/schema';
import { refuseOtherName } from '$lib/server/access/gate';
import { withDatabase } from '$lib/server/with-database';
import { checkedBody } from '$lib/server/http/body';
import { clockOf, storeOffered, storeReadings } from '$lib/server/jobs/readings';
import { isOfferedAgain } from '$lib/server/jobs/strays';

/**
 * Stores a reading and answers with the newest readings of its station, so that
 * the bench sees what somebody else read there meanwhile. The same id twice is
 * harmless. The reading names its own person: it may have waited in the
 * browser since somebody else stood there.
 */
export async function POST({ request, params, locals }) {
	const reading = await checkedBody(request, Reading, 'readings');
	refuseOtherName(locals, [reading.person]);
	const clock = clockOf(request);
	const store = isOfferedAgain(request) ? storeOffered : storeReadings;
	return json({ readings: await withDatabase((db) => store(db, params.id, [reading], clock)) });
}

const Many = z
	.array(Reading)
	.min(1, issue('field.required'))
	.max(50, issue('field.max', { max: 50 }));

/** Stores many readings at once, all or none, as {@link POST} does one. */
export async function PUT({ request, params, locals }) {
	const readings = await checkedBody(request, Many, 'readings');
	refuseOtherName(
		locals,
		readings.map(({ person }) => person)
	);
	const clock = clockOf(request);
	const store = isOfferedAgain(request) ? storeOffered : storeReadings;
	return json({ readings: await withDatabase((db) => store(db, params.id, readings, clock)) });
}
