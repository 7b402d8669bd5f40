/** Keeping a gauge from its form. */
import { fail, redirect } from '@sveltejs/kit';
import type { Gauge as KnownGauge, Person, Units } from '@zinc-ledger/core';
import { Gauge } from '@zinc-ledger/core/gauge-schema';
import { unflatten, type Values } from '$lib/forms/flat';
import { GAUGE_FIELDS } from '$lib/gauges/fields';
import { ask } from './ask';
import { CHANGED_MEANWHILE, formTexts, revisionIn } from './body';
import { saveGauge } from './gauges';

interface Keeping {
	readonly request: Request;
	readonly person: Person | null;
	readonly units: Units;
	readonly id: string;
	readonly before: KnownGauge | null;
}

export async function keepGauge({ request, person, units, id, before }: Keeping) {
	const values: Values = await formTexts(request);
	const refuse = (status: number, message: string, problems: Record<string, string> = {}) =>
		fail(status, { message, problems, values });
	if (!person) return refuse(401, 'Pick who works at this bench first; what is typed here stays.');
	const checked = Gauge.safeParse({ ...unflatten(values, GAUGE_FIELDS, before, units), id });
	if (!checked.success) {
		return refuse(
			400,
			'Not kept yet: look at the marked fields.',
			Object.fromEntries(checked.error.issues.map(({ path, message }) => [path.join('.'), message]))
		);
	}
	const revision = before && revisionIn(values);
	if (!(await ask((db) => saveGauge(db, checked.data, revision, person))))
		return refuse(409, CHANGED_MEANWHILE);
	redirect(303, `/gauges/${id}`);
}
