/**
 * What a server that keeps jobs answers where it does not do what it was asked. The core knows no
 * server: these codes join its {@link Message} here, above it, for the server and for the catalog.
 */
import type { FileOf, Message } from '@zinc-ledger/core';

export interface ServerMessages {
	'server.unknown': { readonly what: Unknown };
	'backup.none': null;
	'backup.old': { readonly at: string };
	/** One that was made while the clock was ahead. */
	'backup.future': { readonly at: string };
	'server.no-spring': { readonly tag: string };
	'server.no-step': { readonly step: string; readonly place: string };
	'server.no-list': { readonly list: string };
	'server.no-round': { readonly name: string };
	'server.no-setting-order': { readonly name: string };
	'server.no-job-number': { readonly number: string };
	'server.reading-elsewhere': null;
	'server.operator-required': null;
	'server.operator-gone': null;
	'server.changed-meanwhile': null;
	'visit.nothing-signed': null;
	'visit.other-layout': null;
	'visit.no-engine': null;
	'visit.other-engine': null;
	'visit.place-unknown': null;
	'visit.none-signed': null;
	'trial.open': { readonly changed: string };
	'trial.unknown': null;
	'diagnosis.not-a-weight': null;
	'lash.reason-missing': null;
	'server.not-json': null;
	'server.too-deep': null;
	'server.too-many-fields': { readonly max: number };
	'server.unfit-text': { readonly at: string };
	'server.too-large': null;
	/** Too many files wait to be read. */
	'server.busy': null;
	'server.broken-off': null;
	'server.fields': {
		readonly fields: readonly { readonly path: string; readonly says: Message }[];
	};
	'server.database-away': null;
	'server.database-away-advice': null;
	'server.disk-full': null;
	'server.disk-full-advice': null;
	'server.taken': null;
	'server.names-nothing': null;
	'server.cannot-keep': null;
	'server.id-taken': null;
	'server.failed': null;
	'server.failed-advice': null;
	'server.foreign': null;
	'server.nothing-to-do': null;
	'server.would-not-take': null;
	'server.not-reached': null;
	'server.still-there': { readonly why: string };
	'server.not-saved': null;
	'server.topics-count': { readonly max: number };
	'server.topic-unknown': { readonly topic: string };
	'gauge.sends-nothing': null;
	'entry.count-missing': null;
	'entry.reason-missing': null;
	'entry.do-first': { readonly place: string; readonly step: string };
	'entry.unknown-work': null;
	'import.choose-file': { readonly what: FileOf };
	'import.entry-elsewhere': null;
	'import.something-elsewhere': null;
	'import.job-there': { readonly number: string };
	'import.number-taken': { readonly number: string };
	'import.too-many-parts': { readonly max: number };
	'import.no-columns': null;
	'import.no-parts': null;
	/** A line of a file that was written before its part, or the part's count, changed. */
	'import.older': { readonly name: string };
	'import.no-figures': null;
	'import.which-column': null;
	'import.not-figure': { readonly column: string; readonly read: string };
	'import.csv': { readonly says: string };
	'plan.not-newest': null;
	'plan.before-unknown': null;
	'plan.built-otherwise': { readonly station: string };
	'stock.given-back-too-many': { readonly taken: number };
	'stock.short': { readonly part: string; readonly required: number; readonly stock: number };
	'stock.which-part': null;
	'stock.change': null;
	'stock.change-max': { readonly max: number };
	'sign.blocked': { readonly place: string };
	'photo.too-large': null;
	'photo.not-supported': null;
	'photo.not-whole': null;
	'photo.unpacks-too-large': null;
	'photo.progressive-too-large': null;
	'lift.which-ratio': null;
	'photo.enough': { readonly station: string | null; readonly max: number };
	'set.not-for-job': null;
	'set.not-tested': null;
	'operator.pick': null;
	'operator.initials-in-use': { readonly initials: string };
	'access.sign-in-first': null;
	'access.not-allowed': { readonly role: ShopRole };
	'access.only-read': { readonly role: ShopRole; readonly min: ShopRole };
	'access.other-person': null;
	'access.too-often': null;
	'access.wait': { readonly minutes: number };
	'access.refused': null;
	'access.pin-refused': null;
	'access.code-wanted': null;
	'access.code-refused': null;
	'access.password-short': { readonly min: number };
	'access.password-long': { readonly max: number };
	'access.password-common': null;
	'access.password-wrong': null;
	'access.pin-digits': null;
	'access.pin-common': null;
	'access.user-name': null;
	'access.user-name-taken': null;
	'access.code-unknown': null;
	'access.last-owner': null;
	'access.link-ended': null;
	'access.no-address': null;
	'gauge.address-elsewhere': { readonly host: string };
}

/** What somebody may do in a shop on the network, each more than the one before. */
export type ShopRole = 'reader' | 'helper' | 'machinist' | 'owner';

/** How hard a password is to guess. */
export type PasswordStrength = 'at-once' | 'easy' | 'possible' | 'hard' | 'very-hard';

/** What the trail of a shop notes. */
export type AuditedAct =
	| 'signed-in'
	| 'sign-in-refused'
	| 'signed-out'
	| 'signed-out-everywhere'
	| 'person-changed'
	| 'pin-refused'
	| 'code-made'
	| 'joined'
	| 'role-changed'
	| 'sign-in-ended'
	| 'password-changed'
	| 'pin-changed'
	| 'second-factor-on'
	| 'second-factor-off'
	| 'exported'
	| 'job-imported'
	| 'shared'
	| 'share-ended'
	| 'restored';

/** What was asked for and is not there. */
export type Unknown =
	| 'job'
	| 'part'
	| 'kit'
	| 'template'
	| 'gauge'
	| 'engine'
	| 'head'
	| 'set'
	| 'photo'
	| 'mark'
	| 'page'
	| 'action'
	| 'sweep'
	| 'signed-sheet'
	| 'output'
	| 'share';

declare module '@zinc-ledger/core/messages' {
	// eslint-disable-next-line @typescript-eslint/no-empty-object-type
	interface Messages extends ServerMessages {}
}
