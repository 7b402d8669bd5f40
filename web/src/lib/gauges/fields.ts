import { GAUGE_SORTS } from '@zinc-ledger/core';
import type { FieldSpec } from '$lib/forms/flat';

/** What is asked of a gauge. */
export const GAUGE_FIELDS: readonly FieldSpec[] = [
	{ path: 'name', label: 'Name', sort: 'text' },
	{ path: 'sort', label: 'Sort', sort: 'choice', choices: GAUGE_SORTS },
	{ path: 'resolution', label: 'Reads lengths to', sort: 'length' },
	{ path: 'loadResolution', label: 'Reads loads to', sort: 'load' },
	{ path: 'repeatability', label: 'Repeats lengths within, one sigma', sort: 'length' },
	{ path: 'loadRepeatability', label: 'Repeats loads within, one sigma', sort: 'load' },
	{ path: 'lengthUnit', label: 'Lengths in', sort: 'choice', choices: ['in', 'mm'] },
	{ path: 'loadUnit', label: 'Loads in', sort: 'choice', choices: ['lbf', 'N', 'kgf'] },
	{ path: 'range', label: 'Range', sort: 'text' },
	{ path: 'dueMonths', label: 'Check again after, months', sort: 'number' },
	{ path: 'link.host', label: 'Sends from host', sort: 'text' },
	{ path: 'link.port', label: 'and port', sort: 'number' },
	{ path: 'link.pattern', label: 'Pattern of its lines', sort: 'text' },
	{ path: 'note', label: 'Note', sort: 'text' }
];
