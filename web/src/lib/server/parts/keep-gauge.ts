/** Keeping a gauge from its form. */
import { fail, redirect } from '@sveltejs/kit';
import type { Gauge as KnownGauge, Person, Units } from '@zinc-ledger/core';
import { Gauge } from '@zinc-ledger/core/gauge-schema';
import { unflatten, type Values } from '$lib/forms/flat';
import { GAUGE_FIELDS } from '$lib/parts/gauges/fields';
import { withDatabase } from '../with-database';
import { CHANGED_MEANWHILE, fieldProblems, formTexts, revisionIn } from '../http/body';
import { reachable } from '../devices/reachable';
import { saveGauge } from './gauges';
import { message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';

interface Keeping {
	readonly request: Request;
	readonly person: Person | null;
	readonly units: Units;
	readonly id: string;
	readonly before: KnownGauge | null;
}

export async function keepGauge({ request, person, units, id, before }: Keeping) {
	const values: Values = await formTexts(request);
	const refused = (status: number, text: string, problems: Record<string, string> = {}) =>
		fail(status, { message: text, problems, values });
	if (!person) return refused(401, tell(message('server.operator-required')));
	const checked = Gauge.safeParse({ ...unflatten(values, GAUGE_FIELDS, before, units), id });
	if (!checked.success) {
		return refused(400, tell(message('server.not-saved')), fieldProblems(checked.error));
	}
	const host = checked.data.link?.host;
	if (host && (await reachable(host)) === null) {
		const says = tell(message('gauge.address-elsewhere', { host }));
		return refused(400, tell(message('server.not-saved')), { 'link.host': says });
	}
	const revision = before && revisionIn(values);
	if (!(await withDatabase((db) => saveGauge(db, checked.data, revision, person))))
		return refused(409, CHANGED_MEANWHILE);
	redirect(303, `/gauges/${id}`);
}
