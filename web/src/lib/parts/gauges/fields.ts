import { GAUGE_TYPES } from '@zinc-ledger/core';
import type { FieldSpec } from '$lib/forms/flat';
import { labelsOf } from '@zinc-ledger/words';

/** What is asked of a gauge. */
export const GAUGE_FIELDS: readonly FieldSpec[] = [
	{ path: 'name', label: 'Name', type: 'text' },
	{ path: 'type', label: 'Type', type: 'choice', choices: GAUGE_TYPES, names: labelsOf('gauge') },
	{ path: 'resolution', label: 'Length resolution', type: 'length' },
	{ path: 'loadResolution', label: 'Load resolution', type: 'load' },
	{ path: 'repeatability', label: 'Length repeatability, one sigma', type: 'length' },
	{ path: 'loadRepeatability', label: 'Load repeatability, one sigma', type: 'load' },
	{ path: 'accuracy', label: 'Maker’s length accuracy ±', type: 'length' },
	{ path: 'loadAccuracy', label: 'Maker’s load accuracy ±', type: 'load' },
	{ path: 'lengthUnit', label: 'Length unit', type: 'choice', choices: ['in', 'mm'] },
	{ path: 'loadUnit', label: 'Load unit', type: 'choice', choices: ['lbf', 'N', 'kgf'] },
	{ path: 'range', label: 'Range', type: 'text' },
	{ path: 'dueMonths', label: 'Calibration due after, months', type: 'number' },
	{ path: 'link.host', label: 'Host', type: 'text' },
	{ path: 'link.port', label: 'Port', type: 'number' },
	{ path: 'link.pattern', label: 'Line pattern', type: 'text' },
	{ path: 'note', label: 'Note', type: 'text' }
];
