/** Notes and signed sheets, as they are listed where a job is handed over. */
import { beforeEach, describe, expect, it } from 'vitest';
import type { Job } from '@zinc-ledger/core';
import { JobStore } from '$lib/job/store/job-store.svelte';
import { atBench, demoJob } from '$lib/test/demo';
import { markup, words, type Around } from '$lib/test/rendered';
import Notes from './Notes.svelte';
import type { Role } from '$lib/access/roles';
import Shares from './Shares.svelte';
import SignedSheets from './SignedSheets.svelte';

let job: Job;
let around: Around;
beforeEach(() => {
	job = demoJob('2417-straight-six');
	around = atBench(job);
});

describe('notes', () => {
	const note = (text: string, more: Partial<Job['notes'][number]> = {}) => {
		const id = crypto.randomUUID();
		job.notes.push({
			id,
			text,
			private: false,
			blocksSignOff: false,
			person: job.people[0]!.id,
			at: '2026-11-20T09:00:00Z',
			...more
		});
		return id;
	};
	const shown = () => {
		around = atBench(job);
		return words(markup(Notes, {}, around)).split('Note whole job')[0]!;
	};
	it('stand with where they belong and what they are about', () => {
		note('Seat cut twice', { station: '3E', about: 'damaged-part' });
		expect(shown()).toMatch(/3E Damaged part: Seat cut twice/);
	});
	it('that hold the sheet back say so until they are resolved', () => {
		const id = note('Checking spring still on 1I', { blocksSignOff: true });
		expect(shown()).toMatch(/stop Checking spring still on 1I/);
		note('resolved', { resolves: id });
		expect(shown()).toContain('Checking spring still on 1I');
		expect(shown()).not.toContain('stop Checking');
	});
	it('that came with figures as a file give it back', () => {
		const file = { name: 'flow.csv', text: 'lift,cfm\n0.1,62\n' };
		note('Flowed before and after', { about: 'flow-figures', file });
		expect(shown()).toMatch(/Flow figures: Flowed before and after flow\.csv/);
		const html = markup(Notes, {}, around);
		expect(html).toContain('download="flow.csv"');
		expect(html).toContain(encodeURIComponent(file.text));
	});
	it('that stay in the shop are marked', () => {
		note('Slow payer', { private: true });
		expect(shown()).toMatch(/Slow payer .*internal/);
	});
});

describe('signed sheets', () => {
	const sheet = (revision: number) => ({
		id: `sheet-${revision}`,
		revision,
		entries: 10,
		sha256: String(revision).repeat(64),
		person: 'Runa Tarn',
		at: `2026-11-2${revision}T09:00:00Z`
	});
	const shown = (revisions: readonly number[]) => {
		const store = new JobStore(job, 1, revisions.map(sheet));
		return markup(SignedSheets, {}, { ...around, store });
	};
	it('are none before one is signed', () => {
		expect(words(shown([]))).toBe('Signed Not signed yet.');
	});
	it('stand newest first, those before it superseded', () => {
		const text = words(shown([2, 1]));
		expect(text).toMatch(/Sheet 2 , Runa Tarn, .*Sheet 1 , Runa Tarn, .*superseded/);
		expect(text.match(/superseded/g)).toHaveLength(1);
	});
	it('have all that goes out of them, with the whole digest', () => {
		const html = shown([1]);
		for (const file of [
			'sheet.pdf?size=A4',
			'sheet.pdf?size=Letter',
			'customer.pdf',
			'sheet.json',
			'sheet.csv',
			'label.pdf'
		])
			expect(html).toContain(`/signed/sheet-1/${file}`);
		expect(words(html)).toContain(`SHA-256 ${'1'.repeat(64)}`);
	});
});

describe('links for the customer', () => {
	const shown = (role: Role, network = true) => {
		const sheet = { id: 's', revision: 2, entries: 1, sha256: '', person: 'Runa Tarn', at: '' };
		around.bench.access = { network, signedIn: network, atBench: false, role };
		return words(markup(Shares, {}, { ...around, store: new JobStore(job, 1, [sheet]) }));
	};
	it('are made by who may sign, of the newest sheet', () => {
		expect(shown('machinist')).toContain('Make a link to sheet 2');
		expect(shown('helper')).toBe('');
	});
	it('are none where nothing else could open them', () => {
		expect(shown('owner', false)).toBe('');
	});
});
