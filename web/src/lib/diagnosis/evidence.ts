/** What speaks for and against a cause, in words and figures. */
import {
	FIGURES,
	mm,
	newtons,
	type EvidenceCode,
	type FigureEvidence,
	type FigureName,
	type JobDiagnosis,
	type Look
} from '@zinc-ledger/core';
import { label } from '@zinc-ledger/words';
import type { Bench } from '$lib/bench/bench.svelte';
import { changeText } from '$lib/visit/besides';

type Reader = Pick<Bench, 'length' | 'load' | 'units'>;

/** The figure of the valve where it is surest: "3I +0.50 mm". */
export function figureText({ by }: FigureEvidence, reader: Reader): string {
	if (!by) return '';
	const { station, value, trace } = by;
	if (!(trace in FIGURES) || trace === 'height' || trace === 'lash')
		return `${station} ${changeText(trace as 'height', { by: value, uncertainty: 0 }, reader)} ${trace === 'load' ? reader.units.load : reader.units.length}`;
	const { dimension } = FIGURES[trace as FigureName];
	if (dimension === 'speed') return `${station} ${Math.round(value)} rpm`;
	return dimension === 'load'
		? `${station} ${reader.load(newtons(value))} ${reader.units.load}`
		: `${station} ${reader.length(mm(value))} ${reader.units.length}`;
}

/** Where it was seen: "3I 3E" of a look, or the figure. */
export function evidenceText(
	code: EvidenceCode,
	{ byFigures, found }: Pick<JobDiagnosis, 'byFigures' | 'found'>,
	looks: readonly Look[],
	reader: Reader
): string {
	const figure = byFigures[code];
	const isThere = (found[code] ?? 0) >= 0.5;
	const seen = looks.flatMap((look) => look.seen).findLast(({ evidence }) => evidence === code);
	const where = figure ? figureText(figure, reader) : (seen?.stations ?? []).join(' ');
	return `${isThere ? '' : 'not: '}${label('finding', code)}${where === '' ? '' : ` (${where})`}`;
}

/** Valves as they are typed, and those that are none of this head. */
export function valvesTyped(typed: string, known: readonly string[]) {
	const labels = new Map(known.map((one) => [one.toUpperCase(), one]));
	const words = typed.split(/[\s,;]+/).filter((word) => word !== '');
	return {
		stations: words.flatMap((word) => labels.get(word.toUpperCase()) ?? []),
		unknown: words.filter((word) => !labels.has(word.toUpperCase()))
	};
}
