/** The plan as a table, before and after it is worked out, and what it evens out. */
import { beforeEach, describe, expect, it } from 'vitest';
import {
	evaluate,
	message,
	withPlan,
	type Job,
	type Message,
	type PlannedStation
} from '@zinc-ledger/core';
import { atBench, demoJob } from '$lib/test/demo';
import { markup, words, type Around } from '$lib/test/rendered';
import LoadSpread from './LoadSpread.svelte';
import type { Planner } from './planner.svelte';
import PlanTable from './PlanTable.svelte';
import StationChange from './StationChange.svelte';

let job: Job;
let around: Around;
beforeEach(() => {
	job = demoJob('2417-straight-six');
	around = atBench(job);
});
const none = () => undefined;
const SHIMMED: PlannedStation = { label: '4E', shims: ['0.030 in', '0.015 in'] };

function table(
	planned: readonly PlannedStation[] = [],
	leftOut: readonly (readonly [string, Message])[] = [],
	fixed: readonly string[] = []
): string {
	return markup(
		PlanTable,
		{
			job,
			sheet: planned.length > 0 ? evaluate(withPlan(job, planned)) : around.store.sheet,
			planned: new Map(planned.map((station) => [station.label, station])),
			leftOut: new Map(leftOut),
			fixed: new Set(fixed),
			selected: '4E',
			onselect: none,
			onfix: none
		},
		around
	);
}
const row = (html: string, label: string) =>
	html.split('<tr').find((one) => one.includes(`data-plan="${label}"`))!;

describe('the table of a plan', () => {
	it('shows what stands while there is no plan', () => {
		expect(words(row(table(), '1I'))).toMatch(/1I none .*1\.818 131 312/);
		expect(table()).not.toContain('line-through');
	});
	it('strikes what the plan changes, and shows what comes instead', () => {
		const html = row(table([SHIMMED]), '4E');
		expect(html).toMatch(/line-through[^>]*>\s*none/);
		expect(words(html)).toContain('0.030 + 0.015');
		expect(words(html)).toContain('1.822');
		expect(row(table([SHIMMED]), '1I')).not.toContain('line-through');
	});
	it('says why a station was left out', () => {
		const why = message('need.height');
		expect(words(row(table([SHIMMED], [['5I', why]]), '5I'))).toMatch(/5I .*height/);
	});
	it('keeps what is locked ticked', () => {
		expect(row(table([], [], ['3E']), '3E')).toContain('aria-checked="true"');
		expect(row(table(), '3E')).toContain('aria-checked="false"');
	});
	it('has a column of springs only where the job has tagged ones', () => {
		expect(words(table().split('</thead>')[0]!)).not.toContain('Spring');
		job.setup.springs = [
			{
				tag: 'T1',
				set: 'Six',
				card: job.setup.kinds.intake.spring!.id,
				points: [
					{ height: '48 mm', load: '500 N' },
					{ height: '30 mm', load: '1600 N' }
				]
			}
		];
		expect(words(table().split('</thead>')[0]!)).toContain('Spring');
	});
});

describe('the spread of seat loads', () => {
	const spread = (planned: Job | null) =>
		words(
			markup(
				LoadSpread,
				{ planner: { simpler: [], answer: null } as unknown as Planner, planned, used: null },
				around
			)
		);
	it('stands as it is, and by this plan once there is one', () => {
		expect(spread(null)).toMatch(/as it stands 4 17 0$/);
		expect(spread(null)).not.toContain('this plan');
		const after = spread(withPlan(job, [SHIMMED]));
		expect(after).toMatch(/this plan 4 2 2$/);
	});
});

describe('one station before and after', () => {
	const change = (planned: Job | null) => {
		const after = planned && evaluate(planned).stations.find(({ label }) => label === '4E');
		return words(
			markup(
				StationChange,
				{
					label: '4E',
					before: around.store.station('4E')!,
					after: after ?? undefined,
					planned,
					next: undefined
				},
				around
			)
		);
	};
	it('is drawn as planned over how it stands, the figures beside each other', () => {
		const text = change(withPlan(job, [SHIMMED]));
		expect(text).toMatch(/1\.822 installed/);
		expect(text).toContain('Yellow outline: as it stands now.');
		expect(change(null)).not.toContain('Yellow outline');
		expect(text).toMatch(/Height 1\.867 1\.822/);
	});
	it('has what stands alone before there is a plan', () => {
		expect(change(null)).toContain('1.867 installed');
		expect(change(null)).not.toContain('Height 1.867');
	});
});
