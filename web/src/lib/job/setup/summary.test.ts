import { describe, expect, it } from 'vitest';
import { JOB_GROUPS, KIND_GROUPS } from './fields';
import { summaryOf } from './summary';

const engine = JOB_GROUPS.find(({ title }) => title === 'Engine and use')!.fields;
const details = KIND_GROUPS.find(({ title }) => title.startsWith('Details'))!.fields;

describe('a folded group', () => {
	it('says in one line what is set in it', () => {
		expect(summaryOf(engine, { 'head.material': 'iron', 'use.boosted': 'yes' })).toBe(
			'Boosted: yes, iron'
		);
		expect(summaryOf(engine, {})).toBe('');
		const values = { 'kinds.intake.lash.tolerance': '0.002 in', 'kinds.exhaust.maxOpenLoad': '' };
		expect(summaryOf(details, values, ['intake', 'exhaust'])).toBe('intake: 0.002 in');
	});
	it('counts what does not fit', () => {
		const all = Object.fromEntries(engine.map(({ path }) => [path, 'x']));
		expect(summaryOf(engine, all)).toMatch(/ and 4 more$/);
	});
	it('asks first what changes everything else', () => {
		const first = JOB_GROUPS.filter(({ isFirst }) => isFirst).flatMap(({ fields }) => fields);
		expect(first.map(({ path }) => path)).toEqual([
			'lifters',
			'workLocation',
			'atHand',
			'use.duty',
			'use.engineSpeed'
		]);
	});
});
