/** What is asked for where something is wanted, and what it makes of the set-up. */
import { beforeEach, describe, expect, it } from 'vitest';
import { INCH_POUND, message, METRIC, type Job, type Need } from '@zinc-ledger/core';
import { Setup } from '@zinc-ledger/core/schema';
import { demoJob } from '$lib/test/demo';
import { isShown } from '$lib/job/setup/values';
import { askedFor, setupWith } from './fields';

let job: Job;
beforeEach(() => (job = demoJob('2417-straight-six')));
const need = (code: Need['code']) => message(code) as Need;

describe('what is asked for', () => {
	it('is the lift of both kinds, with its ratio, and both are kept', () => {
		for (const kind of ['intake', 'exhaust'] as const) delete job.setup.kinds[kind].lift;
		const asked = askedFor(need('need.lift'), ['intake', 'exhaust'], job);
		expect(asked.first).toBe('kinds.intake.lift.lobe');
		const shown = asked.groups.map(({ kind, fields }) => [
			kind,
			fields
				.filter((field) => isShown(field, asked.values))
				.map(({ path }) => path.split('.').at(-1))
		]);
		expect(shown[1]).toEqual(['exhaust', ['type', 'lobe', 'ratio', 'source', 'uncertainty']]);
		const typed = {
			...asked.values,
			'kinds.intake.lift.lobe': '360',
			'kinds.intake.lift.ratio': '1.5',
			'kinds.exhaust.lift.type': 'valve',
			'kinds.exhaust.lift.valve': '13.2 mm'
		};
		const setup = Setup.parse(setupWith(typed, asked, job.setup, INCH_POUND));
		expect(setup.kinds.intake.lift).toMatchObject({ lobe: '0.360 in', ratio: 1.5 });
		expect(setup.kinds.exhaust.lift).toMatchObject({ type: 'valve', valve: '13.2 mm' });
		expect(setup.limits).toEqual(job.setup.limits);
	});
	it('is the figure of a part alone, and the rest of the part stays', () => {
		const { spring } = job.setup.kinds.exhaust;
		const asked = askedFor(need('need.bind'), ['exhaust'], job);
		expect(asked.groups).toMatchObject([
			{ part: spring!.name, fields: [{ label: 'Coil bind height' }] }
		]);
		const typed = { 'kinds.exhaust.spring.bind': '27.9' };
		const setup = Setup.parse(setupWith(typed, asked, job.setup, METRIC));
		expect(setup.kinds.exhaust.spring).toEqual({ ...spring, bind: '27.9 mm' });
		expect(setup.kinds.intake).toEqual(job.setup.kinds.intake);
	});
	it('is one field for what all valves share', () => {
		const asked = askedFor(need('need.head.material'), ['intake', 'exhaust'], job);
		expect(asked.groups).toHaveLength(1);
		expect(asked.groups[0]!.fields.map(({ path }) => path)).toEqual(['head.material']);
	});
});
