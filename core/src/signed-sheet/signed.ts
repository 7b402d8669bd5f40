/**
 * A signed sheet: the whole job document and the sheet worked out from it,
 * frozen as canonical JSON (RFC 8785) with its SHA-256. Anything changed in it
 * afterwards, down to a digit, shows.
 */
import canonicalize from 'canonicalize';
import { z } from 'zod';
import { evaluate } from '../evaluation/evaluate.ts';
import { plainSheet } from '../evaluation/sheet-json.ts';
import type { Job } from '../document/schema.ts';
import { checkJob } from '../document/file.ts';
import { isTooDeep, TOO_DEEP } from '../file/file.ts';
import { drawingOf, tightestStation } from '../geometry/section.ts';
import { partsOf } from '../document/resolve-parts.ts';
import type { Sheet } from '../evaluation/sheet.ts';
import type { Units } from '../units/display.ts';
import { showPhrase } from '../units/phrase.ts';
import { openPoints } from '../open-items/open-points.ts';
import { SIGNED_FORMAT, SIGNED_VERSION, SignedSheet, type Signing } from './schema.ts';

export { SignedSheet, type Signing } from './schema.ts';

/** SHA-256 of a text in UTF-8, as lower-case hexadecimal digits. */
export type Sha256 = (text: string) => string;

const canonical = (value: unknown): string => canonicalize(value) as string;

/** Freezes a job as it stands; the text is what is kept and handed out. */
export function signSheet(job: Job, signing: Signing, units: Units, sha256: Sha256): string {
	const sheet = evaluate(job);
	const body = {
		format: SIGNED_FORMAT,
		version: SIGNED_VERSION,
		signing,
		job,
		sheet: plainSheet(sheet, units),
		open: openAsSigned(job, sheet, units),
		...sectionOf(job, sheet)
	};
	return canonical({ ...body, sha256: sha256(canonical(body)) });
}

/** What is open on a job as a signed sheet keeps it, in words. */
const openAsSigned = (job: Job, sheet: Sheet, units: Units): SignedSheet['open'] =>
	openPoints(job, sheet).map(({ place, text, acceptance }) => ({
		place,
		text: showPhrase(text, units),
		...(acceptance && {
			accepted: {
				by: job.people.find(({ id }) => id === acceptance.person)?.name ?? acceptance.person,
				reason: acceptance.reason
			}
		})
	}));

/** The stack worth drawing, frozen as geometry: what a later version would draw differently stays as it was. */
function sectionOf(job: Job, sheet: Sheet): Pick<SignedSheet, 'section'> {
	const label = tightestStation(sheet.stations);
	const station = sheet.stations.find((one) => one.label === label);
	const entry = job.stations.find((one) => one.label === label);
	const lift = station?.shared.lift?.gross;
	if (!station || !entry || lift === undefined) return {};
	const drawing = drawingOf(station, station.shared, partsOf(job.setup, entry), lift);
	if (!drawing) return {};
	return {
		section: {
			station: station.label,
			drawing: JSON.parse(JSON.stringify(drawing)) as NonNullable<SignedSheet['section']>['drawing']
		}
	};
}

export type Verification =
	| { readonly ok: true; readonly signed: SignedSheet; readonly same: boolean }
	| { readonly ok: false; readonly problem: string };

/** Whether sheet and open points are what this program works out from the job. */
function isSame(job: Job, signed: SignedSheet, units: Units): boolean {
	const sheet = evaluate(job);
	return (
		canonical(plainSheet(sheet, units)) === canonical(signed.sheet) &&
		canonical(openAsSigned(job, sheet, units)) === canonical(signed.open)
	);
}

/** The job in it is looked at on its own: one of another release is sound all the same. */
const AnyJob = SignedSheet.extend({ job: z.unknown() });

/**
 * Whether a signed sheet is as it was signed.
 *
 * @returns `same` tells whether this program works out the same sheet from the
 * job in it; a later one may not, and the file is sound all the same
 */
export function verifySheet(text: string, sha256: Sha256): Verification {
	if (isTooDeep(text)) return { ok: false, problem: TOO_DEEP };
	let value: Partial<SignedSheet>;
	try {
		value = JSON.parse(text) as Partial<SignedSheet>;
	} catch {
		return { ok: false, problem: 'this is not JSON: cut short, or changed' };
	}
	if (value === null || typeof value !== 'object' || value.format !== SIGNED_FORMAT)
		return {
			ok: false,
			problem: `this is not a signed sheet ("format" must be "${SIGNED_FORMAT}")`
		};
	if (value.version !== SIGNED_VERSION)
		return { ok: false, problem: `this program verifies version ${SIGNED_VERSION}` };
	const { sha256: stated, ...body } = value;
	// Digits beyond what a number keeps would not change its value: the text itself must be canonical.
	if (canonical(value) !== text.replace(/\r?\n$/, ''))
		return {
			ok: false,
			problem: 'the text is not as it was written: it was changed or laid out anew'
		};
	const found = sha256(canonical(body));
	if (found !== stated)
		return {
			ok: false,
			problem: `changed since it was signed: its SHA-256 is ${found}, ${String(stated)} is stated`
		};
	const shape = AnyJob.safeParse(value);
	if (!shape.success)
		return { ok: false, problem: `this is no whole signed sheet: ${z.prettifyError(shape.error)}` };
	const signed = value as SignedSheet;
	const read = checkJob(signed.job);
	const units = signed.sheet.units.sentences;
	return { ok: true, signed, same: read.ok && isSame(read.value, signed, units) };
}
