/** The section on the screen: its figures, and what it says for one who cannot see it. */
import { beforeEach, describe, expect, it } from 'vitest';
import { partsOf, type Job } from '@zinc-ledger/core';
import { atBench, demoJob } from '$lib/test/demo';
import { markup, words, type Around } from '$lib/test/rendered';
import Section from './Section.svelte';

let job: Job;
let around: Around;
beforeEach(() => {
	job = demoJob('2417-straight-six');
	around = atBench(job);
});
function section(label: string, plain = true): string {
	const station = around.store.station(label)!;
	const entry = job.stations.find((one) => one.label === label)!;
	const parts = partsOf(job.setup, entry);
	return markup(Section, { station, kind: station.shared, parts, plain }, around);
}

describe('the section', () => {
	it('says its figures, seen and heard, at the lift of its right half', () => {
		expect(section('1I')).toContain(
			'aria-label="Section of station 1I: 1.818 installed, 0.128 to bind, 0.088 to the seal at 0.540 lift"'
		);
		expect(words(section('1I'))).toMatch(/1\.818 installed .*0\.128 to bind .*0\.088/);
	});
	it('is in the units of who reads it', () => {
		around.bench.units = { length: 'mm', load: 'N' };
		expect(words(section('1I'))).toContain('46.18 installed');
	});
	it('draws what is assumed in dashes, and says so', () => {
		expect(section('1I')).toContain('stroke-dasharray="2 2"');
		expect(words(section('1I'))).toContain('what is dashed is assumed');
	});
	it('says that a gap was not measured instead of drawing one', () => {
		expect(words(section('4E'))).toContain('Seal not drawn: gap not measured.');
	});
	it('is drawn once the height is known, not before', () => {
		expect(words(section('6E'))).toBe('The section is drawn once the height of 6E is measured.');
	});
	it('has each shim’s thickness beside it', () => {
		job.stations.find(({ label }) => label === '1I')!.shims = ['0.030 in'];
		around = atBench(job);
		expect(words(section('1I'))).toContain('0.030');
	});
	it('says which coil stops the valve first, where there are several', () => {
		const first = around.store.station('1I')!.shared.bind!.first;
		expect(first).not.toBeNull();
		expect(words(section('1I'))).toContain(`${first} first`);
	});
	it('is run through an opening and copied, but where it is plain', () => {
		expect(words(section('1I', false))).toMatch(/Run through one opening .*Copy as SVG/);
		expect(words(section('1I'))).not.toContain('Copy as SVG');
	});
	it('has a slider of its lift, but where it is plain', () => {
		expect(section('1I', false)).toContain('Lift of the right half');
		expect(section('1I')).not.toContain('Lift of the right half');
	});
});
