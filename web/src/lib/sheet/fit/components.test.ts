/** Findings of fit, moving masses and the shelf, as they are shown. */
import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Finding, Job, LibraryPart } from '@zinc-ledger/core';
import { readParts } from '@zinc-ledger/core/parts';
import { atBench, demoJob } from '$lib/test/demo';
import { markup, words, type Around } from '$lib/test/rendered';
import FindingItem from './FindingItem.svelte';
import MassTable from './MassTable.svelte';
import OwnParts from './OwnParts.svelte';
import QuietFindings from './QuietFindings.svelte';
import ShelfTable from './ShelfTable.svelte';

let job: Job;
let around: Around;
const read = readParts(readFileSync('demo/parts.json', 'utf8'));
if (!read.ok) throw new Error('the demo parts do not read');
const library: readonly LibraryPart[] = read.value;
beforeEach(() => {
	job = demoJob('2417-straight-six');
	around = atBench(job);
});

const item = (is: (finding: Finding) => boolean, kept = true) => {
	const { fit, fitContexts } = around.store.sheet;
	const finding = fit.find(is)!;
	const context = fitContexts[0]?.context;
	return markup(
		FindingItem,
		{ finding, context, library, kept, onmend: () => undefined } as never,
		around
	);
};

describe('a finding', () => {
	it('says what is compared, where, and why it matters', () => {
		job.setup.kinds.exhaust.locks!.angle = 7;
		around = atBench(job);
		const html = item(({ rule, kind }) => rule === 'lock-angle' && kind === 'exhaust');
		expect(html).toContain('data-finding="lock-angle Exhaust"');
		expect(words(html)).toMatch(/Exhaust .*locks 7°, retainer 10°/);
		expect(words(html)).toContain('stop');
	});
	it('that was accepted says by whom and why, and can be withdrawn', () => {
		const text = words(item(({ acceptance }) => acceptance !== null));
		expect(text).toMatch(/Accepted by [A-Z]{2}: /);
		expect(text).not.toContain('Accept it');
	});
	it('can be accepted once its parts are kept, not while they are tried', () => {
		job.acceptances = [];
		around = atBench(job);
		const isOpen = ({ outcome, acceptance, severity }: Finding) =>
			outcome === 'fails' && !acceptance && severity === 'watch';
		const button = (html: string) => /<button[^>]*>(?=\s*Accept it)/.exec(html)![0];
		expect(button(item(isOpen))).not.toMatch(/ disabled(=|>| )/);
		expect(button(item(isOpen, false))).toMatch(/ disabled(=|>| )/);
	});
});

describe('findings that are quiet', () => {
	it('are counted, and each named with what it lacks or has compared', () => {
		const { fit } = around.store.sheet;
		const unknown = fit.filter(({ outcome }) => outcome === 'missing');
		const passing = fit.filter(({ outcome }) => outcome === 'passes');
		const text = words(markup(QuietFindings, { unknown, passing }, around));
		expect(passing.length).toBeGreaterThan(10);
		expect(text).toContain(String(passing.length));
	});
});

describe('moving masses', () => {
	it('stand before and after, with the change', () => {
		const after = structuredClone(job.setup);
		after.kinds.intake.retainer!.mass = '10 g';
		const text = words(markup(MassTable, { before: job.setup, after }, around));
		expect(text).toMatch(/Intake .*208\.5/);
		expect(text).toMatch(/−\d+\.\d/);
		const same = words(markup(MassTable, { before: job.setup, after: job.setup }, around));
		expect(same).not.toMatch(/−\d/);
	});
	it('name what they are made of, and what has none', () => {
		const after = structuredClone(job.setup);
		delete after.kinds.exhaust.valve!.mass;
		const text = words(markup(MassTable, { before: job.setup, after }, around));
		expect(text).toMatch(/valve 112\.0/);
	});
});

describe('the shelf of a job', () => {
	it('has what the job needs, took, and what lies in stock', () => {
		const spring = job.setup.kinds.intake.spring!;
		const html = markup(ShelfTable, { library, taken: { [spring.id]: 12 } }, around);
		expect(words(html)).toContain(spring.name);
		expect(words(html)).toMatch(/Part Required Taken In stock/);
	});
});

describe('stations with parts of their own', () => {
	it('are none until one is given one', () => {
		expect(words(markup(OwnParts, { library }, around))).not.toContain('Seven');
		job.stations[4]!.parts = { locks: { name: 'Seven', offset: '0 mm', angle: 7 } };
		around = atBench(job);
		expect(words(markup(OwnParts, { library }, around))).toContain('Seven');
	});
});
