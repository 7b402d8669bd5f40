import { v7 as uuid } from 'uuid';
import { LINE_PATTERN } from '@zinc-ledger/core';
import { flatten } from '$lib/forms/flat';
import { GAUGE_FIELDS } from '$lib/parts/gauges/fields';
import { keepGauge } from '$lib/server/parts/keep-gauge';

export const load = ({ locals }) => ({
	pattern: LINE_PATTERN,
	values: flatten(
		{
			type: 'height-gauge',
			lengthUnit: locals.units.length,
			loadUnit: locals.units.load,
			dueMonths: 12
		},
		GAUGE_FIELDS
	)
});

export const actions = {
	default: ({ request, locals }) => keepGauge({ request, ...locals, id: uuid(), before: null })
};
