/**
 * A signed sheet: the whole job document and the sheet worked out from it,
 * frozen as canonical JSON (RFC 8785) with its SHA-256. Anything changed in it
 * afterwards, down to a digit, shows.
 */
import canonicalize from 'canonicalize';
import {
	evaluate,
	sheetJson,
	withoutWords,
	withWords,
	type Json,
	type Sheet,
	type Write
} from '../../sheet/evaluation/index.ts';
import { partsOf, type Job } from '../../job/document/index.ts';
import { checkJob } from '../../job/document/file.ts';
import { fromVersion2, isTooDeep, problemsOf, type Problem } from '../../foundation/file/index.ts';
import type { FigureName } from '../../sheet/figures/index.ts';
import { drawingOf, tightestStation } from '../../sheet/geometry/index.ts';
import type { Units } from '../../foundation/units/index.ts';
import { message, type Message } from '../../foundation/message/index.ts';
import { openItems } from '../open-items/index.ts';
import {
	AnySignedSheet,
	SIGNED_FORMAT,
	SIGNED_VERSION,
	type SignedSheet,
	type Signing
} from './schema.ts';
import { differencesFromVersion1, type Difference } from './version-1.ts';
import { visitAsSigned } from './visit.ts';

export { AnySignedSheet, SignedSheet, type Signing } from './schema.ts';
export type { FrozenVisit } from './visit.ts';
export { figureOfVersion1, stateOfVersion1, type Difference } from './version-1.ts';

/** SHA-256 of a text in UTF-8, as lower-case hexadecimal digits. */
export type Sha256 = (text: string) => string;

/** What verifying a sheet takes: a digest, and whether an Ed25519 signature of a text is of a key. */
export interface SheetCrypto {
	readonly sha256: Sha256;
	readonly verifies: (text: string, publicKey: string, signature: string) => boolean;
}

/** The key that a shop signs with; key and signatures are bytes in base64url. */
export interface ShopKey {
	readonly publicKey: string;
	readonly sign: (text: string) => string;
}

const canonical = (value: unknown): string => canonicalize(value) as string;

/**
 * Returns a job and its sheet as the text that is signed, saved and handed out. Source: docs/trade/assembly.md.
 *
 * @param units in which its sentences are frozen; figures stand in mm and N
 * @param key the shop's: a digest says that a sheet is whole, and only a signature who made it
 * @param then the job of the sheet that a visit starts from
 * @returns canonical JSON (RFC 8785) with its own SHA-256 and signature in it
 */
export function signSheet(
	job: Job,
	signing: Signing,
	units: Units,
	{ sha256, write, key }: { readonly sha256: Sha256; readonly write: Write; readonly key: ShopKey },
	then: Job | null = null
): string {
	const sheet = evaluate(job);
	const visit = then && visitAsSigned(job, sheet, then);
	const body = {
		format: SIGNED_FORMAT,
		version: SIGNED_VERSION,
		signing,
		job,
		sheet: sheetJson(sheet, units, write),
		open: withWords(openAsSigned(job, sheet), units, write),
		...sectionOf(job, sheet),
		...(visit && { visit: JSON.parse(JSON.stringify(visit)) as Json }),
		publicKey: key.publicKey
	};
	const whole = canonical(body);
	return canonical({ ...body, sha256: sha256(whole), signature: key.sign(whole) });
}

/** What is open on a job as a signed sheet keeps it. */
const openAsSigned = (job: Job, sheet: Sheet) =>
	openItems(job, sheet).map(({ place, text, acceptance }) => ({
		place,
		says: text,
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
	| {
			readonly ok: true;
			readonly signed: AnySignedSheet;
			readonly same: boolean;
			/** Whose key signed it: this shop's, another's, or nobody's, as before shops had keys. */
			readonly signer: 'this-shop' | 'unknown' | 'none';
			/** The figures that this program works out otherwise; none where all it does is word them otherwise. */
			readonly differences: readonly Difference[];
	  }
	| { readonly ok: false; readonly problem: Message; readonly problems?: readonly Problem[] };

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'signed.not-json': null;
		'signed.other-format': { readonly format: string };
		'signed.newer': { readonly reads: number };
		'signed.not-canonical': null;
		'signed.changed': { readonly found: string; readonly stated: string };
		'signed.not-whole': null;
		'signed.forged': null;
	}
}

/** A sheet with the figures and the rules that a signed one has: a later program may know more of them. */
function asOf(signed: SignedSheet['sheet'], now: ReturnType<typeof sheetJson>) {
	const known = new Set(Object.keys(figuresIn(signed)[0] ?? {}));
	const stations = (now.stations as readonly JsonStation[]).map((station) => ({
		...station,
		figures: Object.fromEntries(Object.entries(station.figures).filter(([name]) => known.has(name)))
	}));
	const rules = new Set(findingsIn(signed).map(({ rule }) => rule));
	const fit = findingsIn(now).filter(({ rule }) => rules.has(rule));
	// Which units figures stand in is said to a reader; a later program names those of what came since.
	return { ...now, units: signed.units, stations, fit };
}
/** A sheet with its findings sorted by key: releases may list the rules in different orders. */
function inRuleOrder<S extends object>(sheet: S): S {
	const byKey = (a: { readonly key: string }, b: { readonly key: string }) =>
		a.key < b.key ? -1 : a.key > b.key ? 1 : 0;
	return { ...sheet, fit: findingsIn(sheet).toSorted(byKey) };
}
type JsonStation = {
	readonly label: string;
	readonly figures: { readonly [name: string]: Json };
};
const findingsIn = (sheet: object) =>
	(sheet as { fit?: { readonly rule: string; readonly key: string }[] }).fit ?? [];
const stationsIn = (sheet: object) => (sheet as { stations?: JsonStation[] }).stations ?? [];
const figuresIn = (sheet: object) => stationsIn(sheet).map(({ figures }) => figures);

/** How a signed sheet compares with what this program works out from the job in it. */
function comparedWithNow(
	job: Job,
	signed: AnySignedSheet
): Pick<Extract<Verification, { ok: true }>, 'same' | 'differences'> {
	const sheet = evaluate(job);
	if (signed.version === 1) {
		const differences = differencesFromVersion1(sheet, signed.sheet);
		const isWhole =
			(signed.sheet as { stations?: unknown[] }).stations?.length === sheet.stations.length;
		return { same: isWhole && differences.length === 0, differences };
	}
	const now = withoutWords(
		inRuleOrder(
			asOf(
				signed.sheet,
				sheetJson(sheet, signed.sheet.units.sentences, () => '')
			)
		)
	) as object;
	const then = inRuleOrder(withoutWords(signed.sheet) as object);
	const same =
		canonical(now) === canonical(then) &&
		canonical(openAsOf(signed.open, openAsSigned(job, sheet))) ===
			canonical(withoutWords(signed.open));
	return { same, differences: same ? [] : differencesBetween(then, now) };
}

/** What is open, without the stop rules where a sheet was signed by a release that had none. */
function openAsOf(signed: AnySignedSheet['open'], now: ReturnType<typeof openAsSigned>) {
	const isStop = (one: { readonly says?: { readonly code: string } }) =>
		one.says?.code === 'do-not-run';
	return (signed as readonly Parameters<typeof isStop>[0][]).some(isStop)
		? now
		: now.filter((one) => !isStop(one));
}

/** The figures of two sheets that differ, station by station. */
function differencesBetween(then: object, now: object): Difference[] {
	const after = figuresIn(now);
	return stationsIn(then).flatMap(({ label, figures }, i) =>
		(Object.keys(figures) as FigureName[])
			.filter((name) => canonical(figures[name] ?? null) !== canonical(after[i]?.[name] ?? null))
			.map((figure) => ({ station: label, figure }))
	);
}

/**
 * Whether a signed sheet is as it was signed.
 *
 * @param shopKeys public keys that the shop signs with, or did
 * @returns `same` tells whether this program works out the same sheet from the
 * job in it, and `differences` where not; a later one may not, and the file is sound all the same
 */
export function verifySheet(
	text: string,
	{ sha256, verifies }: SheetCrypto,
	shopKeys: readonly string[] = []
): Verification {
	const refused = (problem: Message): Verification => ({ ok: false, problem });
	if (isTooDeep(text)) return refused(message('file.too-deep'));
	let value: Partial<AnySignedSheet>;
	try {
		value = JSON.parse(text) as Partial<AnySignedSheet>;
	} catch {
		return refused(message('signed.not-json'));
	}
	if (value === null || typeof value !== 'object' || value.format !== SIGNED_FORMAT)
		return refused(message('signed.other-format', { format: SIGNED_FORMAT }));
	if (!VERSIONS.has(value.version))
		return refused(message('signed.newer', { reads: SIGNED_VERSION }));
	const body: { sha256?: unknown; signature?: unknown } = { ...value };
	const stated = body.sha256;
	delete body.sha256;
	delete body.signature;
	// Digits beyond what a number keeps would not change its value: the text itself must be canonical.
	if (canonical(value) !== text.replace(/\r?\n$/, ''))
		return refused(message('signed.not-canonical'));
	const found = sha256(canonical(body));
	if (found !== stated)
		return refused(message('signed.changed', { found, stated: String(stated) }));
	// The job in it is looked at on its own: one of another release is sound all the same.
	const shape = AnySignedSheet.safeParse({ ...value, job: null });
	if (!shape.success)
		return {
			ok: false,
			problem: message('signed.not-whole'),
			problems: problemsOf(shape.error)
		};
	const signed = withCurrentNames(value as AnySignedSheet);
	const read = checkJob(signed.job);
	const signer = signerOf(signed, canonical(body), verifies, shopKeys);
	if (signer === null) return refused(message('signed.forged'));
	const compared = read.ok ? comparedWithNow(read.value, signed) : { same: false, differences: [] };
	return { ok: true, signed, signer, ...compared };
}

const VERSIONS: ReadonlySet<unknown> = new Set([1, 2, 3, SIGNED_VERSION]);

/**
 * A signed sheet in the current names and codes, except for its job, which has its own version and is
 * upgraded when it is read. The signed text itself is not changed.
 */
function withCurrentNames(signed: AnySignedSheet): AnySignedSheet {
	if (signed.version === SIGNED_VERSION) return signed;
	const { job, ...rest } = signed;
	return { ...fromVersion2(rest), job } as AnySignedSheet;
}

/** Parses a signed sheet from the shop's records without verifying it again. */
export const readSigned = (text: string): AnySignedSheet =>
	withCurrentNames(JSON.parse(text) as AnySignedSheet);

/** Whose key signed a text; null where the signature is not of the key that the sheet names. */
function signerOf(
	signed: AnySignedSheet,
	body: string,
	verifies: SheetCrypto['verifies'],
	shopKeys: readonly string[]
): Extract<Verification, { ok: true }>['signer'] | null {
	if (!('signature' in signed)) return 'none';
	if (!verifies(body, signed.publicKey, signed.signature)) return null;
	return shopKeys.includes(signed.publicKey) ? 'this-shop' : 'unknown';
}
