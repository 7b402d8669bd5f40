/** What a signature may say, and what it then needs (docs/trade/assembly.md, "What a signature says"). */

/** The head as found or as it will be built; built; on the engine. Each needs all of the one before. */
export const SCOPES = ['measured', 'built', 'on-engine'] as const;
export type ScopeName = (typeof SCOPES)[number];

/** What a scope needs, in the order of the work. */
export const SCOPE_NEEDS = [
	'height',
	'seatLoad',
	'openLoad',
	'bindMargin',
	'sealClearance',
	'assembly',
	'built',
	'vacuum',
	'lash',
	'piston'
] as const;
export type ScopeNeed = (typeof SCOPE_NEEDS)[number];

const LAST: Readonly<Record<ScopeName, ScopeNeed>> = {
	measured: 'sealClearance',
	built: 'vacuum',
	'on-engine': 'piston'
};

/** What a scope needs on its stations. */
export const scopeNeeds = (scope: ScopeName): readonly ScopeNeed[] =>
	SCOPE_NEEDS.slice(0, SCOPE_NEEDS.indexOf(LAST[scope]) + 1);
