import { GAUGE_SORTS } from '@zinc-ledger/core';
import type { FieldSpec } from '$lib/forms/flat';
import { labelsOf } from '@zinc-ledger/words';

/** What is asked of a gauge. */
export const GAUGE_FIELDS: readonly FieldSpec[] = [
	{ path: 'name', label: 'Name', sort: 'text' },
	{ path: 'sort', label: 'Type', sort: 'choice', choices: GAUGE_SORTS, names: labelsOf('gauge') },
	{ path: 'resolution', label: 'Length resolution', sort: 'length' },
	{ path: 'loadResolution', label: 'Load resolution', sort: 'load' },
	{ path: 'repeatability', label: 'Length repeatability, one sigma', sort: 'length' },
	{ path: 'loadRepeatability', label: 'Load repeatability, one sigma', sort: 'load' },
	{ path: 'accuracy', label: 'Maker’s length accuracy ±', sort: 'length' },
	{ path: 'loadAccuracy', label: 'Maker’s load accuracy ±', sort: 'load' },
	{ path: 'lengthUnit', label: 'Length unit', sort: 'choice', choices: ['in', 'mm'] },
	{ path: 'loadUnit', label: 'Load unit', sort: 'choice', choices: ['lbf', 'N', 'kgf'] },
	{ path: 'range', label: 'Range', sort: 'text' },
	{ path: 'dueMonths', label: 'Calibration due after, months', sort: 'number' },
	{ path: 'link.host', label: 'Host', sort: 'text' },
	{ path: 'link.port', label: 'Port', sort: 'number' },
	{ path: 'link.pattern', label: 'Line pattern', sort: 'text' },
	{ path: 'note', label: 'Note', sort: 'text' }
];
