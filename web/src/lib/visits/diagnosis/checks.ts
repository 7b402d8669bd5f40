/** Where the figures of a check are read. */
import type { CheckCode, Job } from '@zinc-ledger/core';

const PAGES: Readonly<Partial<Record<CheckCode, string>>> = {
	'lash-as-found': '/round?of=lash',
	'on-head-loads': '/round?of=on-head-load',
	heights: '/round?of=installed-height',
	'lift-round': '/round?of=valve-lift',
	margins: '',
	'control-figure': '/control',
	'leak-down': '/checks',
	'valves-out': '/inspect'
};

/** The page of a job at which a check's figures are read; null where they are not read here. */
export function pageOfCheck(check: CheckCode, { id, setup }: Job): string | null {
	if (check === 'bench-loads') return '/springs';
	if (check === 'gauge-reference') return '/gauges';
	if (check === 'lash-as-found' && setup.lifters === 'hydraulic') return null;
	const page = PAGES[check];
	return page === undefined ? null : `/jobs/${id}${page}`;
}
