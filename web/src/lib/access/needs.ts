/**
 * The one table of what each role may do. Whatever is only read takes a reader where
 * nothing is said here; whatever changes something and is not named here, nobody may.
 */
import type { EntryList } from '@zinc-ledger/core';
import { reaches, ROLES, type Role } from './roles.ts';

/** The least that something takes: nothing, a browser signed in whoever is at it, or a role. */
export type Need = Role | 'anyone' | 'session';

/** Entries of a job, by list. */
export const LISTS: Partial<Record<EntryList, Need>> = {
	inspections: 'helper',
	assembly: 'helper',
	checks: 'helper',
	notes: 'helper',
	asFound: 'helper',
	looks: 'helper',
	headWork: 'machinist',
	acceptances: 'machinist',
	motions: 'machinist',
	since: 'machinist',
	trials: 'machinist',
	outcomes: 'machinist'
};

/** By route, then by method of an endpoint or action of a page. */
export const NEEDS: Readonly<Record<string, Readonly<Record<string, Need>>>> = {
	'/': { import: 'machinist' },
	'/healthz': { GET: 'anyone' },
	'/readyz': { GET: 'anyone' },
	// It asks for a token of its own.
	'/metrics': { GET: 'anyone' },
	'/sign-in': { GET: 'anyone', default: 'anyone' },
	'/join': { GET: 'anyone', default: 'anyone' },
	'/shared/[token]': { GET: 'anyone' },
	'/shared/[token]/sheet.pdf': { GET: 'anyone' },
	'/bench': { GET: 'session', pick: 'session', leave: 'session', add: 'owner' },
	'/account': {
		GET: 'session',
		out: 'session',
		everywhere: 'session',
		password: 'session',
		pin: 'session',
		offer: 'session',
		secondOn: 'session',
		secondOff: 'session'
	},
	'/people': { GET: 'owner', add: 'owner', invite: 'owner', role: 'owner', end: 'owner' },
	'/audit': { GET: 'owner' },
	'/sampler': { GET: 'anyone' },
	'/api/bench': { PUT: 'reader' },
	'/api/jobs/[id=uuid]/answers': { POST: 'helper' },
	'/api/jobs/[id=uuid]/firing-order': { PUT: 'machinist' },
	'/api/jobs/[id=uuid]/photos': { POST: 'helper' },
	'/api/jobs/[id=uuid]/plan': { POST: 'machinist', DELETE: 'machinist' },
	'/api/jobs/[id=uuid]/readings': { POST: 'helper', PUT: 'helper' },
	'/api/jobs/[id=uuid]/setup': { PUT: 'machinist' },
	'/api/jobs/[id=uuid]/shares': { GET: 'machinist', POST: 'machinist', DELETE: 'machinist' },
	'/api/jobs/[id=uuid]/signed': { POST: 'machinist' },
	'/api/jobs/[id=uuid]/stations/[label]': { PATCH: 'helper' },
	'/api/jobs/[id=uuid]/steps': { POST: 'helper' },
	'/api/jobs/[id=uuid]/stock': { POST: 'helper' },
	'/api/jobs/[id=uuid]/voids': { POST: 'helper' },
	'/api/kits/[id=uuid]/photos': { POST: 'machinist' },
	'/api/sets/[id=uuid]/limits': { PUT: 'machinist' },
	'/api/sets/[id=uuid]/springs/[tag]': { PUT: 'helper' },
	'/api/sets/[id=uuid]/sweeps': { POST: 'helper' },
	'/gauges/[id=uuid]': { keep: 'owner', check: 'machinist' },
	'/gauges/new': { default: 'owner' },
	'/heads/[id=uuid]': { mark: 'machinist', move: 'machinist' },
	'/heads/[id=uuid]/back': { default: 'machinist' },
	'/jobs/[id=uuid]/setup': { default: 'machinist' },
	'/jobs/new': { default: 'machinist' },
	'/kits': { import: 'machinist', retire: 'machinist' },
	'/kits/[id=uuid]': { default: 'machinist' },
	'/kits/new': { default: 'machinist' },
	'/likelihoods': { default: 'owner' },
	'/parts': { import: 'machinist', stock: 'machinist', retire: 'machinist' },
	'/parts/[id=uuid]': { default: 'machinist' },
	'/parts/[id=uuid]/lobes': { keep: 'machinist', remove: 'machinist' },
	'/parts/new': { default: 'machinist' },
	'/policies': { default: 'owner' },
	'/service': { default: 'machinist' },
	'/springs': { default: 'machinist' },
	'/springs/[id=uuid]': { import: 'helper', edit: 'machinist', use: 'machinist' },
	'/templates': { retire: 'machinist' },
	'/valve': { save: 'machinist' },
	'/templates/[id=uuid]': { default: 'machinist' },
	'/templates/new': { default: 'machinist' }
};

const ofJob = (path: string, method: string) => NEEDS[`/api/jobs/[id=uuid]/${path}`]![method]!;

/** What pages send by other ways than forms of their own, as the table has it. */
export const SENT: Readonly<Record<string, readonly (Need | undefined)[]>> = {
	// One may bring a job in; what the page is for is its list.
	'/': ['reader'],
	'/jobs/[id=uuid]/as-found': [LISTS.asFound],
	'/jobs/[id=uuid]/assembly': [ofJob('steps', 'POST')],
	'/jobs/[id=uuid]/checks': [LISTS.checks],
	'/jobs/[id=uuid]/diagnosis': [LISTS.looks, LISTS.since, LISTS.trials, LISTS.outcomes],
	'/jobs/[id=uuid]/inspect': [LISTS.inspections],
	'/jobs/[id=uuid]/lift': [ofJob('setup', 'PUT')],
	'/jobs/[id=uuid]/list': [ofJob('readings', 'POST')],
	'/jobs/[id=uuid]/parts': [ofJob('setup', 'PUT'), ofJob('stations/[label]', 'PATCH')],
	'/jobs/[id=uuid]/plan': [ofJob('plan', 'POST')],
	'/jobs/[id=uuid]/round': [ofJob('readings', 'POST')],
	'/jobs/[id=uuid]/sign': [ofJob('signed', 'POST'), LISTS.acceptances, LISTS.notes],
	'/jobs/[id=uuid]/springs': [ofJob('setup', 'PUT')],
	'/jobs/[id=uuid]/what-if': [ofJob('setup', 'PUT')],
	'/springs/[id=uuid]/capture': [NEEDS['/api/sets/[id=uuid]/sweeps']!.POST]
};

/** What goes out of the shop whole: who took it is noted. */
export const EXPORTS: ReadonlySet<string> = new Set([
	'/jobs/[id=uuid]/file',
	'/jobs/[id=uuid]/signed/[sheet=uuid]/[file]',
	'/kits/file',
	'/parts/file',
	'/service/[id=uuid]/file',
	'/service/file',
	'/springs/[id=uuid]/file'
]);

const ENTRIES = '/api/jobs/[id=uuid]/entries/[list]';

/** What is asked for, as the table names it. */
export interface Asked {
	/** Null where there is nothing at the address. */
	readonly route: string | null;
	readonly method: string;
	readonly url: URL;
	readonly list?: string | undefined;
}

/** The least that something takes; null where nobody may. */
export function needOf({ route, method, url, list }: Asked): Need | null {
	// That there is nothing may be told to anybody.
	if (route === null) return 'anyone';
	const of = Object.hasOwn(NEEDS, route) ? NEEDS[route]! : {};
	const named = (key: string) => (Object.hasOwn(of, key) ? of[key]! : null);
	if (method === 'GET' || method === 'HEAD') return named('GET') ?? 'reader';
	// One of no known name is told so by the list's own route.
	if (route === ENTRIES && method === 'POST')
		return list !== undefined && Object.hasOwn(LISTS, list) ? LISTS[list as EntryList]! : 'helper';
	return named(method) ?? (method === 'POST' ? named(actionIn(url)) : null);
}

/** The action of a page that a form is sent to, as the framework reads it. */
export function actionIn(url: URL): string {
	for (const key of url.searchParams.keys()) if (key.startsWith('/')) return key.slice(1);
	return 'default';
}

/** The least role that changes something on a page; a reader where nothing is changed there, or by anybody. */
export function workOn(route: string | null): Role {
	if (route === null) return 'reader';
	const forms = Object.entries(Object.hasOwn(NEEDS, route) ? NEEDS[route]! : {});
	const needs = forms.filter(([how]) => how !== 'GET').map(([, need]) => need);
	if (Object.hasOwn(SENT, route)) needs.push(...SENT[route]!.filter((need) => need !== undefined));
	return (
		ROLES.find((role) => needs.some((need) => may({ hasSession: true, role }, need))) ?? 'reader'
	);
}

export interface SignedInAs {
	readonly hasSession: boolean;
	readonly role: Role | null;
}

/** Whether somebody who stands so may do what takes that. */
export function may({ hasSession, role }: SignedInAs, need: Need | null): boolean {
	if (need === null) return false;
	if (need === 'anyone') return true;
	return need === 'session' ? hasSession : reaches(role, need);
}
