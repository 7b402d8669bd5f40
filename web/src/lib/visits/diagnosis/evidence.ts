/** What speaks for and against a cause, in words and figures. */
import {
	EVIDENCE,
	FIGURES,
	mm,
	newtons,
	readLoadEntry,
	showSpeed,
	type EvidenceCode,
	type FigureEvidence,
	type JobDiagnosis,
	type LoadUnit,
	type Look,
	type Message,
	type RevolutionsPerMinute
} from '@zinc-ledger/core';
import { label } from '@zinc-ledger/words';
import type { Bench } from '$lib/bench/bench.svelte';
import { changeText } from '$lib/visits/comparison/comparison';

type Reader = Pick<Bench, 'length' | 'load' | 'units'>;

/** The figure of the valve where it is surest: "3I +0.50 mm". */
export function figureText({ by }: FigureEvidence, reader: Reader): string {
	if (!by) return '';
	const { station, value } = by;
	const unit = (isLoad: boolean) => (isLoad ? reader.units.load : reader.units.length);
	if ('moved' in by)
		return `${station} ${changeText(by.moved, { by: value, uncertainty: 0 }, reader)} ${unit(by.moved === 'load')}`;
	const { dimension } = FIGURES[by.figure];
	if (dimension === 'speed') return `${station} ${showSpeed(value as RevolutionsPerMinute)} rpm`;
	const isLoad = dimension === 'load';
	return `${station} ${isLoad ? reader.load(newtons(value)) : reader.length(mm(value))} ${unit(isLoad)}`;
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

/** Marks that were seen, or are on photos, with their stations as the newest look at each has them; what was only said shows on none. */
export function marksSeen(looks: Iterable<Look>, pictured: readonly EvidenceCode[]) {
	const marks = new Map<EvidenceCode, readonly string[]>(pictured.map((code) => [code, []]));
	for (const { seen } of looks)
		for (const { evidence, stations = [] } of seen)
			if (EVIDENCE[evidence].type !== 'said') marks.set(evidence, stations);
	return [...marks].map(([evidence, stations]) => ({ evidence, stations }));
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

/** A reference spring read on both testers, as typed: none where neither field is filled in. */
export function readReference(
	then: string,
	now: string,
	unit: LoadUnit
):
	| { readonly ok: true; readonly loads: Look['reference'] }
	| { readonly ok: false; readonly problem: Message } {
	if (then.trim() === '' && now.trim() === '') return { ok: true, loads: undefined };
	const [first, second] = [readLoadEntry(then, unit), readLoadEntry(now, unit)];
	if (!first.ok) return first;
	return second.ok ? { ok: true, loads: { then: first.text, now: second.text } } : second;
}
