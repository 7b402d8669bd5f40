/**
 * What takes longer than a page may wait: files that are read in, and paper. It runs in threads
 * of its own (see pool.ts), so what comes in and goes out is plain data.
 */
import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { v7 as uuid } from 'uuid';
import {
	faultsOf,
	faultsOfKits,
	TYPE_OF,
	type Kit,
	type LibraryPart,
	type Problem,
	type Units
} from '@zinc-ledger/core';
import { readJob, type Read } from '@zinc-ledger/core/file';
import { readKits } from '@zinc-ledger/core/kits';
import { readParts } from '@zinc-ledger/core/parts';
import { readSigned } from '@zinc-ledger/core/signed';
import { readSweep } from '@zinc-ledger/core/sweep-schema';
import type { Sent } from '$lib/access/body-limits';
import { kitsFromCsv } from '$lib/parts/kits/csv';
import { partsFromCsv } from '$lib/parts/library/csv';
import { sweepFromCsv, type Columns, type SweepCsv } from '$lib/springs/sets/csv';
import { formWithFile } from '../http/body';
import { labelPdf as label, sheetPdf as sheet, type Size } from '../signing/out/pdf';
import { reportPdf as report } from '../signing/out/report';
import { signedOut } from '../signing/out/signed-out';

const isJson = (text: string) => text.trimStart().startsWith('{');

/** What was read of the file of a form, and the file's name; null where the form has none. */
type FileOf<R> = { readonly name: string; readonly read: R } | null;

async function fileIn<R>(sent: Sent | null, read: (text: string) => R): Promise<FileOf<R>> {
	if (sent === null) return null;
	const { bytes, type } = sent;
	const headers = { 'content-type': type };
	const form = new Request('http://form/', { method: 'POST', body: bytes, headers });
	const { file } = await formWithFile(form);
	try {
		return file && { name: file.name, read: read(file.text) };
	} finally {
		// What a large file leaves behind would otherwise add up over many of them.
		if (bytes.byteLength > LARGE) collect();
	}
}
const LARGE = 1024 * 1024;
let collector: (() => void) | undefined;

/** Collects garbage. */
function collect(): void {
	setFlagsFromString('--expose-gc');
	collector ??= runInNewContext('gc') as () => void;
	collector();
}

/** Reads a job's file. */
export const jobFile = ({ sent }: { sent: Sent | null }): Promise<FileOf<Read>> =>
	fileIn(sent, readJob);

export type PartsFile =
	| {
			readonly ok: true;
			readonly parts: readonly LibraryPart[];
			readonly older: readonly Problem[];
	  }
	| { readonly ok: false; readonly problems: readonly Problem[] };

/**
 * Reads a file of parts, JSON or CSV.
 *
 * @param library the shop's parts as they are, each with the revision that it stands at
 */
export const partsFile = (
	asked: Shelf & { readonly sent: Sent | null }
): Promise<FileOf<PartsFile>> => fileIn(asked.sent, (text) => partsIn(text, asked));

interface Shelf {
	readonly units: Units;
	readonly library: readonly LibraryPart[];
	readonly revisions: ReadonlyMap<string, string>;
}

function partsIn(text: string, { units, library, revisions }: Shelf): PartsFile {
	if (isJson(text)) {
		const read = readParts(text);
		return read.ok ? { ok: true, parts: read.value, older: [] } : read;
	}
	const known = new Map(library.map((part) => [part.part.id, part]));
	return partsFromCsv(
		text,
		units,
		(id) => known.get(id),
		uuid,
		(id) => revisions.get(id) ?? ''
	);
}

export type KitsFile =
	| {
			readonly ok: true;
			readonly kits: readonly Kit[];
			readonly parts: readonly LibraryPart[];
	  }
	| { readonly ok: false; readonly problems: readonly Problem[] };

/**
 * Reads a file of kits, JSON with the parts that they name or CSV that names parts of the library;
 * one whose parts have faults is refused.
 */
export const kitsFile = (asked: {
	readonly sent: Sent | null;
	readonly library: readonly LibraryPart[];
}): Promise<FileOf<KitsFile>> => fileIn(asked.sent, (text) => kitsIn(text, asked.library));

function kitsIn(text: string, library: readonly LibraryPart[]): KitsFile {
	const checked = (
		{ kits, parts }: { kits: readonly Kit[]; parts: readonly LibraryPart[] },
		problems: readonly Problem[]
	): KitsFile => (problems.length > 0 ? { ok: false, problems } : { ok: true, kits, parts });
	if (isJson(text)) {
		const read = readKits(text);
		return read.ok ? checked(read.value, faultsOf(read.value.parts)) : read;
	}
	const typeOf = new Map(library.map(({ part, type }) => [part.id, type]));
	const read = kitsFromCsv(text, (id, place) => typeOf.get(id) === TYPE_OF[place], uuid);
	return read.ok ? checked({ kits: read.kits, parts: [] }, faultsOfKits(read.kits, library)) : read;
}

/** A sweep of the open format, or the columns of a CSV file: found, or asked for. */
export type SweepFile =
	| { readonly type: 'sweep'; readonly read: ReturnType<typeof readSweep> }
	| { readonly type: 'csv'; readonly read: SweepCsv };

/** Reads a file of one spring's loads. @param columns what somebody said of them */
export const sweepFile = (asked: {
	readonly text: string;
	readonly columns: Partial<Columns>;
}): SweepFile =>
	isJson(asked.text)
		? { type: 'sweep', read: readSweep(asked.text) }
		: { type: 'csv', read: sweepFromCsv(asked.text, asked.columns) };

/** A signed sheet as its frozen text has it, and the paper that it goes out on. */
interface OnPaper {
	readonly text: string;
	readonly size: Size;
}
const outOf = (text: string) => signedOut(readSigned(text));

/** The signed sheet on paper; the customer's copy leaves out what is to stay in the shop. */
export const sheetPdf = (asked: OnPaper & { readonly isCustomers: boolean }): Promise<Uint8Array> =>
	sheet(outOf(asked.text), asked.size, asked.isCustomers);

/** The report of a return visit. */
export const reportPdf = (asked: OnPaper): Promise<Uint8Array> =>
	report(outOf(asked.text), asked.size);

/** The label for the head. @param address what its code leads to */
export const labelPdf = (asked: {
	readonly text: string;
	readonly address: string;
}): Promise<Uint8Array> => label(outOf(asked.text), asked.address);
