export * from './append-only-lists.ts';
export * from './as-found-lash.ts';
export * from './at-hand.ts';
export * from './check-words.ts';
export * from './current-readings.ts';
export * from './defaults.ts';
export * from './head-work.ts';
export * from './in-place.ts';
export * from './one-reading.ts';
export * from './inspected.ts';
export * from './policies.ts';
export * from './quantities.ts';
export * from './reading-time.ts';
export * from './repeats.ts';
export * from './resolve-parts.ts';
export * from './scopes.ts';
export * from './setup-like.ts';
export * from './take-kit.ts';
export * from './visit-entries.ts';
export * from './visit-job.ts';
export * from './with-parts.ts';
export * from './units-as-read.ts';
export * from './usual-inspected.ts';
export type { InspectedLimits } from './schema/inspected-limits.ts';
export type {
	Acceptance,
	AsFound,
	KeptMotion,
	Motions,
	AssemblyStep,
	Check,
	Compression,
	Decision,
	FitLimits,
	HeadWork,
	InPlaceEntry,
	Inspection,
	Job,
	KindSetup,
	Limits,
	Look,
	Note,
	Person,
	Plan,
	Policies,
	Reading,
	Setup,
	Since,
	StationEntry,
	StationParts,
	TaggedSpring,
	CaseOutcome,
	Trial,
	VisitOf,
	VoidEntry
} from './schema.ts';
