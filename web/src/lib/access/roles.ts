import type { ShopRole } from '@zinc-ledger/words';

/** What people may do in a shop that is on the network: each role more than the one before. */
export const ROLES: readonly Role[] = ['reader', 'helper', 'machinist', 'owner'];
export type Role = ShopRole;

/** Whether a role is at least another. */
export const reaches = (role: Role | null, min: Role): boolean =>
	role !== null && ROLES.indexOf(role) >= ROLES.indexOf(min);

/** The lesser of two roles. */
export const lesser = (a: Role, b: Role): Role => (reaches(a, b) ? b : a);

/** Shortest password, in characters: long and easy beats short and odd. */
export const PASSWORD_MIN = 12;
export const PASSWORD_MAX = 128;
/** Digits of a PIN. */
export const PIN = /^\d{4,8}$/;
