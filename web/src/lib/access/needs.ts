/**
 * The one table of what each role may do. Whatever is only read takes a reader where
 * nothing is said here; whatever changes something and is not named here, nobody may.
 */
import type { EntryList } from '@zinc-ledger/core';
import { lesser, reaches, ROLES, type Role } from './roles.ts';

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
	trials: 'machinist'
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
	'/templates/[id=uuid]': { default: 'machinist' },
	'/templates/new': { default: 'machinist' }
};

/**
 * What the work on a page takes, where the page sends it by other ways than forms of its own;
 * it only says so beforehand, the table above decides.
 */
export const WORK: Readonly<Record<string, Role>> = {
	// Its list is for everybody; one may bring a job in as well.
	'/': 'reader',
	'/jobs/[id=uuid]/as-found': 'helper',
	'/jobs/[id=uuid]/assembly': 'helper',
	'/jobs/[id=uuid]/checks': 'helper',
	'/jobs/[id=uuid]/diagnosis': 'machinist',
	'/jobs/[id=uuid]/inspect': 'helper',
	'/jobs/[id=uuid]/lift': 'machinist',
	'/jobs/[id=uuid]/list': 'helper',
	'/jobs/[id=uuid]/parts': 'machinist',
	'/jobs/[id=uuid]/plan': 'machinist',
	'/jobs/[id=uuid]/round': 'helper',
	'/jobs/[id=uuid]/sign': 'machinist',
	'/jobs/[id=uuid]/springs': 'machinist',
	'/jobs/[id=uuid]/what-if': 'machinist',
	'/springs/[id=uuid]/capture': 'helper'
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
function actionIn(url: URL): string {
	for (const key of url.searchParams.keys()) if (key.startsWith('/')) return key.slice(1);
	return 'default';
}

/** The least role that changes something on a page; a reader where nothing is changed there, or by anybody. */
export function workOn(route: string | null): Role {
	if (route === null) return 'reader';
	if (Object.hasOwn(WORK, route)) return WORK[route]!;
	const known = Object.entries(Object.hasOwn(NEEDS, route) ? NEEDS[route]! : {});
	const needs = known.filter(([how]) => how !== 'GET').map(([, need]) => need);
	const roles = needs.filter((need): need is Role => (ROLES as readonly string[]).includes(need));
	if (roles.length === 0 || roles.length < needs.length) return 'reader';
	return roles.reduce(lesser);
}

export interface Standing {
	readonly hasSession: boolean;
	readonly role: Role | null;
}

/** Whether somebody who stands so may do what takes that. */
export function may({ hasSession, role }: Standing, need: Need | null): boolean {
	if (need === null) return false;
	if (need === 'anyone') return true;
	return need === 'session' ? hasSession : reaches(role, need);
}
